import { type Draft, ELSEWHERE, type EngineChoice, type EngineProfile, findEngine, type Output } from '@idolon/core'
import type { Knex } from 'knex'
import { draftRow } from '../drafts/store.ts'
import type { Engines } from '../engines/engines.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { pictureOf } from '../proofs/references.ts'

/** What a run is made of before it is written: the draft as it was on the screen, and whose it is. */
export interface Ground {
  id: string
  promptId: string
  projectId: string
  draft: Draft
  revision: number
  parent: number | null
  known: readonly EngineProfile[]
}

/** Locks the draft and its project; what is asked of a draft that has changed meanwhile is refused. Undefined when a row of that id is in the table already: it was asked for twice. */
export async function groundOf(trx: Knex.Transaction, promptId: string, { id, revision }: { id: string; revision: number }, known: readonly EngineProfile[], table: 'runs' | 'trials'): Promise<Ground | undefined> {
  const draft = await draftRow(trx, promptId, true)
  const prompt = await trx('prompts').where({ id: promptId }).first<{ project_id: string } | undefined>('project_id')
  if (!draft || !prompt) throw notFound('prompt')
  if (await trx(table).where({ id, prompt_id: promptId }).first('id')) return undefined
  // Locked, so that what several runs reserve at once is added up one after the other.
  const project = await trx('projects').where({ id: prompt.project_id }).forUpdate().first<{ archived_at: Date | null }>('archived_at')
  if (project.archived_at) throw new ProblemError('project-archived', 'The project is archived. Restore it from the archive to try its prompts again.')
  if (draft.revision !== revision) {
    throw new ProblemError('draft-moved', 'The draft has changed since you pressed the button. Nothing was spent; look at it and press again.', { revision: draft.revision })
  }
  for (const { reference } of draft.body.references) {
    if (!(await pictureOf(trx, reference))) throw new ProblemError('nothing-to-try', 'A reference picture of the draft is no longer there. Take it off the draft or choose another; nothing was spent.')
  }
  return { id, promptId, projectId: prompt.project_id, draft: draft.body, revision, parent: draft.parent_version, known }
}

export function profileOf(known: readonly EngineProfile[], { engine, revision }: EngineChoice): EngineProfile {
  const profile = engine === ELSEWHERE.id ? ELSEWHERE : findEngine(known, engine, revision)
  if (!profile) throw new ProblemError('unknown-engine', `There is no engine “${engine}${revision ? ` ${revision}` : ''}” here. Choose another on the Desk.`)
  return profile
}

/** The engines of a draft with their profiles, each of which can be asked. */
export async function enginesToAsk(engines: Engines, known: readonly EngineProfile[], choices: readonly EngineChoice[]): Promise<{ choice: EngineChoice; profile: EngineProfile }[]> {
  if (choices.length === 0) throw new ProblemError('nothing-to-try', 'No engine is chosen. Choose one on the Desk.')
  const asked: { choice: EngineChoice; profile: EngineProfile }[] = []
  for (const choice of choices) {
    const profile = profileOf(known, choice)
    const reason = await engines.whyNot(profile)
    if (reason) throw new ProblemError('not-connected', `${reason} Nothing was spent; copy its output on the Desk, or choose another engine.`)
    asked.push({ choice, profile })
  }
  return asked
}

export function demandWords(outputs: readonly Output[]): void {
  if (outputs.some(({ text }) => text === '')) throw new ProblemError('nothing-to-try', 'The prompt says nothing yet, or everything in it is switched off. Write what the picture shows first.')
}
