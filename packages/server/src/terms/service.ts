import type { OwnTerm, PromptSummary } from '@idolon/contract'
import type { GlossaryEntry } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { oneProject } from '../projects/store.ts'
import { summariesOf } from '../prompts/store.ts'
import { intoBin } from '../bin/deleted-rows.ts'
import { ownTerms, promptsSaying, saveTerm } from './store.ts'

/** Terms that the writer added to the glossary or corrected, kept apart from those that ship. */
export class Terms {
  constructor(private readonly db: Database) {}

  list(projectId: string | undefined): Promise<OwnTerm[]> {
    return ownTerms(this.db, projectId)
  }

  /** All of them or none. */
  async add(actor: Actor, projectId: string | null, entries: readonly GlossaryEntry[]): Promise<OwnTerm[]> {
    if (projectId && !(await oneProject(this.db, projectId))) throw notFound('project')
    const names = entries.map(({ facet, term }) => `${facet} ${term.trim().toLowerCase()}`)
    const twice = names.findIndex((name, i) => names.indexOf(name) !== i)
    if (twice >= 0) throw new ProblemError('invalid', `“${entries[twice]!.term}” stands twice under ${entries[twice]!.facet} (entry ${twice + 1}). Nothing was changed.`, { errors: [{ where: `/body/entries/${twice}/term`, message: 'stands twice' }] })
    return this.db.transaction(async (trx) => {
      const saved: OwnTerm[] = []
      for (const entry of entries) saved.push(await saveTerm(trx, randomUUID(), projectId, { ...entry, term: entry.term.replace(/\s+/g, ' ').trim() }, actor.id))
      await recordEvent(trx, { kind: 'terms', ...(projectId ? { projectId } : {}) })
      return saved
    })
  }

  async remove(actor: Actor, id: string): Promise<void> {
    await this.db.transaction(async (trx) => {
      const [gone] = await intoBin(trx, 'term', { id }, actor.id)
      if (!gone) throw notFound('term of yours')
      const projectId = gone['project_id'] as string | null
      await recordEvent(trx, { kind: 'terms', ...(projectId ? { projectId } : {}) })
    })
  }

  async promptsThatSay(words: string, projectId: string | undefined): Promise<{ rows: PromptSummary[]; total: number }> {
    const list = words.split('\n').map((word) => word.trim()).filter(Boolean).slice(0, 40)
    if (list.length === 0) return { rows: [], total: 0 }
    const { rows, total } = await promptsSaying(this.db, list, projectId)
    return { rows: await summariesOf(this.db, rows), total }
  }
}
