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

/** One place in a turn of phrase: what may stand there. */
export type Choices = readonly Element[]

/** No term may have more places than this that can be left out. */
const MOST_OPTIONAL = 6

/**
 * The turns of phrase that a term stands for, each a list of places. A term is words separated by spaces:
 * `word` in any form; `a|b` either; `word?` or nothing; `_` any one word; `<kind>` a noun of a kind; `#10..28` a number;
 * `{set}` a word of a set. @throws when a term is empty, ill-formed, or leaves too much out.
 */
export function turnsOf(term: string, sets: Sets = {}): Choices[][] {
  if (term.trim() === '') throw new Error('A term says nothing.')
  let all: Choices[][] = [[]]
  let optionals = 0
  for (const part of term.trim().split(/\s+/)) {
    const optional = part.endsWith('?')
    const said = optional ? part.slice(0, -1) : part
    const choices = said.split('|').flatMap((one) => (/^\{\w+\}$/.test(one) ? wordsOf(sets, one.slice(1, -1)) : [one])).map(elementOf)
    if (optional && ++optionals > MOST_OPTIONAL) throw new Error(`“${term}” leaves out more than ${MOST_OPTIONAL} words.`)
    all = all.flatMap((before) => (optional ? [[...before, choices], before] : [[...before, choices]]))
  }
  const turns = all.filter((places) => places.length > 0)
  // “sun rise” is written “sunrise” and “sun-rise”, too.
  return turns.flatMap((places) => {
    const [first, second, third] = places
    if (!first || !second || third) return [places]
    const joined = first.flatMap((one) => second.flatMap((other): Element[] => (one.is === 'word' && other.is === 'word' ? [{ is: 'word', word: one.word + other.word }] : [])))
    return joined.length ? [places, [joined]] : [places]
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
