import { clausesOf } from '../../structure/structure.ts'
import type { NounPhrase } from '../../structure/noun-phrases.ts'
import type { Predicate } from '../../structure/predicates.ts'
import type { TokenFacts } from '../analyser.ts'
import type { Token } from '../scan.ts'
import type { WordTable } from '../words/word-table.ts'

/** What part a word plays in its sentence. */
export const ROLE = { none: 0, doer: 1, object: 2, complement: 3, otherDoer: 4, otherObject: 5, otherComplement: 6, of: 7, first: 8, after: 9, phrase: 10, verb: 11, otherVerb: 12, looseVerb: 13 } as const

export interface Role {
  role: number
  /** The preposition that leads to its phrase, in lower case; empty for none. */
  preposition: string
  /** Index of the noun its phrase is about, among the tokens; -1 outside any. */
  head: number
}

const NOTHING: Role = { role: ROLE.none, preposition: '', head: -1 }

/**
 * The part each token of a sentence plays: of the one it is mainly about, of what that does, of others. The first who does
 * something is the one; where nobody does anything, the first thing named.
 */
export function rolesOf(tokens: readonly Token[], facts: readonly TokenFacts[], words: WordTable): Role[] {
  const roles = tokens.map(() => NOTHING)
  let main: NounPhrase | undefined
  let first = true
  for (const { from, phrases, predicates } of clausesOf(tokens, facts, words)) {
    const put = (phrase: NounPhrase, role: number, preposition = '') => {
      for (let i = phrase.from; i < phrase.to; i++) roles[from + i] = { role, preposition, head: from + phrase.head }
      if (phrase.of) put(phrase.of, ROLE.of, 'of')
    }
    for (const phrase of phrases) {
      const before = tokens[from + phrase.from - 1]
      put(phrase, first ? ROLE.first : ROLE.phrase, phrase.from > 0 ? (before?.lower ?? '') : '')
      first = false
    }
    main ??= predicates.find(({ doers }) => doers.length > 0)?.doers[0]
    const isMain = ({ doers, passive, objects }: Predicate) => main !== undefined && (doers.includes(main) || (passive && objects.includes(main)))
    for (const predicate of predicates) {
      const own = isMain(predicate)
      for (const { preposition, phrase } of predicate.complements) put(phrase, own ? ROLE.complement : ROLE.otherComplement, preposition)
      if (!predicate.passive) for (const phrase of predicate.objects) put(phrase, own ? ROLE.object : ROLE.otherObject)
      roles[from + predicate.verb] = { role: own ? ROLE.verb : predicate.doers.length + predicate.objects.length > 0 ? ROLE.otherVerb : ROLE.looseVerb, preposition: '', head: -1 }
    }
    for (const predicate of predicates) for (const phrase of predicate.passive ? predicate.objects : predicate.doers) put(phrase, isMain(predicate) ? ROLE.doer : ROLE.otherDoer)
  }
  return roles
}
