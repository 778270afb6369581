import { allContent, contentOf } from './content.ts'

/** Groups of words of which a thing has one: a beard is white or black. */
const EITHER: readonly (readonly string[])[] = [
  'red orange yellow green blue purple pink brown beige grey gray black white golden gold silver blond blonde auburn ginger copper turquoise crimson scarlet ochre'.split(' '),
  'tall short tiny huge giant small large big towering'.split(' '),
  'old elderly ancient aged young youthful teenage middle-aged'.split(' '),
  'thin slim slender lean gaunt stout plump fat stocky burly broad'.split(' '),
  'long short cropped shaved bald'.split(' '),
  'straight curly wavy frizzy braided plaited'.split(' '),
  'bearded clean-shaven'.split(' '),
  'wooden stone brick glass metal iron brass copper bronze steel tin silver gold golden ceramic porcelain paper leather woollen linen silk velvet wicker thatched slate tiled'.split(' '),
  'matte glossy satin'.split(' '),
  'smooth rough'.split(' '),
  'polished tarnished rusty rusted'.split(' '),
  'ruined derelict new crumbling restored'.split(' '),
  'woman man girl boy'.split(' '),
]
/** The words that a word cannot stand beside. */
const othersThan = (word: string): string[] => EITHER.filter((group) => group.includes(word)).flatMap((group) => group.filter((other) => other !== word))
const isEither = (word: string) => EITHER.some((group) => group.includes(word))

/** Words of a text that say the opposite of a phrase: its noun with another colour, size or stuff before it, or another of its kind of person. */
export function contradictionIn(shown: string, phrase: string): string | undefined {
  const words: string[] = phrase.toLowerCase().match(/[\p{L}-]+/gu) ?? []
  const lower = shown.toLowerCase()
  for (const [i, word] of words.entries()) {
    if (!isEither(word)) continue
    const noun = words.slice(i + 1).find((other) => !isEither(other) && other.length > 2 && !/^(?:and|with|the|her|his)$/.test(other))
    if (!noun) continue
    for (const other of othersThan(word)) {
      if (words.includes(other)) continue
      const found = new RegExp(`(?<![\\p{L}-])${other}(?:[ ,]+[\\p{L}-]+){0,2}? ${noun}(?![\\p{L}-])`, 'iu').exec(lower)
      if (found && !new RegExp(`(?<![\\p{L}-])${word}(?:[ ,]+[\\p{L}-]+){0,2}? ${noun}(?![\\p{L}-])`, 'iu').test(lower)) return shown.slice(found.index, found.index + found[0].length)
    }
  }
  return undefined
}

/** Whether a text says a phrase: most of its words that tell something stand in it. */
export function isSaid(shown: string, phrase: string): boolean {
  const own = contentOf(phrase)
  const wanted = own.length ? own : allContent(phrase)
  if (!wanted.length) return true
  const words = new Set(allContent(shown))
  const has = (word: string) => words.has(word) || words.has(`${word}s`) || (word.endsWith('s') && words.has(word.slice(0, -1)))
  return wanted.filter(has).length / wanted.length >= 0.67
}
