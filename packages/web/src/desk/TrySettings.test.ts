import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { aDraft, withEngines } from '../testing.test-support.ts'
import TrySettings from './TrySettings.vue'

const settings = (draft = aDraft(), starting = false) => mount(TrySettings, { props: { draft, starting }, global: withEngines() })
const field = (wrapper: ReturnType<typeof settings>, name: string) => wrapper.findAll('label').find((label) => label.text().startsWith(name))!.get('input')

describe('TrySettings', () => {
  it('says what the try costs, beside its button, from the ratio and the number of results', async () => {
    const wrapper = settings(aDraft('a fox', { settings: { aspectRatio: '3:2', count: 3 } }))
    expect(wrapper.get('.cost').text()).toBe('12 credits')
    await wrapper.setProps({ draft: aDraft('a fox', { settings: { aspectRatio: '16:9', count: 1 } }) })
    expect(wrapper.get('.cost').text()).toBe('5 credits')
  })

  it('takes a number while it is typed, within its bounds, and shows then what it took', async () => {
    const wrapper = settings()
    const results = field(wrapper, 'Results')
    await results.setValue('99')
    expect(wrapper.emitted('change')!.at(-1)).toEqual([{ settings: { count: 24 } }])
    await wrapper.setProps({ draft: aDraft('a fox', { settings: { count: 24 } }) })
    await results.trigger('change')
    expect(results.element.value).toBe('24')
  })

  it('forgets a seed that is emptied, and changes nothing for what is no number', async () => {
    const wrapper = settings(aDraft('a fox', { settings: { seed: 5, count: 2 } }))
    await field(wrapper, 'Seed').setValue('five')
    expect(wrapper.emitted('change')).toBeUndefined()
    await field(wrapper, 'Seed').setValue('')
    expect(wrapper.emitted('change')!.at(-1)).toEqual([{ settings: { count: 2 } }])
  })

  it('leaves the number of results empty while another is about to be typed', async () => {
    const wrapper = settings(aDraft('a fox', { settings: { count: 3 } }))
    await field(wrapper, 'Results').setValue('')
    await wrapper.setProps({ draft: aDraft() })
    expect(field(wrapper, 'Results').element.value).toBe('')
    expect(wrapper.get('.cost').text()).toBe('16 credits')
  })

  it('spends nothing on an empty text, nor twice while a run is starting', () => {
    expect(settings(aDraft(' ')).get('.do').attributes('disabled')).toBeDefined()
    expect(settings(aDraft(), true).get('.do').attributes('disabled')).toBeDefined()
    expect(settings().get('.do').attributes('disabled')).toBeUndefined()
  })

  it('never tries because Enter was pressed in a field', async () => {
    const wrapper = settings()
    await field(wrapper, 'Seed').trigger('keydown', { key: 'Enter' })
    expect(wrapper.find('form').exists()).toBe(false)
    expect(wrapper.emitted('try')).toBeUndefined()
  })

  it('asks another engine too; each has settings of its own, and the cost is that of all', async () => {
    const wrapper = settings(aDraft('a fox', { settings: { count: 2, aspectRatio: '3:2' } }))
    await wrapper.findAll('button').find((button) => button.text() === 'Ask another engine too')!.trigger('click')
    const [{ engines }] = wrapper.emitted('change')!.at(-1) as [{ engines: { engine: string }[] }]
    expect(engines).toEqual([{ engine: 'burin' }, { engine: 'brayer' }])
    await wrapper.setProps({ draft: aDraft('a fox', { settings: { count: 2, aspectRatio: '3:2' }, engines }) })
    expect(wrapper.get('.go .cost').text()).toBe('14 credits')
    await wrapper.findAll('label').filter((label) => label.text().startsWith('Results'))[1]!.get('input').setValue('5')
    expect(wrapper.emitted('change')!.at(-1)).toEqual([{ engines: [{ engine: 'burin' }, { engine: 'brayer', settings: { count: 5 } }] }])
  })

  it('offers to try again with the seed of the last run, and to go through a setting that all engines have', async () => {
    const wrapper = mount(TrySettings, { props: { draft: aDraft('a fox', { settings: { count: 2 } }), starting: false, lastSeed: 318 }, global: withEngines() })
    const press = (name: string) => wrapper.findAll('button').find((button) => button.text() === name)!.trigger('click')
    await press('Other ways to try')
    await press('Try again, same seed')
    expect(wrapper.emitted('try')!.at(-1)).toEqual([{ seed: 318 }])
    await wrapper.get('[aria-label="From"]').setValue(3)
    await wrapper.get('[aria-label="To"]').setValue(9)
    expect(wrapper.get('.sweep').text()).toMatch(/3, 5, 7, 9; 8 results, 32 credits/)
    await press('Try these')
    expect(wrapper.emitted('try')!.at(-1)).toEqual([{ sweep: { key: 'guidance', values: [3, 5, 7, 9] } }])
  })
})
