import { Value } from '@sinclair/typebox/value'
import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { createReader } from '../src/reader.ts'
import { ANSWERS } from '../src/helper/answers/index.ts'
import type { AnswerKind } from '../src/helper/helper.ts'
import { jsonIn } from '../src/helper/json-in-text.ts'
import { proseSoFar, takeAnswer, type Taken } from '../src/helper/take-answer.ts'

const table = (name: string) => readFileSync(new URL(`../tables/${name}`, import.meta.url))
const { words } = createReader(table('words.bin'), table('reader.bin'))
const validate = (kind: AnswerKind, value: unknown) => (Value.Check(ANSWERS[kind].schema, value) ? undefined : [...Value.Errors(ANSWERS[kind].schema, value)].map(({ path, message }) => `${path} ${message}`).join('; '))
const take = (raw: string, kind: AnswerKind = 'prompt'): Taken => takeAnswer(raw, kind, { validate, words })
const promptOf = (raw: string) => {
  const taken = take(raw)
  return taken.ok ? (taken.value as { prompt: string }).prompt : `refused: ${taken.problem}`
}
const PROMPT = 'a heron standing on one leg in the reeds at dawn, soft mist, gouache'

describe('an answer', () => {
  it('is taken as it is when it has its shape', () => {
    expect(take(JSON.stringify({ prompt: PROMPT }))).toEqual({ ok: true, value: { prompt: PROMPT }, mended: [] })
  })

  it('is found in prose and in a code fence, whatever braces the prose has', () => {
    expect(promptOf(`Certainly, {name}! Here you are:\n\`\`\`json\n{"prompt": "${PROMPT}"}\n\`\`\`\nTell me whether it fits [or not].`)).toBe(PROMPT)
  })

  it('that broke off keeps what was whole of it', () => {
    expect(promptOf(`{"prompt": "${PROMPT.slice(0, -6)}`)).toBe('a heron standing on one leg in the reeds at dawn, soft mist')
    const taken = take('{"ideas": ["a fox on a wall", "a goat in a boat", "a hea', 'ideas')
    expect(taken).toMatchObject({ ok: true, value: { ideas: ['a fox on a wall', 'a goat in a boat'] } })
  })

  it('has its names and choices set right where they are only spelled otherwise', () => {
    expect(take('{"Prompt": "a red fox in deep snow", "Leave_Out": ["people"]}')).toMatchObject({ ok: true, value: { prompt: 'a red fox in deep snow', leaveOut: ['people'] } })
    expect(take('{"Questions":[{"Facet":"Light","Question":"How is it lit?","Answers":["soft light"]}]}', 'questions')).toMatchObject({ ok: true, value: { questions: [{ facet: 'light' }] } })
  })

  it('may leave away the object around a text or a list, or put one more around it', () => {
    expect(promptOf(`{"result": {"prompt": "${PROMPT}"}}`)).toBe(PROMPT)
    expect(take('["a fox on a wall", "a goat in a boat"]', 'ideas')).toMatchObject({ ok: true })
  })

  it('loses markup, scripts and signs that cannot be seen', () => {
    expect(promptOf(JSON.stringify({ prompt: `<b>${PROMPT}</b><script>steal()</script>\u202E\u0000<img src=x onerror=alert(1)>` }))).toBe(PROMPT)
  })

  it.each([
    ['nothing', '', 'empty'],
    ['plain text', 'a heron in the reeds at dawn, gouache', 'plain text'],
    ['a picture', '![a heron](data:image/png;base64,AAAA)', 'a picture'],
    ['a number', '{"prompt": 7}', 'does not have the shape'],
    ['another shape', '{"ideas": ["a fox"]}', 'does not have the shape'],
    ['a long one', JSON.stringify({ prompt: 'x '.repeat(60_000) }), 'longer than'],
    ['German', JSON.stringify({ prompt: 'Ein alter Reiher steht bei Sonnenaufgang im Schilf, und das Licht ist weich und kalt' }), 'not in English'],
    ['Russian', JSON.stringify({ prompt: 'Старая цапля стоит в камышах на рассвете, мягкий туман, гуашь' }), 'not in English'],
    ['a script alone', JSON.stringify({ prompt: '<script>only()</script>' }), 'Nothing usable is left'],
  ])('of %s is refused with the reason', (_, raw, reason) => {
    const taken = take(raw)
    expect(taken.ok ? '' : taken.problem).toContain(reason)
  })

  it('is never more than text, whatever comes', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string({ maxLength: 300 }), fc.json(), fc.string().map((text) => `{"prompt": ${JSON.stringify(text)}`)), (raw) => {
        const taken = take(raw)
        if (taken.ok) expect(validate('prompt', taken.value)).toBeUndefined()
        else expect(taken.problem).not.toBe('')
      }),
    )
  })
})

it('what is cut anywhere is read as far as it goes', () => {
  const whole = JSON.stringify({ prompt: PROMPT, leaveOut: ['people', 'a "quoted" word'] })
  for (let end = 14; end < whole.length; end++) {
    const { prompt } = jsonIn(whole.slice(0, end))?.value as { prompt: string }
    expect(PROMPT.slice(0, prompt.length), `cut at ${end}`).toBe(prompt)
  }
  expect(proseSoFar(whole.slice(0, 40), 'prompt')).toBe(PROMPT.slice(0, 29))
})
