import type { AnswerOf, makeSheet, readSheetLists } from '@idolon/contract'
import { SHEET_TAG } from '@idolon/core'
import { type PartNow, sheetDraft, sheetLists } from '@idolon/core/reader'
import { randomUUID } from 'node:crypto'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import type { Engines } from '../engines/engines.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { promptReader } from '../phrases/prompt-reader.ts'
import { firstDraftOf } from '../prompts/first-draft.ts'
import { insertPrompt } from '../prompts/store.ts'
import { partsNow } from './store.ts'

/** Sheets of characters: a prompt that shows one by itself, which a trial plan goes through. */
export class PartSheets {
  constructor(
    private readonly db: Database,
    private readonly engines: Engines,
  ) {}

  async lists(id: string): Promise<AnswerOf<typeof readSheetLists>> {
    const { part } = await this.#character(id)
    return sheetLists(part.body, (await promptReader()).words).map((list) => ({ ...list, options: [...list.options] }))
  }

  async make(actor: Actor, id: string, style: string | null): Promise<AnswerOf<typeof makeSheet>> {
    const { projectId, parts, part } = await this.#character(id)
    if (!part.body.says.some(({ text }) => text.trim())) throw new ProblemError('invalid', `Nothing is said of ${part.body.name} yet. Say what it is first; a sheet shows that.`)
    const [first, { words }] = await Promise.all([firstDraftOf(this.db, this.engines, projectId), promptReader()])
    const made = sheetDraft(part, (style && parts.get(style)) || null, words)
    const promptId = randomUUID()
    const draft = { ...first, ...made, leaveOut: [...new Set([...first.leaveOut, ...made.leaveOut])], settings: { ...first.settings, ...made.settings, count: 1 }, engines: made.engines.length ? made.engines : first.engines }
    await this.db.transaction(async (trx) => {
      await insertPrompt(trx, { id: promptId, projectId, title: `${part.body.name}: sheet`.slice(0, 200), draft, tags: [SHEET_TAG], copiedFrom: null, createdBy: actor.id })
      await recordEvent(trx, { kind: 'prompt', projectId })
    })
    return { promptId }
  }

  async #character(id: string): Promise<{ projectId: string; parts: Map<string, PartNow>; part: PartNow }> {
    const row = await this.db('parts').where({ id }).whereNull('deleted_at').first<{ project_id: string; kind: string } | undefined>('project_id', 'kind')
    if (!row) throw notFound('character')
    if (row.kind !== 'character') throw new ProblemError('invalid', 'A sheet is made of a character. Places and styles are tried in their scenes.')
    const parts = await partsNow(this.db, row.project_id)
    return { projectId: row.project_id, parts, part: parts.get(id)! }
  }
}
