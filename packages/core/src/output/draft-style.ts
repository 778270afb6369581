import type { Reading } from '../read/reading.ts'

/** How a draft is written: as whole sentences, as a list of phrases, as labelled fields, or as JSON. */
export type DraftStyle = 'sentences' | 'list' | 'fields' | 'json'

/** Words between two commas or stops, on average, from which on a text reads as sentences. */
const FLOWING = 5.5

/** How a text is written, as far as an engine cares. */
export function draftStyle(text: string, { noise }: Pick<Reading, 'noise'>): DraftStyle {
  if (/^\s*[{[]/.test(text)) return 'json'
  if (noise.filter(({ kind }) => kind === 'label').length > 1) return 'fields'
  const plain = noise.reduceRight((rest, { start, end }) => rest.slice(0, start) + rest.slice(end), text)
  const words = plain.match(/[\p{L}\p{N}’'-]+/gu)?.length ?? 0
  const parts = plain.split(/[,;.!?\n]+/).filter((part) => /\p{L}/u.test(part)).length
  const stops = plain.match(/\p{Ll}[.!?](?=\s+["“]?\p{Lu}|\s*$)/gu)?.length ?? 0
  return parts > 0 && (words / parts >= FLOWING || (stops > 0 && words / parts >= 4)) ? 'sentences' : 'list'
}
