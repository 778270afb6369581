import type { TextChange } from '../draft/text-change.ts'
import type { TextRange } from '../text-range.ts'

/** Where a phrase can be split: at the end of each of its words but the last; UTF-16 code units of the text. */
export function splitPlaces(text: string, { start, end }: TextRange): number[] {
  const words = [...text.slice(start, end).matchAll(/[^\s,;]+/g)]
  return words.slice(0, -1).map((word) => start + word.index + word[0].length)
}

/** Makes two phrases of one by a comma at a place that `splitPlaces` gave; marks on the phrase stay on both. */
export const splitPhrase = (at: number): TextChange[] => [{ from: at, to: at, insert: ',' }]
