import { applyEdit, type Draft, type Edit, EditError } from '@idolon/core'
import type { DraftState } from '@idolon/contract'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { type DraftRow, draftRow, writeDraft } from './store.ts'

export interface EditsToSave {
  client: string
  first: number
  base: number
  edits: Edit[]
  goOnFrom?: number
}

/** How many clients' counts a draft remembers: enough for every tab that may still come back with unsent edits. */
const CLIENTS_KEPT = 30

function applyAll(draft: Draft, edits: readonly Edit[]): Draft {
  try {
    return edits.reduce(applyEdit, draft)
  } catch (error) {
    if (!(error instanceof EditError)) throw error
    const name = error.reason === 'does-not-fit' ? 'edit-does-not-fit' : 'text-too-long'
    throw new ProblemError(name, `${error.message} The saved draft is as it was before.`)
  }
}

function remember(clients: DraftRow['clients'], client: string, last: number): DraftRow['clients'] {
  const all = Object.entries({ ...clients, [client]: { last, at: Date.now() } })
  return Object.fromEntries(all.sort(([, a], [, b]) => b.at - a.at).slice(0, CLIENTS_KEPT))
}

export class Drafts {
  constructor(private readonly db: Database) {}

  /**
   * Applies a client's edits in order. Edits it has already sent are passed over,
   * so a lost answer is mended by sending again; edits made on another revision are refused whole.
   */
  async save(_actor: Actor, promptId: string, asked: EditsToSave): Promise<DraftState> {
    for (let attempt = 0; attempt < 3; attempt++) {
      const row = await draftRow(this.db, promptId)
      if (!row) throw notFound('prompt')
      const applied = row.clients[asked.client]?.last ?? 0
      const known = Math.min(Math.max(applied - asked.first + 1, 0), asked.edits.length)
      const edits = asked.edits.slice(known)
      if (edits.length === 0) return { promptId, revision: row.revision, savedAt: row.saved_at.toISOString() }
      if (row.revision !== asked.base + known) {
        throw new ProblemError('draft-moved', 'This draft was changed elsewhere meanwhile. Both are kept: choose which to go on with.', {
          revision: row.revision,
        })
      }
      const revision = row.revision + edits.length
      const savedAt = await writeDraft(this.db, promptId, row.revision, {
        body: applyAll(row.body, edits),
        revision,
        clients: remember(row.clients, asked.client, asked.first + asked.edits.length - 1),
        parent: asked.goOnFrom ?? null,
        client: asked.client,
      })
      if (savedAt) return { promptId, revision, savedAt: savedAt.toISOString() }
    }
    throw new ProblemError('not-now', 'The draft is being changed by someone else just now. It is kept in the browser and sent again.')
  }
}
