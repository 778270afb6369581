import { flushPromises, mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { useProjects } from '../stores/projects.ts'
import { press, withEngines } from '../testing.test-support.ts'
import PartOptions from './PartOptions.vue'
import { aPart } from './series.test-support.ts'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))

it('gives all of a kind, one of them, or what one may change into, as options', async () => {
  const hedda = aPart('character', 'Hedda', { says: [{ key: 'p1', text: 'an old beekeeper' }, { key: 'p2', text: 'white plait' }], variants: [{ key: 'v1', aspect: 'dress', name: 'coat', text: 'in a waxed coat' }, { key: 'v2', aspect: 'dress', name: 'shawl', text: 'in a shawl' }] })
  const corin = aPart('character', 'Corin', { says: [{ key: 'p1', text: 'a boy of twelve' }] })
  call.mockResolvedValue([hedda, corin, aPart('place', 'Nowhere')])
  const global = withEngines()
  const projects = useProjects()
  projects.all = [{ id: 'j', name: 'Bees', archivedAt: null }] as unknown as typeof projects.all
  projects.chosen = 'j'
  const wrapper = mount(PartOptions, { global })
  await flushPromises()
  expect(wrapper.findAll('[role=menuitem]').map((one) => one.text())).toEqual(['all 2 characters', 'Hedda', 'Corin', 'Hedda: every dress'])
  const chosen = async (title: string) => {
    await press(wrapper, title)
    return wrapper.emitted('add')!.at(-1)![0]
  }
  expect(await chosen('all 2 characters')).toEqual(['an old beekeeper, white plait', 'a boy of twelve'])
  expect(await chosen('Hedda: every dress')).toEqual(['in a waxed coat', 'in a shawl'])
})
