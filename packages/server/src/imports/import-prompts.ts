import type { Draft } from '@idolon/core'
import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import { firstWords } from '../drafts/store.ts'
import type { Engines } from '../engines/engines.ts'
import { ProblemError } from '../http/problem.ts'
import { firstDraftOf } from '../prompts/first-draft.ts'
import type { LookedThrough } from './look-through.ts'
import type { AskedImport } from './store.ts'

const UNNAMED = 'Brought in'

/** Finds a project by its name, whatever its capitals, or makes it. */
export async function projectNamed(trx: Knex.Transaction, name: string): Promise<string> {
  const { rows } = await trx.raw<{ rows: { id: string; archived_at: Date | null }[] }>('select id, archived_at from projects where lower(name) = lower(?)', [name])
  if (rows[0]?.archived_at) throw new ProblemError('project-archived', `The project “${name}” is archived. Nothing was imported; restore it from the archive, or choose another project.`)
  if (rows[0]) return rows[0].id
  const id = randomUUID()
  await trx('projects').insert({ id, name })
  return id
}

/** Engines and pictures that are here; what a draft names beside them is left out. */
async function known(trx: Knex.Transaction, engines: Engines) {
  const ids = new Set((await engines.list()).map(({ profile }) => profile.id))
  return async (draft: Draft): Promise<Draft> => {
    const named = draft.references.map(({ reference }) => reference)
    const here = named.length ? new Set([...(await trx('pictures').whereIn('sha256', named).select<{ id: string }[]>('sha256 as id')), ...(await trx.raw<{ rows: { id: string }[] }>('select id::text as id from proofs where id::text = any(?::text[])', [named])).rows].map(({ id }) => id)) : new Set<string>()
    return { ...draft, engines: draft.engines.filter(({ engine }) => ids.has(engine)), references: draft.references.filter(({ reference }) => here.has(reference)) }
  }
}

/** Writes prompts that come in, batch by batch; `tell` hears how many are written. The caller's transaction makes it all or nothing. */
export async function importPrompts(trx: Knex.Transaction, engines: Engines, looked: AsyncIterable<LookedThrough>, asked: AskedImport & { by: string }, tell: (done: number) => Promise<void>): Promise<number> {
  const projects = new Map<string, string>()
  const firsts = new Map<string, Draft>()
  const fitted = await known(trx, engines)
  const projectFor = async (name: string): Promise<string> => {
    if (asked.project) return asked.project
    const key = name.trim().toLowerCase() || UNNAMED
    let id = projects.get(key)
    if (!id) projects.set(key, (id = await projectNamed(trx, name.trim() || UNNAMED)))
    return id
  }
  let made = 0
  for await (const { coming } of looked) {
    const prompts: object[] = []
    const drafts: object[] = []
    for (const { record } of asked.duplicates ? coming : coming.filter(({ of }) => !of)) {
      const id = randomUUID()
      const project = await projectFor(record.project)
      // What the file says nothing of is as in any new draft of the project.
      let first = firsts.get(project)
      if (!first) firsts.set(project, (first = await firstDraftOf(trx, engines, project)))
      const own = record.draft.engines.length || record.draft.references.length ? await fitted(record.draft) : record.draft
      const draft: Draft = { ...own, engines: own.engines.length ? own.engines : first.engines, settings: { ...first.settings, ...own.settings }, leaveOut: own.leaveOut.length ? own.leaveOut : first.leaveOut }
      prompts.push({ id, project_id: project, title: record.title, status: record.status, note: record.note, tags: asked.tag ? [...new Set([...record.tags, asked.tag])].slice(0, 60) : record.tags, created_by: asked.by })
      drafts.push({ prompt_id: id, body: JSON.stringify(draft), first_words: firstWords(draft) })
    }
    if (prompts.length === 0) continue
    await trx('prompts').insert(prompts)
    await trx('drafts').insert(drafts)
    made += prompts.length
    await tell(made)
  }
  return made
}
