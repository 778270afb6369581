import { type Element, type Sets, sequencesOf } from './term.ts'
import type { LexicalWord } from './words.ts'

interface Node<T> {
  words: Map<string, Node<T>>
  any?: Node<T>
  kinds: Map<string, Node<T>>
  numbers: { from: number; to: number; next: Node<T> }[]
  values: T[]
}
const newNode = <T>(): Node<T> => ({ words: new Map(), kinds: new Map(), numbers: [], values: [] })

/** A term found: `from` and `to` are places in the list of words, `to` one past the last. */
export interface Match<T> {
  from: number
  to: number
  value: T
}

/** Tells whether a noun in lower case is a kind of another. */
export type IsKind = (noun: string, kind: string) => boolean

/** Small words that stand between the words of a term and change nothing: “the sun is rising”, “face fills the frame”. */
const PASSED = new Set("the a an his her its their my our your this that is are was were be being been 's and very quite so too all just still now rather truly really almost nearly".split(' '))
const PASSED_AT_MOST = 2
const isPassed = ({ lower }: LexicalWord) => PASSED.has(lower) || (lower.length > 4 && lower.endsWith('ly'))

/** Finds the terms of a table in the words of a text. */
export class Matcher<T> {
  readonly #root = newNode<T>()

  /** @throws when a term of the table is ill-formed. */
  constructor(entries: Iterable<readonly [term: string, value: T]>, sets: Sets = {}) {
    for (const [term, value] of entries) for (const elements of sequencesOf(term, sets)) this.#add(elements, value)
  }

  #add(elements: readonly Element[], value: T): void {
    let node = this.#root
    for (const element of elements) node = step(node, element)
    if (!node.values.includes(value)) node.values.push(value)
  }

  /** Every match, also those that lie within others, by where they begin. */
  find(words: readonly LexicalWord[], isKind: IsKind): Match<T>[] {
    const found: Match<T>[] = []
    const walk = (node: Node<T>, from: number, at: number, passed: number): void => {
      if (passed === 0) for (const value of node.values) found.push({ from, to: at, value })
      const word = words[at]
      if (!word || (at > from && word.gap === 'mark')) return
      for (const form of word.forms) {
        const next = node.words.get(form)
        if (next) walk(next, from, at + 1, 0)
      }
      if (node.any && word.number === undefined) walk(node.any, from, at + 1, 0)
      for (const [kind, next] of node.kinds) if (word.forms.some((form) => isKind(form, kind))) walk(next, from, at + 1, 0)
      if (word.number !== undefined) for (const range of node.numbers) if (range.from <= word.number && word.number <= range.to) walk(range.next, from, at + 1, 0)
      if (at > from && passed < PASSED_AT_MOST && isPassed(word)) walk(node, from, at + 1, passed + 1)
    }
    for (let from = 0; from < words.length; from++) walk(this.#root, from, from, 0)
    return found
  }
}

function step<T>(node: Node<T>, element: Element): Node<T> {
  switch (element.is) {
    case 'any':
      return (node.any ??= newNode())
    case 'number': {
      const known = node.numbers.find(({ from, to }) => from === element.from && to === element.to)
      if (known) return known.next
      const next = newNode<T>()
      node.numbers.push({ from: element.from, to: element.to, next })
      return next
    }
    default: {
      const [map, key] = element.is === 'kind' ? [node.kinds, element.kind] : [node.words, element.word]
      let next = map.get(key)
      if (!next) map.set(key, (next = newNode()))
      return next
    }
  }
}
