import { type Bundle, BUNDLED_KINDS, type BundledKind, type BundledRow } from '@idolon/contract'
import { UnreadableFile } from '@idolon/core'
import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import { readZip } from '../archive/zip.ts'
import type { Database } from '../database/connect.ts'
import type { Engines } from '../engines/engines.ts'
import type { AskedImport } from '../imports/store.ts'
import { NotAPicture } from '../pictures/not-a-picture.ts'
import { keepPicture } from '../pictures/store.ts'
import { takeIn } from '../pictures/take-in.ts'
import { columnOf, storedRow, TABLES } from './tables.ts'

const BATCH = 200
const MOST_PICTURE = 60_000_000
const UUIDS = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/gu
/** Things that are the same wherever they are; one that is here already is kept as it is here. */
const SHARED: ReadonlySet<BundledKind> = new Set(['projects', 'terms', 'phrases', 'engines', 'templates', 'templateVersions', 'parts', 'partVersions', 'series'])
/** Of those, what a second coming has a second time. */
const OF_SERIES: ReadonlySet<BundledKind> = new Set(['parts', 'series'])

type Db = Database | Knex.Transaction

/** Prompts of a bundle that are here already, in the bin among them. */
export async function hereAlready(db: Db, bundle: Bundle): Promise<Map<string, string>> {
  const { rows } = await db.raw<{ rows: { id: string; title: string }[] }>(
    `select x.id, coalesce(nullif(x.title, ''), d.first_words) || case when x.deleted_at is null then '' else ' (in the bin)' end as title from prompts x join drafts d on d.prompt_id = x.id where x.id = any(?::uuid[])`,
    [bundle.prompts.map(({ id }) => id)],
  )
  return new Map(rows.map(({ id, title }) => [id, title]))
}

/** Without some prompts, and what belongs to them. */
function without(bundle: Bundle, prompts: ReadonlySet<string>): Bundle {
  if (prompts.size === 0) return bundle
  const left = <K extends BundledKind>(kind: K, keep: (row: BundledRow<K>) => boolean) => (bundle[kind] as BundledRow<K>[]).filter(keep)
  const ofOthers = ({ promptId }: { promptId: string }) => !prompts.has(promptId)
  const proofs = left('proofs', ofOthers)
  const kept = new Set(proofs.map(({ id }) => id))
  const scenes = left('scenes', ofOthers)
  const told = new Set(scenes.map(({ seriesId }) => seriesId))
  return {
    ...bundle,
    prompts: left('prompts', ({ id }) => !prompts.has(id)),
    drafts: left('drafts', ofOthers),
    trials: left('trials', ofOthers),
    versions: left('versions', ofOthers),
    runs: left('runs', ofOthers),
    proofs,
    scenes,
    series: left('series', ({ id }) => told.has(id)),
    ...(told.size ? {} : { parts: [], partVersions: [] }),
    judgements: left('judgements', ({ leftProof, rightProof }) => kept.has(leftProof) && kept.has(rightProof)),
    pairs: left('pairs', ({ one, other }) => !prompts.has(one) && !prompts.has(other)),
  }
}

/** New ids for what would collide with something here, and for projects the id of the one here that is called so. */
async function idsInstead(trx: Knex.Transaction, bundle: Bundle, again: boolean): Promise<Map<string, string>> {
  const instead = new Map<string, string>()
  for (const kind of BUNDLED_KINDS) {
    const rows = bundle[kind] as { id?: string }[]
    if ((SHARED.has(kind) && !(again && OF_SERIES.has(kind))) || rows[0]?.id === undefined) continue
    const { rows: taken } = await trx.raw<{ rows: { id: string }[] }>(`select id from ${TABLES[kind].table} where id = any(?::uuid[])`, [rows.map(({ id }) => id!)])
    for (const { id } of taken) instead.set(id, randomUUID())
  }
  return instead
}

/** Where each project of the bundle goes: into the one that was chosen, the one here of its id or its name, or itself, made new. */
async function projectsInstead(trx: Knex.Transaction, bundle: Bundle, chosen: string | null): Promise<Map<string, string>> {
  const { rows } = await trx.raw<{ rows: { id: string; name: string; archived_at: Date | null }[] }>('select id, lower(name) as name, archived_at from projects')
  const instead = new Map<string, string>()
  for (const { id, name } of bundle.projects) {
    const here = chosen ? { id: chosen, archived_at: null } : (rows.find((one) => one.id === id) ?? rows.find((one) => one.name === name.toLowerCase()))
    if (here?.archived_at) throw new UnreadableFile(`the project “${name}” is archived here. Restore it from the archive, or choose another project.`)
    if (here) instead.set(id, here.id)
  }
  return instead
}

async function keepPictures(trx: Knex.Transaction, bundle: Bundle, parts: () => AsyncIterable<Uint8Array>): Promise<void> {
  const files = new Map(bundle.pictures.map(({ file, sha256 }) => [file, sha256]))
  await readZip(parts(), (name) => (files.has(name) ? MOST_PICTURE : undefined), async (name, bytes) => {
    const taken = await takeIn(Buffer.from(bytes)).catch((error: unknown) => {
      throw error instanceof NotAPicture ? new UnreadableFile(`“${name}” in the bundle is ${error.message}.`) : error
    })
    if (taken.sha256 !== files.get(name)) throw new UnreadableFile(`“${name}” in the bundle is another picture than it says.`)
    await keepPicture(trx, taken)
    files.delete(name)
  })
  const [missing] = files.keys()
  if (missing) throw new UnreadableFile(`“${missing}” is missing from the bundle.`)
}

async function write(trx: Knex.Transaction, bundle: Bundle, kind: BundledKind): Promise<void> {
  const rows = (bundle[kind] as BundledRow[]).map((row) => storedRow(kind, row))
  for (let i = 0; i < rows.length; i += BATCH) {
    const insert = trx(TABLES[kind].table).insert(rows.slice(i, i + BATCH))
    await (SHARED.has(kind) || kind === 'references' || kind === 'pairs' ? insert.onConflict().ignore() : insert)
  }
}

/** What names something that is written after it. */
async function writeLater(trx: Knex.Transaction, bundle: Bundle, kind: BundledKind): Promise<void> {
  for (const field of TABLES[kind].later ?? []) {
    const named = (bundle[kind] as (Record<string, string | null> & { id: string })[]).flatMap((row) => (row[field] ? [{ id: row.id, of: row[field] }] : []))
    if (named.length) await trx.raw(`update ${TABLES[kind].table} as t set ${columnOf(field)} = n.of from unnest(?::uuid[], ?::uuid[]) as n(id, of) where t.id = n.id`, [named.map(({ id }) => id), named.map(({ of }) => of)])
  }
}

/** Brings in what a bundle holds, as it is; how many prompts. What is here already is left out, or comes in a second time under new ids. */
export async function openBundle(trx: Knex.Transaction, engines: Engines, given: Bundle, parts: () => AsyncIterable<Uint8Array>, { project, duplicates, tag }: AskedImport): Promise<number> {
  const here = await hereAlready(trx, given)
  const wanted = without(given, duplicates ? new Set() : new Set(here.keys()))
  const instead = new Map([...(await idsInstead(trx, wanted, duplicates)), ...(await projectsInstead(trx, wanted, project))])
  const bundle = JSON.parse(JSON.stringify(wanted).replace(UUIDS, (id) => instead.get(id) ?? id)) as Bundle
  const known = new Set((await engines.list()).map(({ profile }) => `${profile.id} ${profile.revision}`))
  const fresh = new Set(wanted.projects.filter(({ id }) => !instead.has(id)).map(({ id }) => id))
  const used = new Set(bundle.prompts.map(({ projectId }) => projectId))
  const mine: Bundle = {
    ...bundle,
    // A project that is here keeps its own rules, terms and phrases.
    projects: bundle.projects.filter(({ id }) => fresh.has(id) && used.has(id)),
    terms: bundle.terms.filter(({ projectId }) => projectId === null || fresh.has(projectId)),
    phrases: bundle.phrases.filter(({ projectId }) => fresh.has(projectId)),
    engines: bundle.engines.filter(({ id, revision }) => !known.has(`${id} ${revision}`)),
    templates: bundle.templates.map((template) => (template.projectId === null || used.has(template.projectId) ? template : { ...template, projectId: null })),
    prompts: bundle.prompts.map((prompt) => (tag && !prompt.tags.includes(tag) ? { ...prompt, tags: [...prompt.tags, tag].slice(0, 60) } : prompt)),
    pairs: bundle.pairs.map(({ one, other, ...pair }) => ({ ...pair, one: one < other ? one : other, other: one < other ? other : one })),
  }
  await keepPictures(trx, mine, parts)
  for (const kind of BUNDLED_KINDS) if (kind !== 'engines') await write(trx, mine, kind)
  for (const { id, revision, profile } of mine.engines) await trx('engine_profiles').insert({ id, revision, profile: JSON.stringify(profile), saved_by: 'bundle' }).onConflict().ignore()
  for (const kind of BUNDLED_KINDS) await writeLater(trx, mine, kind)
  return mine.prompts.length
}
