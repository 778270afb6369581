import type { TextRange } from '../text-range.ts'

/** A term found in a text, with what it stands for. */
export interface Found<T> extends TextRange {
  value: T
  /** The term as the list has it. */
  term: string
}

interface Node<T> {
  next: Map<string, Node<T>>
  end?: { value: T; term: string }
}

const WORD = /[\p{L}\p{N}]+(?:['’]\p{L}+)*/gu
/** What may stand between two words of one term. */
const TIE = /^[\s-]+$/

/** Plurals that mean another thing than one of them. */
const OWN_PLURALS = new Set('glasses letters arms shorts briefs goods irons spirits works stairs colours colors clothes news series species lens lights people'.split(' '))
/** A word as it is compared: lower case, without a plural's ending. */
function plain(word: string): string {
  const lower = word.toLowerCase().replaceAll('’', "'")
  // “selfie” and “selfies” meet at “selfy”, as “city” and “cities” do at “city”.
  if (lower.length > 4 && lower.endsWith('ie')) return `${lower.slice(0, -2)}y`
  if (lower.length < 3 || !lower.endsWith('s') || lower.endsWith('ss') || OWN_PLURALS.has(lower)) return lower
  if (lower.endsWith('ies') && lower.length > 4) return `${lower.slice(0, -3)}y`
  return /(?:ch|sh|x|ss|zz)es$/.test(lower) ? lower.slice(0, -2) : lower.slice(0, -1)
}

/** Finds terms of a list in a text, the longest first; case, hyphens and a plural's ending do not matter. */
export class TermFinder<T> {
  readonly #root: Node<T> = { next: new Map() }

  /** Later entries win over earlier ones of the same words. */
  constructor(entries: Iterable<readonly [term: string, value: T]>) {
    for (const [term, value] of entries) {
      let node = this.#root
      for (const [word] of term.matchAll(WORD)) {
        const key = plain(word)
        let next = node.next.get(key)
        if (!next) node.next.set(key, (next = { next: new Map() }))
        node = next
      }
      if (node !== this.#root) node.end = { value, term }
    }
  }

  /** In order, never overlapping. */
  find(text: string): Found<T>[] {
    const words = [...text.matchAll(WORD)].map((match) => ({ start: match.index, end: match.index + match[0].length, word: plain(match[0]) }))
    const found: Found<T>[] = []
    for (let i = 0; i < words.length; i++) {
      let best: { end: NonNullable<Node<T>['end']>; last: number } | undefined
      const walk = (node: Node<T>, at: number): void => {
        if (node.end && (!best || at - 1 > best.last)) best = { end: node.end, last: at - 1 }
        const word = words[at]
        if (!word || (at > i && !TIE.test(text.slice(words[at - 1]!.end, word.start)))) return
        const next = node.next.get(word.word)
        if (next) walk(next, at + 1)
      }
      walk(this.#root, i)
      if (!best) continue
      found.push({ start: words[i]!.start, end: words[best.last]!.end, ...best.end })
      i = best.last
    }
    return found
  }
}

/** The words of a list: entries separated by commas or line ends, and what each stands for. */
export function listed<T>(list: string, value: T): (readonly [string, T])[] {
  return list
    .split(/[,\n]/)
    .map((term) => term.trim())
    .filter(Boolean)
    .map((term) => [term, value] as const)
}
