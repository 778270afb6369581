import { Bundle, BUNDLE_FORMAT, BUNDLED_KINDS, type BundledKind } from '@idolon/contract'
import { inPresentWords, UnreadableFile } from '@idolon/core'
import { isZip, readZip } from '../archive/zip.ts'
import { departures } from '../http/validators.ts'
import { BUNDLE_FILE } from './bundle-file.ts'
import { TABLES } from './tables.ts'

const MOST_JSON = 300_000_000
const FORMATS = /^idolon-bundle-\d+$/u
const ANEW = 'Export the prompts as a bundle once more where they come from.'

type Row = Record<string, unknown>

/** Everything that a thing of the bundle names has to be in it, and of one prompt what belongs together. */
function demandWhole(bundle: Bundle): void {
  const ids = new Map(BUNDLED_KINDS.map((kind) => [kind, new Map((bundle[kind] as Row[]).map((row) => [row['id'], row]))]))
  const missing = (kind: BundledKind, i: number, field: string) => new UnreadableFile(`bundle.json, ${kind} ${i + 1}: its ${field} is not in the bundle, or of another prompt. ${ANEW}`)
  for (const kind of BUNDLED_KINDS) {
    const rows = bundle[kind] as Row[]
    if (ids.get(kind)!.size < rows.length && rows.some((row) => 'id' in row && kind !== 'engines')) throw new UnreadableFile(`bundle.json has two ${kind} of one id. ${ANEW}`)
    rows.forEach((row, i) => {
      for (const [field, of] of Object.entries(TABLES[kind].refs)) {
        const named = row[field] === null ? undefined : ids.get(of)!.get(row[field])
        if (row[field] !== null && !named) throw missing(kind, i, field)
        // A version, a run, a trial or the best proof is of the prompt that names it.
        const owner = kind === 'prompts' ? row['id'] : row['promptId']
        if (named && owner !== undefined && field !== 'promptId' && field !== 'parentProof' && 'promptId' in named && named['promptId'] !== owner) throw missing(kind, i, field)
      }
    })
  }
  const drafts = new Set(bundle.drafts.map(({ promptId }) => promptId))
  const without = bundle.prompts.findIndex(({ id }) => !drafts.has(id))
  if (without >= 0) throw new UnreadableFile(`bundle.json, prompts ${without + 1}: it has no draft in the bundle. ${ANEW}`)
  const listed = new Set(bundle.pictures.map(({ sha256 }) => sha256))
  const bare = bundle.proofs.findIndex(({ picture, state }) => (picture === null ? state === 'stored' : !listed.has(picture)))
  if (bare >= 0) throw new UnreadableFile(`bundle.json, proofs ${bare + 1}: its picture is not in the bundle. ${ANEW}`)
}

/** The bundle from its JSON. @throws UnreadableFile that says where it departs from the schema. */
export function bundleFrom(text: string): Bundle {
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    throw new UnreadableFile(`bundle.json is not JSON. ${ANEW}`)
  }
  const format = typeof value === 'object' && value !== null && 'format' in value ? value.format : undefined
  if (typeof format !== 'string' || !FORMATS.test(format)) throw new UnreadableFile(`bundle.json does not say that it is a bundle of ours (${BUNDLE_FORMAT}).`)
  if (format !== BUNDLE_FORMAT) throw new UnreadableFile(`the bundle says ${format}, which a newer Idolon writes; this one opens ${BUNDLE_FORMAT}. Bring Idolon up to date first.`)
  // A bundle that was written before there was a kind has none of it.
  const whole: Record<string, unknown> = { ...Object.fromEntries(BUNDLED_KINDS.map((kind) => [kind, []])), ...(inPresentWords(value) as Record<string, unknown>) }
  const [wrong] = departures(Bundle, whole)
  if (wrong !== undefined) throw new UnreadableFile(`bundle.json is not as its schema says:${wrong.slice(0, 200)}. ${ANEW}`)
  demandWhole(whole as Bundle)
  return whole as Bundle
}

/** The bundle that an archive is, if it is one. @throws UnreadableFile, UnsafeArchive */
export async function readBundle(parts: () => AsyncIterable<Uint8Array>): Promise<Bundle | undefined> {
  const first = await parts()[Symbol.asyncIterator]().next()
  if (first.done || !isZip(first.value)) return undefined
  let text: string | undefined
  await readZip(parts(), (name) => (name === BUNDLE_FILE ? MOST_JSON : undefined), (_, bytes) => { text = new TextDecoder().decode(bytes) })
  return text === undefined ? undefined : bundleFrom(text)
}
