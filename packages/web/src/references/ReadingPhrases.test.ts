import type { Agreement } from '@idolon/contract'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { fill, IN_TIME, withEngines } from '../testing.test-support.ts'
import { aWhole } from './reading.test-support.ts'
import ReadingPhrases from './ReadingPhrases.vue'

const { call, begin, heard } = vi.hoisted(() => ({ call: vi.fn(), begin: vi.fn(), heard: { tell: vi.fn() as (event: unknown) => void } }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: (listener: (event: unknown) => void) => (heard.tell = listener) }))
vi.mock('./begin-from-reading.ts', () => ({ beginFromReading: begin }))
vi.mock('vue-router', () => ({ useRouter: () => ({ push: vi.fn() }) }))
vi.mock('../stores/glossary.ts', () => ({ useGlossary: () => ({ load: () => Promise.resolve(), glossary: undefined }) }))

const row = (facet: Agreement['rows'][number]['facet'], text: string, more: Partial<Agreement['rows'][number]> = {}): Agreement['rows'][number] => ({ facet, text, saidBy: ['measures'], stand: 'measured', says: '', evidence: 'temperature', confidence: 0.9, part: null, ...more })
const rows = [
  row('subject', 'a dog', { evidence: 'object 0', part: 'subject' }),
  row('moment', 'at dusk', { saidBy: ['quoin'], stand: 'contradicted', says: 'the sky is bright and blue', evidence: 'palette', confidence: 0.1, part: 'hour' }),
  row('colour', 'cool colours', { saidBy: ['measures', 'quoin'], part: 'colour' }),
  row('mood', 'hushed', { saidBy: ['quoin'], stand: 'unmeasured', evidence: null, confidence: null }),
]
const captions: Agreement['captions'] = [{ turnId: 't1', model: { id: 'quoin', name: 'Quoin', simulated: true }, state: 'done', text: 'x', problem: null, record: { held: 3, refuted: 1 } }]
async function shown() {
  const wrapper = mount(ReadingPhrases, { props: { whole: aWhole(), shown: undefined }, global: { ...withEngines(), stubs: { ...withEngines().stubs, CaptionAsking: true } }, attachTo: document.body })
  await flushPromises()
  return wrapper
}
const press = async (wrapper: Awaited<ReturnType<typeof shown>>, name: string) => {
  const button = wrapper.findAll('button').find((one) => one.text() === name || one.attributes('aria-label') === name)!
  await button.trigger('click')
}
beforeEach(() => {
  call.mockReset().mockResolvedValue({ captions, rows })
  begin.mockReset().mockResolvedValue({ id: 'x' })
})

describe('what is said of a picture', () => {
  it('names who says it, what a measure contradicts, and what nobody measured', async () => {
    const text = (await shown()).text()
    expect(text).toContain('measured, Quoin')
    expect(text).toContain('Quoin, but the sky is bright and blue')
    expect(text).toContain('nobody measured it')
  })

  it('takes all but what is contradicted, which is taken by its own press', async () => {
    const wrapper = await shown()
    await press(wrapper, 'Accept all that nothing contradicts')
    expect(wrapper.get('.saying').text()).toBe('a dog, cool colours, hushed')
    await press(wrapper, 'Accept at dusk')
    expect(wrapper.get('.saying').text()).toContain('at dusk')
  })

  it('puts another subject in place of the picture’s, and keeps what is borne out', async () => {
    const wrapper = await shown()
    await fill(wrapper, 'another subject', 'a tram')
    expect(wrapper.get('.saying').text()).toBe('a tram, cool colours')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect(begin).toHaveBeenCalledWith('p1', [{ facet: 'subject', text: 'a tram' }, { facet: 'colour', text: 'cool colours', reference: 'r1' }], undefined)
  })

  it('keeps what was taken and changed when a model answers meanwhile', async () => {
    const wrapper = await shown()
    await press(wrapper, 'Accept a dog')
    await press(wrapper, 'Change a dog')
    await wrapper.get('li input').setValue('an old dog')
    await wrapper.get('li input').trigger('keydown', { key: 'Enter' })
    call.mockResolvedValue({ captions, rows: [...rows, row('light', 'soft light', { saidBy: ['flourish'], stand: 'unmeasured', evidence: null })] })
    heard.tell({ kind: 'turn' })
    await vi.waitFor(() => expect(wrapper.text()).toContain('soft light'), IN_TIME)
    expect(wrapper.get('.saying').text()).toBe('an old dog')
  })

  it('shows the evidence of what is pressed, and has none of what nobody measured', async () => {
    const wrapper = await shown()
    await press(wrapper, 'a dog')
    expect(wrapper.emitted('show')).toEqual([['object 0']])
    expect(wrapper.findAll('button').some((one) => one.text() === 'hushed')).toBe(false)
  })
})
