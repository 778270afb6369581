import { addTemplate, changePrompt, deleteTemplate, listBin, listTemplates, makeDrafts, restoreFromBin, readOffers, readPrompt, readTemplateWhole, saveTemplateVersion, setRules, takeOffers, type Template } from '@idolon/contract'
import { blankSlot, NO_RULES, type TemplateBody } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
beforeAll(async () => {
  server = await TestServer.start()
})
afterAll(() => server.stop())

const body = (text: string, more: Partial<TemplateBody> = {}): TemplateBody => ({
  name: 'Night bird',
  does: '',
  text,
  slots: [{ ...blankSlot('subject', 'subject'), options: ['owl', 'heron'], fallback: 'owl' }, blankSlot('place', 'setting')],
  leaveOut: ['lettering'],
  ...more,
})
const TEXT = 'a {{ subject }} in {{ place }}, dusk, linocut'
const make = (template: Template, projectId: string, rows: Record<string, string>[]) => server.call(makeDrafts, { params: { template: template.id }, body: { projectId, version: template.version, rows: rows.map((values) => ({ id: randomUUID(), values })), tags: ['night'] } })
const draftOf = async (prompt: string) => (await server.call(readPrompt, { params: { prompt } })).draft

describe('a template', () => {
  it('ships with others, and is refused with its line when it cannot be used', async () => {
    const project = await server.project()
    const shipped = await server.call(listTemplates, { query: {} })
    expect(shipped.length).toBeGreaterThan(11)
    expect(shipped.every((one) => one.shipped && one.body.slots.length > 1)).toBe(true)
    const ask = (text: string) => server.ask(addTemplate, { body: { projectId: project.id, body: body(text, { slots: [] }), why: '' } })
    expect((await ask('a fox\nin {{ place')).body).toMatchObject({ type: '/problems/template-unsound', detail: expect.stringMatching(/^Line 2: /) as string })
    expect((await ask('a {{ x {{ y }} }}')).status).toBe(422)
    expect((await server.ask(addTemplate, { body: { projectId: project.id, body: body(TEXT, { slots: [{ ...blankSlot('place'), options: ['a', '{{ place }}'] }] }), why: '' } })).body).toMatchObject({ detail: expect.stringMatching(/Line 2 of the options of “place” refers to a slot/) as string })
  })

  it('becomes drafts, a row of values each, that are linked to it and filled with care', async () => {
    const project = await server.project()
    await server.call(setRules, { params: { project: project.id }, body: { ...NO_RULES, leaveOut: ['people'] } })
    const template = await server.call(addTemplate, { body: { projectId: project.id, body: body(TEXT), why: 'first' } })
    const made = await make(template, project.id, [{ place: 'a barn' }, { subject: 'two herons' }, { subject: 'avocet', place: 'a mill' }])
    const drafts = await Promise.all(made.map(({ promptId }) => draftOf(promptId)))
    expect(drafts.map(({ text }) => text)).toEqual(['an owl in a barn, dusk, linocut', 'two herons, dusk, linocut', 'an avocet in a mill, dusk, linocut'])
    expect(drafts[0]!.leaveOut).toEqual(['people', 'lettering'])
    expect(drafts[0]!.marks.filter(({ kind }) => kind === 'from')).toMatchObject([{ from: 3, to: 6, source: { type: 'slot', id: `${template.id} subject`, version: 1 } }, { from: 10, to: 16 }])
    const whole = await server.call(readTemplateWhole, { params: { template: template.id } })
    expect(whole.template).toMatchObject({ drafts: 3, behind: 0, version: 1 })
    expect(whole.made.map(({ values }) => values)).toContainEqual({ subject: 'avocet', place: 'a mill' })
    expect((await server.call(listTemplates, { query: { project: (await server.project()).id } })).map(({ id }) => id)).not.toContain(template.id)
  })

  it('offers its change to the drafts made from it: what was written since stays, and one that says otherwise is named', async () => {
    const { id: projectId } = await server.project()
    const first = await server.call(addTemplate, { body: { projectId, body: body(TEXT), why: '' } })
    const [plain, longer, other, left] = (await make(first, projectId, [{ place: 'a barn' }, { place: 'a mill' }, { place: 'a wood' }, { place: 'a loft' }])).map(({ promptId }) => promptId)
    await server.edit(longer!, 0, { text: [{ from: 0, to: 0, insert: 'Low angle, ' }] })
    await server.edit(other!, 0, { text: [{ from: 16, to: 21, insert: 'at noon, ' }] })
    const save = (text: string, on: number) => server.ask(saveTemplateVersion, { params: { template: first.id }, body: { on, body: body(text), why: 'darker' } })
    expect((await save('a {{ subject }} in {{ place }}, moonlit night, linocut', 1)).status).toBe(201)
    expect((await save(TEXT, 1)).body).toMatchObject({ type: '/problems/draft-moved' })
    const offers = await server.call(readOffers, { params: { template: first.id } })
    const offer = (prompt: string | undefined) => offers.find(({ promptId }) => promptId === prompt)!
    expect(offer(plain).differences).toMatchObject([{ change: 'changed', a: 'dusk', b: 'moonlit night' }])
    expect([offer(longer).meets, offer(other).meets]).toEqual([true, false])
    const taken = await server.call(takeOffers, { params: { template: first.id }, body: { take: [plain, longer, other].map((promptId) => ({ promptId: promptId!, revision: offer(promptId).revision })), leave: [left!] } })
    expect(taken.taken).toEqual([plain, longer])
    expect(taken.passedOver).toHaveLength(1)
    expect((await draftOf(plain!)).text).toBe('an owl in a barn, moonlit night, linocut')
    expect((await draftOf(longer!)).text).toBe('Low angle, an owl in a mill, moonlit night, linocut')
    expect((await draftOf(left!)).text).toBe('an owl in a loft, dusk, linocut')
    expect((await server.call(readOffers, { params: { template: first.id } })).map(({ promptId }) => promptId)).toEqual([other])
  })

  it('is taken out of the bin again, and what was made from it stays', async () => {
    const { id: projectId } = await server.project()
    const template = await server.call(addTemplate, { body: { projectId: null, body: body(TEXT), why: '' } })
    const [made] = await make(template, projectId, [{ place: 'a barn' }])
    await server.call(deleteTemplate, { params: { template: template.id } })
    expect((await server.ask(readTemplateWhole, { params: { template: template.id } })).status).toBe(404)
    expect(await server.call(changePrompt, { params: { prompt: made!.promptId }, body: { status: 'proven' } })).toMatchObject({ status: 'proven' })
    expect((await server.call(listBin)).find(({ id }) => id === template.id)).toMatchObject({ kind: 'template', name: 'Night bird' })
    await server.call(restoreFromBin, { params: { kind: 'template', id: template.id } })
    expect((await server.call(readTemplateWhole, { params: { template: template.id } })).made).toHaveLength(1)
  })
})
