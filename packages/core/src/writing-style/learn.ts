import { FACETS } from '../facets.ts'
import type { Facet } from '../facet.ts'
import type { Phrase } from '../read/reading.ts'
import { type WritingStyleBody, MAX_EXAMPLES, MIN_EXAMPLES } from './writing-style.ts'
import { endsWithStop, isProse, separatorOf, wordCount } from './writing.ts'

/** An example with what it says. */
export interface Example {
  text: string
  phrases: readonly Phrase[]
}

/** What so many of the examples say is said always. */
const ALWAYS = 0.8
/** A facet that fewer say is no habit. */
const HABIT = 0.15
const MOST_TERMS = 12

const plain = (text: string) => text.toLowerCase().replace(/^(?:an?|the)\s+/u, '').replace(/\s+/gu, ' ').trim()
const at = (sorted: readonly number[], share: number) => sorted[Math.min(sorted.length - 1, Math.max(0, Math.round(share * (sorted.length - 1))))] ?? 0

/** Terms of a facet by how many of the examples say them, each as it is written most often. */
function termsOf(examples: readonly Example[], facet: Facet): { text: string; count: number }[] {
  const counts = new Map<string, { text: string; count: number }>()
  for (const { phrases } of examples) {
    for (const key of new Set(phrases.filter((phrase) => phrase.facet === facet).map(({ text }) => plain(text)))) {
      const written = phrases.find((phrase) => phrase.facet === facet && plain(phrase.text) === key)!.text
      const known = counts.get(key)
      counts.set(key, { text: known?.text ?? written, count: (known?.count ?? 0) + 1 })
    }
  }
  return [...counts.values()].sort((x, y) => y.count - x.count)
}

/** The facets that enough examples say, by the mean place at which they first say them. */
function orderOf(examples: readonly Example[]): { facet: Facet; share: number; words: number; joined: boolean }[] {
  return FACETS.map((facet) => {
    const own = examples.filter(({ phrases }) => phrases.some((phrase) => phrase.facet === facet))
    const places = own.map(({ phrases }) => phrases.findIndex((phrase) => phrase.facet === facet) / Math.max(1, phrases.length - 1))
    const words = own.map(({ phrases }) => phrases.filter((phrase) => phrase.facet === facet).reduce((sum, { text }) => sum + wordCount(text), 0))
    const firsts = own.map(({ text, phrases }) => {
      const i = phrases.findIndex((phrase) => phrase.facet === facet)
      return i > 0 && !/[,;.|\n!?:]/u.test(text.slice(phrases[i - 1]!.end, phrases[i]!.start))
    })
    return { facet, joined: firsts.filter(Boolean).length * 2 > own.length, share: own.length / examples.length, words: words.reduce((sum, n) => sum + n, 0) / Math.max(1, own.length), place: places.reduce((sum, n) => sum + n, 0) / Math.max(1, own.length) }
  })
    .filter(({ share }) => share > HABIT)
    .sort((x, y) => x.place - y.place)
    .map(({ facet, share, words, joined }) => ({ facet, share, joined, words: Math.round(words * 10) / 10 }))
}

/**
 * What example prompts have in common as writing: the order of their facets, list or sentences, length, what is always said, favourite terms
 * by facet, and punctuation.
 * @throws RangeError of fewer than 3 or more than 20 examples.
 */
export function learnWritingStyle(name: string, examples: readonly Example[]): WritingStyleBody {
  if (examples.length < MIN_EXAMPLES || examples.length > MAX_EXAMPLES) throw new RangeError(`A writing style is learned from ${MIN_EXAMPLES} to ${MAX_EXAMPLES} examples.`)
  const facets = orderOf(examples)
  const always: WritingStyleBody['always'] = []
  const withTerms = facets.map((one) => {
    const terms = termsOf(examples, one.facet)
    for (const { text, count } of terms) if (count >= Math.max(MIN_EXAMPLES, ALWAYS * examples.length)) always.push({ text, facet: one.facet })
    // What the picture is of, and what it does, is each prompt's own; the rest is habit, once or often.
    const own = one.facet === 'subject' || one.facet === 'action' || one.facet === 'lettering'
    const habits = terms.filter(({ text, count }) => (own ? count > 1 : true) && !always.some((said) => said.text === text))
    return { ...one, terms: habits.slice(0, MOST_TERMS).map(({ text }) => text) }
  })
  const lengths = examples.map(({ text }) => wordCount(text)).sort((x, y) => x - y)
  const prose = examples.filter(({ text, phrases }) => isProse(text, phrases)).length * 2 >= examples.length
  const lists = examples.filter(({ text, phrases }) => !isProse(text, phrases))
  const most = (test: (text: string) => boolean) => lists.filter(({ text }) => test(text)).length * 2 > lists.length
  return {
    name,
    style: prose ? 'sentences' : 'list',
    facets: withTerms,
    always,
    words: { low: Math.max(1, at(lengths, 0.1)), middle: Math.max(1, at(lengths, 0.5)), high: Math.max(1, at(lengths, 0.9)) },
    separator: separatorOf(lists.map(({ text }) => text)),
    capital: most((text) => /^\P{L}*\p{Lu}/u.test(text)),
    stop: most(endsWithStop),
    examples: examples.map(({ text }) => text),
  }
}
