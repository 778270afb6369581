import type { Project } from '@idolon/contract'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useNotices } from '../notices/notices.ts'
import { aServer, choose, fieldOf, fill, valueOf, withEngines } from '../testing.test-support.ts'
import ProjectMoney from './ProjectMoney.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

const aProject = (more: Partial<Project> = {}): Project => ({ id: 'j', name: 'Bees', archivedAt: null, prompts: 0, proofs: 0, keepers: 0, currency: 'EUR', rates: [{ unit: 'credit', price: 0.02 }], spent: [{ unit: 'credit', amount: 40 }], ceiling: null, ...more }) as unknown as Project
let server: ReturnType<typeof aServer>
beforeEach(() => {
  server = aServer(call, { listModels: [], setMoney: ({ body }: { body: object }) => ({ ...aProject(), ...body }) })
})
async function money(project = aProject()) {
  const wrapper = mount(ProjectMoney, { props: { project }, global: withEngines() })
  await flushPromises()
  return wrapper
}
const saved = () => server.asked('setMoney').map(({ body }) => body)
const under = (wrapper: Awaited<ReturnType<typeof money>>, label: string) => fieldOf(wrapper, label).get('.v-messages').text()

describe('the money of a project', () => {
  it('is saved field by field, and says that it is', async () => {
    const wrapper = await money()
    await fill(wrapper, 'Ceiling', '200', true)
    expect(saved()).toEqual([{ currency: 'EUR', rates: [{ unit: 'credit', price: 0.02 }], ceiling: { unit: expect.any(String) as string, amount: 200 } }])
    expect([useNotices().shown.map(({ text }) => text), wrapper.emitted('changed')?.length]).toEqual([['Saved.'], 1])
  })

  it.each([
    ['Price of a credit', 'twenty', 'A number from 0 up.'],
    ['Ceiling', '-4', 'A number from 0 up.'],
    ['Currency', 'E1', 'Three letters, such as EUR.'],
    ['Currency', '', 'Fill this in.'],
  ])('says under “%s” that “%s” is none, and keeps what was saved', async (label, given, says) => {
    const wrapper = await money()
    await fill(wrapper, label, given, true)
    expect([under(wrapper, label), saved()]).toEqual([says, []])
  })

  it('takes a price away by an empty field, and a ceiling too', async () => {
    const wrapper = await money(aProject({ ceiling: { unit: 'credit', amount: 200 } } as Partial<Project>))
    await fill(wrapper, 'Price of a credit', '', true)
    await fill(wrapper, 'Ceiling', '', true)
    expect(saved().at(-1)).toEqual({ currency: 'EUR', rates: [], ceiling: null })
  })

  it('follows the currency where the ceiling is in money', async () => {
    const wrapper = await money(aProject({ ceiling: { unit: 'EUR', amount: 20 } } as Partial<Project>))
    await fill(wrapper, 'Currency', 'chf', true)
    expect(saved().at(-1)).toMatchObject({ currency: 'CHF', ceiling: { unit: 'CHF', amount: 20 } })
  })

  it('counts the ceiling in another unit at once where there is one', async () => {
    const wrapper = await money(aProject({ ceiling: { unit: 'EUR', amount: 20 } } as Partial<Project>))
    await choose(wrapper, 'In', 'credit')
    expect(saved().at(-1)).toMatchObject({ ceiling: { unit: 'credit', amount: 20 } })
    const none = await money()
    await choose(none, 'In', 'credit')
    expect(saved()).toHaveLength(1)
  })

  it('says what is left, and that it is passed', async () => {
    expect((await money(aProject({ ceiling: { unit: 'credit', amount: 30 } } as Partial<Project>))).get('.over').text()).toContain('30')
    expect((await money()).find('.over').exists()).toBe(false)
  })

  it('keeps what is written where it could not be saved, and says why', async () => {
    server.refuses('setMoney', 'The server does not answer.', 'unreachable')
    const wrapper = await money()
    await fill(wrapper, 'Ceiling', '200', true)
    await flushPromises()
    expect([valueOf(wrapper, 'Ceiling'), useNotices().shown.map(({ text }) => text)]).toEqual(['200', ['The server does not answer.']])
  })
})
