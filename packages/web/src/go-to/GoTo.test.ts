import { flushPromises, mount } from '@vue/test-utils'
import { createPinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
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

async function open() {
  const wrapper = mount(GoTo, { props: { modelValue: false, 'onUpdate:modelValue': () => undefined }, global: { plugins: [createPinia()], stubs: { VDialog: { template: '<div><slot /></div>' } } } })
  await wrapper.setProps({ modelValue: true })
  await flushPromises()
  return { wrapper, names: () => wrapper.findAll('li').map((li) => li.get('span').text()), type: (text: string) => wrapper.get('input').setValue(text) }
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
    const { wrapper, names, type } = await open()
    expect(names()).toContain('Old news')
    call.mockReturnValueOnce(new Promise(() => undefined))
    await type('new')
    expect(names()).toEqual(['Begin', 'New prompt'].sort((a, b) => Number(a === 'Begin') - Number(b === 'Begin')))
    await wrapper.get('input').trigger('keydown', { key: 'Enter' })
    expect(ran).toEqual(['New prompt'])
  })

  it('goes to the prompt that the arrows chose', async () => {
    const { wrapper, names, type } = await open()
    call.mockResolvedValueOnce(rows('Fox at dusk', 'Fox at dawn'))
    await type('fox')
    await flushPromises()
    expect(names()).toEqual(['Fox at dusk', 'Fox at dawn'])
    await wrapper.get('input').trigger('keydown', { key: 'ArrowDown' })
    await wrapper.get('input').trigger('keydown', { key: 'Enter' })
    expect(push).toHaveBeenCalledWith('/desk/Fox at dawn')
  })

  it('does what was chosen only once the dialog is gone, which would take the focus back', async () => {
    const { wrapper, type } = await open()
    await type('history')
    void wrapper.get('input').trigger('keydown', { key: 'Enter' })
    expect(ran).toEqual([])
    expect(wrapper.emitted('update:modelValue')?.at(-1)).toEqual([false])
    wrapper.getComponent({ name: 'VDialog' }).vm.$emit('afterLeave')
    expect(ran).toEqual(['History'])
  })
})
