import { FACETS } from '../facets.ts'
import type { Facet } from '../facet.ts'
import type { Phrase } from '../read/reading.ts'
import { scan } from '../read/scan.ts'
import { isFunctionWord } from '../read/words/function-words.ts'
import { VECTOR, type WordTable } from '../read/words/word-table.ts'
import { TERMS_BY_FACET } from './terms-by-facet.ts'

/** What a term of a facet is measured against: what says most of whether it fits. */
const BESIDE: Record<Facet, Partial<Record<Facet, number>>> = {
  subject: { action: 2, setting: 2, detail: 1 },
  action: { subject: 3, detail: 1, setting: 1 },
  detail: { subject: 3, action: 1, setting: 1 },
  setting: { subject: 3, action: 2, detail: 1, moment: 1 },
  moment: { setting: 2, light: 2, subject: 1, mood: 1 },
  framing: { medium: 2, subject: 1, setting: 1 },
  light: { moment: 3, setting: 2, mood: 1 },
  colour: { moment: 2, setting: 2, mood: 2, medium: 1, light: 1 },
  medium: { technique: 3, mood: 1, subject: 1 },
  technique: { medium: 4, light: 1 },
  mood: { setting: 1, moment: 1, light: 1, subject: 1 },
  lettering: { subject: 1, medium: 1, setting: 1 },
}

/** The mean direction of the words of a text, each of length one; undefined when none is known. */
function directionOf(text: string, words: WordTable): Float64Array | undefined {
  const sum = new Float64Array(VECTOR)
  let known = 0
  for (const { lower, kind } of scan(text)) {
    const vector = kind === 'word' && lower.length > 2 ? words.vector(lower) : undefined
    if (!vector) continue
    known++
    const length = Math.hypot(...vector) || 1
    for (let k = 0; k < VECTOR; k++) sum[k]! += vector[k]! / length
  }
  const length = Math.hypot(...sum)
  return known && length ? sum.map((x) => x / length) : undefined
}
const lastWord = (term: string) => term.split(' ').at(-1) ?? term
/** A single word that so many terms end in is too plain to suggest. */
const GENERIC_FROM = 5
const along = (a: Float64Array, b: Float64Array) => a.reduce((sum, x, k) => sum + x * b[k]!, 0)

/** What is said beside a facet: the direction of its words, and how much it counts. */
interface Beside {
  direction: Float64Array
  weight: number
}
const fitOf = (direction: Float64Array | undefined, beside: readonly Beside[]): number => (direction ? beside.reduce((sum, { direction: other, weight }) => sum + weight * along(direction, other), 0) : -1)
/** How much sooner a term comes whose facet is not said yet, and how much later a longer one, in units of fit. */
const MISSING = 0.5
const SHORTER = 0.03

/** Suggests terms of the glossary, with what it has worked out of them remembered. */
export class Suggester {
  readonly #terms = new Map<Facet, { term: string; direction: Float64Array | undefined }[]>()

  constructor(private readonly words: WordTable) {}

  /**
   * Terms of a facet that the text does not say yet, those first that lie nearest, by word vectors, to what is said
   * beside it; no two with the same last word. With `typed`, only terms that have it at the beginning of a word.
   */
  suggest(facet: Facet, text: string, phrases: readonly Phrase[], typed: string, most: number): string[] {
    const said = text.toLowerCase()
    const asked = typed.trim().toLowerCase()
    const beside = this.#beside(facet, phrases)
    const fit = (direction: Float64Array | undefined) => fitOf(direction, beside)
    const found = this.#of(facet)
      .filter(({ term }) => !said.includes(term) && (asked === '' || term.startsWith(asked) || term.includes(` ${asked}`)))
      .map(({ term, direction }, i) => ({ term, i, fit: fit(direction) + (asked && term.startsWith(asked) ? 1 : 0) }))
      .sort((a, b) => b.fit - a.fit || a.i - b.i)
    const heads = new Set<string>()
    return found
      .filter(({ term }) => {
        const head = lastWord(term)
        return asked !== '' || (!heads.has(head) && heads.add(head))
      })
      .slice(0, most)
      .map(({ term }) => term)
  }

  /**
   * Terms of any facet that begin with what is typed, those first that fit what is said beside them; a facet of which
   * nothing is said yet comes a little sooner.
   */
  complete(typed: string, text: string, phrases: readonly Phrase[], most: number): { term: string; facet: Facet }[] {
    const asked = typed.toLowerCase()
    const said = text.toLowerCase()
    return FACETS.flatMap((facet) => {
      const beside = this.#beside(facet, phrases)
      const bonus = phrases.some((phrase) => phrase.facet === facet) ? 0 : MISSING
      return this.#of(facet)
        .filter(({ term }) => term.startsWith(asked) && term.length > asked.length && !said.includes(term))
        .map(({ term, direction }) => ({ term, facet, fit: fitOf(direction, beside) + bonus - term.length * SHORTER }))
    })
      .sort((a, b) => b.fit - a.fit)
      .filter(({ term }, i, all) => all.findIndex((other) => other.term === term) === i)
      .slice(0, most)
      .map(({ term, facet }) => ({ term, facet }))
  }

  #beside(facet: Facet, phrases: readonly Phrase[]): Beside[] {
    return FACETS.flatMap((other) => {
      const direction = BESIDE[facet][other] ? directionOf(phrases.filter((phrase) => phrase.facet === other).map((phrase) => phrase.text).join(' '), this.words) : undefined
      return direction ? [{ direction, weight: BESIDE[facet][other] ?? 0 }] : []
    })
  }

  #of(facet: Facet) {
    let known = this.#terms.get(facet)
    if (!known) {
      const terms = TERMS_BY_FACET[facet]
      const lasts = new Map<string, number>()
      for (const term of terms) lasts.set(lastWord(term), (lasts.get(lastWord(term)) ?? 0) + 1)
      // “light” says nothing that a term ending in it does not say better; “air of” wants something after it.
      const saysEnough = (term: string) => facet === 'medium' || term.includes(' ') || (lasts.get(term) ?? 0) < GENERIC_FROM
      known = terms.filter((term) => !isFunctionWord(lastWord(term)) && saysEnough(term)).map((term) => ({ term, direction: directionOf(term, this.words) }))
      this.#terms.set(facet, known)
    }
    return known
  }
}
