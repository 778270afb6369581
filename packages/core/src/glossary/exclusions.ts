import type { Facet } from '../facet.ts'
import type { GlossaryEntry } from './entry.ts'
import { type Found, TermFinder } from './term-finder.ts'

/** Facets in which one term rules another out for the whole picture; a thing rules nothing out by being there. */
const WHOLE: ReadonlySet<Facet> = new Set(['framing', 'light', 'technique', 'colour'])

/** A term of the glossary in a text, and what cannot stand beside it. */
export interface Excluding {
  term: string
  facet: Facet
  excludes: ReadonlySet<string>
}

/** Which terms of the glossary exclude one another, from either side. */
export class Exclusions {
  readonly #finder: TermFinder<Excluding>

  constructor(entries: readonly GlossaryEntry[]) {
    const whole = entries.filter(({ facet }) => WHOLE.has(facet))
    const named = new Map<string, string>()
    for (const { term, also = [] } of whole) for (const name of [...also, term]) named.set(name, term)
    // What is a kind of something is excluded with it, and excludes what it does.
    const kinds = new Map<string, string[]>()
    for (const { term, broader } of whole) if (broader !== undefined) kinds.set(broader, [...(kinds.get(broader) ?? []), term])
    const above = new Map(whole.map(({ term, broader }) => [term, broader]))
    const withKinds = (term: string): string[] => [term, ...(kinds.get(term) ?? [])]
    const excludes = new Map<string, Set<string>>(whole.map(({ term }) => [term, new Set()]))
    for (const { term, excludes: list = [] } of whole) {
      for (const name of list) {
        const other = named.get(name)
        if (other === undefined || other === term) continue
        for (const a of withKinds(term)) {
          for (const b of withKinds(other)) {
            if (a === b || above.get(a) === b || above.get(b) === a) continue
            excludes.get(a)!.add(b)
            excludes.get(b)!.add(a)
          }
        }
      }
    }
    this.#finder = new TermFinder(
      whole.flatMap(({ term, facet, also = [] }) => [...also, term].map((name) => [name, { term, facet, excludes: excludes.get(term)! }] as const)),
    )
  }

  /** The terms of a text, in order. */
  saidIn(text: string): Found<Excluding>[] {
    return this.#finder.find(text)
  }
}
