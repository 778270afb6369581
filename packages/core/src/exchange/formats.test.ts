import { Value } from '@sinclair/typebox/value'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { emptyDraft } from '../draft/draft.ts'
import { WRITING_FORMATS } from './formats/index.ts'
import { PromptRecord } from './record.ts'

const record = (more: Partial<PromptRecord> = {}): PromptRecord => ({ title: 'Owl', project: 'Lantern Bees', status: 'proven', tags: ['night', 'bird'], note: 'good\n- one', proofs: 4, keepers: 2, draft: { ...emptyDraft(), text: 'an owl, "hushed",\ndusk', leaveOut: ['people'], engines: [{ engine: 'burin', revision: '2' }], settings: { guidance: 7 } }, ...more })
const written = (id: string, records: readonly PromptRecord[]) => {
  const format = WRITING_FORMATS.find((one) => one.id === id)!
  return format.begin + records.map(format.prompt).join('') + format.end
}

describe('prompts written into a file', () => {
  it('as CSV: quoted, with line ends inside values, and no formula that would run', () => {
    const text = written('csv', [record(), record({ title: '=1+1', note: '@sum', draft: { ...emptyDraft(), text: '-2 degrees, frost' } })])
    const { data } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), { header: true, skipEmptyLines: true })
    expect(data[0]).toMatchObject({ title: 'Owl', text: 'an owl, "hushed",\ndusk', 'leave out': 'people', tags: 'night, bird', engines: 'burin 2', settings: 'guidance 7', kept: '2' })
    expect(data[1]).toMatchObject({ title: "'=1+1", note: "'@sum", text: "'-2 degrees, frost" })
  })

  it('as JSON by its schema, without loss', () => {
    const { format, prompts } = JSON.parse(written('json', [record(), record({ title: 'Fox' })])) as { format: string; prompts: PromptRecord[] }
    expect(format).toBe('idolon-prompts-1')
    expect(prompts).toEqual([record(), record({ title: 'Fox' })])
    expect(prompts.every((one) => Value.Check(PromptRecord, one))).toBe(true)
    expect(JSON.parse(written('json', []))).toEqual({ format: 'idolon-prompts-1', prompts: [] })
  })

  it('as Markdown, whose signs in the text stay signs', () => {
    const text = written('markdown', [record({ title: '# *Owl*', draft: { ...emptyDraft(), text: '1. an owl [sic]\n- dusk' } })])
    expect(text).toContain('## \\# \\*Owl\\*')
    expect(text).toContain('1\\. an owl \\[sic\\]\n\\- dusk')
    expect(text).toContain('Lantern Bees · proven · tags: night, bird · 2 of 4 kept')
    expect(text).toContain('> good\n> \\- one')
  })
})
