import { FACETS } from '../facets.ts'
import type { Facet } from '../facet.ts'
import { scan, type Token } from '../read/scan.ts'

/** A term found in a text: the facets it stands in as bits (subject is 1), and where in the term a word is. */
export interface TermHit {
  facets: number
  /** 0 the only word, 1 the first, 2 inside, 3 the last. */
  place: number
}

interface Node {
  next: Map<string, Node>
  facets: number
}

const singular = (word: string): string | undefined => (word.length > 3 && word.endsWith('s') && !word.endsWith('ss') ? word.slice(0, -1) : undefined)

/** Finds terms in scanned text, the longest first, by a trie of their words. */
export class TermIndex {
  readonly #root: Node = { next: new Map(), facets: 0 }

  constructor(terms: Readonly<Record<Facet, readonly string[]>>) {
    FACETS.forEach((facet, i) => {
      for (const term of terms[facet]) this.#add(term, 1 << i)
    })
  }

  #add(term: string, bit: number): void {
    let node = this.#root
    for (const { lower, kind } of scan(term)) {
      if (kind === 'mark') continue
      let next = node.next.get(lower)
      if (!next) node.next.set(lower, (next = { next: new Map(), facets: 0 }))
      node = next
    }
    node.facets |= bit
  }

  /** For each token the term it belongs to, or undefined. */
  find(tokens: readonly Token[]): (TermHit | undefined)[] {
    const hits = new Array<TermHit | undefined>(tokens.length)
    for (let i = 0; i < tokens.length; i++) {
      let node: Node | undefined = this.#root
      let length = 0
      let facets = 0
      for (let k = i; k < tokens.length && node; k++) {
        const { lower, kind } = tokens[k]!
        if (kind === 'mark') break
        const plain = singular(lower)
        const last: Node | undefined = node.next.get(lower) ?? (plain ? node.next.get(plain) : undefined)
        if (last?.facets) {
          length = k - i + 1
          facets = last.facets
        }
        node = node.next.get(lower)
      }
      for (let k = 0; k < length; k++) hits[i + k] = { facets, place: length === 1 ? 0 : k === 0 ? 1 : k === length - 1 ? 3 : 2 }
      if (length > 1) i += length - 1
    }
    return hits
  }
}
