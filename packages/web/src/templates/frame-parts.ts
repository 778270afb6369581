import { readTemplate } from '@idolon/core'

/** A template's text in runs: words, and slots by their names; a template that cannot be read is one run of words. */
export function frameParts(text: string): { words: string; slot: string }[] {
  const { parts } = readTemplate(text)
  return parts.length ? parts.map((part) => ('text' in part ? { words: part.text, slot: '' } : { words: part.slot, slot: part.slot })) : [{ words: text, slot: '' }]
}

/** A filled text in runs: words of the template, and values by the slots they fill. */
export function filledParts({ text, slots }: { text: string; slots: readonly { slot: string; from: number; to: number }[] }): { words: string; slot: string }[] {
  const parts: { words: string; slot: string }[] = []
  let last = 0
  for (const { slot, from, to } of slots) {
    if (from > last) parts.push({ words: text.slice(last, from), slot: '' })
    if (to > from) parts.push({ words: text.slice(from, to), slot })
    last = to
  }
  return last < text.length ? [...parts, { words: text.slice(last), slot: '' }] : parts
}
