import { expect, it } from 'vitest'
import { onlyMissing } from './only-missing.ts'
import { withoutRepeats } from './without-repeats.ts'

it('questions about what is said already are left out, and a second one about the same', () => {
  const ask = (facet: 'light' | 'medium' | 'mood', question: string) => ({ facet, question, answers: ['one'] })
  const { value, gone } = onlyMissing({ questions: [ask('light', 'How is it lit?'), ask('medium', 'What is it?'), ask('mood', 'How does it feel?'), ask('mood', 'And how else?')] }, [{ facet: 'light' }])
  expect(value.questions.map(({ question }) => question)).toEqual(['What is it?', 'How does it feel?'])
  expect(gone).toBe(2)
})

it('lines that are nearly others, or nearly one before, are left out', async () => {
  const near = (a: string, b: string) => a.split(' ')[1] === b.split(' ')[1]
  expect(await withoutRepeats(['a fox', 'a heron', 'the heron', 'a goat'], ['one fox'], near)).toEqual({ kept: ['a heron', 'a goat'], gone: 2 })
})
