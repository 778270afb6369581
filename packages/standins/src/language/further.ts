import type { Asked } from './asked.ts'
import { fillOut } from './fill.ts'
import { changedThroughout } from './tasks/change-throughout.ts'
import { Phrases } from './tasks/edit-phrases.ts'
import { tightened } from './tasks/tighten.ts'
import { countWords, rewritten } from './write.ts'
import { singularOf } from '@idolon/core/reader'

/** A prompt changed as a further instruction says: shorter, longer, without something, in another way of writing, or otherwise. */
export function changedFurther(prompt: string, further: string, { told, random, way, habits }: Asked, locked: readonly string[]): string {
  if (/\bshort(?:er|en)?\b|\bfewer words|\btight(?:er|en)|\bless (?:words|text)|\btrim\b/i.test(further)) return tightened(prompt, told.words ?? Math.max(8, Math.round(countWords(prompt) * 0.65)), locked)
  if (/\blong(?:er)?\b|\bmore (?:detail|words)|\bricher\b|\bfuller\b/i.test(further)) return fillOut(prompt, { ...told, everyFacet: true, words: told.words ?? Math.round(countWords(prompt) * 1.4) }, { random, way, terse: habits.terse, unwanted: [] }).text
  if (/\bas (?:a list|keywords)\b/i.test(further)) return rewritten(prompt, [], 'list')
  if (/\bin (?:whole |full )?sentences\b/i.test(further)) return rewritten(prompt, [], 'sentences')
  const without = /\b(?:without|no|drop|remove|leave out|take out)\s+(?:the |any |all )?([\p{L} -]+)/iu.exec(further)?.[1]
  if (without) {
    const words = without.split(/\s+(?:and|or)\s+|\s+/).filter((word) => word.length > 2).map((word) => singularOf(word.toLowerCase()))
    const phrases = new Phrases(prompt, locked)
    for (const phrase of [...phrases.list].reverse()) if (words.some((word) => phrase.text.toLowerCase().split(/[^\p{L}]+/u).map(singularOf).includes(word))) phrases.replace(phrase, '')
    return phrases.text
  }
  return changedThroughout(prompt, further, locked, random)
}

/** A list with other entries than it had, for “more” and “others”. */
export const isForMore = (further: string): boolean => /\b(?:more|others?|again|different|new ones|further)\b/i.test(further)

