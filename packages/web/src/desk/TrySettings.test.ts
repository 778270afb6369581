import { mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { aDraft, choose, fieldOf, fill, IN_TIME, named, offered, press, withEngines } from '../testing.test-support.ts'
import TrySettings from './TrySettings.vue'

const settings = (draft = aDraft(), starting = false, lastSeed?: number) => mount(TrySettings, { props: { draft, starting, lastSeed }, global: withEngines() })
const inputOf = (wrapper: ReturnType<typeof settings>, label: string) => fieldOf(wrapper, label).get<HTMLInputElement>('input')

describe('TrySettings', () => {
  it('says what the try costs, beside its button, from the ratio and the number of results', async () => {
    const wrapper = settings(aDraft('a fox', { settings: { aspectRatio: '3:2', count: 3 } }))
    expect(wrapper.get('.cost').text()).toBe('12 credits')
    await wrapper.setProps({ draft: aDraft('a fox', { settings: { aspectRatio: '16:9', count: 1 } }) })
    expect(wrapper.get('.cost').text()).toBe('5 credits')
  })

  it('takes a number while it is typed, and says of one outside its bounds what they are', async () => {
    const wrapper = settings()
    await fill(wrapper, 'Results', '12')
    expect(wrapper.emitted('change')!.at(-1)).toEqual([{ settings: { count: 12 } }])
    const before = wrapper.emitted('change')!.length
    await fill(wrapper, 'Results', '99', true)
    expect(fieldOf(wrapper, 'Results').text()).toContain('A number from 1 to 24.')
    await fill(wrapper, 'Results', '2.5', true)
    expect(fieldOf(wrapper, 'Results').text()).toContain('A whole number.')
    expect(wrapper.emitted('change')).toHaveLength(before)
  })

  it('forgets a seed that is emptied, and changes nothing for what is not a number', async () => {
    const wrapper = settings(aDraft('a fox', { settings: { seed: 5, count: 2 } }))
    await fill(wrapper, 'Seed', 'five', true)
    expect(wrapper.emitted('change')).toBeUndefined()
    await fill(wrapper, 'Seed', '')
    expect(wrapper.emitted('change')!.at(-1)).toEqual([{ settings: { count: 2 } }])
  })

  it('leaves the number of results empty while another is about to be typed', async () => {
    const wrapper = settings(aDraft('a fox', { settings: { count: 3 } }))
    await fill(wrapper, 'Results', '')
    await wrapper.setProps({ draft: aDraft() })
    expect(inputOf(wrapper, 'Results').element.value).toBe('')
    expect(wrapper.get('.cost').text()).toBe('16 credits')
  })

  it('spends nothing on an empty text, nor twice while a run is starting', () => {
    expect(named(settings(aDraft(' ')), 'Try it')?.attributes('disabled')).toBeDefined()
    expect(named(settings(aDraft(), true), 'Try it')?.attributes('disabled')).toBeDefined()
    expect(named(settings(), 'Try it')?.attributes('disabled')).toBeUndefined()
  })

  it('never tries because Enter was pressed in a field', async () => {
    const wrapper = settings()
    await inputOf(wrapper, 'Results').trigger('keydown', { key: 'Enter' })
    expect(wrapper.find('form').exists()).toBe(false)
    expect(wrapper.emitted('try')).toBeUndefined()
  })

  it('asks another engine too; each has settings of its own, and the cost is that of all', async () => {
    const wrapper = settings(aDraft('a fox', { settings: { count: 2, aspectRatio: '3:2' } }))
    await press(wrapper, 'Add an engine')
    const [{ engines }] = wrapper.emitted('change')!.at(-1) as [{ engines: { engine: string }[] }]
    expect(engines).toEqual([{ engine: 'burin' }, { engine: 'brayer' }])
    await wrapper.setProps({ draft: aDraft('a fox', { settings: { count: 2, aspectRatio: '3:2' }, engines }) })
    expect(wrapper.get('.go .cost').text()).toBe('14 credits')
    const second = wrapper.findAllComponents({ name: 'EngineRow' })[1]!
    await fill(second, 'Results', '5')
    expect(wrapper.emitted('change')!.at(-1)).toEqual([{ engines: [{ engine: 'burin' }, { engine: 'brayer', settings: { count: 5 } }] }])
    await press(second, 'Remove Brayer 2')
    expect(wrapper.emitted('change')!.at(-1)).toEqual([{ engines: [{ engine: 'burin' }] }])
  })

  it('says on the button of the settings which are not as usual', async () => {
    const wrapper = settings()
    expect(named(wrapper, 'Settings of Burin')?.text()).toBe('Settings')
    await wrapper.setProps({ draft: aDraft('a fox', { settings: { guidance: 9, seed: 318 } }) })
    expect(wrapper.get('.settings.v-btn').text()).toBe('guidance 9, seed 318')
  })

  it('writes for an engine that is chosen, by its name alone where its newest revision is meant', async () => {
    const wrapper = settings()
    expect(offered(wrapper, 'Engine')).toEqual(['Burin 1', 'Burin 2', 'Brayer 1', 'Brayer 2', 'Tympan 1', 'Tympan 2'])
    await choose(wrapper, 'Engine', 'tympan')
    expect(wrapper.emitted('change')!.at(-1)).toEqual([{ engines: [{ engine: 'tympan' }] }])
    await choose(wrapper, 'Engine', 'brayer|1')
    expect(wrapper.emitted('change')!.at(-1)).toEqual([{ engines: [{ engine: 'brayer', revision: '1' }] }])
  })

  it('tries again with the seed of the last run, or with new ones', async () => {
    const wrapper = settings(aDraft('a fox'), false, 318)
    const way = (title: string) => wrapper.findAll('[role=menuitem]').find((one) => one.text().startsWith(title))!.trigger('click')
    await way('Try again, same seed')
    await way('Try again, new seeds')
    expect(wrapper.emitted('try')).toEqual([[{ seed: 318 }], [{ seed: null }]])
  })

  it('steps through a setting that all engines have, value by value, with what that costs', async () => {
    const wrapper = settings(aDraft('a fox', { settings: { count: 2 } }))
    await press(wrapper, 'Step through a setting …')
    await vi.waitUntil(() => wrapper.find('.step').exists(), IN_TIME)
    await fill(wrapper, 'From', '3')
    await fill(wrapper, 'To', '9')
    expect(wrapper.get('.step [role=status]').text()).toBe('3, 5, 7, 9: 8 results, 32 credits')
    await wrapper.get('form').trigger('submit')
    expect(wrapper.emitted('try')!.at(-1)).toEqual([{ sweep: { key: 'guidance', values: [3, 5, 7, 9] } }])
  })

  it('offers nothing that spends while there is nothing to try', () => {
    const titles = settings(aDraft(' ')).findAll('[role=menuitem]').map((one) => one.text())
    expect(titles.some((title) => title.startsWith('Try again') || title.startsWith('Step'))).toBe(false)
  })
})
