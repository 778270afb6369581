import { changePrompts, forgetSearch, keepSearch, listSearches, listTags, readEvidence, readNear, renameTag, searchShelf } from '@idolon/contract'
import type { Database } from '../database/connect.ts'
import type { Register } from '../http/register.ts'
import { nearPrompts } from './near.ts'
import type { SearchIndex } from './search-index.ts'
import { searchShelf as search, tagCounts } from './search.ts'
import type { Shelf } from './service.ts'

export function shelfRoutes(on: Register, db: Database, index: SearchIndex, shelf: Shelf): void {
  on(searchShelf, ({ query }) => search(db, index, query))
  on(listTags, ({ query }) => tagCounts(db, query.project))
  on(renameTag, ({ actor, body }) => shelf.renameTag(actor, body))
  on(changePrompts, ({ actor, body }) => shelf.changeMany(actor, body))
  on(listSearches, () => shelf.searches())
  on(keepSearch, ({ actor, params, body }) => shelf.keepSearch(actor, params.search, body))
  on(forgetSearch, async ({ actor, params }) => {
    await shelf.forgetSearch(actor, params.search)
    return undefined
  })
  on(readNear, ({ params }) => nearPrompts(db, params.prompt))
  on(readEvidence, ({ params }) => shelf.evidence(params.prompt))
}
