import { blankScene } from '@idolon/core'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { letterKeys } from '../keys/letters.ts'
import { aProof, emit, withEngines } from '../testing.test-support.ts'
import SceneRows from './SceneRows.vue'
import { anOpenSeries, aPart, aScene } from './series.test-support.ts'

vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
const HEDDA = aPart('character', 'Hedda')
const YARD = aPart('place', 'The yard')
function rows(scenes = [aScene('a'), aScene('b'), aScene('c')]) {
  const { open, acts } = anOpenSeries(scenes, [HEDDA, YARD])
  const wrapper = mount(SceneRows, { props: { open, chosen: scenes[0]?.id }, global: withEngines(), attachTo: document.body })
  const key = async (at: number, name: string, more = {}) => {
    await wrapper.findAll('.open')[at]!.trigger('keydown', { key: name, ...more })
    await flushPromises()
  }
  return { wrapper, acts, key, facts: () => wrapper.findAll('li').map((row) => row.findAll('.facts').at(-1)!.findAll('span').map((one) => one.text())) }
}

beforeEach(() => void (letterKeys.value = true))

describe('the scenes in a row', () => {
  it('say what happens, who is there and where, and that nothing is said yet', () => {
    const told = aScene('a', { body: { ...blankScene(), beat: 'She opens the hives', cast: [{ part: HEDDA.id, variants: [] }], place: { part: YARD.id, variants: [] }, moment: 'dawn' } })
    const { wrapper } = rows([told, aScene('b', { body: blankScene() })])
    expect(wrapper.findAll('.beat').map((one) => one.text())).toEqual(['She opens the hives', 'A scene without words yet'])
    expect(wrapper.findAll('.facts')[0]!.text()).toBe('HeddaThe yard, dawn')
  })

  it('say how each stands, what wants the writer marked', () => {
    const { wrapper, facts } = rows([
      aScene('a', { coming: 2, proofs: 3 }),
      aScene('b', { chosen: aProof(), stale: true, touched: true, behind: [{ part: HEDDA.id, from: 1, to: 2 }] as never }),
      aScene('c', { chosen: aProof({ storedAt: '2026-01-01T10:00:00Z' } as never), newest: aProof({ id: 'n', storedAt: '2026-01-02T10:00:00Z' } as never), overrides: [{}] as never }),
      aScene('d'),
    ])
    expect(facts()).toEqual([['2 proofs to come', '3 proofs, none chosen'], ['Hedda changed since', 'chosen proof is stale', 'its passage was rewritten'], ['a newer proof', '1 override'], ['not tried yet']])
    expect(wrapper.findAll('.wants')).toHaveLength(3)
  })

  it('are gone through by arrows, not beyond the ends', async () => {
    const { wrapper, key } = rows()
    await key(0, 'ArrowUp')
    await key(0, 'ArrowDown')
    expect(wrapper.emitted('choose')).toEqual([['b']])
    expect(document.activeElement).toBe(wrapper.findAll('.open')[1]!.element)
  })

  it('are moved, joined, duplicated and removed by keys', async () => {
    const { wrapper, acts, key } = rows()
    await key(1, 'ArrowDown', { ctrlKey: true })
    await key(1, 'ArrowUp', { ctrlKey: true })
    await key(1, 'j')
    await key(1, 'd')
    await key(1, 'Delete')
    expect([acts.move.mock.calls, acts.join.mock.calls, acts.duplicate.mock.calls, acts.remove.mock.calls.length, wrapper.emitted('choose')]).toEqual([[['b', 1], ['b', -1]], [['b']], [['b']], 1, [['copy']]])
  })

  it('take the order in which they were dropped', async () => {
    const { wrapper, acts } = rows()
    const list = wrapper.getComponent({ name: 'VueDraggable' })
    emit(list, 'update:modelValue', [...(list.props('modelValue') as unknown[])].reverse())
    emit(list, 'end')
    await flushPromises()
    expect(acts.order.mock.calls).toEqual([[['c', 'b', 'a']]])
  })
})
