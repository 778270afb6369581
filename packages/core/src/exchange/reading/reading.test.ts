import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { emptyDraft } from '../../draft/draft.ts'
import { WRITING_FORMATS } from '../formats/index.ts'
import { textFileOf } from '../formats/text.ts'
import type { PromptRecord } from '../record.ts'
import { decodeText } from './decode.ts'
import { readFiles } from './index.ts'
import { broughtFrom, proposeMapping } from './mapping.ts'

const record = (more: Partial<PromptRecord> = {}): PromptRecord => ({ title: 'Owl', project: 'Lantern Bees', status: 'proven', tags: ['night', 'bird'], note: 'good', proofs: 0, keepers: 0, draft: { ...emptyDraft(), text: 'an owl, "hushed", dusk', leaveOut: ['people'], engines: [{ engine: 'burin', revision: '2' }], settings: { guidance: 7 } }, ...more })
const written = (ending: string, records: readonly PromptRecord[]) => {
  const format = WRITING_FORMATS.find((one) => one.ending === ending)!
  return [{ name: `x.${ending}`, text: format.begin.replace(/^\uFEFF/u, '') + records.map(format.prompt).join('') + format.end }]
}
const brought = (name: string, text: string) => {
  const found = readFiles([{ name, text }])
  const mapping = proposeMapping(found)
  return found.rows.map((row) => broughtFrom(row, mapping))
}
const texts = (name: string, text: string) => brought(name, text).map((one) => one.record?.draft.text ?? one.rejected)

describe('files of prompts', () => {
  it('come back from CSV as they went, formulas and all', () => {
    const line = fc.string({ unit: 'grapheme', minLength: 1, maxLength: 60 }).map((text) => text.replace(/[\p{C}']/gu, '').trim()).filter(Boolean)
    fc.assert(fc.property(fc.array(fc.record({ title: line, text: line, sign: fc.constantFrom('', '=', '+', '-', '@') }), { minLength: 1, maxLength: 6 }), (all) => {
      const records = all.map(({ title, text, sign }) => record({ title: title.replace(/\s+/gu, ' '), draft: { ...record().draft, text: `${sign}${text}\n“two”, lines` } }))
      const found = readFiles(written('csv', records))
      const mapping = proposeMapping(found)
      expect(found.rows.map((row) => broughtFrom(row, mapping).record)).toEqual(records)
    }))
  })

  it('come back from JSON without loss, and from Markdown and text with what these say', () => {
    const marked = record({ draft: { ...record().draft, marks: [{ from: 3, to: 6, kind: 'off' }] } })
    expect(readFiles(written('json', [marked])).rows[0]?.record).toEqual(marked)
    const fromMarkdown = readFiles(written('md', [record({ title: '# *Owl* [2]', draft: { ...record().draft, text: '1. an owl\n- [sic]' } }), record()]))
    expect(broughtFrom(fromMarkdown.rows[0]!, proposeMapping(fromMarkdown)).record).toMatchObject({ title: '# *Owl* [2]', project: 'Lantern Bees', status: 'proven', tags: ['night', 'bird'], note: 'good', draft: { text: '1. an owl\n- [sic]', leaveOut: ['people'] } })
    expect(fromMarkdown.rows).toHaveLength(2)
    const file = textFileOf(record({ title: '../../a: "b"' }), 4)
    expect(file.name).toBe('Lantern Bees/0005 a b.txt')
    const fromText = readFiles([file])
    expect(broughtFrom(fromText.rows[0]!, proposeMapping(fromText)).record).toMatchObject({ title: 'a b', tags: ['Lantern Bees'], draft: { text: 'an owl, "hushed", dusk', leaveOut: ['people'] } })
  })

  it.each([
    ['known names, in any order and with another delimiter', 'a.csv', 'Tags;Prompt\nx;an owl\n\ny;a fox', ['an owl', 'a fox']],
    ['no header: the longest column is the text', 'a.csv', '1,an owl on a post at dusk\n2,"a fox, in snow"', ['an owl on a post at dusk', 'a fox, in snow']],
    ['a list of texts', 'a.json', '["an owl","a fox"]', ['an owl', 'a fox']],
    ['objects within an object', 'a.json', '{"made":1,"items":[{"id":4,"prompt":"an owl"},{"id":5}]}', ['an owl', 'it has no text']],
    ['a value a line', 'a.jsonl', '{"text":"an owl"}\n{"text":"a fox"}\n', ['an owl', 'a fox']],
    ['headings', 'a.md', '# Mine\n\n## Owl\n\nan owl\n\n## Fox\n\na fox', ['an owl', 'a fox']],
    ['a list in Markdown', 'a.md', 'Some:\n\n- an owl\n- a fox\n', ['an owl', 'a fox']],
  ])('are read: %s', (_, name, text, wanted) => {
    expect(texts(name, text)).toEqual(wanted)
  })

  it.each([
    ['a.csv', 'title,text\nowl,an owl\nfox,"a fox\nend', 'Line 3: a quote is opened'],
    ['a.csv', 'title,text\nowl,"an" owl\nfox,a fox', 'Line 2: a quote is opened'],
    ['a.csv', '\n\n', 'there is nothing in it'],
    ['a.json', '[\n"a",\n oops]', 'Line 3: this is not JSON'],
    ['a.json', '{"format":"idolon-prompts-7","prompts":[]}', 'a newer Idolon'],
    ['a.json', '{"format":"idolon-prompts-1","prompts":[{"title":3}]}', 'prompt 1, /'],
    ['a.json', '42', 'no list of prompts'],
  ])('are refused in words that say where: %s', (name, text, wanted) => {
    expect(() => readFiles([{ name, text }])).toThrow(wanted)
  })

  it('are read in the encoding they are in, and another is refused with its line', () => {
    const bytes = (text: string) => Buffer.from(text, 'latin1')
    expect(decodeText(Buffer.from('\uFEFFcafé'))).toBe('café')
    expect(decodeText(Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from('café', 'utf16le')]))).toBe('café')
    expect(() => decodeText(bytes('one\ntwo\ncaf\xe9\n'))).toThrow('Line 3: it is not in UTF-8')
    expect(decodeText(bytes('caf\xe9'), 'windows-1252')).toBe('café')
  })

  it('keep what can be kept of a row and say what was left out', () => {
    const [one] = brought('a.csv', `text,status,tags,title\nan owl,finished,"a, b, a",${'t'.repeat(300)}`)
    expect(one?.record).toMatchObject({ status: 'rough', tags: ['a', 'b'] })
    expect(one?.record?.title).toHaveLength(200)
    expect(one?.notes).toEqual(['“finished” is no status; it comes in as rough', 'its title was cut to 200 characters'])
    expect(brought('a.csv', `text\n${'x'.repeat(20_001)}`)[0]?.rejected).toContain('20,000')
  })
})
