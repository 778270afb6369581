import type { Draft } from '../draft/shape.ts'
import type { Edit } from '../draft/edit-shape.ts'
import { editBetween } from '../draft/edit.ts'
import { addMark } from '../draft/mark.ts'
import { changeText, mapMarks, type TextChange } from '../draft/text-change.ts'
import { isFunctionWord } from '../read/words/function-words.ts'
import type { Phrase } from '../read/reading.ts'

/** Whether nothing but commas, semicolons and joining words stands between two phrases. */
export function canJoin(text: string, first: Phrase, second: Phrase): boolean {
  const between = text.slice(first.end, second.start)
  return first.end <= second.start && !/[^\s,;\p{L}&]|\n/u.test(between) && (between.match(/[\p{L}&]+/gu) ?? []).every((word) => isFunctionWord(word.toLowerCase()))
}

/**
 * Makes one phrase of two that follow one another: what separates them becomes a space, joining words stay. The whole
 * has the first one's facet, said by a mark. An empty edit where they cannot be joined.
 */
export function joinPhrases(draft: Draft, first: Phrase, second: Phrase): Edit {
  const { text, marks } = draft
  if (!canJoin(text, first, second)) return {}
  const between = text.slice(first.end, second.start)
  const plain = ` ${(between.match(/[\p{L}&]+/gu) ?? []).map((word) => `${word} `).join('')}`
  const changes: TextChange[] = plain === between ? [] : [{ from: first.end, to: second.start, insert: plain }]
  const end = second.end + plain.length - between.length
  const joined = addMark(mapMarks(marks, changes), { from: first.start, to: end, kind: 'facet', facet: first.facet })
  return editBetween(draft, { ...draft, text: changeText(text, changes), marks: joined }, changes)
}
