import { Value } from '@sinclair/typebox/value'
import { GlossaryEntry } from './entry.ts'

/** Terms from a file: what is wrong with it is said with its place, and then nothing of it is taken. */
export function readEntries(text: string): { entries: GlossaryEntry[] } | { wrong: string } {
  let given: unknown
  try {
    given = JSON.parse(text)
  } catch {
    return { wrong: 'This is no JSON file.' }
  }
  if (!Array.isArray(given)) return { wrong: 'The file must hold a list of terms.' }
  if (given.length === 0) return { wrong: 'The list is empty.' }
  if (given.length > 5_000) return { wrong: `The list has ${given.length} terms; 5,000 can be imported at once.` }
  for (const [i, entry] of (given as unknown[]).entries()) {
    const [error] = Value.Errors(GlossaryEntry, entry)
    if (!error) continue
    const name = entry !== null && typeof entry === 'object' && 'term' in entry && typeof entry.term === 'string' ? ` (“${entry.term.slice(0, 60)}”)` : ''
    return { wrong: `Term ${i + 1}${name}, ${error.path || 'the whole'}: ${error.value === undefined ? 'this must be there' : error.message.toLowerCase()}.` }
  }
  return { entries: given as GlossaryEntry[] }
}
