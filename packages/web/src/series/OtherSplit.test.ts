import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { aTurn, withEngines } from '../testing.test-support.ts'
import OtherSplit from './OtherSplit.vue'

const { asking } = vi.hoisted(() => ({ asking: { current: undefined as unknown } }))
vi.mock('../asking/asking.ts', async () => {
  const { ref, shallowRef } = await import('vue')
  return { isOpen: () => false, useAsking: () => (asking.current = { turn: shallowRef(), turns: shallowRef([]), texts: {}, busy: ref(false), ask: vi.fn(), close: vi.fn(), again: vi.fn(), stop: vi.fn(), show: vi.fn(), twoMore: vi.fn() }) }
})
vi.mock('../api/call.ts', () => ({ call: () => Promise.resolve([]) }))

const STORY = 'At dusk the miller went home. He slept.\n\nThe next morning the wheel was gone.'
const NEXT = STORY.indexOf('The next')
async function answered(scenes: { begins: string; beat: string }[], starts: number[]) {
  const wrapper = mount(OtherSplit, { props: { projectId: 'j', story: STORY, starts, ours: starts }, global: withEngines() })
  ;(asking.current as { turn: { value: unknown } }).turn.value = aTurn('scenes', { scenes })
  await flushPromises()
  return wrapper
}
beforeEach(() => void (asking.current = undefined))

it('finds where a model begins scenes, at the sentences that hold its words, and says how far the two agree', async () => {
  const wrapper = await answered([{ begins: 'At dusk the miller', beat: 'x' }, { begins: 'he slept', beat: 'x' }, { begins: 'next morning the wheel', beat: 'x' }, { begins: 'A dragon came', beat: 'x' }], [0, NEXT])
  expect(wrapper.emitted('other')?.at(-1)).toEqual([{ by: 'Quoin', starts: [0, STORY.indexOf('He slept'), NEXT] }])
  expect(wrapper.text()).toContain('Quoin sees 3 scenes, here are 2; 2 begin at the same sentence.')
  expect(wrapper.text()).toContain('stands nowhere in the story: “A dragon came”')
  await wrapper.findAll('button').find((one) => one.text() === 'Accept its split')!.trigger('click')
  expect(wrapper.emitted('take')).toEqual([[[0, STORY.indexOf('He slept'), NEXT]]])
})

it('has nothing to take where both say the same, and puts the answer away when the story changes', async () => {
  const wrapper = await answered([{ begins: 'At dusk', beat: 'x' }, { begins: 'The next morning', beat: 'x' }], [0, NEXT])
  expect(wrapper.findAll('button').filter((one) => one.text().endsWith('split')).map((one) => one.attributes('disabled') !== undefined)).toEqual([true, true])
  await wrapper.setProps({ story: `${STORY} And so on.` })
  expect((asking.current as { close: ReturnType<typeof vi.fn> }).close).toHaveBeenCalledOnce()
})
