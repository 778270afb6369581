import type { Proof } from '@idolon/contract'
import { flushPromises, mount } from '@vue/test-utils'
import { createPinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { letterKeys } from '../keys/letters.ts'
import { aProof } from '../testing.test-support.ts'
import ProofTile from './ProofTile.vue'

const { call, push } = vi.hoisted(() => ({ call: vi.fn(), push: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('vue-router', () => ({ useRouter: () => ({ push }) }))

const tile = (more: Partial<Proof> = {}) => mount(ProofTile, { props: { proof: aProof(more) }, global: { plugins: [createPinia()] } })

beforeEach(() => {
  call.mockReset().mockImplementation((_route, { body }: { body: object }) => Promise.resolve(aProof(body)))
  letterKeys.value = true
})

describe('ProofTile', () => {
  it('judges by the first letters of the words, and takes the verdict back with the same key', async () => {
    const wrapper = tile()
    await wrapper.get('button').trigger('keydown', { key: 'k' })
    await flushPromises()
    expect(wrapper.emitted('changed')).toEqual([[expect.objectContaining({ verdict: 'keep' })]])
    await wrapper.setProps({ proof: aProof({ verdict: 'keep' }) })
    expect(wrapper.get('button').attributes('aria-label')).toContain('keep')
    await wrapper.get('button').trigger('keydown', { key: 'k' })
    expect(call.mock.lastCall?.[1]).toMatchObject({ body: { verdict: null } })
  })

  it('leaves letters alone when they are switched off, or held with Ctrl', async () => {
    const wrapper = tile()
    await wrapper.get('button').trigger('keydown', { key: 'd', ctrlKey: true })
    letterKeys.value = false
    await wrapper.get('button').trigger('keydown', { key: 'd' })
    expect(call).not.toHaveBeenCalled()
  })

  it('says why there is no picture, and asks again', async () => {
    const wrapper = tile({ state: 'failed', picture: null, reason: 'The engine failed (status 500).' })
    expect(wrapper.text()).toContain('The engine failed (status 500).')
    await wrapper.get('button').trigger('click')
    expect(call.mock.lastCall?.[0]).toMatchObject({ id: 'askAgain' })
  })
})
