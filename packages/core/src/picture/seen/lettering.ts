import type { PictureReading } from '../shape.ts'
import type { WordSeen } from './seen.ts'

const SURE = 0.85
const LIKELY = 0.6
const LETTERS = /^[^\p{L}\p{N}]*[\p{L}\p{N}][\p{L}\p{N}'’&.-]*[^\p{L}\p{N}]*$/u
/** A word of three letters with a vowel among them, or a number of two figures; what grain and leaves are read as seldom is. */
const isWord = (text: string) => (/\p{L}.*\p{L}.*\p{L}/u.test(text) && /[aeiouyäöüéèà]/iu.test(text) && !/(\p{L})\1\1/iu.test(text)) || /\d{2}/.test(text)

/** Whether words stand in a picture and what can be read of them, in the order of reading, from what a reader of lettering made out; null where it made something out and is not sure of it. */
export function letteringOf(words: readonly WordSeen[]): PictureReading['lettering'] {
  const good = words.filter(({ text, confidence }) => confidence >= LIKELY && LETTERS.test(text))
  const sure = good.filter(({ text, confidence }) => confidence >= SURE && isWord(text))
  if (sure.length === 0) return { present: good.some(({ text }) => isWord(text)) ? null : false, text: '', boxes: [] }
  const height = Math.max(...sure.map(({ box }) => box[3] - box[1])) / 2
  const lines = [...sure].sort((x, y) => x.box[1] - y.box[1] || x.box[0] - y.box[0]).reduce<WordSeen[][]>((all, word) => {
    const last = all.at(-1)
    if (last && Math.abs((last[0]!.box[1] + last[0]!.box[3] - word.box[1] - word.box[3]) / 2) < height) last.push(word)
    else all.push([word])
    return all
  }, [])
  return { present: true, text: lines.map((line) => line.sort((x, y) => x.box[0] - y.box[0]).map(({ text }) => text).join(' ')).join('\n'), boxes: good.map(({ box }) => [...box]) }
}
