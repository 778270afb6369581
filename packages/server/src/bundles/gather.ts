import { BUNDLE_FORMAT, BUNDLED_KINDS, type Bundle, type BundledKind, type BundledRow } from '@idolon/contract'
import type { Database } from '../database/connect.ts'
import { bundledRow, columnOf, fieldsOf, TABLES } from './tables.ts'

const ENDINGS: Readonly<Record<string, string>> = { 'image/png': 'png', 'image/jpeg': 'jpg', 'image/webp': 'webp', 'image/gif': 'gif', 'image/avif': 'avif', 'image/tiff': 'tiff' }
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/u

type Gathered = { [K in BundledKind]: BundledRow<K>[] }

/** What is asked of each kind: a condition on its rows, by what was gathered before. */
const WHICH: { [K in BundledKind]: (all: Gathered) => { where: string; bindings: unknown[] } } = {
  projects: (all) => ({ where: 'id = any(?::uuid[])', bindings: [[...new Set(all.prompts.map(({ projectId }) => projectId))]] }),
  terms: (all) => ({ where: 'project_id is null or project_id = any(?::uuid[])', bindings: [all.projects.map(({ id }) => id)] }),
  phrases: (all) => ({ where: 'project_id = any(?::uuid[])', bindings: [all.projects.map(({ id }) => id)] }),
  engines: (all) => {
    const named = new Set([...all.drafts.flatMap(({ body }) => body.engines.map(({ engine }) => engine)), ...all.runs.flatMap(({ engines }) => engines.map(({ engine }) => engine)), ...all.proofs.map(({ engine }) => engine.id)])
    return { where: 'id = any(?::text[])', bindings: [[...named]] }
  },
  templates: (all) => ({ where: 'id = any(?::uuid[])', bindings: [[...new Set(all.prompts.flatMap(({ templateId }) => templateId ?? []))]] }),
  templateVersions: (all) => ({ where: 'template_id = any(?::uuid[])', bindings: [all.templates.map(({ id }) => id)] }),
  prompts: (all) => ({ where: 'id = any(?::uuid[])', bindings: [all.prompts.map(({ id }) => id)] }),
  drafts: (all) => ({ where: 'prompt_id = any(?::uuid[])', bindings: [all.prompts.map(({ id }) => id)] }),
  trials: (all) => ({ where: 'prompt_id = any(?::uuid[])', bindings: [all.prompts.map(({ id }) => id)] }),
  versions: (all) => ({ where: 'prompt_id = any(?::uuid[])', bindings: [all.prompts.map(({ id }) => id)] }),
  runs: (all) => ({ where: 'prompt_id = any(?::uuid[])', bindings: [all.prompts.map(({ id }) => id)] }),
  // What an engine is making just now is not there yet.
  proofs: (all) => ({ where: `prompt_id = any(?::uuid[]) and state not in ('asked', 'sent') and deleted_at is null`, bindings: [all.prompts.map(({ id }) => id)] }),
  judgements: (all) => ({ where: 'left_proof = any(?::uuid[]) and right_proof = any(?::uuid[])', bindings: [all.proofs.map(({ id }) => id), all.proofs.map(({ id }) => id)] }),
  references: (all) => ({ where: 'project_id = any(?::uuid[]) and picture = any(?::text[])', bindings: [all.projects.map(({ id }) => id), [...picturesNamed(all)]] }),
  // Scenes of the prompts, the series they are of, and all that their projects have of characters, places and styles.
  scenes: (all) => ({ where: 'prompt_id = any(?::uuid[]) and deleted_at is null and series_id in (select id from series where deleted_at is null)', bindings: [all.prompts.map(({ id }) => id)] }),
  series: (all) => ({ where: 'id = any(?::uuid[])', bindings: [[...new Set(all.scenes.map(({ seriesId }) => seriesId))]] }),
  parts: (all) => ({ where: 'project_id = any(?::uuid[])', bindings: [[...new Set(all.series.map(({ projectId }) => projectId))]] }),
  partVersions: (all) => ({ where: 'part_id = any(?::uuid[])', bindings: [all.parts.map(({ id }) => id)] }),
  pairs: (all) => ({ where: 'one = any(?::uuid[]) and other = any(?::uuid[])', bindings: [all.prompts.map(({ id }) => id), all.prompts.map(({ id }) => id)] }),
}
/** Rows are asked for once what their conditions need is there. */
const ORDER: readonly BundledKind[] = ['prompts', 'projects', 'terms', 'phrases', 'templates', 'templateVersions', 'drafts', 'trials', 'versions', 'runs', 'proofs', 'engines', 'judgements', 'references', 'scenes', 'series', 'parts', 'partVersions', 'pairs']

const referencesOf = (all: Gathered): string[] => [...all.drafts.map(({ body }) => body), ...all.versions.map(({ body }) => body), ...all.partVersions.map(({ body }) => body)].flatMap(({ references }) => references.map(({ reference }) => reference))
const picturesNamed = (all: Gathered): Set<string> => new Set([...all.proofs.flatMap(({ picture }) => picture ?? []), ...referencesOf(all).filter((one) => !UUID.test(one))])

/** Prompts that others cannot be without: those whose proofs they start from, and those merged into them. */
async function needed(db: Database, ids: readonly string[]): Promise<string[]> {
  const { rows } = await db.raw<{ rows: { id: string }[] }>(
    `with named as (
       select r->>'reference' as id from drafts, json_array_elements(body->'references') r where prompt_id = any(?::uuid[])
       union select r->>'reference' from versions, json_array_elements(body->'references') r where prompt_id = any(?::uuid[])
       union select parent_proof::text from proofs where prompt_id = any(?::uuid[]) and parent_proof is not null)
     select p.prompt_id as id from proofs p join named n on n.id = p.id::text union select id from prompts where merged_into = any(?::uuid[]) union select merged_into from prompts where id = any(?::uuid[]) and merged_into is not null`,
    [ids, ids, ids, ids, ids] as string[][],
  )
  return rows.map(({ id }) => id)
}

/** Prompts, and what they need, as a bundle holds them. What they name and is not among them is left out. */
export async function gather(db: Database, wanted: readonly string[]): Promise<Bundle> {
  let ids = [...new Set(wanted)]
  for (let more = await needed(db, ids); more.some((id) => !ids.includes(id)); more = await needed(db, ids)) ids = [...new Set([...ids, ...more])]
  const all = Object.fromEntries(BUNDLED_KINDS.map((kind) => [kind, []])) as unknown as Gathered
  all.prompts = ids.map((id) => ({ id })) as Gathered['prompts']
  const read = async (kind: BundledKind): Promise<void> => {
    const { table, order } = TABLES[kind]
    const { where, bindings } = WHICH[kind](all)
    const { rows } = await db.raw<{ rows: Record<string, unknown>[] }>(`select ${fieldsOf(kind).map(columnOf).join(', ')} from ${table} where ${where} order by ${order}`, bindings as string[])
    ;(all[kind] as BundledRow[]) = rows.map((row) => bundledRow(kind, row))
  }
  for (const kind of ORDER) await read(kind)
  all.engines = all.engines.map(({ id, revision, profile }) => {
    const { connection: _, ...open } = profile as typeof profile & { connection?: unknown }
    return { id, revision, profile: open }
  })
  const known = new Map(BUNDLED_KINDS.map((kind) => [kind, new Set((all[kind] as { id?: string }[]).map(({ id }) => id))]))
  for (const kind of BUNDLED_KINDS) {
    const { refs } = TABLES[kind]
    for (const row of all[kind] as Record<string, unknown>[]) for (const [field, of] of Object.entries(refs)) if (row[field] !== null && !known.get(of)!.has(row[field] as string)) row[field] = null
  }
  const pictures = await db('pictures').whereIn('sha256', [...picturesNamed(all)]).orderBy('sha256').select<{ sha256: string; type: string }[]>('sha256', 'type')
  return { format: BUNDLE_FORMAT, madeAt: new Date().toISOString(), ...all, pictures: pictures.map(({ sha256, type }) => ({ sha256, file: `pictures/${sha256}.${ENDINGS[type] ?? 'bin'}` })) }
}
