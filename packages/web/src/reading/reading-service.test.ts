import { aDraft, IN_TIME } from '../testing.test-support.ts'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { FromWorker, ToWorker } from './protocol.ts'
import { aReader, checkTables } from './reader.test-support.ts'
import { ReadingService } from './reading-service.ts'

let said: FromWorker[]
let failed: unknown[]
let service: ReadingService
const tables = vi.fn(checkTables)
beforeEach(() => {
  said = []
  failed = []
  tables.mockReset().mockImplementation(checkTables)
  service = new ReadingService((message) => said.push(message), tables, (error) => failed.push(error))
})
const kinds = () => said.map(({ type }) => type)
const readings = () => said.flatMap((one) => (one.type === 'reading' ? [[one.revision, one.reading.phrases.map(({ text }) => text)]] : []))
const ask = (id: number, more: object) => service.receive({ type: 'ask', id, ...more } as ToWorker)
const answerTo = async (id: number) => {
  const found = await vi.waitUntil(() => said.find((one) => one.type === 'answer' && one.id === id), IN_TIME)
  return (found as Extract<FromWorker, { type: 'answer' }>).answer
}

describe('the service of the reading', () => {
  it('keeps what comes in before it can read, and answers it first', async () => {
    service.receive({ type: 'text', revision: 1, text: 'a fox in the snow, soft light', fixed: [] })
    ask(7, { kind: 'read', text: 'an owl, gouache' })
    expect(said).toEqual([])
    service.begin(aReader())
    expect(kinds()[0]).toBe('ready')
    expect((await answerTo(7) as { phrases: { text: string }[] }).phrases.map(({ text }) => text)).toEqual(['owl', 'gouache'])
    await vi.waitUntil(() => readings().length, IN_TIME)
    expect(readings()).toEqual([[1, ['fox', 'snow', 'soft light']]])
  })

  it('reads a burst of edits once, as the text is after the last', async () => {
    service.begin(aReader())
    service.receive({ type: 'text', revision: 1, text: 'a fox', fixed: [] })
    service.receive({ type: 'edit', revision: 2, base: 1, changes: [{ from: 2, to: 5, insert: 'hen' }], fixed: [] })
    service.receive({ type: 'edit', revision: 3, base: 2, changes: [{ from: 5, to: 5, insert: ', oil painting' }], fixed: [] })
    await vi.waitUntil(() => readings().length, IN_TIME)
    expect(readings()).toEqual([[3, ['hen', 'oil painting']]])
  })

  it.each([
    ['an edit of a text it does not have', { type: 'edit', revision: 9, base: 8, changes: [{ from: 0, to: 0, insert: 'x' }], fixed: [] }],
    ['an edit that lies outside the text', { type: 'edit', revision: 9, base: 1, changes: [{ from: 40, to: 50, insert: 'x' }], fixed: [] }],
  ] as const)('says that it is behind at %s, and reads on from the whole text', async (_, message) => {
    service.begin(aReader())
    service.receive({ type: 'text', revision: 1, text: 'a fox', fixed: [] })
    service.receive(message as unknown as ToWorker)
    expect(said.at(-1)).toEqual({ type: 'behind', revision: 9 })
    service.receive({ type: 'text', revision: 9, text: 'a hen', fixed: [] })
    await vi.waitUntil(() => readings().length, IN_TIME)
    expect(readings()).toEqual([[9, ['hen']]])
  })

  it('reads a facet set by hand as it was set', async () => {
    service.begin(aReader())
    service.receive({ type: 'text', revision: 1, text: 'a fox, amber', fixed: [{ from: 7, to: 12, facet: 'light' }] })
    await vi.waitUntil(() => said.some(({ type }) => type === 'reading'), IN_TIME)
    const reading = said.find((one) => one.type === 'reading')!
    expect(reading.reading.phrases.find(({ text }) => text === 'amber')?.facet).toBe('light')
  })

  it('loads what the checks need once, when they are first asked for', async () => {
    service.begin(aReader())
    ask(1, { kind: 'read', text: 'a fox' })
    await answerTo(1)
    expect(tables).not.toHaveBeenCalled()
    const draft = aDraft('a fox, a fox')
    ask(2, { kind: 'check', draft })
    ask(3, { kind: 'check', draft })
    expect(await answerTo(2)).toEqual(await answerTo(3))
    expect((await answerTo(2) as { check: string }[]).length).toBeGreaterThan(0)
    expect(tables).toHaveBeenCalledTimes(1)
  })

  it('tells that something could not be loaded, and leaves that question open', async () => {
    tables.mockRejectedValue(new Error('The reading’s tables could not be loaded (status 503).'))
    service.begin(aReader())
    ask(4, { kind: 'check', draft: aDraft('a fox') })
    await vi.waitUntil(() => failed.length, IN_TIME)
    expect([String(failed[0]), kinds()]).toEqual(['Error: The reading’s tables could not be loaded (status 503).', ['ready']])
  })
})

describe('its questions', () => {
  beforeEach(() => service.begin(aReader()))

  it('the output of an engine, as the core makes it', async () => {
    const { SHIPPED_ENGINES, outputFor } = await import('@idolon/core')
    const draft = aDraft('a fox in the snow')
    ask(1, { kind: 'output', draft, engine: SHIPPED_ENGINES[0] })
    expect(await answerTo(1)).toEqual(outputFor(draft, SHIPPED_ENGINES[0]!, { reading: aReader().read(draft.text), words: aReader().words }))
  })

  it('in what two drafts differ, each with the edit that makes it alone', async () => {
    ask(1, { kind: 'differences', before: aDraft('a fox, dusk'), after: aDraft('a fox, noon') })
    const [one] = await answerTo(1) as { difference: { kind: string }; edit: { text: unknown[] } }[]
    expect([one!.difference.kind, one!.edit.text]).toEqual(['phrase', [{ from: 7, to: 11, insert: 'noon' }]])
  })

  it('a template filled, and one learned of variants that comes back as they were', async () => {
    ask(1, { kind: 'learn', texts: ['a red fox in the snow', 'a grey owl in the snow'] })
    const learned = await answerTo(1) as { text: string; slots: { name: string; options: string[] }[]; rows: Record<string, string>[] }
    ask(2, { kind: 'fill', text: learned.text, slots: learned.slots, rows: learned.rows })
    expect((await answerTo(2) as { text: string }[]).map(({ text }) => text)).toEqual(['a red fox in the snow', 'a grey owl in the snow'])
  })

  it('one text taken apart by what it says', async () => {
    ask(1, { kind: 'learn', texts: ['a red fox, oil painting'] })
    const { text, rows } = await answerTo(1) as { text: string; rows: Record<string, string>[] }
    expect([text, rows]).toEqual(['a {{ subject }}, {{ medium }}', [{ subject: 'red fox', medium: 'oil painting' }]])
  })

  it('units of a proposal, and the edit that takes one', async () => {
    const draft = aDraft('a fox, dusk')
    const proposed = aDraft('a red fox, noon')
    ask(1, { kind: 'proposal', draft, proposed })
    const { units } = await answerTo(1) as { units: { chosen?: number; at?: number }[] }
    expect(units.length).toBe(2)
    ask(2, { kind: 'take', draft, proposed, chosen: [1], helper: { id: 'refine', version: 1 } })
    const edit = await answerTo(2) as { text: { insert: string }[] }
    expect(edit.text.map(({ insert }) => insert)).toEqual(['noon'])
  })
})
