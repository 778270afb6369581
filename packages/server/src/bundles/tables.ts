import { BUNDLED, type BundledKind, type BundledRow } from '@idolon/contract'

/** Where a kind of thing in a bundle lies here, and which of its fields name others of the bundle. */
interface Table {
  table: string
  /** Fields that name things of the bundle, by their kind. */
  refs: Readonly<Record<string, BundledKind>>
  /** Fields that are set only when everything is there, since they name what comes later. */
  later?: readonly string[]
  order: string
}

export const TABLES: Readonly<Record<BundledKind, Table>> = {
  projects: { table: 'projects', refs: {}, order: 'id' },
  terms: { table: 'terms', refs: { projectId: 'projects' }, order: 'id' },
  phrases: { table: 'kept_phrases', refs: { projectId: 'projects' }, order: 'id' },
  engines: { table: 'engine_profiles', refs: {}, order: 'id, revision' },
  templates: { table: 'templates', refs: { projectId: 'projects' }, order: 'id' },
  templateVersions: { table: 'template_versions', refs: { templateId: 'templates' }, order: 'template_id, number' },
  prompts: { table: 'prompts', refs: { projectId: 'projects', templateId: 'templates', copiedFromPrompt: 'prompts', mergedInto: 'prompts', bestProofId: 'proofs' }, later: ['copiedFromPrompt', 'mergedInto', 'bestProofId'], order: 'created_at, id' },
  drafts: { table: 'drafts', refs: { promptId: 'prompts' }, order: 'prompt_id' },
  trials: { table: 'trials', refs: { promptId: 'prompts' }, order: 'id' },
  versions: { table: 'versions', refs: { promptId: 'prompts', trialId: 'trials' }, order: 'prompt_id, number' },
  runs: { table: 'runs', refs: { promptId: 'prompts', versionId: 'versions', trialId: 'trials' }, order: 'id' },
  proofs: { table: 'proofs', refs: { runId: 'runs', promptId: 'prompts', versionId: 'versions', parentProof: 'proofs' }, later: ['parentProof'], order: 'run_id, place, id' },
  judgements: { table: 'judgements', refs: { leftProof: 'proofs', rightProof: 'proofs' }, order: 'at, id' },
  references: { table: 'reference_pictures', refs: { projectId: 'projects', proofId: 'proofs' }, order: 'id' },
  parts: { table: 'parts', refs: { projectId: 'projects' }, order: 'id' },
  partVersions: { table: 'part_versions', refs: { partId: 'parts' }, order: 'part_id, number' },
  series: { table: 'series', refs: { projectId: 'projects', style: 'parts' }, order: 'id' },
  scenes: { table: 'scenes', refs: { seriesId: 'series', promptId: 'prompts', chosen: 'proofs' }, order: 'series_id, place' },
  pairs: { table: 'prompt_pairs', refs: { one: 'prompts', other: 'prompts' }, order: 'one, other' },
}

export const columnOf = (field: string): string => field.replace(/[A-Z]/gu, (letter) => `_${letter.toLowerCase()}`)
export const fieldsOf = (kind: BundledKind): string[] => Object.keys(BUNDLED[kind].properties)

/** A row of the database as it stands in a bundle. */
export function bundledRow<K extends BundledKind>(kind: K, row: Record<string, unknown>): BundledRow<K> {
  return Object.fromEntries(
    fieldsOf(kind).map((field) => {
      const value = row[columnOf(field)]
      return [field, value instanceof Date ? value.toISOString() : (value ?? null)]
    }),
  ) as BundledRow<K>
}

/** The same back again: objects and lists of objects as JSON, lists of texts as they are. */
export function storedRow<K extends BundledKind>(kind: K, row: BundledRow<K>): Record<string, unknown> {
  const { later = [] } = TABLES[kind]
  return Object.fromEntries(
    Object.entries(row)
      .filter(([field]) => !later.includes(field))
      .map(([field, value]) => [columnOf(field), isJson(field, value) ? JSON.stringify(value) : value]),
  )
}

/** Lists that the database keeps as arrays; all others, and objects, are JSON there. */
const ARRAYS: ReadonlySet<string> = new Set(['tags', 'changes', 'faults'])
const isJson = (field: string, value: unknown): boolean => typeof value === 'object' && value !== null && !ARRAYS.has(field)
