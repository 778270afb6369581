import { CompletionContext, type CompletionResult } from '@codemirror/autocomplete'
import { EditorState } from '@codemirror/state'
import type { ProjectPhrase } from '@idolon/contract'
import { expect, it } from 'vitest'
import { phraseCompletions } from './completion.ts'

const phrases: ProjectPhrase[] = [
  { id: 'k', text: 'low sun on wet slate', facet: 'light', from: null },
  { id: null, text: 'low stone wall', facet: 'setting', from: { promptId: 'p', title: 'The crossing', keepers: 1 } },
]
const GLOSSARY = [{ term: 'low angle', facet: 'framing' }, { term: 'low sun', facet: 'light' }]
async function offered(text: string, at = text.length) {
  const sources = { phrases: () => phrases, own: () => [{ text: 'low lantern gold', detail: 'colour, house' }], terms: (typed: string) => Promise.resolve(GLOSSARY.filter(({ term }) => term.startsWith(typed) && term !== typed)) }
  const result = (await phraseCompletions(sources)(new CompletionContext(EditorState.create({ doc: text }), at, false))) as CompletionResult | null
  return result && { from: result.from, options: result.options.map(({ label, detail }) => `${label}: ${detail ?? ''}`) }
}

it('offers kept phrases first, then those of proven prompts, the project’s own words, then terms', async () => {
  const found = (await offered('a fox, low'))!
  expect(found.from).toBe(7)
  expect(found.options.slice(0, 2)).toEqual(['low sun on wet slate: kept', 'low stone wall: from The crossing'])
  expect(found.options.slice(2)).toEqual(['low lantern gold: colour, house', 'low angle: framing', 'low sun: light'])
})

it('goes by as many words before the caret as a phrase begins with', async () => {
  expect(await offered('a fox in low sun')).toMatchObject({ from: 9, options: ['low sun on wet slate: kept'] })
  expect((await offered('seen from a low ang'))?.options).toContain('low angle: framing')
})

it('offers nothing inside a word, after a comma, or for what no phrase begins with', async () => {
  expect(await offered('a low fox', 4)).toBeNull()
  expect(await offered('a fox, ')).toBeNull()
  expect(await offered('qzx')).toBeNull()
})
