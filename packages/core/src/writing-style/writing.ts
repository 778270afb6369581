import type { Phrase } from '../read/reading.ts'
import type { WritingStyleBody } from './writing-style.ts'

/** Words as `\w+` counts them, in any script. */
export const wordCount = (text: string): number => (text.match(/[\p{L}\p{N}_]+/gu) ?? []).length

export const endsWithStop = (text: string): boolean => /[.!?]["”’]?\s*$/u.test(text)

/** Words between two signs: short in a list, long in sentences. */
const LONG_PARTS = 7

/** Whether a text is written in sentences rather than as a list: it has more than one, or its parts are long and hold a verb. */
export function isProse(text: string, phrases: readonly Phrase[]): boolean {
  const sentences = text.split(/[.!?]+(?=\s|$)/u).filter((part) => wordCount(part) > 3)
  const parts = text.split(/[,;|\n.]+/u).filter((part) => part.trim())
  const long = parts.reduce((sum, part) => sum + wordCount(part), 0) / Math.max(1, parts.length)
  const acts = phrases.some(({ facet }) => facet === 'action')
  return sentences.length > 1 ? long > 3.5 : acts && long >= LONG_PARTS
}

const SEPARATORS: readonly WritingStyleBody['separator'][] = ['\n', ' | ', '; ', '. ', ', ']
/** What stands most often between the parts of lists. */
export function separatorOf(texts: readonly string[]): WritingStyleBody['separator'] {
  const counts = SEPARATORS.map((separator) => ({ separator, count: texts.reduce((sum, text) => sum + text.split(separator).length - 1, 0) }))
  return counts.sort((x, y) => y.count - x.count)[0]?.count ? counts[0]!.separator : ', '
}
