import type { Scene, Series, SeriesSummary } from '@idolon/contract'
import { type Draft, givenBy, type Mark, type PartBody, partMarks, type SceneBody, type VersionBody } from '@idolon/core'
import { overridesIn, type PartNow } from '@idolon/core/reader'
import type { PhraseLeft } from '@idolon/core/check'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'
import { partBodies, partsIn, partsNow } from '../parts/store.ts'
import { proofsById } from '../proofs/proof-rows.ts'

type Db = Database | Knex.Transaction

export interface SeriesRow {
  id: string
  project_id: string
  name: string
  story: string
  style: string | null
  revision: number
  changed_at: Date
}
const SERIES_COLUMNS = ['id', 'project_id', 'name', 'story', 'style', 'revision', 'changed_at'] as const

/** A series that is not in the bin. */
export const seriesRow = (db: Db, id: string, lock = false): Promise<SeriesRow | undefined> => {
  const query = db('series').where({ id }).whereNull('deleted_at').first<SeriesRow | undefined>(...SERIES_COLUMNS)
  return lock ? query.forUpdate() : query
}

export interface SceneRow {
  id: string
  series_id: string
  place: number
  prompt_id: string
  body: SceneBody
  story_start: number | null
  story_end: number | null
  touched: boolean
  chosen: string | null
  composed: Draft
  left_out: PhraseLeft[]
  apart: boolean
  parts_left: Record<string, number>
  draft: Draft
  revision: number
}

/** Scenes that are not in the bin with their drafts: those of a series in order, or one. */
export async function sceneRows(db: Db, which: { series: string } | { scene: string }): Promise<SceneRow[]> {
  const query = db('scenes').join('drafts', 'drafts.prompt_id', 'scenes.prompt_id').join('series', 'series.id', 'scenes.series_id').whereNull('scenes.deleted_at').whereNull('series.deleted_at').orderBy('scenes.place')
  void query.where('scene' in which ? { 'scenes.id': which.scene } : { 'scenes.series_id': which.series })
  return query.select<SceneRow[]>('scenes.id', 'scenes.series_id', 'scenes.place', 'scenes.prompt_id', 'scenes.body', 'scenes.story_start', 'scenes.story_end', 'scenes.touched', 'scenes.chosen', 'scenes.composed', 'scenes.left_out', 'scenes.apart', 'scenes.parts_left', 'drafts.body as draft', 'drafts.revision')
}

/** The oldest version of each part that a draft says something in. */
export function versionsUsed(draft: Draft): Map<string, number> {
  const used = new Map<string, number>()
  for (const { source } of partMarks(draft.marks)) used.set(source.id, Math.min(used.get(source.id) ?? Infinity, source.version ?? 1))
  return used
}

/** Which variants a scene has of a part. */
export const variantsOf = ({ cast, place }: SceneBody, part: string): readonly string[] => [...cast, ...(place ? [place] : [])].find((use) => use.part === part)?.variants ?? []

/** Parts that a scene has and that said nothing when it was composed, but say something now: there is no phrase of theirs to follow. */
export function silentParts({ body, composed, draft }: Pick<SceneRow, 'body' | 'composed' | 'draft'>, style: string | null, parts: ReadonlyMap<string, PartNow>): string[] {
  const spoke = new Set([...partMarks(composed.marks), ...partMarks(draft.marks)].map(({ source }) => source.id))
  return [...body.cast, ...(body.place ? [body.place] : []), ...(style ? [{ part: style, variants: [] }] : [])].filter(({ part, variants }) => !spoke.has(part) && givenBy(parts.get(part)?.body ?? { says: [], variants: [] }, variants).some(({ text }) => text.trim())).map(({ part }) => part)
}

/** What was frozen for a chosen proof says what the draft says now, word for word. */
const saysTheSame = (version: VersionBody, draft: Draft): boolean => version.text === draft.text && version.leaveOut.join('\n') === draft.leaveOut.join('\n') && JSON.stringify(version.references) === JSON.stringify(draft.references) && offOf(version.marks) === offOf(draft.marks)
const offOf = (marks: readonly Mark[]) => marks.filter(({ kind }) => kind === 'off' || kind === 'emphasis').map((mark) => JSON.stringify(mark)).join()

/** By scene: whether its chosen proof was made from other words than it has now; scenes whose version is not known are left out. */
export async function staleScenes(db: Db, rows: readonly Pick<SceneRow, 'id' | 'chosen' | 'draft'>[]): Promise<Map<string, boolean>> {
  const versions = await db('versions').join('proofs', 'proofs.version_id', 'versions.id').whereIn('proofs.id', rows.flatMap(({ chosen }) => chosen ?? [])).select<{ id: string; body: VersionBody }[]>('proofs.id', 'versions.body')
  const made = new Map(versions.map(({ id, body }) => [id, body]))
  return new Map(rows.flatMap(({ id, chosen, draft }) => {
    const version = chosen === null ? undefined : made.get(chosen)
    return version ? [[id, !saysTheSame(version, draft)] as const] : []
  }))
}

export async function wholeSeries(db: Db, id: string): Promise<Series | undefined> {
  const series = await seriesRow(db, id)
  if (!series) return undefined
  const [rows, parts, now] = await Promise.all([sceneRows(db, { series: id }), partsIn(db, { project: series.project_id }), partsNow(db, series.project_id)])
  const chosenIds = rows.flatMap(({ chosen }) => chosen ?? [])
  const used = rows.flatMap(({ draft }) => [...versionsUsed(draft)])
  const { rows: newest } = await db.raw<{ rows: { prompt_id: string; id: string }[] }>(// Of a try in several aspect ratios the one in the scene's own stands for it.
    `select distinct on (p.prompt_id) p.prompt_id, p.id from proofs p join drafts d on d.prompt_id = p.prompt_id where p.prompt_id = any(?) and p.state = 'stored' and p.deleted_at is null
     order by p.prompt_id, ((p.output->'settings'->>'aspectRatio') is not distinct from (d.body->'settings'->>'aspectRatio')) desc, p.stored_at desc, p.id`, [rows.map(({ prompt_id }) => prompt_id)])
  const newestOf = new Map(newest.map((one) => [one.prompt_id, one.id]))
  const [proofs, stale, counts, bodies] = await Promise.all([
    proofsById(db, [...new Set([...chosenIds, ...newestOf.values()])]),
    staleScenes(db, rows),
    db('proofs')
      .whereIn('prompt_id', rows.map(({ prompt_id }) => prompt_id))
      .whereNull('deleted_at')
      .groupBy('prompt_id')
      .select<{ prompt_id: string; stored: number; coming: number }[]>('prompt_id', db.raw(`(count(*) filter (where state = 'stored'))::int as stored`), db.raw(`(count(*) filter (where state in ('asked', 'sent')))::int as coming`)),
    partBodies(db, used),
  ])
  const counted = new Map(counts.map((count) => [count.prompt_id, count]))
  const scenes = rows.map((row): Scene => {
    const proof = row.chosen ? (proofs.get(row.chosen) ?? null) : null
    const last = newestOf.get(row.prompt_id)
    const silent = silentParts(row, series.style, now).filter((part) => (row.parts_left[part] ?? 0) < now.get(part)!.version)
    const behind = [...versionsUsed(row.draft)].filter(([part, number]) => (now.get(part)?.version ?? number) > number).map(([part, version]) => ({ part, version })).concat(silent.map((part) => ({ part, version: 0 })))
    return {
      id: row.id,
      promptId: row.prompt_id,
      body: row.body,
      story: row.story_start === null || row.story_end === null ? null : { start: row.story_start, end: row.story_end },
      touched: row.touched,
      text: row.draft.text,
      marks: partMarks(row.draft.marks),
      leaveOut: row.draft.leaveOut,
      engine: row.draft.engines[0]?.engine ?? null,
      aspectRatio: typeof row.draft.settings['aspectRatio'] === 'string' ? row.draft.settings['aspectRatio'] : null,
      revision: row.revision,
      apart: row.apart,
      left: row.left_out.map(({ part, text, reason }) => ({ part, text, reason })),
      behind,
      overrides: overridesOf(row, bodies, now),
      chosen: proof,
      newest: last && last !== proof?.id ? (proofs.get(last) ?? null) : null,
      stale: proof !== null && stale.get(row.id) === true,
      proofs: counted.get(row.prompt_id)?.stored ?? 0,
      coming: counted.get(row.prompt_id)?.coming ?? 0,
    }
  })
  return { id: series.id, projectId: series.project_id, name: series.name, story: series.story, revision: series.revision, style: series.style, scenes, parts, changedAt: series.changed_at.toISOString() }
}

/** Keys of phrases of a part that a scene does not say. */
export const leftOf = (left: readonly PhraseLeft[], part: string): string[] => left.filter((one) => one.part === part).map(({ key }) => key)

function overridesOf({ draft, body, left_out }: SceneRow, bodies: ReadonlyMap<string, PartBody>, now: ReadonlyMap<string, PartNow>): Scene['overrides'] {
  return [...versionsUsed(draft)].flatMap(([part, number]) => {
    const said = bodies.get(`${part} ${number}`) ?? now.get(part)?.body
    return said ? overridesIn(draft, part, said, variantsOf(body, part), leftOf(left_out, part)).map((one) => ({ part, ...one })) : []
  })
}

/** Series that are not in the bin, the last changed first. */
export async function seriesIn(db: Db, project?: string): Promise<SeriesSummary[]> {
  const { rows } = await db.raw<{ rows: { id: string; project_id: string; name: string; changed_at: Date; scenes: number; chosen: number; sha256: string | null; width: number; height: number; size: number }[] }>(
    `select s.id, s.project_id, s.name, s.changed_at, count(c.id)::int as scenes, count(c.chosen)::int as chosen, f.sha256, f.width, f.height, f.size
     from series s left join scenes c on c.series_id = s.id and c.deleted_at is null
     left join lateral (select k.sha256, k.width, k.height, k.size from scenes o join proofs p on p.id = o.chosen join pictures k on k.sha256 = p.picture where o.series_id = s.id and o.deleted_at is null order by o.place limit 1) f on true
     where s.deleted_at is null ${project ? 'and s.project_id = ?' : ''} group by s.id, f.sha256, f.width, f.height, f.size order by s.changed_at desc limit 500`,
    project ? [project] : [],
  )
  return rows.map(({ id, project_id, name, changed_at, scenes, chosen, sha256, width, height, size }) => ({ id, projectId: project_id, name, scenes, chosen, first: sha256 ? { sha256, width, height, bytes: size } : null, changedAt: changed_at.toISOString() }))
}
