import { listed, TermFinder } from '../glossary/term-finder.ts'
import type { TextRange } from '../text-range.ts'
import type { Phrase } from '../read/reading.ts'
import { isFunctionWord } from '../read/words/function-words.ts'
import type { Check, Checked } from './checked.ts'
import { type Finding, inText } from './finding.ts'
import { removalOf } from './fixes.ts'
import { SAME } from './senses.ts'

const groups = new TermFinder(
  SAME.trim()
    .split('\n')
    .flatMap((line, group) => listed(line, group)),
)
const WORD = /[\p{L}\p{N}]+(?:[’'-][\p{L}\p{N}]+)*/gu
const stem = (word: string) => word.toLowerCase().replace(/(?:ies)$/, 'y').replace(/(?<=[^s]{2})s$/, '')
const EMPTY = new Set('each every one two three other same some more most very his her its their another'.split(' '))
const wordsOf = (said: string) => (said.match(WORD) ?? []).filter((word) => !isFunctionWord(word.toLowerCase()) && !EMPTY.has(word.toLowerCase())).map(stem)

/** Facets between which the same thing may have been read twice. */
const THINGS: ReadonlySet<string> = new Set(['subject', 'detail', 'setting', 'action'])

/** A phrase with its words that say something. */
interface Worded {
  phrase: Phrase
  words: string[]
}
/** Whether one phrase says nothing that another has not said: all its words are the other's. */
const isWithin = (a: Worded, b: Worded): boolean => a.words.length > 0 && (a.words.length > 1 || a.phrase.facet !== 'subject') && a.words.every((word) => b.words.includes(word))

/** The part of a place that can go without hurting what stands beside it: its whole phrase when that says no more. */
const extraOf = (checked: Checked, range: TextRange & { phrase: Phrase }): TextRange => {
  const rest = wordsOf(checked.draft.text.slice(range.phrase.start, range.start) + ' ' + checked.draft.text.slice(range.end, range.phrase.end))
  return rest.length === 0 ? range.phrase : range
}

export const repeated: Check = (checked) => {
  const found: Finding[] = []
  const covered = ({ start, end }: TextRange) => found.some(({ where, with: other }) => [where, other].some((place) => place?.in === 'text' && place.start < end && place.end > start))
  const add = (a: TextRange & { phrase: Phrase }, b: TextRange & { phrase: Phrase }, same: boolean) => {
    const extra = extraOf(checked, b)
    found.push({
      kind: 'repeated',
      severity: 'tip',
      where: inText(b),
      with: inText(a),
      facet: b.phrase.facet,
      reason: same ? `“${checked.said(b)}” is said twice.` : `“${checked.said(b)}” says again what “${checked.said(a)}” said.`,
      fix: { label: `Take out “${checked.said(extra)}”`, edits: [removalOf(checked.draft, extra)], safe: true },
    })
  }
  const whole = (phrase: Phrase) => ({ start: phrase.start, end: phrase.end, phrase })
  const all = checked.phrases.map((phrase): Worded => ({ phrase, words: wordsOf(phrase.text) }))
  all.forEach((b, i) => {
    if (b.phrase.facet === 'lettering') return
    for (const a of all.slice(0, i)) {
      if (covered(b.phrase) || (a.phrase.facet !== b.phrase.facet && !(THINGS.has(a.phrase.facet) && THINGS.has(b.phrase.facet) && Math.min(a.words.length, b.words.length) > 1))) continue
      if (isWithin(b, a)) add(whole(a.phrase), whole(b.phrase), a.words.join() === b.words.join())
      else if (isWithin(a, b) && a.words.length > 1) add(whole(b.phrase), whole(a.phrase), false)
    }
  })
  const terms = groups.find(checked.shown).flatMap((term) => {
    const phrase = checked.phraseAt(term.start)
    return phrase && phrase.facet !== 'lettering' ? [{ ...term, phrase }] : []
  })
  terms.forEach((b, i) => {
    const a = terms.slice(0, i).find((other) => other.value === b.value)
    if (!a || covered(b)) return
    // Of two things the same may be said: “an old man and an old dog”. It is said twice only of one.
    const alone = ({ phrase, start, end }: TextRange & { phrase: Phrase }) => phrase.start === start && phrase.end === end
    const beside = (alone(a) || alone(b)) && /^[\s,]*(?:and\s+)?$/.test(checked.draft.text.slice(a.end, b.start))
    const apart = !beside && a.phrase !== b.phrase && ['subject', 'detail', 'setting', 'action'].includes(a.phrase.facet) && ['subject', 'detail', 'setting', 'action'].includes(b.phrase.facet)
    if (apart && !(a.phrase.facet === b.phrase.facet && a.phrase.facet !== 'detail' && wordsOf(b.phrase.text).length <= 3 && a.phrase.facet !== 'subject')) return
    if (a.phrase === b.phrase && a.phrase.facet !== 'framing' && checked.draft.text.slice(a.end, b.start).match(/\p{L}{3,}/gu)?.some((word) => (checked.language.words.find(word.toLowerCase())?.main ?? 0) === 0)) return
    add(a, b, a.term === b.term)
  })
  return found
}
