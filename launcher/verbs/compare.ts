import { covered, fixedFacetsOf } from '@idolon/core'
import { compareReadings, createReader, Kin, Synonyms } from '@idolon/core/reader'
import { draftOf } from './given-draft.ts'
import { answerTexts, badLine } from './lines.ts'
import { jsonTable, table } from './tables.ts'

/** `./idolon compare`: what two prompts have in common and where they part. Each is a text, or an object as `check` takes it. */
export async function compare(args: string[]): Promise<number> {
  const reader = createReader(await table('words'), await table('reader'))
  const synonyms = new Synonyms(await jsonTable<string[]>('same'), new Kin(await table('kin'), reader.words))
  const saidIn = (given: unknown) => {
    const { draft } = draftOf(typeof given === 'string' ? { text: given } : given)
    const { phrases, leaveOut, settings } = reader.read(draft.text, fixedFacetsOf(draft.marks))
    return { phrases: phrases.filter((phrase) => !covered(draft.text, draft.marks, 'off', phrase)), leaveOut: [...new Set([...draft.leaveOut, ...leaveOut])], settings: { ...settings, ...draft.settings } }
  }
  return answerTexts('compare', args, pairOf, (given) => {
    if (typeof given !== 'object' || given === null || !('a' in given) || !('b' in given)) throw badLine('no-pair', 'The line has no "a" and "b".')
    return compareReadings(saidIn(given.a), saidIn(given.b), synonyms)
  })
}

/** Without --jsonl, the input is one JSON object with the two. */
function pairOf(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    throw badLine('not-json', 'The input is not JSON; it wants {"a": ..., "b": ...}.')
  }
}
