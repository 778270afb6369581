import type { PromptSummary } from '@idolon/contract'
import type { ShelfWords } from '@idolon/core'
import type { TypedWord } from './typed-words.ts'

/** Letters of a snippet on either side of what was found. */
const AROUND = 30
const fold = (text: string) => text.toLowerCase().normalize('NFKD').replace(/\p{M}/gu, '')

/** Where one of the words begins in a text; -1 where none does. */
function found(text: string, { words, exact }: TypedWord): number {
  for (const match of fold(text).matchAll(/[\p{L}\p{N}]+/gu)) if (words.some((word) => (exact ? match[0].startsWith(word) : match[0] === word))) return match.index
  return -1
}

function snippet(text: string, at: number): string {
  const from = text.lastIndexOf(' ', Math.max(0, at - AROUND)) + 1
  const until = text.indexOf(' ', at + AROUND)
  return `${from > 0 ? '… ' : ''}${text.slice(from, until < 0 ? undefined : until).trim()}${until < 0 ? '' : ' …'}`
}

/**
 * Why a prompt was found, in words: where each word stands that does not stand in what the row shows anyway, and the terms of facets.
 * `text` is the whole draft's, `notes` those of the prompt and its proofs.
 */
export function whyFound(prompt: PromptSummary, text: string, notes: string, read: readonly TypedWord[], said: ShelfWords['said']): string[] {
  const why = said.map(({ facet, words }) => `${facet}: ${words.join(' ')}`)
  const shown = `${prompt.title} ${prompt.excerpt}`
  for (const word of read) {
    if (found(shown, word) >= 0) continue
    const tag = prompt.tags.find((one) => found(one, word) >= 0)
    const [inText, inNotes] = [found(text, word), found(notes, word)]
    why.push(tag ? `tagged ${tag}` : inText >= 0 ? `in its text: ${snippet(text, inText)}` : inNotes >= 0 ? `in a note: ${snippet(notes, inNotes)}` : `“${word.typed}” in what it leaves out`)
  }
  return [...new Set(why)]
}
