import { SHIPPED_ENGINES } from '@idolon/core'
import { mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { choose, emit, fill, named, offered, press, valueOf, withEngines } from '../testing.test-support.ts'
import type { Varied } from './trial-setup.ts'
import VariedRow from './VariedRow.vue'

vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
const words = (options: string[]): Varied => ({ kind: 'words', start: 2, end: 5, facet: 'subject', name: 'subject', options })
const PROFILES = ['burin', 'brayer'].map((wanted) => SHIPPED_ENGINES.filter(({ id }) => id === wanted).at(-1)!)
function row(varied: Varied, terms: string[] = []) {
  const global = withEngines()
  return mount(VariedRow, { props: { varied, offered: terms, profiles: PROFILES }, global: { ...global, stubs: { ...global.stubs, PartOptions: { name: 'PartOptions', emits: ['add'], template: '<span />' } } } })
}
const last = (wrapper: ReturnType<typeof row>) => wrapper.emitted('options')?.at(-1)?.[0]

describe('words that vary', () => {
  it('are one a line; doubles and blanks at the end go, an empty line in the middle is “nothing”', async () => {
    const wrapper = row(words(['fox', 'hen']))
    await fill(wrapper, 'Options of subject, one a line', 'fox\n  hen \n\nfox\nowl\n\n', true)
    expect(last(wrapper)).toEqual(['fox', 'hen', '', 'owl'])
    expect(wrapper.text()).toContain('2 options')
  })

  it('are no more than sixty, and none longer than 500 letters', async () => {
    const wrapper = row(words(['fox']))
    await fill(wrapper, 'Options of subject, one a line', Array.from({ length: 70 }, (_, i) => `${i} ${'x'.repeat(600)}`).join('\n'), true)
    const options = last(wrapper) as string[]
    expect([options.length, Math.max(...options.map(({ length }) => length))]).toEqual([60, 500])
  })

  it('get another option from what is offered or typed', async () => {
    const wrapper = row(words(['fox']), ['owl', 'rust red'])
    expect(offered(wrapper, 'Another option for subject')).toEqual(['owl', 'rust red'])
    expect(named(wrapper, 'Add')!.attributes('disabled')).toBeDefined()
    await choose(wrapper, 'Another option for subject', ' owl ')
    await press(wrapper, 'Add')
    expect([last(wrapper), valueOf(wrapper, 'Another option for subject')]).toEqual([['fox', 'owl'], ''])
  })

  it('may be nothing, once', async () => {
    const wrapper = row(words(['fox']))
    await press(wrapper, 'Add “nothing”')
    expect(last(wrapper)).toEqual(['fox', ''])
    expect(named(row(words(['fox', ''])), 'Add “nothing”')!.attributes('disabled')).toBeDefined()
  })

  it('take all that a character or a place may be, each once', () => {
    const wrapper = row(words(['fox']))
    emit(wrapper.getComponent({ name: 'PartOptions' }), 'add', ['hen', 'fox'])
    expect(last(wrapper)).toEqual(['fox', 'hen'])
  })

  it('are called what the writer calls them, and can be let alone again', async () => {
    const wrapper = row(words(['fox', 'hen']))
    await fill(wrapper, 'What it is called', 'animal', true)
    await press(wrapper, 'Do not vary subject')
    expect([wrapper.emitted('rename'), wrapper.emitted('remove')]).toEqual([[['animal']], [[]]])
  })
})

describe('engines that vary', () => {
  const engines = (...ids: string[]): Varied => ({ kind: 'engine', options: ids.map((engine) => ({ engine })) })

  it('are ticked, whichever revision was meant by “the newest”', () => {
    expect(row(engines('burin')).findAllComponents({ name: 'VCheckbox' }).map((one) => [one.props('label') as string, one.props('modelValue') as boolean])).toEqual(PROFILES.map(({ id, name, revision }) => [`${name} ${revision}`, id === 'burin']))
  })

  it('are added and taken out by a tick', async () => {
    const [burin, brayer] = PROFILES.map(({ name, revision }) => `${name} ${revision}`)
    const wrapper = row(engines('burin'))
    await choose(wrapper, brayer!, true)
    expect(last(wrapper)).toEqual([{ engine: 'burin' }, { engine: 'brayer', revision: PROFILES[1]!.revision }])
    await choose(wrapper, burin!, false)
    expect(last(wrapper)).toEqual([])
  })
})

describe('a setting that varies', () => {
  it('has its values with commas; what is a number is one', async () => {
    const wrapper = row({ kind: 'setting', key: 'guidance', options: [2, 6] })
    expect(wrapper.get('.name').text()).toBe('guidance')
    await fill(wrapper, 'Values of guidance, with commas', '2, 4.5,, -1, soft, 2', true)
    expect(last(wrapper)).toEqual([2, 4.5, -1, 'soft'])
  })
})
