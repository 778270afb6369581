import type { Phrase } from '../read/reading.ts'
import { isFunctionWord } from '../read/words/function-words.ts'
import type { TextRange } from '../text-range.ts'
import type { Checked } from './checked.ts'
import type { Fix } from './finding.ts'
import { removing, replacementOf } from './fixes.ts'

const ARTICLE = /^(?:an?|the|his|her|its|their|some|one|two|three)$/i
const WORD = /[\p{L}\p{N}]+(?:[’'-][\p{L}\p{N}]+)*/gu

/**
 * What can go of a phrase so that one thing in it goes and the rest still reads: “with a television” of “a parlour with a
 * television”, “a television and” of “with a television and a chair”. Undefined where the thing is what the phrase is about.
 */
function itemAround({ draft: { text } }: Checked, { start, end, phrase }: TextRange & { phrase: Phrase }): TextRange | undefined {
  const before = [...text.slice(phrase.start, start).matchAll(WORD)].map((match) => ({ word: match[0], start: phrase.start + match.index }))
  let from = start
  // Back over what belongs to the thing: its adjectives, then its article.
  while (before.length) {
    const { word, start: at } = before.at(-1)!
    if (!ARTICLE.test(word) && (isFunctionWord(word.toLowerCase()) || /ing$/i.test(word) || /[,;]/.test(text.slice(at + word.length, from)))) break
    before.pop()
    from = at
    if (ARTICLE.test(word)) break
  }
  const next = /^\s*(?:,|and\b)\s*(?=\p{L})/iu.exec(text.slice(end, phrase.end))
  if (before.length === 0) {
    // The article of a phrase's first thing stands before the phrase.
    const article = /\b(?:an?|the|some|his|her|its|their)\s+$/i.exec(text.slice(0, phrase.start))?.[0].length ?? 0
    return next ? { start: phrase.start - article, end: end + next[0].length } : undefined
  }
  if (next) return { start: from, end: end + next[0].length }
  // Nothing like it follows: what leads to it goes too, as long as it is a joining word and not a verb.
  const lead = before.at(-1)!
  return isFunctionWord(lead.word.toLowerCase()) ? { start: lead.start, end } : undefined
}

/** The fix that takes a thing out of the text with the words that belong to it; its whole phrase where that is about it. */
export function removingItem(checked: Checked, thing: TextRange & { phrase: Phrase }): Fix {
  const item = itemAround(checked, thing)
  if (!item) return removing(checked, thing.phrase)
  // Before a word the space after the item goes with it, at the end of a phrase the one before.
  const { text } = checked.draft
  const start = item.end < thing.phrase.end ? item.start : text.slice(0, item.start).trimEnd().length
  return { label: `Take out “${checked.said(thing)}”`, edits: [replacementOf(checked.draft, { start, end: item.end }, '')], safe: false }
}
