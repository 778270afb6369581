import { distance } from 'fastest-levenshtein'
import type { Facet } from '../facet.ts'
import { type Found, TermFinder } from './term-finder.ts'
import type { GlossaryEntry } from './entry.ts'

/** A term with what the glossary knows of it, its kin worked out from both sides. */
export interface Term extends Required<Omit<GlossaryEntry, 'broader'>> {
  broader?: string | undefined
  narrower: string[]
  /** Whether it ships with Idolon, or was added or corrected by the writer. */
  own: boolean
}

const key = (name: string) => name.trim().toLowerCase()
const keyOf = ({ facet, term }: Pick<GlossaryEntry, 'facet' | 'term'>) => `${facet} ${key(term)}`
/** The longest typing slip that a search forgives. */
const SLIP = 1

/** The vocabulary: what ships, with the writer's own terms in place of those of the same name and facet. */
export class Glossary {
  readonly terms: readonly Term[]
  readonly #byName = new Map<string, Term[]>()
  #finder: TermFinder<readonly Term[]> | undefined

  constructor(shipped: readonly GlossaryEntry[], own: readonly GlossaryEntry[] = []) {
    const entries = new Map<string, { entry: GlossaryEntry; own: boolean }>()
    for (const entry of shipped) entries.set(keyOf(entry), { entry, own: false })
    for (const entry of own) entries.set(keyOf(entry), { entry, own: true })
    const narrower = new Map<string, string[]>()
    const near = new Map<string, Set<string>>()
    const push = <T>(map: Map<string, T[]>, at: string, value: T) => void map.set(at, [...(map.get(at) ?? []), value])
    for (const { entry } of entries.values()) {
      if (entry.broader) push(narrower, key(entry.broader), entry.term)
      for (const other of entry.near ?? []) {
        near.set(key(entry.term), (near.get(key(entry.term)) ?? new Set()).add(other))
        near.set(key(other), (near.get(key(other)) ?? new Set()).add(entry.term))
      }
    }
    this.terms = [...entries.values()]
      .map(({ entry, own: isOwn }): Term => ({
        ...entry,
        also: entry.also ?? [],
        near: [...(near.get(key(entry.term)) ?? [])],
        narrower: narrower.get(key(entry.term)) ?? [],
        excludes: entry.excludes ?? [],
        brings: entry.brings ?? [],
        instead: entry.instead ?? [],
        own: isOwn,
      }))
      // Decades last: a list begins with words.
      .sort((a, b) => Number(/^\d/.test(a.term)) - Number(/^\d/.test(b.term)) || a.term.localeCompare(b.term, 'en'))
    for (const term of this.terms) for (const name of [term.term, ...term.also]) push(this.#byName, key(name), term)
  }

  /** The terms of a name, under any way to write it; of one facet first where that is given. */
  named(name: string, facet?: Facet): readonly Term[] {
    const found = this.#byName.get(key(name)) ?? []
    return facet ? [...found].sort((a, b) => Number(b.facet === facet) - Number(a.facet === facet)) : found
  }

  /** The longest terms that a text says, in order, never overlapping. */
  saidIn(text: string): Found<readonly Term[]>[] {
    this.#finder ??= new TermFinder(this.#byName)
    return this.#finder.find(text)
  }

  /**
   * Terms that a few words look for: whose name begins with them, then with a word that does, then that say them; with
   * one slip of the finger where nothing else is found. Without words, all of the facet.
   */
  search(words: string, facet?: Facet): readonly Term[] {
    const asked = key(words)
    const all = facet ? this.terms.filter((term) => term.facet === facet) : this.terms
    if (!asked) return all
    const rank = (term: Term): number => {
      const names = [term.term, ...term.also].map(key)
      if (names.includes(asked)) return 0
      if (names.some((name) => name.startsWith(asked))) return 1
      if (names.some((name) => name.split(/[\s-]+/).some((word) => word.startsWith(asked)))) return 2
      if (names.some((name) => name.includes(asked))) return 3
      const said = [term.does, ...term.brings, ...term.instead].join(' ').toLowerCase()
      return asked.split(/\s+/).every((word) => said.includes(word)) ? 4 : Infinity
    }
    const found = all.flatMap((term) => (rank(term) < Infinity ? [{ term, at: rank(term) }] : []))
    if (found.length) return found.sort((a, b) => a.at - b.at).map(({ term }) => term)
    return asked.length < 4 ? [] : all.filter((term) => [term.term, ...term.also].some((name) => distance(key(name), asked) <= SLIP))
  }
}
