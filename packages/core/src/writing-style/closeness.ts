import { FACETS } from '../facets.ts'
import { type Example, learnWritingStyle } from './learn.ts'
import { type WritingStyleBody, MIN_EXAMPLES } from './writing-style.ts'
import { endsWithStop, isProse, wordCount } from './writing.ts'

/** How close a text is to a writing style in one respect, from 0 to 1, and what that is about. */
export interface StyleRespect {
  name: 'facets' | 'order' | 'terms' | 'always' | 'length' | 'style' | 'punctuation'
  score: number
  says: string
}
export interface StyleCloseness {
  /** From 0 to 1. */
  score: number
  respects: StyleRespect[]
}

const WEIGHTS: Readonly<Record<StyleRespect['name'], number>> = { facets: 2, order: 1.5, terms: 1.5, always: 1.5, length: 1, style: 1.5, punctuation: 0.5 }
const plain = (text: string) => text.toLowerCase().replace(/^(?:an?|the)\s+/u, '').trim()

/** The share of pairs that stand in the same order (Kendall 1938, from 0 to 1); 1 of fewer than two. */
function agreement(order: readonly string[], wanted: readonly string[]): number {
  const common = order.filter((one) => wanted.includes(one))
  let [same, all] = [0, 0]
  common.forEach((x, i) => {
    for (const y of common.slice(i + 1)) {
      all++
      if (wanted.indexOf(x) < wanted.indexOf(y)) same++
    }
  })
  return all ? same / all : 1
}

/** How close a text is to a writing style, respect by respect, and in all. */
export function styleCloseness({ text, phrases }: Example, writingStyle: WritingStyleBody): StyleCloseness {
  const said = [...new Set(phrases.map(({ facet }) => facet))]
  const share = (facet: string) => writingStyle.facets.find((one) => one.facet === facet)?.share ?? 0
  // Where the examples are of one mind, the text is held to it; where they are divided, either is near.
  const facets = FACETS.map((facet) => ({ facet, off: Math.abs((said.includes(facet) ? 1 : 0) - share(facet)), sure: Math.abs(share(facet) - 0.5) * 2 + 0.1 }))
  const facetScore = 1 - facets.reduce((sum, { off, sure }) => sum + off * sure, 0) / facets.reduce((sum, { sure }) => sum + sure, 0)
  const lacking = facets.filter(({ facet, off }) => off > 0.6 && !said.includes(facet)).map(({ facet }) => facet)
  const extra = facets.filter(({ facet, off }) => off > 0.6 && said.includes(facet)).map(({ facet }) => facet)
  const known = new Set([...writingStyle.facets.flatMap(({ terms }) => terms), ...writingStyle.always.map((one) => one.text)].map(plain))
  const habitual = phrases.filter(({ facet }) => !['subject', 'action', 'lettering'].includes(facet))
  const familiar = habitual.filter((phrase) => known.has(plain(phrase.text)) || [...known].some((term) => term.length > 3 && plain(phrase.text).includes(term)))
  const lower = text.toLowerCase()
  const kept = writingStyle.always.filter((one) => lower.includes(plain(one.text)))
  const words = wordCount(text)
  const outside = words < writingStyle.words.low ? (writingStyle.words.low - words) / writingStyle.words.low : words > writingStyle.words.high ? (words - writingStyle.words.high) / writingStyle.words.high : 0
  const prose = isProse(text, phrases)
  const punctuation = writingStyle.style === 'list' && !prose ? [endsWithStop(text) === writingStyle.stop, /^\P{L}*\p{Lu}/u.test(text) === writingStyle.capital, text.includes(writingStyle.separator)].filter(Boolean).length / 3 : prose === (writingStyle.style === 'sentences') ? 1 : 0.5
  const respects: StyleRespect[] = [
    { name: 'facets', score: facetScore, says: [lacking.length ? `does not say ${lacking.join(', ')}` : '', extra.length ? `says ${extra.join(', ')}, which the examples do not` : ''].filter(Boolean).join('; ') || 'says what the examples say' },
    { name: 'order', score: agreement(said, writingStyle.facets.map(({ facet }) => facet)), says: said.join(', ') },
    { name: 'terms', score: habitual.length ? familiar.length / habitual.length : 0, says: `${familiar.length} of ${habitual.length} phrases in their words` },
    ...(writingStyle.always.length ? [{ name: 'always' as const, score: kept.length / writingStyle.always.length, says: kept.length === writingStyle.always.length ? 'all that is always said' : `without ${writingStyle.always.filter((one) => !kept.includes(one)).map((one) => `“${one.text}”`).join(', ')}` }] : []),
    { name: 'length', score: Math.max(0, 1 - outside), says: `${words} words; theirs ${writingStyle.words.low} to ${writingStyle.words.high}` },
    { name: 'style', score: prose === (writingStyle.style === 'sentences') ? 1 : 0, says: prose ? 'in sentences' : 'a list' },
    { name: 'punctuation', score: punctuation, says: punctuation === 1 ? 'as theirs' : 'other than theirs' },
  ]
  const weight = respects.reduce((sum, { name }) => sum + WEIGHTS[name], 0)
  return { score: respects.reduce((sum, { name, score }) => sum + WEIGHTS[name] * score, 0) / weight, respects }
}

/** How close each example is to what the others have in common, for a measure of what close is; of only three, to all of them together. */
export const closenessOfExamples = (examples: readonly Example[], writingStyle: WritingStyleBody): number[] =>
  examples.map((one, i) => styleCloseness(one, examples.length > MIN_EXAMPLES ? learnWritingStyle(writingStyle.name, examples.toSpliced(i, 1)) : writingStyle).score)
