import { isFunctionWord } from '../read/words/function-words.ts'

const WORD = /[\p{L}\p{N}]+(?:[’'][\p{L}\p{N}]+)*/gu
/** Words that say nothing of a picture by themselves. */
const EMPTY = new Set('is are was were be being been has have had it its he she they them his her their this that these those there which who whose as so then s while where when'.split(' '))

export interface PlainWord {
  start: number
  end: number
  /** In lower case. */
  word: string
}

/** The words of a text that say something of a picture, in order; numbers are among them, articles are not. */
export function plainWords(text: string): PlainWord[] {
  return [...text.matchAll(WORD)].flatMap((match) => {
    const word = match[0].toLowerCase().replaceAll('’', "'").replace(/'s$/, '')
    return isFunctionWord(word) || EMPTY.has(word) ? [] : [{ start: match.index, end: match.index + match[0].length, word }]
  })
}

/** Two texts are equal by this exactly when they differ in nothing but case, spacing, punctuation and articles. */
export const bareText = (text: string): string => [...text.matchAll(WORD)].map(([word]) => word.toLowerCase()).filter((word) => word !== 'a' && word !== 'an' && word !== 'the').join(' ')

/** What a sentence puts before what it says of the picture: “it is seen in a close-up” says “close-up”. */
const FRAME = /^(?:it|this|that|they|these)(?:'s|’s| is| are| was| were)(?: (?:seen|shown|set|done|made|taken|framed|lit|drawn|painted|rendered|told)(?= (?:in|as|from|at|with|by|on)\b))?(?: (?:in|as|from|at|with|by|on)\b)? /

/** As `bareText`, less the frame that a sentence puts around a phrase. */
export const unframedText = (text: string): string => bareText(text).replace(FRAME, '')
