import type { WordTable } from '../read/words/word-table.ts'
import { ANSWERS } from './answers/index.ts'
import { cleanText, isPicture } from './clean-text.ts'
import { fitted, unwrapped } from './fit.ts'
import type { AnswerKind } from './helper.ts'
import { jsonIn } from './json-in-text.ts'
import { isEnglish } from './language.ts'

/** The longest answer that is looked at, in UTF-16 code units. */
export const MAX_ANSWER = 60_000

/** What was done to an answer so that it could be used, as sentences. */
export type Mended = string[]

/** An answer as it can be used, or why it cannot. */
export type Taken = { ok: true; value: unknown; mended: Mended } | { ok: false; problem: string }

/** Says what is wrong with a value for a schema; undefined when it fits. */
export type Validate = (kind: AnswerKind, value: unknown) => string | undefined

/** A text that broke off, up to where a phrase ends. */
function wholePhrases(text: string): string {
  const end = Math.max(text.lastIndexOf('.'), text.lastIndexOf(','), text.lastIndexOf(';'))
  const kept = end > text.length * 0.3 ? text.slice(0, end) : text.slice(0, Math.max(0, text.lastIndexOf(' ')))
  return kept.replace(/[\s,;]+$/, '')
}

/**
 * Takes what a model answered: finds the JSON in it, mends what is safe to mend, and holds it to its shape. `validate` is
 * given, since a validator has no place here. Never throws.
 */
export function takeAnswer(raw: string, kind: AnswerKind, { validate, words }: { validate: Validate; words: WordTable }): Taken {
  const shape = ANSWERS[kind]
  if (raw.trim() === '') return { ok: false, problem: 'The answer is empty.' }
  if (raw.length > MAX_ANSWER) return { ok: false, problem: `The answer is longer than ${MAX_ANSWER.toLocaleString('en')} characters; that is no ${kind === 'prompt' ? 'prompt' : 'answer to this'}.` }
  if (isPicture(raw)) return { ok: false, problem: 'The answer is a picture; words were asked for.' }
  const found = jsonIn(raw)
  if (!found) return { ok: false, problem: isEnglish(raw, words) ? 'The answer is plain text; a JSON value of the given shape was asked for.' : 'The answer is not in English, and not of the shape that was asked for.' }
  const mended: Mended = []
  if (found.prose) mended.push('Text around the answer was removed.')
  let value: unknown = found.value
  const wrapped = unwrapped(value, shape.schema)
  if (wrapped !== value) value = wrapped
  if (shape.bare && (typeof value === 'string' || Array.isArray(value))) value = { [shape.bare]: value }
  const seen = { mended: false }
  value = fitted(value, shape.schema, seen)
  if (seen.mended) mended.push('Names in another case or spelling were set right.')
  if (found.cut) {
    mended.push('The answer broke off; what was whole of it is kept.')
    const cut = (value as { prompt?: unknown } | null)?.prompt
    if (typeof cut === 'string') value = { ...(value as object), prompt: wholePhrases(cut) }
  }
  const wrong = validate(kind, value)
  if (wrong !== undefined) return { ok: false, problem: `The answer does not have the shape that was asked for: ${wrong}` }
  const before = JSON.stringify(value)
  const clean = shape.cleaned(value, cleanText)
  if (JSON.stringify(clean) !== before) mended.push('Markup and signs that are not words were removed.')
  const stillWrong = validate(kind, clean)
  if (stillWrong !== undefined) return { ok: false, problem: `Nothing usable is left of the answer: ${stillWrong}` }
  if (!isEnglish(shape.prose(clean).join('\n'), words)) return { ok: false, problem: 'The answer is not in English.' }
  return { ok: true, value: clean, mended }
}

/** The prose of an answer that is still arriving, for a look at it: what can be read of it so far. */
export function proseSoFar(raw: string, kind: AnswerKind): string {
  const value = jsonIn(raw)?.value
  const texts: string[] = []
  const gather = (one: unknown): void => {
    if (typeof one === 'string') texts.push(one)
    else if (typeof one === 'object' && one !== null) Object.values(one).forEach(gather)
  }
  gather(value)
  return texts.join(kind === 'prompt' || kind === 'engine' ? '\n\n' : '\n')
}
