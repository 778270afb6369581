import type { WordTable } from '../read/words/word-table.ts'

const WORD = /\p{L}{2,}/gu
/** So many words tell a language. */
const ENOUGH = 6
/** A text in English has about four words in a hundred that no table knows; other languages share at most half with it. */
const ENGLISH = 0.62
/** Of letters that no word of English has. */
const FOREIGN = 0.25

/** The short words that other languages of this alphabet use most and English does not. */
const ELSEWHERE = new Set('der die das und ein eine einen einem mit auf von den dem ist nicht im zu el los las una con del por para en su que y es le les des une dans avec sur et du au est qui pas il lo gli che di nel della sono het een van op met de og på med av til ett som är och o e os uma com do da no na em w z na się i nie'.split(' '))

/** Whether a text is in English, as far as so short a text tells. */
export function isEnglish(text: string, words: WordTable): boolean {
  const letters = text.match(/\p{L}/gu) ?? []
  if (letters.length === 0) return true
  if (letters.filter((letter) => !/\p{Script=Latin}/u.test(letter)).length / letters.length > FOREIGN) return false
  const all = [...text.matchAll(WORD)].map(([word]) => word.toLowerCase())
  if (all.length < ENOUGH) return true
  const foreign = all.filter((word) => ELSEWHERE.has(word)).length / all.length
  const known = all.filter((word) => words.find(word) !== undefined || /^(?:the|an|of|and|in|on|at|with|by|from|to|is|are|as|its|it|or|but|not|no|into|over|under)$/.test(word)).length / all.length
  return known - foreign >= ENGLISH
}
