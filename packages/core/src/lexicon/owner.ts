import type { Clause } from '../structure/structure.ts'
import { type NounPhrase, withInner } from '../structure/noun-phrases.ts'
import { ADV, VERB } from '../read/parts-of-speech.ts'
import type { TextRange } from '../text-range.ts'

/** What something is said of: the noun, and whether it is one named before (“the door”, “its sails”). */
export interface Owner {
  lemma: string
  /** Where the noun stands, so that two things of one name are told apart. */
  at: number
  definite: boolean
  plural: boolean
}

const DEFINITE = new Set('the his her its their this that these those my your our'.split(' '))

const ownerOf = ({ words }: Clause, phrase: NounPhrase): Owner => {
  const head = words[phrase.head]!
  return { lemma: head.lemma, at: head.start, definite: DEFINITE.has(phrase.determiner), plural: head.lower !== head.lemma }
}

/**
 * Of what a place of a text says something, by the structure of its clause; none where that cannot be told. With `itself` a
 * noun is said of itself: “an old baby” says of the baby that it is one.
 */
export function ownersOf(clauses: readonly Clause[], { start, end }: TextRange, itself = false): Owner[] {
  const clause = clauses.find((one) => one.start <= start && end <= one.end)
  if (!clause) return []
  const { words, predicates } = clause
  const phrases = clause.phrases.flatMap(withInner)
  const from = words.findIndex((word) => word.end > start)
  const to = words.findIndex((word) => word.end >= end) + 1
  // “a bowl, heaped with quinces”: what is added after a comma is of the thing right before it.
  const first = words[from]
  if (first?.tag === VERB && /(?:ed|en)$/.test(first.lower) && words[from - 1]?.text === ',') {
    const host = phrases.find((phrase) => phrase.to === from - 1)
    if (host) return [ownerOf(clause, host)]
  }
  // What it does, or how it is: “the door is shut”, “a bowl heaped with quinces”.
  for (const predicate of predicates) {
    const covers = (at: number) => from <= at && at < to
    if (!covers(predicate.verb) && !predicate.qualities.some(covers)) continue
    const owners = predicate.passive || (predicate.doers.length === 0 && predicate.objects.length) ? predicate.objects : predicate.doers
    if (owners.length) return owners.map((phrase) => ownerOf(clause, phrase))
  }
  // “Still running” says nothing of stillness.
  if (words[from]?.tag === ADV && to - from === 1 && words[to]?.tag === VERB) return []
  const own = phrases.find((phrase) => phrase.from <= from && from < phrase.to)
  // A word before its noun: “a tiny dragon”.
  if (own && own.head >= to) return [ownerOf(clause, own)]
  if (own && itself) return [ownerOf(clause, own)]
  if (own && own.head < to) {
    // It names the noun itself (“a toothy grin”): whoever does what the clause tells has it.
    const doing = predicates.findLast(({ verb, objects, complements }) => verb < from && (objects.includes(own) || complements.some(({ phrase }) => phrase === own)))
    if (doing) return (doing.passive ? doing.objects : doing.doers).map((phrase) => ownerOf(clause, phrase))
    // “a man with a long beard”; past a mark it may be anybody's.
    const host = phrases.findLast((phrase) => phrase.to <= own.from && own.from - phrase.to <= 2 && words.slice(phrase.to, own.from).every(({ kind }) => kind !== 'mark'))
    return host ? [ownerOf(clause, host)] : []
  }
  // After its noun: “a door ajar”, “eyes shut”.
  const host = phrases.find((phrase) => phrase.to === from)
  return host ? [ownerOf(clause, host)] : []
}
