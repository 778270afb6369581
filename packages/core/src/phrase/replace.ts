import type { Draft } from '../draft/shape.ts'
import type { Edit } from '../draft/edit-shape.ts'
import { editBetween } from '../draft/edit.ts'
import type { Mark } from '../draft/mark-shape.ts'
import { sortMarks } from '../draft/mark.ts'
import { changeText, mapMarks, type TextChange } from '../draft/text-change.ts'
import { articleFor } from '../english/article.ts'
import type { TextRange } from '../text-range.ts'

const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1)

function changesFor(text: string, { start, end }: TextRange, words: string): TextChange[] {
  const said = words.trim()
  if (!said) return []
  const before = /(^|[\s("“])(an?|the)([ \t]+)$/i.exec(text.slice(Math.max(0, start - 8), start))
  const article = before?.[2] ?? ''
  const opens = /^\p{Lu}/u.test(text.slice(start, end)) && /(?:^|[.!?\n]\s*["“]?)$/.test(text.slice(0, start))
  if (/^(?:an?|the)\s/i.test(said) && article) {
    const from = start - article.length - (before?.[3]?.length ?? 0)
    return [{ from, to: end, insert: /^\p{Lu}/u.test(article) ? capital(said) : said }]
  }
  if (/^an?$/i.test(article)) {
    const fitting = articleFor(said)
    if (fitting !== article.toLowerCase()) {
      const from = start - article.length - (before?.[3]?.length ?? 0)
      return [{ from, to: end, insert: `${/^\p{Lu}/u.test(article) ? capital(fitting) : fitting} ${said}` }]
    }
  }
  return [{ from: start, to: end, insert: opens ? capital(said) : said }]
}

/** What the writer did to the words is meant for the phrase, and stays when its words change. */
const STAYS: ReadonlySet<Mark['kind']> = new Set(['facet', 'emphasis', 'off', 'locked'])

/**
 * Puts other words in a phrase's place. The article before it follows the new first word and goes when the new words
 * have their own; a capital stays a capital; facet, emphasis, off and locked stay on the phrase.
 */
export function replacePhrase(draft: Draft, phrase: TextRange, words: string): Edit {
  const changes = changesFor(draft.text, phrase, words)
  const [change] = changes
  if (!change) return {}
  const text = changeText(draft.text, changes)
  const end = change.from + change.insert.length
  const start = end - words.trim().length
  const kept = draft.marks
    .filter((mark) => STAYS.has(mark.kind) && mark.from <= phrase.start && mark.to >= phrase.end)
    .map((mark) => ({ ...mark, from: mark.from === phrase.start ? start : mark.from, to: mark.to === phrase.end ? end : mark.to + end - phrase.end }))
  const moved = mapMarks(draft.marks.filter((mark) => !(STAYS.has(mark.kind) && mark.from <= phrase.start && mark.to >= phrase.end)), changes)
  return editBetween(draft, { ...draft, text, marks: sortMarks([...moved, ...kept]) }, changes)
}
