import type { WordTable } from '../read/words/word-table.ts'

const WORD = /\p{L}{2,}/gu
/** So many words tell a language. */
const ENOUGH = 6
/** Of letters that no word of English has. */
const FOREIGN = 0.25
/** Share of known words, less that of another language's, below which a text with such words is not English: other languages share at most half with it. */
const MIXED = 0.62
/** The same for a text without such words: the terms of art in a list of media are in no table of common words. */
const PLAIN = 0.15

/** The short words that other languages of this alphabet use most and English does not. */
const ELSEWHERE = new Set(`der das und ein eine einen einem mit auf von dem ist nicht im zu aus bei wie vor nach unter zur zum sich wird oder auch sie er es am
 el los las la un una unos unas con del por para su que y es este esta como pero más sobre
 le les des une dans avec sur et du au aux est qui pas pour ou où sous ces sa ses leur elle mais comme
 il lo gli che di nel della nella nello alla allo dei degli delle dal dalla sul sulla sono uno
 het een op naar uit bij voor aan zijn haar ook og på med av til ett som är och det för från inte ikke
 os uma com da em ao pelo pela num numa não sie się nie jest ze od przez je se
 ja joka sekä egy az és yang dan dengan dari`.split(/\s+/))
const ENGLISH = new Set('the an of and in on at with by from to is are as its it or but not no into over under'.split(' '))

/** Whether a text is in English, as far as so short a text tells. Words with a capital may be names: they tell nothing. */
export function isEnglish(text: string, words: WordTable): boolean {
  const letters = text.match(/\p{L}/gu) ?? []
  if (letters.length === 0) return true
  if (letters.filter((letter) => !/\p{Script=Latin}/u.test(letter)).length / letters.length > FOREIGN) return false
  const all = [...text.matchAll(WORD)].map(([word]) => word)
  const plain = all.filter((word) => word === word.toLowerCase())
  if (plain.length < ENOUGH) return true
  const foreign = all.filter((word) => ELSEWHERE.has(word.toLowerCase())).length / all.length
  const known = plain.filter((word) => ENGLISH.has(word) || words.find(word) !== undefined).length / plain.length
  return known - foreign >= (foreign > 0 ? MIXED : PLAIN)
}
