/** Words that begin a scene, as somebody quoted them, and where they were found. */
export interface FoundBegins {
  /** Where scenes begin, in UTF-16 code units of the story, ascending; the first word of the story is among them. */
  starts: number[]
  /** What could not be found, as it was quoted. */
  unfound: string[]
}

/** Fewer words than this say no place for sure. */
const FEWEST_WORDS = 3

interface Word {
  text: string
  start: number
}
const wordsOf = (text: string): Word[] => [...text.matchAll(/[\p{L}\p{N}]+(?:['’][\p{L}]+)*/gu)].map((match) => ({ text: match[0].toLowerCase().replaceAll('’', "'"), start: match.index }))

/** How many words of a quotation stand in a text from a word of it on. */
function matched(text: readonly Word[], at: number, quoted: readonly Word[]): number {
  let length = 0
  while (length < quoted.length && text[at + length]?.text === quoted[length]!.text) length++
  return length
}

/**
 * Where a story has the words that its scenes are said to begin with. Case, spaces and marks may differ, and a quotation
 * may go wrong towards its end; each is looked for after the one before, and then, out of order, from the top.
 */
export function beginsIn(story: string, quotations: readonly string[]): FoundBegins {
  const text = wordsOf(story)
  const starts = new Set<number>(text.length ? [0] : [])
  const unfound: string[] = []
  let next = 0
  for (const quotation of quotations) {
    const quoted = wordsOf(quotation)
    const least = Math.min(FEWEST_WORDS, quoted.length)
    const from = (first: number, last: number) => {
      let best = { at: -1, length: Math.max(0, least - 1) }
      for (let at = first; at < last && best.length < quoted.length; at++) {
        const length = matched(text, at, quoted)
        if (length > best.length) best = { at, length }
      }
      return best.at
    }
    const found = quoted.length === 0 ? -1 : [from(next, text.length), from(0, next)].find((at) => at >= 0) ?? -1
    if (found < 0) {
      unfound.push(quotation)
      continue
    }
    starts.add(found === 0 ? 0 : text[found]!.start)
    next = found + 1
  }
  return { starts: [...starts].sort((a, b) => a - b), unfound }
}
