import type { TextRange } from '../text-range.ts'
import type { Dimension } from './dimension.ts'
import { DIMENSIONS } from './dimensions/index.ts'
import { type IsKind, Matcher } from './matcher.ts'
import { SETS } from './sets.ts'
import { type LexicalWord, lexicalWords } from './words.ts'

/** Something that a text says: a value of a dimension. Offsets are UTF-16 code units. */
export interface Saying extends TextRange {
  dimension: Dimension
  value: string
  /** It names the value, so that another that does says it again; else it only goes with it, as stars do with the night. */
  names: boolean
  /** As the table has it. */
  term: string
  /** Places in the list of words; `to` is one past the last. */
  from: number
  to: number
}

type Entry = Pick<Saying, 'dimension' | 'value' | 'names' | 'term'>

const lexicon = new Matcher<Entry>(
  DIMENSIONS.flatMap((one) =>
    [...one.values].flatMap(([value, { names, goesWith }]) => [
      ...names.map((term) => [term, { dimension: one, value, names: true, term }] as const),
      ...goesWith.map((term) => [term, { dimension: one, value, names: false, term }] as const),
    ]),
  ),
  SETS,
)

/** Everything the words of a text say, in the order of the text; of two sayings of one dimension that overlap the longer. */
export function sayingsIn(words: readonly LexicalWord[], isKind: IsKind): Saying[] {
  const found = lexicon
    .find(words, isKind)
    .map(({ from, to, value }): Saying => ({ ...value, from, to, start: words[from]!.start, end: words[to - 1]!.end }))
  const byDimension = new Map<Dimension, Saying[]>()
  for (const one of found.sort((a, b) => b.to - b.from - (a.to - a.from) || Number(b.names) - Number(a.names))) {
    const own = byDimension.get(one.dimension)
    if (!own) byDimension.set(one.dimension, [one])
    else if (!own.some((other) => other.from < one.to && other.to > one.from)) own.push(one)
  }
  return [...byDimension.values()].flat().sort((a, b) => a.start - b.start || a.end - b.end)
}

const noKind: IsKind = () => false

/** The values of a dimension that a short text says, whatever it is of: for a phrase that is held against a picture. */
export const valuesIn = (text: string, dimension: Dimension): string[] => [...new Set(sayingsIn(lexicalWords(text), noKind).filter((one) => one.dimension === dimension).map(({ value }) => value))]
