import { changePrompts, deleteSearch, saveSearch, listSearches, listTags, mergePrompts, readEvidence, readNear, renameTag, saySame, searchShelf, unmergePrompt } from '@idolon/contract'
import type { Database } from '../database/connect.ts'
import type { Register } from '../http/register.ts'
import type { Sameness } from './sameness.ts'
import { type ShelfSearch, tagCounts } from './search.ts'
import type { Shelf } from './service.ts'

export function shelfRoutes(on: Register, db: Database, search: ShelfSearch, shelf: Shelf, sameness: Sameness): void {
  on(searchShelf, ({ query }) => search.find(query))
  on(listTags, ({ query }) => tagCounts(db, query.project))
  on(renameTag, ({ actor, body }) => shelf.renameTag(actor, body))
  on(changePrompts, ({ actor, body }) => shelf.changeMany(actor, body))
  on(listSearches, () => shelf.searches())
  on(saveSearch, ({ actor, params, body }) => shelf.saveSearch(actor, params.search, body))
  on(deleteSearch, async ({ actor, params }) => {
    await shelf.deleteSearch(actor, params.search)
    return undefined
  })
  on(readNear, ({ params }) => sameness.near(params.prompt))
  on(saySame, ({ actor, params, body }) => sameness.say(actor, params.prompt, body.prompts, body.as))
  on(mergePrompts, ({ actor, params, body }) => sameness.merge(actor, params.prompt, body.prompts))
  on(unmergePrompt, async ({ actor, params }) => {
    await sameness.unmerge(actor, params.prompt)
    return undefined
  })
  on(readEvidence, ({ params }) => shelf.evidence(params.prompt))
}
