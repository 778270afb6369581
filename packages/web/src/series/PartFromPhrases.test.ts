import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { choose, fill, withEngines } from '../testing.test-support.ts'
import PartFromPhrases from './PartFromPhrases.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('vue-router', () => ({ useRouter: () => ({ push: vi.fn() }) }))
beforeEach(() => void call.mockReset().mockResolvedValue(undefined))

const phrases = [
  { facet: 'subject' as const, text: 'an elderly beekeeper' },
  { facet: 'detail' as const, text: 'waxed canvas coat' },
  { facet: 'setting' as const, text: 'terraced apiary' },
  { facet: 'light' as const, text: 'low sun' },
  { facet: 'medium' as const, text: 'gouache' },
]
const shown = (picture?: string) => mount(PartFromPhrases, { props: { phrases, projectId: 'j', from: 'the prompt “Bees”', ...(picture ? { picture } : {}) }, global: withEngines() })
const kept = () => (call.mock.calls[0] as [unknown, { body: { body: { kind: string; says: { text: string }[]; variants: { aspect: string; text: string }[]; references: { role: string }[] } } }])[1].body.body

it('takes what belongs to the kind at first, and makes the part that is chosen', async () => {
  const wrapper = shown()
  expect(wrapper.findAll('li .words').map((one) => one.text())).toEqual(['an elderly beekeeper', 'waxed canvas coat'])
  await choose(wrapper, 'What it becomes', 'place')
  expect(wrapper.findAll<HTMLInputElement>('li input').map((one) => one.element.checked)).toEqual([false, true, false])
  await fill(wrapper, 'Its name, as scenes will call it', 'The apiary')
  await wrapper.get('form').trigger('submit')
  await flushPromises()
  expect(kept()).toMatchObject({ kind: 'place', name: 'The apiary', says: [{ text: 'terraced apiary' }], variants: [], references: [] })
  expect(wrapper.emitted('close')).toHaveLength(1)
})

it('makes what may change a variant, and takes the picture along in the role of its kind', async () => {
  const wrapper = shown('f'.repeat(64))
  await choose(wrapper, 'What it becomes', 'place')
  for (const box of wrapper.findAll<HTMLInputElement>('li input')) await box.setValue(true)
  await fill(wrapper, 'Its name, as scenes will call it', 'The apiary')
  await wrapper.get('form').trigger('submit')
  await flushPromises()
  expect(kept()).toMatchObject({ variants: [{ aspect: 'light', text: 'low sun' }], references: [{ role: 'layout' }] })
})
