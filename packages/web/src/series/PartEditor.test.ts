import { blankPart, type PartBody, type PartKind } from '@idolon/core'
import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { fieldOf, fill, named, press, withEngines } from '../testing.test-support.ts'
import PartEditor from './PartEditor.vue'

vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
async function editor(kind: PartKind = 'character', more: Partial<PartBody> = {}) {
  const body: PartBody = { ...blankPart(kind, 'Hedda'), says: [{ key: 'p1', text: 'an old beekeeper' }, { key: 'p2', text: 'grey hair' }], ...more }
  const global = withEngines()
  const wrapper = mount(PartEditor, { props: { body, projectId: 'j', version: 3, busy: false }, global: { ...global, stubs: { ...global.stubs, LookFromReference: true, PartReferences: true } } })
  await flushPromises()
  return wrapper
}
type Shown = Awaited<ReturnType<typeof editor>>
const last = (wrapper: Shown) => wrapper.emitted('change')?.at(-1)?.[0] as PartBody
const submit = async (wrapper: Shown) => {
  await wrapper.get('form').trigger('submit')
  await flushPromises()
}

describe('what a character, a place or a style says', () => {
  it('is kept as the next version once something is said otherwise', async () => {
    const wrapper = await editor()
    expect(named(wrapper, 'Save as version 4')!.attributes('disabled')).toBeDefined()
    await fill(wrapper, 'Phrase 2', 'white hair')
    await submit(wrapper)
    expect(wrapper.emitted('save')![0]![0]).toMatchObject({ says: [{ key: 'p1', text: 'an old beekeeper' }, { key: 'p2', text: 'white hair' }] })
  })

  it('is shown in the scenes while it is written, without what is still empty', async () => {
    const wrapper = await editor()
    await press(wrapper, 'Add a phrase')
    await fill(wrapper, 'What it is', 'an old miller')
    expect(last(wrapper).says.map(({ text }) => text)).toEqual(['an old miller', 'grey hair'])
  })

  it('has its phrases in another order, and fewer', async () => {
    const wrapper = await editor()
    await press(wrapper, 'Phrase 2 earlier')
    expect(last(wrapper).says.map(({ key }) => key)).toEqual(['p2', 'p1'])
    await press(wrapper, 'Remove phrase 1')
    expect(last(wrapper).says.map(({ key }) => key)).toEqual(['p1'])
  })

  it.each([
    ['character', ['Add an outfit', 'Add an age', 'Add a state']],
    ['place', ['Add a season', 'Add a time of day', 'Add a state']],
    ['style', ['Add a time of day', 'Add a state']],
  ] as const)('of a %s may change in what its kind can', async (kind, adds) => {
    expect((await editor(kind)).findAll('button').map((one) => one.text()).filter((text) => text.startsWith('Add a') && text !== 'Add a phrase')).toEqual(adds)
  })

  it('has a variant once it has a name and says something', async () => {
    const wrapper = await editor()
    await press(wrapper, 'Add an outfit')
    await fill(wrapper, 'Name of variant 1', 'winter')
    expect(last(wrapper)?.variants ?? []).toEqual([])
    await fill(wrapper, 'What variant 1 says', 'in a winter coat')
    expect(last(wrapper).variants).toMatchObject([{ aspect: 'dress', name: 'winter', text: 'in a winter coat' }])
  })

  it('wants a name, said under the field', async () => {
    const wrapper = await editor()
    await fill(wrapper, 'Name, as the scenes’ words call it', ' ')
    await submit(wrapper)
    expect([fieldOf(wrapper, 'Name, as the scenes’ words call it').get('.v-messages').text(), wrapper.emitted('save')]).toEqual(['Fill this in.', undefined])
  })

  it('is what it was by Cancel', async () => {
    const wrapper = await editor()
    await fill(wrapper, 'Phrase 2', 'white hair')
    await press(wrapper, 'Cancel')
    expect([wrapper.emitted('leave')?.length, (fieldOf(wrapper, 'Phrase 2').get('input').element as HTMLInputElement).value]).toEqual([1, 'grey hair'])
  })

  it('takes a picture along in the place of the one before of its role', async () => {
    const wrapper = await editor('character', { references: [{ reference: 'old', role: 'person', strength: 60 }] as never })
    ;(wrapper.vm as unknown as { takeAlong: (use: object) => void }).takeAlong({ reference: 'new', role: 'person', strength: 80 })
    await flushPromises()
    expect(last(wrapper).references).toEqual([{ reference: 'new', role: 'person', strength: 80 }])
  })
})
