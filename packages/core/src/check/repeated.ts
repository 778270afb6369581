import { listed, TermFinder } from '../glossary/term-finder.ts'
import type { TextRange } from '../text-range.ts'
import type { Facet } from '../facet.ts'
import type { Phrase } from '../read/reading.ts'
import { isFunctionWord } from '../read/words/function-words.ts'
import { media } from '../lexicon/dimensions/index.ts'
import { Synonyms } from '../compare/sameness.ts'
import type { Check, Checked, Said } from './checked.ts'
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
/** Nouns that only name what a phrase of its facet is: a warm mood and a warm feeling are one. */
const GENERIC: Readonly<Partial<Record<Facet, ReadonlySet<string>>>> = {
  mood: new Set('mood feeling atmosphere feel tone vibe air'.split(' ')),
  light: new Set('light lighting illumination'.split(' ')),
  colour: new Set('colour color palette tone hue shade scheme'.split(' ')),
  framing: new Set('shot view framing composition perspective'.split(' ')),
  medium: new Set('style image picture art artwork'.split(' ')),
}
const wordsOf = (said: string) => (said.match(WORD) ?? []).filter((word) => !isFunctionWord(word.toLowerCase()) && !EMPTY.has(word.toLowerCase())).map(stem)

const DEFINITE = /(?:^|\W)(?:the|its|his|her|their) /i
/** Facets between which the same thing may have been read twice. */
const THINGS: ReadonlySet<string> = new Set(['subject', 'detail', 'setting', 'action'])

/** A phrase with its words that say something. */
interface Worded {
  phrase: Phrase
  words: string[]
  /** It speaks of something named before. */
  definite: boolean
}
/** A thing that was named before is taken up, not said again: “a fur coat, and in the coat”. */
const isTakenUp = ({ phrase, words, definite }: Worded): boolean => definite && words.length === 1 && THINGS.has(phrase.facet)

/** Whether one phrase says nothing that another has not said: all its words are the other's. */
const isWithin = (a: Worded, b: Worded): boolean => !isTakenUp(a) && a.words.length > 0 && (a.words.length > 1 || a.phrase.facet !== 'subject') && a.words.every((word) => b.words.includes(word))

/** The part of a place that can go without hurting what stands beside it: its whole phrase when that says no more. */
const extraOf = (checked: Checked, range: TextRange & { phrase: Phrase }): TextRange => {
  const rest = wordsOf(checked.draft.text.slice(range.phrase.start, range.start) + ' ' + checked.draft.text.slice(range.end, range.phrase.end))
  return rest.length === 0 ? range.phrase : range
}

/** Pairs of places that give the picture one and the same value, of which at least one says nothing else. */
function saidAgain(checked: Checked): [Said, Said][] {
  const naming = checked.sayings.filter(({ names, dimension, value }) => !dimension.broad.has(value) && names && dimension.of === 'picture' && dimension !== media)
  const alone = (one: Said) => extraOf(checked, one) === one.phrase
  return naming.flatMap((b, i): [Said, Said][] => {
    const a = naming.slice(0, i).find((other) => other.dimension === b.dimension && other.value === b.value && other.phrase !== b.phrase && (alone(other) || alone(b)))
    return a ? [[a, b]] : []
  })
}

const synonyms = new Synonyms([])
/** Words that two stretches must share, and the share of the later one's, before it is taken to say the earlier one again. */
const SHARED = 3
const SHARE = 0.6
/** Steps in the tree of kinds within which the later of two may be broader. */
const NEAR = 4
/** Stretches between marks, and words, that are compared; a longer text tells a story. */
const STRETCHES = 40

/** Stretches of which a later one says over what an earlier one said, in other words: “a tiny wren on a spade handle; the little bird sits on the handle of the spade”. */
function paraphrased(checked: Checked): [TextRange, TextRange][] {
  const { kin } = checked.language
  const stretches = [...checked.shown.matchAll(/[^,;.!?\n:]+/g)]
    .slice(0, STRETCHES)
    .map((match) => ({ start: match.index + match[0].length - match[0].trimStart().length, end: match.index + match[0].trimEnd().length, words: wordsOf(match[0]) }))
    .filter(({ start, words }) => words.length >= SHARED && checked.phraseAt(start)?.facet !== 'lettering')
  // The later one may be broader: a wren is the bird.
  const fits = (said: string, again: string) => synonyms.same(said, again) || (again.length > 3 && checked.isKind(said, again) && kin.below(said, again) <= NEAR)
  for (const [i, b] of stretches.entries()) {
    for (const a of stretches.slice(0, i)) {
      if (Math.min(a.words.length, b.words.length) < SHARE * Math.max(a.words.length, b.words.length)) continue
      const open = [...a.words]
      let shared = 0
      for (const word of b.words) {
        const at = open.findIndex((one) => fits(one, word))
        if (at >= 0) {
          open.splice(at, 1)
          shared++
        }
      }
      if (shared >= SHARED && shared >= SHARE * b.words.length && shared >= SHARE * a.words.length) return [[a, b]]
    }
  }
  return []
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
  const all = checked.phrases.map((phrase): Worded => {
    const words = wordsOf(phrase.text)
    const telling = words.filter((word) => !GENERIC[phrase.facet]?.has(word))
    return { phrase, words: telling.length ? telling : words, definite: DEFINITE.test(checked.shown.slice(Math.max(0, phrase.start - 6), phrase.start + 6)) }
  })
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
  for (const [a, b] of saidAgain(checked)) if (!covered(b) && !covered(a)) add(a, b, checked.said(a).toLowerCase() === checked.said(b).toLowerCase())
  for (const [a, b] of paraphrased(checked)) {
    const phrase = checked.phraseAt(b.start) ?? checked.phraseAt(b.end - 1)
    if (phrase && !covered(b)) add({ ...a, phrase }, { ...b, phrase }, false)
  }
  return found
}
