import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import type { Finding } from '../src/check/finding.ts'
import { draftOfCase } from '../src/helper/case.ts'
import { type Criterion, judge } from '../src/helper/criteria/index.ts'
import { judgedOf } from '../src/helper/judged.ts'
import type { AnswerKind } from '../src/helper/helper.ts'
import { createReader } from '../src/reader.ts'

const table = (name: string) => readFileSync(new URL(`../tables/${name}`, import.meta.url))
const reader = createReader(table('words.bin'), table('reader.bin'))
const STOP: Finding = { kind: 'contradiction', severity: 'stop', reason: 'Noon at midnight.' }
const tools = { reader, find: ({ text }: { text: string }) => (text.includes('midnight') ? [STOP] : []), near: (a: string, b: string) => a.split(' ')[1] === b.split(' ')[1] }
const draft = draftOfCase({ text: 'a fox on a stone wall', locked: ['stone wall'], leaveOut: [], engine: null })
/** What a criterion says of an answer. */
const said = (criterion: Criterion, value: unknown, kind: AnswerKind = 'prompt', more: { tries?: number; mended?: string[] } = {}) => judge(criterion, judgedOf(kind, draft, { value, mended: more.mended ?? [], tries: more.tries ?? 1 }, tools).judged)

it.each<[string, Criterion, unknown, unknown, AnswerKind?]>([
  ['facets by number', { kind: 'facets-present', least: 4 }, { prompt: 'a fox asleep on a stone wall at dusk, soft light, gouache' }, { prompt: 'a fox, gouache' }],
  ['facets by name', { kind: 'facets-present', facets: ['medium', 'light'] }, { prompt: 'a fox, soft side light, gouache' }, { prompt: 'a fox, gouache' }],
  ['locked words', { kind: 'locked-kept' }, { prompt: 'Upon the Stone Wall, a fox' }, { prompt: 'a fox on a wall of stone' }],
  ['length', { kind: 'length-within', least: 3, most: 6 }, { prompt: 'a fox on a stone wall' }, { prompt: 'a fox on a very old and crumbling stone wall' }],
  ['no stops', { kind: 'no-stops' }, { prompt: 'a fox at noon' }, { prompt: 'a fox at midnight' }],
  ['distinct ideas', { kind: 'distinct', count: 2 }, { ideas: ['a fox', 'a heron'] }, { ideas: ['a fox', 'the fox'] }, 'ideas'],
  ['enough ideas', { kind: 'distinct', count: 3 }, { ideas: ['a fox', 'a heron', 'a goat'] }, { ideas: ['a fox', 'a heron'] }, 'ideas'],
  ['near an example', { kind: 'near-example', example: 'one fox', near: true }, { prompt: 'a fox' }, { prompt: 'a heron' }],
  ['far from an example', { kind: 'near-example', example: 'one fox', near: false }, { prompt: 'a heron' }, { prompt: 'a fox' }],
  ['words said', { kind: 'says', words: 'gouache', never: false }, { prompt: 'a fox, Gouache' }, { prompt: 'a fox' }],
  ['words never said', { kind: 'says', words: 'fox', never: true }, { prompt: 'a heron, foxglove' }, { prompt: 'a fox' }],
])('%s is passed and failed with what was seen', (_, criterion, good, bad, kind) => {
  expect(said(criterion, good, kind)).toMatchObject({ pass: true })
  const failed = said(criterion, bad, kind)
  expect(failed.pass).toBe(false)
  expect(failed.says).toMatch(/\.$/)
})

it('the words of two alternatives may mean the same; only the same words are one', () => {
  const criterion: Criterion = { kind: 'distinct' }
  expect(said(criterion, { alternatives: ['a fox', 'the old fox'] }, 'alternatives').pass).toBe(true)
  expect(said(criterion, { alternatives: ['soft light', 'Soft light.'] }, 'alternatives').pass).toBe(false)
})

it('a first answer fits only as it is: not mended, not asked for again', () => {
  const criterion: Criterion = { kind: 'first-answer-valid' }
  expect(said(criterion, { prompt: 'a fox on a stone wall' }).pass).toBe(true)
  expect(said(criterion, { prompt: 'a fox on a stone wall' }, 'prompt', { tries: 2 }).pass).toBe(false)
  expect(said(criterion, { prompt: 'Create an image of a fox on a stone wall' })).toMatchObject({ pass: false, says: expect.stringContaining('lead-in') as unknown })
})

it('an answer that could not be used passes nothing', () => {
  expect(said({ kind: 'says', words: 'people', never: true }, undefined)).toEqual({ pass: false, says: 'No answer could be used.' })
})
