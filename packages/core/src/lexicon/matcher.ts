import { type Choices, type Sets, turnsOf } from './term.ts'
import type { LexicalWord } from './words.ts'

interface Node<T> {
  /** What may follow, by the same choices of words. */
  byChoices: Map<string, Node<T>>
  words: Map<string, Node<T>[]>
  any: Node<T>[]
  kinds: { kind: string; next: Node<T> }[]
  numbers: { from: number; to: number; next: Node<T> }[]
  values: T[]
}
const newNode = <T>(): Node<T> => ({ byChoices: new Map(), words: new Map(), any: [], kinds: [], numbers: [], values: [] })

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
/** Words of which it is remembered what kinds they are of. */
const REMEMBERED = 5_000
const isPassed = ({ lower }: LexicalWord) => PASSED.has(lower) || (lower.length > 4 && lower.endsWith('ly'))

/** Of matches that overlap the longest, in the order of the text. */
export function longest<T>(matches: readonly Match<T>[]): Match<T>[] {
  const taken: Match<T>[] = []
  for (const one of [...matches].sort((a, b) => b.to - b.from - (a.to - a.from))) if (!taken.some((other) => other.from < one.to && other.to > one.from)) taken.push(one)
  return taken.sort((a, b) => a.from - b.from)
}

/** Finds the terms of a table in the words of a text. */
export class Matcher<T> {
  readonly #root = newNode<T>()
  readonly #remembered = new WeakMap<IsKind, Map<Node<T>, Map<string, readonly Node<T>[]>>>()

  #entries: Iterable<readonly [term: string, value: T]> | undefined

  /** The table is put together when something is first looked for, since a page that only lists prompts has no use for it. */
  constructor(
    entries: Iterable<readonly [term: string, value: T]>,
    private readonly sets: Sets = {},
  ) {
    this.#entries = entries
  }

  #putTogether(): void {
    for (const [term, value] of this.#entries ?? []) for (const places of turnsOf(term, this.sets)) this.#add(places, value)
    this.#entries = undefined
  }

  #add(places: readonly Choices[], value: T): void {
    let node = this.#root
    for (const choices of places) node = step(node, choices)
    if (!node.values.includes(value)) node.values.push(value)
  }

  /** What follows a node by the kinds that a word is of. Remembered, since a table has many kinds and a text is looked at after every key. */
  #ofKinds(node: Node<T>, { lower, forms }: LexicalWord, isKind: IsKind): readonly Node<T>[] {
    let known = this.#remembered.get(isKind)
    if (!known) this.#remembered.set(isKind, (known = new Map<Node<T>, Map<string, readonly Node<T>[]>>()))
    let own = known.get(node)
    if (!own) known.set(node, (own = new Map<string, readonly Node<T>[]>()))
    let found = own.get(lower)
    if (!found) {
      found = node.kinds.filter(({ kind }) => forms.some((form) => isKind(form, kind))).map(({ next }) => next)
      if (own.size >= REMEMBERED) own.clear()
      own.set(lower, found)
    }
    return found
  }

  /** Every match, also those that lie within others, by where they begin. @throws when a term of the table is ill-formed. */
  find(words: readonly LexicalWord[], isKind: IsKind): Match<T>[] {
    this.#putTogether()
    const found: Match<T>[] = []
    const walk = (node: Node<T>, from: number, at: number, passed: number): void => {
      if (passed === 0) for (const value of node.values) found.push({ from, to: at, value })
      const word = words[at]
      if (!word || (at > from && word.gap === 'mark')) return
      const next = new Set<Node<T>>(word.number === undefined ? node.any : [])
      for (const form of word.forms) for (const one of node.words.get(form) ?? []) next.add(one)
      if (word.number === undefined && node.kinds.length) for (const one of this.#ofKinds(node, word, isKind)) next.add(one)
      if (word.number !== undefined) for (const range of node.numbers) if (range.from <= word.number && word.number <= range.to) next.add(range.next)
      for (const one of next) walk(one, from, at + 1, 0)
      if (at > from && passed < PASSED_AT_MOST && isPassed(word)) walk(node, from, at + 1, passed + 1)
    }
    for (let from = 0; from < words.length; from++) walk(this.#root, from, from, 0)
    return found
  }
}

function step<T>(node: Node<T>, choices: Choices): Node<T> {
  const key = JSON.stringify(choices)
  const known = node.byChoices.get(key)
  if (known) return known
  const next = newNode<T>()
  node.byChoices.set(key, next)
  for (const one of choices) {
    if (one.is === 'any') node.any.push(next)
    else if (one.is === 'kind') node.kinds.push({ kind: one.kind, next })
    else if (one.is === 'number') node.numbers.push({ from: one.from, to: one.to, next })
    else {
      const list = node.words.get(one.word)
      if (list) list.push(next)
      else node.words.set(one.word, [next])
    }
  }
  return next
}
