import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { choose, fieldOf, fill, press, withEngines } from '../testing.test-support.ts'
import { aSlot, aTemplate } from './template.test-support.ts'
import TemplateEditor from './TemplateEditor.vue'

vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
const editor = (more: object = {}, body: object = {}) => mount(TemplateEditor, { props: { body: aTemplate({}, body).body, projectId: null, isNew: true, ...more }, global: { ...withEngines(), stubs: { ...withEngines().stubs, PartOptions: true } }, attachTo: document.body })
const text = (wrapper: ReturnType<typeof editor>) => wrapper.get('textarea.v-field__input').element as HTMLTextAreaElement
const submit = async (wrapper: ReturnType<typeof editor>) => {
  await wrapper.get('form').trigger('submit')
  await flushPromises()
}
const saved = (wrapper: ReturnType<typeof editor>) => wrapper.emitted('save')?.at(-1)

describe('a template that is written', () => {
  it('has a row for each slot of its text, with what is known of it', async () => {
    const wrapper = editor()
    expect(wrapper.findAll('tbody th').map((one) => one.text())).toEqual(['animal', 'setting'])
    await fill(wrapper, 'What setting says by itself', ' the snow ', true)
    await choose(wrapper, 'Facet of setting', 'setting')
    await submit(wrapper)
    expect(saved(wrapper)![0]).toMatchObject({ slots: [{ name: 'animal', options: ['fox', 'hen', 'owl'] }, { name: 'setting', fallback: 'the snow', facet: 'setting' }] })
  })

  it('makes what is marked a slot, with what stood there as its first option', async () => {
    const wrapper = editor({}, { text: 'a fox in the snow', slots: [] })
    text(wrapper).setSelectionRange(2, 5)
    await press(wrapper, 'Make what is marked a slot')
    expect(text(wrapper).value).toBe('a {{ slot }} in the snow')
    await submit(wrapper)
    expect(saved(wrapper)![0]).toMatchObject({ text: 'a {{ slot }} in the snow', slots: [aSlot('slot', ['fox'])] })
  })

  it('says under the text what is wrong with it, and is not saved so', async () => {
    const wrapper = editor({}, { text: 'a {{ animal' })
    await submit(wrapper)
    expect([fieldOf(wrapper, 'Text, with a slot as {{ name }}').get('.v-messages').text().length > 0, saved(wrapper)]).toEqual([true, undefined])
    await fill(wrapper, 'Text, with a slot as {{ name }}', 'a {{ animal }}')
    await submit(wrapper)
    expect(saved(wrapper)![0]).toMatchObject({ text: 'a {{ animal }}' })
  })

  it('wants a name, says so under the field and goes there', async () => {
    const wrapper = editor()
    await fill(wrapper, 'Name', '   ')
    await submit(wrapper)
    expect([fieldOf(wrapper, 'Name').get('.v-messages').text(), saved(wrapper), document.activeElement === fieldOf(wrapper, 'Name').get('input').element]).toEqual(['Fill this in.', undefined, true])
  })

  it('keeps what was said of a slot that is taken out and put back before it is saved', async () => {
    const wrapper = editor()
    await fill(wrapper, 'Text, with a slot as {{ name }}', 'gouache')
    expect(wrapper.find('tbody').exists()).toBe(false)
    await fill(wrapper, 'Text, with a slot as {{ name }}', 'a {{ animal }}')
    await submit(wrapper)
    expect(saved(wrapper)![0]).toMatchObject({ slots: [{ name: 'animal', options: ['fox', 'hen', 'owl'] }] })
  })

  it('says why a new version is made, and for which project it holds', async () => {
    const wrapper = editor({ isNew: false, projectId: 'j' })
    await fill(wrapper, 'Why this version', ' shorter ')
    await fill(wrapper, 'Always left out, with commas', 'text, people, text')
    await submit(wrapper)
    expect(saved(wrapper)).toEqual([expect.objectContaining({ leaveOut: ['text', 'people'] }), 'j', 'shorter'])
  })

  it('says why the server refused, with everything still there', () => {
    const wrapper = editor({ problem: 'Somebody saved version 3 meanwhile. Nothing was kept.' })
    expect(wrapper.get('p[role=alert]').text()).toBe('Somebody saved version 3 meanwhile. Nothing was kept.')
    expect(text(wrapper).value).toBe('a {{ animal }} in {{ setting }}, gouache')
  })
})
