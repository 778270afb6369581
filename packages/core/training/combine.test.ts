import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { emptyDraft } from '../src/draft/draft.ts'
import { combine, createReader } from '../src/reader.ts'
import { blankSlot } from '../src/template/body.ts'
import type { TrialBody } from '../src/trial/plan.ts'

const table = (name: string) => readFileSync(new URL(`../tables/${name}`, import.meta.url))
const { words } = createReader(table('words.bin'), table('reader.bin'))
const plan: TrialBody = {
  name: 'Bird',
  frame: 'a {{ bird }} in a barn, {{ light }}, gouache',
  slots: [blankSlot('bird', 'subject'), { ...blankSlot('light', 'light'), fallback: 'rim light' }],
  values: {},
  factors: [{ kind: 'words', slot: 'bird', options: ['owl', 'two swans'] }, { kind: 'words', slot: 'light', options: ['rim light', ''] }, { kind: 'engine', options: [{ engine: 'burin' }, { engine: 'brayer', revision: '1', settings: { count: 4 } }] }, { kind: 'setting', key: 'guidance', options: [3, 9] }],
  way: { kind: 'all' },
  skip: [],
  count: 1,
}

it('a combination is the draft with its words, its engine and its settings, and keeps the marks of what stays', () => {
  const base = { ...emptyDraft(), text: 'a wren in a barn, rim light, gouache', marks: [{ from: 29, to: 36, kind: 'emphasis' as const, level: 1 as const }], settings: { steps: 20 }, engines: [{ engine: 'tympan' }] }
  const first = combine(base, plan, [0, 0, 0, 0], words)
  expect(first.draft).toMatchObject({ text: 'an owl in a barn, rim light, gouache', settings: { steps: 20, guidance: 3 }, engines: [{ engine: 'burin' }], marks: [{ from: 29, to: 36, kind: 'emphasis' }] })
  expect(first.options).toEqual({ bird: 'owl', light: 'rim light', engine: 'burin', guidance: '3' })
  const last = combine(base, plan, [1, 1, 1, 1], words, ({ engine }) => engine.toUpperCase())
  expect(last.draft).toMatchObject({ text: 'two swans in a barn, gouache', engines: [{ engine: 'brayer', revision: '1', settings: { count: 4, guidance: 9 } }] })
  expect(last.draft.text.slice(last.draft.marks[0]!.from, last.draft.marks[0]!.to)).toBe('gouache')
  expect(last.options).toEqual({ bird: 'two swans', light: 'nothing', engine: 'BRAYER', guidance: '9' })
})
