import type { CloseTry } from '@idolon/contract'
import { emptyDraft } from '@idolon/core'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { choose, withEngines } from '../testing.test-support.ts'
import ClosingIn from './ClosingIn.vue'
import { aReading, aReference } from './reading.test-support.ts'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

const SAY = { facet: 'colour' as const, say: 'warm colours' }
const aTry = (version: number, whole: number, palette: number, more: Partial<CloseTry> = {}): CloseTry => ({
  proofId: `p${version}`, promptId: 'x', promptTitle: 'A quay', version, engine: 'Burin 2', sha256: String(version).repeat(64), askedAt: '2026-01-01T10:00:00Z', stage: 'read',
  closeness: { whole, by: [{ respect: 'palette', close: palette, says: 'its colours lie 0.10 apart', closing: [SAY] }] },
  advice: [{ respect: 'palette', closing: SAY, past: { tried: 3, closer: 2 } }, { respect: 'format', closing: { setting: 'aspectRatio', value: '3:2' }, past: { tried: 0, closer: 0 } }],
  ...more,
})
let tries: CloseTry[] = []
let draft = emptyDraft()
const saved: unknown[] = []
beforeEach(() => {
  tries = [aTry(1, 0.7, 0.5), aTry(2, 0.6, 0.4)]
  draft = { ...emptyDraft(), text: 'a quay' }
  saved.length = 0
  call.mockReset().mockImplementation((route: { id: string }, sent: { body?: { edits: unknown[] } }) => {
    if (route.id === 'closeTries') return Promise.resolve(tries)
    if (route.id === 'readPrompt') return Promise.resolve({ id: 'x', draft, revision: 4 })
    if (route.id === 'readReading') return Promise.resolve(aReading())
    if (route.id === 'listVersions') return Promise.resolve([{ number: 1, body: { text: 'an older quay', marks: [], leaveOut: [], references: [] } }])
    saved.push(...(sent.body?.edits ?? []))
    return Promise.resolve({})
  })
})
async function shown() {
  const wrapper = mount(ClosingIn, { props: { reference: aReference(), reading: aReading() }, global: { ...withEngines(), stubs: { ...withEngines().stubs, PictureEvidence: { props: ['evidence'], template: '<i>{{ evidence?.kind }}</i>' } } } })
  await flushPromises()
  return wrapper
}
const button = (wrapper: Awaited<ReturnType<typeof shown>>, text: string) => wrapper.findAll('button').find((one) => one.text().startsWith(text))!

describe('closing in', () => {
  it('says how each try did, what moved, and how often such a change helped before', async () => {
    const text = (await shown()).text()
    expect(text).toContain('60 %')
    expect(text).toContain('10 further than version 1')
    expect(text).toContain('came closer in 2 of 3 tries here')
    expect(text).toContain('not tried here yet')
  })

  it('puts words into the draft with where they are from, and a setting where settings are', async () => {
    const wrapper = await shown()
    await button(wrapper, 'Say “warm colours”').trigger('click')
    await flushPromises()
    expect(saved).toEqual([{ text: [{ from: 6, to: 6, insert: ', warm colours' }], marks: { remove: [], add: [expect.objectContaining({ from: 8, to: 20, kind: 'facet' }), expect.objectContaining({ kind: 'from', source: { type: 'reference', id: 'r1' } })] } }])
    await button(wrapper, 'Ask for 3:2').trigger('click')
    await flushPromises()
    expect(saved[1]).toEqual({ settings: { aspectRatio: '3:2' } })
  })

  it('does not offer what the draft has', async () => {
    draft = { ...draft, text: 'a quay, Warm colours' }
    expect(button(await shown(), 'Say “warm colours”').attributes('disabled')).toBeDefined()
  })

  it('goes back to an earlier version that was closer', async () => {
    const wrapper = await shown()
    expect(wrapper.text()).toContain('Version 1 was closer, 70 %')
    await button(wrapper, 'Go back to it').trigger('click')
    await flushPromises()
    expect(saved).toHaveLength(1)
    tries = [aTry(1, 0.6, 0.4), aTry(2, 0.7, 0.5)]
    expect((await shown()).text()).not.toContain('was closer')
  })

  it('shows the tries of one prompt at a time, the newest first', async () => {
    tries = [aTry(1, 0.7, 0.5), aTry(1, 0.3, 0.2, { proofId: 'other', promptId: 'y', promptTitle: 'Another quay' })]
    const wrapper = await shown()
    expect(wrapper.findAll('.try')).toHaveLength(1)
    expect(wrapper.get('.try').text()).toContain('30 %')
    await choose(wrapper, 'Tries of', 'x')
    expect(wrapper.get('.try').text()).toContain('70 %')
  })

  it('shows a respect in both pictures', async () => {
    const wrapper = await shown()
    await button(wrapper, 'palette').trigger('click')
    await flushPromises()
    expect(wrapper.findAll('figure i').map((one) => one.text())).toEqual(['colours', 'colours'])
  })
})
