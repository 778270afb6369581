/** One word of a term: what may stand there. */
export type Element =
  /** A word in any of its forms, or the very form that the table has. */
  | { is: 'word'; word: string }
  | { is: 'any' }
  /** A noun that is a kind of this (WordNet's tree). */
  | { is: 'kind'; kind: string }
  | { is: 'number'; from: number; to: number }

/** Names for sets of words that many terms share: `{hair}` in a term stands for any of them. */
export type Sets = Readonly<Record<string, string>>

/** No term may stand for more sequences than this; one that does is written too broadly. */
const MOST = 3_000

/**
 * The sequences of elements that a term stands for. A term is words separated by spaces:
 * `word` in any form; `a|b` either; `word?` or nothing; `_` any one word; `<kind>` a noun of a kind; `#10..28` a number;
 * `{set}` a word of a set. @throws when a term is empty, or stands for too much.
 */
export function sequencesOf(term: string, sets: Sets = {}): Element[][] {
  let all: Element[][] = [[]]
  for (const part of term.trim().split(/\s+/)) {
    const optional = part.endsWith('?')
    const said = optional ? part.slice(0, -1) : part
    const choices = said.split('|').flatMap((one) => (/^\{\w+\}$/.test(one) ? wordsOf(sets, one.slice(1, -1)) : [one])).map(elementOf)
    all = all.flatMap((before) => [...choices.map((choice) => [...before, choice]), ...(optional ? [before] : [])])
    if (all.length > MOST) throw new Error(`“${term}” stands for more than ${MOST} turns of phrase.`)
  }
  all = all.filter((elements) => elements.length > 0)
  if (all.length === 0 || term.trim() === '') throw new Error(`“${term}” says nothing.`)
  // “sun rise” is written “sunrise” and “sun-rise”, too.
  return all.flatMap((elements) => {
    const [first, second, third] = elements
    return first?.is === 'word' && second?.is === 'word' && !third ? [elements, [{ is: 'word' as const, word: first.word + second.word }]] : [elements]
  })
}

function wordsOf(sets: Sets, name: string): string[] {
  const said = sets[name]
  if (said === undefined) throw new Error(`There is no set of words “${name}”.`)
  return said.trim().split(/\s+/)
}

function elementOf(said: string): Element {
  if (said === '_') return { is: 'any' }
  const kind = /^<([^>]+)>$/.exec(said)
  if (kind) return { is: 'kind', kind: kind[1]!.replaceAll('_', ' ') }
  const range = /^#(\d+(?:\.\d+)?)\.\.(\d+(?:\.\d+)?)$/.exec(said)
  if (range) return { is: 'number', from: Number(range[1]), to: Number(range[2]) }
  if (!/^(?:[\p{L}\p{M}'/]+|\d+(?:\.\d+)?|1\/)$/u.test(said)) throw new Error(`“${said}” is no word, kind, number or set.`)
  return { is: 'word', word: said }
}
