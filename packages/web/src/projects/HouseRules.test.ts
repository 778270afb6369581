import { type HouseRules as Rules, SHIPPED_ENGINES } from '@idolon/core'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { useNotices } from '../notices/notices.ts'
import { aServer, choose, fill, named, press, valueOf, withEngines } from '../testing.test-support.ts'
import HouseRules from './HouseRules.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

const RULES: Rules = { must: [{ phrase: 'gouache' }, { facet: 'light' }], never: ['crowd'], leaveOut: ['text'], colours: [{ name: 'honey', value: '#b08030' }], engine: 'burin' }
let server: ReturnType<typeof aServer>
let kept: Rules
beforeEach(() => {
  kept = { ...RULES }
  server = aServer(call, { readRules: () => kept, setRules: ({ body }: { body: Rules }) => (kept = body), promptsBreakingRules: { prompts: [], checked: 4 } })
})
afterEach(dropPageData)
async function rules() {
  const wrapper = mount(HouseRules, { props: { project: 'j' }, global: withEngines() })
  await flushPromises()
  return wrapper
}
const submit = async (wrapper: Awaited<ReturnType<typeof rules>>) => {
  await wrapper.get('form').trigger('submit')
  await flushPromises()
}
const notices = () => useNotices().shown.map(({ text }) => text)

describe('house rules', () => {
  it('have no form before they are there: what is typed into it would be written over', async () => {
    const wrapper = mount(HouseRules, { props: { project: 'j' }, global: withEngines() })
    expect([wrapper.find('form').exists(), wrapper.get('[role=status]').text()]).toEqual([false, 'Opening the rules …'])
    await flushPromises()
    expect([valueOf(wrapper, 'Every prompt says, a phrase a line'), valueOf(wrapper, 'No prompt says, with commas'), valueOf(wrapper, 'Usual engine')]).toEqual(['gouache', 'crowd', 'burin'])
  })

  it('can be saved once they have changed, and gone back to before', async () => {
    const wrapper = await rules()
    expect([named(wrapper, 'Save the rules')!.attributes('disabled'), named(wrapper, 'Back to what is saved')]).toEqual(['', undefined])
    await fill(wrapper, 'No prompt says, with commas', 'crowd, neon\ncrowd')
    await press(wrapper, 'Back to what is saved')
    expect(valueOf(wrapper, 'No prompt says, with commas')).toBe('crowd')
    await fill(wrapper, 'No prompt says, with commas', 'crowd, neon\ncrowd')
    await submit(wrapper)
    expect(server.asked('setRules')[0]!.body).toEqual({ ...RULES, never: ['crowd', 'neon'] })
    expect(notices()).toEqual(['The house rules are saved.'])
  })

  it('are undone by the press that the notice offers', async () => {
    const wrapper = await rules()
    await fill(wrapper, 'On every leave-out list, with commas', '')
    await submit(wrapper)
    useNotices().shown[0]!.action!.run()
    await flushPromises()
    expect([server.asked('setRules')[1]!.body, valueOf(wrapper, 'On every leave-out list, with commas')]).toEqual([RULES, 'text'])
  })

  it('say where they contradict themselves, and are not saved so', async () => {
    const wrapper = await rules()
    await fill(wrapper, 'No prompt says, with commas', 'gouache')
    expect([wrapper.get('.conflicts').text().length > 0, named(wrapper, 'Save the rules')!.attributes('disabled')]).toEqual([true, ''])
    await submit(wrapper)
    expect(server.asked('setRules')).toEqual([])
  })

  it('list the prompts that break them, and look again when they are saved', async () => {
    server.answers['promptsBreakingRules'] = { prompts: [{ promptId: 'x', title: 'Fox', reasons: ['It says “crowd”.'] }], checked: 4 }
    const wrapper = await rules()
    expect([wrapper.get('h3').text(), wrapper.get('.touched').text()]).toEqual(['1 prompt of 4 does not keep them', 'Fox It says “crowd”.'])
    server.answers['promptsBreakingRules'] = { prompts: [], checked: 4 }
    await fill(wrapper, 'No prompt says, with commas', '')
    await submit(wrapper)
    expect(wrapper.text()).toContain('All 4 prompts keep them.')
  })

  it('offer the aspect ratios of the usual engine alone', async () => {
    kept = { ...RULES }
    delete kept.engine
    const wrapper = await rules()
    const offered = () => (wrapper.findAllComponents({ name: 'VSelect' }).find((one) => one.props('label') === 'Aspect ratio')!.props('items') as unknown[]).length
    const all = offered()
    await choose(wrapper, 'Usual engine', SHIPPED_ENGINES.find(({ sizes }) => sizes.length < all - 1)!.id)
    expect(offered()).toBeLessThan(all)
  })

  it('take a colour by a name; one without is left out', async () => {
    const wrapper = await rules()
    await press(wrapper, 'Add a colour')
    await press(wrapper, 'Add a colour')
    await fill(wrapper, 'Name of colour 2', ' moss ')
    await submit(wrapper)
    expect((server.asked('setRules')[0]!.body as unknown as Rules).colours.map(({ name }) => name)).toEqual(['honey', 'moss'])
  })

  it('keep what is written where they could not be saved', async () => {
    server.refuses('setRules', 'The server does not answer.', 'unreachable')
    const wrapper = await rules()
    await fill(wrapper, 'No prompt says, with commas', 'neon')
    await submit(wrapper)
    expect([valueOf(wrapper, 'No prompt says, with commas'), notices()]).toEqual(['neon', ['The server does not answer.']])
  })
})
