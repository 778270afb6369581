import type { TextChange } from '../draft/text-change.ts'
import type { TextRange } from '../text-range.ts'
import { around } from './surroundings.ts'

const spaces = (text: string, from: number): number => from + (/^[ \t]*/.exec(text.slice(from))?.[0].length ?? 0)

/**
 * Takes a phrase out of a text with the comma, spaces and joining words that would be left standing,
 * and gives the sentence a capital again when the phrase had it. Ascending changes that do not overlap.
 */
export function removePhrase(text: string, phrase: TextRange): TextChange[] {
  const { lead, before, beforeEnd, after, afterStart, afterEnd } = around(text, phrase)
  const opens = before === 'start' || before === 'stop'
  if (after === 'comma' && (opens || before === 'comma')) {
    // “a, [b, ]c” and “[A, ]b”.
    return capitalised(text, opens, lead, spaces(text, afterEnd))
  }
  if ((after === 'end' || after === 'stop') && before === 'comma') return [{ from: beforeEnd - 1, to: phrase.end, insert: '' }]
  if (after === 'stop' && opens && /[.!?]/.test(text[afterStart] ?? '')) {
    // A sentence of its own goes with its stop.
    const to = spaces(text, afterStart + 1)
    return [{ from: lead, to: text[to] === '\n' || to >= text.length ? afterStart + 1 : to, insert: '' }]
  }
  if (opens) return capitalised(text, opens, lead, after === 'word' ? afterStart : phrase.end)
  if (after === 'word') return [{ from: lead, to: afterStart, insert: '' }]
  return [{ from: beforeEnd, to: phrase.end, insert: '' }]
}

function capitalised(text: string, opens: boolean, from: number, to: number): TextChange[] {
  const first = text.slice(from, to).trimStart()[0] ?? ''
  const next = text[to] ?? ''
  const up = opens && first !== first.toLowerCase() && next !== next.toUpperCase()
  return [up ? { from, to: to + 1, insert: next.toUpperCase() } : { from, to, insert: '' }]
}
