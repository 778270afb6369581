import type { Agreement } from '@idolon/contract'
import { blankPart, type PartBody } from '@idolon/core'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { choose, withEngines } from '../testing.test-support.ts'
import LookFromReference from './LookFromReference.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))

const row = (facet: Agreement['rows'][number]['facet'], text: string, more: Partial<Agreement['rows'][number]> = {}): Agreement['rows'][number] => ({ facet, text, saidBy: ['quoin'], stand: 'unmeasured', says: '', evidence: null, confidence: null, part: null, ...more })
const HERON: PartBody = { ...blankPart('character', 'Heron'), says: [{ key: 'p1', text: 'a clockwork heron' }, { key: 'p2', text: 'polished brass feathers' }], never: ['toy'] }
const rows = [row('detail', 'copper feathers'), row('detail', 'long jointed legs'), row('subject', 'clockwork heron'), row('detail', 'a toy key'), row('framing', 'close-up'), row('moment', 'at dusk')]

async function shown() {
  call.mockImplementation((route: { id: string }) => Promise.resolve(route.id === 'listReferences' ? [{ id: 'r1', name: 'The heron', picture: { sha256: 'f'.repeat(64) }, proofId: null }] : { rows, captions: [{ model: { id: 'quoin', name: 'Quoin' } }] }))
  const wrapper = mount(LookFromReference, { props: { projectId: 'j', body: HERON }, global: withEngines(), attachTo: document.body })
  await flushPromises()
  await wrapper.get('.v-expansion-panel-title').trigger('click')
  await choose(wrapper, 'Reference to take from', 'r1')
  return wrapper
}
beforeEach(() => void call.mockReset())
const labelled = (wrapper: Awaited<ReturnType<typeof shown>>, label: string) => wrapper.findAll('button').find((one) => one.attributes('aria-label') === label)
const put = (wrapper: Awaited<ReturnType<typeof shown>>) => wrapper.emitted<[PartBody]>('put')?.at(-1)?.[0]

describe('a look that is moved from a picture', () => {
  it('offers what a character can be, and leaves framing and hour out', async () => {
    const said = (await shown()).findAll('li .words').map((one) => one.text())
    expect(said.sort()).toEqual(['a toy key', 'clockwork heron', 'copper feathers', 'long jointed legs'])
  })

  it('says a new phrase always, or as what may change', async () => {
    const wrapper = await shown()
    await labelled(wrapper, 'Always say long jointed legs')!.trigger('click')
    expect(put(wrapper)?.says.at(-1)?.text).toBe('long jointed legs')
    await labelled(wrapper, 'long jointed legs as state')!.trigger('click')
    expect(put(wrapper)?.variants).toMatchObject([{ aspect: 'state', text: 'long jointed legs' }])
  })

  it('puts what contradicts a phrase in its place only', async () => {
    const wrapper = await shown()
    expect(labelled(wrapper, 'Always say copper feathers')).toBeUndefined()
    await labelled(wrapper, 'copper feathers: in place of polished brass feathers')!.trigger('click')
    expect(put(wrapper)?.says.map(({ key, text }) => [key, text])).toEqual([['p1', 'a clockwork heron'], ['p2', 'copper feathers']])
  })

  it('tells what is said already and what must never be said, and does not offer it', async () => {
    const wrapper = await shown()
    expect(wrapper.text()).toContain('it says this already: “a clockwork heron”')
    expect(wrapper.text()).toContain('“toy” must never be said')
    expect(labelled(wrapper, 'Always say a toy key')).toBeUndefined()
  })
})
