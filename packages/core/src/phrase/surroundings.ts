import { isFunctionWord } from '../read/words/function-words.ts'
import type { TextRange } from '../text-range.ts'

/** What stands around a phrase, as far as taking it out or putting one in must know. */
export interface Surroundings {
  /** Where the articles and joining words that lead to the phrase begin; the phrase's own start when there are none. */
  lead: number
  /** The mark before the lead, without spaces: a comma, a stop, a line end, nothing at the very start; a word otherwise. */
  before: 'start' | 'comma' | 'stop' | 'word'
  /** Where that mark or word ends. */
  beforeEnd: number
  after: 'end' | 'comma' | 'stop' | 'word'
  /** Where the mark or word after the phrase begins, and where the mark ends. */
  afterStart: number
  afterEnd: number
}

const COMMA = /[,،、;]/
const STOP = /[.!?:\n|{}[\]()"“”]/

/** Looks at the text beside a phrase. Joining words before it are its own; “and” between two words is not. */
export function around(text: string, { start, end }: TextRange): Surroundings {
  let lead = start
  for (;;) {
    const word = /([\p{L}&]+)[ \t]+$/u.exec(text.slice(Math.max(0, lead - 24), lead))
    if (!word || !isFunctionWord(word[1]!.toLowerCase())) break
    lead -= word[0].length
  }
  const beforeEnd = text.slice(0, lead).replace(/[ \t]+$/, '').length
  const mark = text[beforeEnd - 1]
  const before = mark === undefined ? 'start' : COMMA.test(mark) ? 'comma' : STOP.test(mark) ? 'stop' : 'word'
  const afterStart = end + (/^[ \t]*/.exec(text.slice(end))?.[0].length ?? 0)
  const next = text[afterStart]
  const after = next === undefined ? 'end' : COMMA.test(next) ? 'comma' : STOP.test(next) ? 'stop' : 'word'
  return { lead, before, beforeEnd, after, afterStart, afterEnd: after === 'comma' ? afterStart + 1 : afterStart }
}

/** A phrase with the words that lead to it: “in the snow” for “snow”. */
export const withLead = (text: string, phrase: TextRange): TextRange => ({ start: around(text, phrase).lead, end: phrase.end })
