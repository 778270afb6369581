import { SAME } from '../check/senses.ts'
import { singularOf } from '../english/noun.ts'
import type { Kin } from '../glossary/kin.ts'
import { listed, TermFinder } from '../glossary/term-finder.ts'
import { SAME_WORDS } from './same-words.ts'
import { type PlainWord, plainWords } from './plain-words.ts'

/** Which words say the same. */
export interface Sameness {
  /** The words of a text as they are compared; a turn of several words that has a meaning of its own is one. */
  termsOf(text: string, words: readonly PlainWord[]): string[]
  same(x: string, y: string): boolean
  /** Whether one is a kind of the other, or both are made of one root. */
  close?(x: string, y: string): boolean
}

const VOWEL = /[aeiouy]/
/** What a word may be a form of: plurals, -ing, -ed, -er of spelling. */
function basesOf(word: string): string[] {
  const bases = new Set([word, singularOf(word)])
  for (const one of [...bases]) {
    bases.add(one.replace(/our(?=s?$|ed$|ing$|ful$)/, 'or').replace(/^grey/, 'gray').replace(/ise(?=d?$)/, 'ize').replace(/centre$/, 'center'))
    const [, stem, ending] = /^(.+?)(ing|ed|ied|es)$/.exec(one) ?? []
    if (!stem || !ending || stem.length < 2 || !VOWEL.test(stem)) continue
    if (ending === 'ied') bases.add(`${stem}y`)
    else {
      bases.add(stem)
      bases.add(`${stem}e`)
      if (/([^aeiou])\1$/.test(stem)) bases.add(stem.slice(0, -1))
      if (stem.endsWith('y')) bases.add(`${stem.slice(0, -1)}ie`)
    }
  }
  return [...bases]
}
const remembered = new Map<string, string[]>()
const MOST_REMEMBERED = 20_000
function formsOf(word: string): string[] {
  let forms = remembered.get(word)
  if (!forms) {
    if (remembered.size >= MOST_REMEMBERED) remembered.clear()
    remembered.set(word, (forms = basesOf(word)))
  }
  return forms
}
const shareForm = (x: string, y: string): boolean => x === y || formsOf(x).some((form) => formsOf(y).includes(form))

/** Words are the same only when they are forms of one word. */
export const sameForms: Sameness = {
  termsOf: (_text, words) => words.map(({ word }) => word),
  same: shareForm,
}

const DIGITS = new Map('one two three four five six seven eight nine ten eleven twelve'.split(' ').map((word, i) => [word, String(i + 1)]))
const number = (word: string) => DIGITS.get(word) ?? word

/** Letters that words of one root begin with alike at least: “violinist” and “violin”. */
const ROOT = 5
/** Letters of a word that another, made with it, ends in: “blacksmith” and “smith”. */
const PART = 4
function ofOneRoot(x: string, y: string): boolean {
  const [long, short] = x.length >= y.length ? [x, y] : [y, x]
  if (short.length >= PART && (long.endsWith(short) || (long.startsWith(short) && long.length - short.length <= 4))) return true
  let alike = 0
  while (alike < short.length && long[alike] === short[alike]) alike++
  return alike >= ROOT && alike >= long.length * 0.6
}

/** Steps in the tree of kinds between two words that are close: a hound and a dog, a gentleman and a man. */
const CLOSE = 2

/** Words are the same when they are forms of one word or stand in one set of synonyms. */
export class Synonyms implements Sameness {
  readonly #sets = new Map<string, number[]>()
  readonly #turns: TermFinder<string>

  /** `same` are the sets of packages/core/tables/same.json: words of one meaning, with commas between. Without `kin`, only words of one root are close. */
  constructor(
    same: readonly string[],
    private readonly kin?: Kin,
  ) {
    const turns: (readonly [string, string])[] = []
    const add = (word: string, set: number) => {
      const sets = this.#sets.get(word)
      if (sets) sets.push(set)
      else this.#sets.set(word, [set])
      if (plainWords(word).length > 1) turns.push([word, word])
    }
    const own = [...SAME.trim().split('\n'), ...SAME_WORDS.trim().split('\n')]
    ;[...own, ...same].forEach((line, set) => {
      for (const [word] of listed(line, set)) {
        add(word, set)
        // “at sea” is no turn of its own, but the sea.
        const [only, more] = plainWords(word)
        if (only && !more && only.word !== word) add(only.word, set)
      }
    })
    this.#turns = new TermFinder(turns)
  }

  termsOf(text: string, words: readonly PlainWord[]): string[] {
    const turns = this.#turns.find(text)
    const inside = (word: PlainWord) => turns.find(({ start, end }) => word.start >= start && word.end <= end)
    return words.flatMap((word, i) => {
      const turn = inside(word)
      if (!turn) return [number(word.word)]
      // A turn stands once, for its first word that says something.
      return i > 0 && inside(words[i - 1]!) === turn ? [] : [turn.value]
    })
  }

  same(x: string, y: string): boolean {
    if (shareForm(x, y)) return true
    const own = formsOf(x).flatMap((form) => this.#sets.get(form) ?? [])
    return own.length > 0 && formsOf(y).some((form) => this.#sets.get(form)?.some((set) => own.includes(set)))
  }

  close(x: string, y: string): boolean {
    if (ofOneRoot(x, y)) return true
    if (!this.kin) return false
    const steps = Math.max(this.kin.below(x, y), this.kin.below(y, x))
    return steps >= 0 && steps <= CLOSE
  }
}
