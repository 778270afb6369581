import { flushPromises, mount } from '@vue/test-utils'
import { createPinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, effectScope, h } from 'vue'
import { useActions } from './actions.ts'
import GoTo from './GoTo.vue'

const { call, push } = vi.hoisted(() => ({ call: vi.fn(), push: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
vi.mock('vue-router', () => ({ useRouter: () => ({ push }) }))

const rows = (...titles: string[]) => ({ rows: titles.map((title) => ({ id: title, title, projectId: 'x' })), total: titles.length, read: [] })
const ran: string[] = []
const scope = effectScope()
scope.run(() => useActions(() => [{ name: 'Desk: with history', run: () => ran.push('with') }, { name: 'History', words: 'versions', run: () => ran.push('History') }, { name: 'New prompt', run: () => ran.push('New prompt') }]))

/** A dialog that is gone when it is told so. */
const VDialog = defineComponent({ emits: ['afterLeave'], setup: (_, { slots }) => () => h('div', slots['default']?.()) })

async function open() {
  const wrapper = mount(GoTo, { attachTo: document.body, props: { modelValue: false }, global: { plugins: [createPinia()], stubs: { VDialog } } })
  await wrapper.setProps({ modelValue: true })
  await flushPromises()
  const choose = async () => {
    await wrapper.get('input').trigger('keydown', { key: 'Enter' })
    wrapper.getComponent(VDialog).vm.$emit('afterLeave')
  }
  return { wrapper, choose, names: () => wrapper.findAll('[role=option]').map((one) => one.get('.v-list-item-title').text()), type: (text: string) => wrapper.get('input').setValue(text) }
}

beforeEach(() => {
  ran.length = 0
  push.mockReset()
  call.mockReset().mockResolvedValue(rows())
})

describe('Go to', () => {
  it('puts what is called so before what is only meant by the words', async () => {
    const { names, type } = await open()
    await type('history')
    expect(names()[0]).toBe('History')
    await type('pictures')
    expect(names()).toEqual(['Proofs'])
  })

  it('never offers what was found for other words, so that Enter is safe at any moment', async () => {
    call.mockResolvedValueOnce(rows('Old news'))
    const { choose, names, type } = await open()
    expect(names()).toContain('Old news')
    call.mockReturnValueOnce(new Promise(() => undefined))
    await type('new')
    expect(names()).toEqual(['Begin', 'New prompt'].sort((a, b) => Number(a === 'Begin') - Number(b === 'Begin')))
    await choose()
    expect(ran).toEqual(['New prompt'])
  })

  it('goes to the prompt that the arrows chose', async () => {
    const { wrapper, choose, names, type } = await open()
    call.mockResolvedValueOnce(rows('Fox at dusk', 'Fox at dawn'))
    await type('fox')
    await flushPromises()
    expect(names()).toEqual(['Fox at dusk', 'Fox at dawn'])
    await wrapper.get('input').trigger('keydown', { key: 'ArrowDown' })
    await choose()
    expect(push).toHaveBeenCalledWith('/desk/Fox at dawn')
  })

  it('has the focus at once, and does what was chosen only when the dialog is gone, which would take the focus back', async () => {
    const { wrapper, type } = await open()
    expect(document.activeElement).toBe(wrapper.get('input').element)
    await type('history')
    await wrapper.get('input').trigger('keydown', { key: 'Enter' })
    expect([ran, wrapper.emitted('update:modelValue')]).toEqual([[], [[false]]])
    wrapper.getComponent(VDialog).vm.$emit('afterLeave')
    expect(ran).toEqual(['History'])
  })
})
