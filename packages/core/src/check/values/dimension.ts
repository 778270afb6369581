import type { Facet } from '../../facet.ts'
import type { Phrase } from '../../read/reading.ts'
import type { Checked } from '../checked.ts'

/** A word or turn of phrase that gives a picture one value. */
export interface Said {
  start: number
  end: number
  value: string
  phrase: Phrase
}

/** One thing a picture can be in only one way: its hour, its season, how near it is seen. */
export interface Dimension {
  /** As it is said in a reason: “two hours of the day”. */
  name: string
  /** Where its words say something of it; elsewhere the same word means another thing. */
  facets: readonly Facet[]
  /** By value, what says it. */
  values: ReadonlyMap<string, RegExp>
  clash: (a: string, b: string) => boolean
  /** Whether it is of one figure: where there are several, each may have its own. */
  ofOne: boolean
}

/** Letters of English and its loan words; classes of Unicode cost several times as much, and texts come in lower case. */
const LETTER = 'a-zà-öø-ÿ'
const patternOf = (said: string): RegExp => {
  const inOneLine = said.replace(/\s*\n\s*/g, '').replaceAll(' ', '[ -]').replaceAll('\\p{L}', `[${LETTER}]`)
  return new RegExp(`(?<![${LETTER}0-9-])(?:${inOneLine})(?![${LETTER}0-9])`, 'g')
}

/**
 * A dimension from what says each of its values and the pairs of values that cannot both show. Patterns are
 * lower case, stand between word boundaries, and may put a hyphen or a space for a space.
 */
export function dimension(name: string, facets: readonly Facet[], values: Readonly<Record<string, string>>, clashes: string | ((a: string, b: string) => boolean), ofOne = false): Dimension {
  const pairs = typeof clashes === 'string' ? new Set(clashes.split(',').flatMap((pair) => { const [a = '', b = ''] = pair.trim().split(/\s+/); return [`${a} ${b}`, `${b} ${a}`] })) : undefined
  return {
    name,
    facets,
    ofOne,
    values: new Map(Object.entries(values).map(([value, pattern]) => [value, patternOf(pattern)])),
    clash: pairs ? (a, b) => pairs.has(`${a} ${b}`) : (clashes as (a: string, b: string) => boolean),
  }
}

/** What a draft says of a dimension, in the order of the text; of two that overlap the longer. */
export function saidOf(checked: Checked, { facets, values }: Dimension): Said[] {
  const all = [...values].flatMap(([value, pattern]) =>
    [...checked.lower.matchAll(pattern)].flatMap((match) => {
      const phrase = checked.phraseAt(match.index) ?? checked.phraseAt(match.index + match[0].length - 1)
      // A turn of several words means the same wherever it stands; a single word may be of something else.
      const fits = phrase && (facets.includes(phrase.facet) || (phrase.facet !== 'lettering' && /[a-z][ -][a-z]/.test(match[0])))
      return fits ? [{ start: match.index, end: match.index + match[0].length, value, phrase }] : []
    }),
  )
  all.sort((a, b) => b.end - b.start - (a.end - a.start))
  return all.filter((one, i) => !all.slice(0, i).some((other) => other.start < one.end && other.end > one.start)).sort((a, b) => a.start - b.start)
}
