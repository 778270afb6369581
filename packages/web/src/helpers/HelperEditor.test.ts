import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { useModels } from '../stores/models.ts'
import { choose, fieldOf, fill, named, press, withEngines } from '../testing.test-support.ts'
import { aHelperBody } from './helper.test-support.ts'
import HelperEditor from './HelperEditor.vue'

vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
async function editor(body = aHelperBody(), isNew = false) {
  const wrapper = mount(HelperEditor, { props: { body, isNew }, global: withEngines(), attachTo: document.body })
  await flushPromises()
  return wrapper
}
type Shown = Awaited<ReturnType<typeof editor>>
const submit = async (wrapper: Shown) => {
  await wrapper.get('form').trigger('submit')
  await flushPromises()
}
const saved = (wrapper: Shown) => wrapper.emitted('save')?.at(-1)
const under = (wrapper: Shown, label: string) => fieldOf(wrapper, label).get('.v-messages').text()

describe('a helper that is written', () => {
  it('is saved once it says something else', async () => {
    const wrapper = await editor()
    expect(named(wrapper, 'Save as a new version')!.attributes('disabled')).toBeDefined()
    await fill(wrapper, 'What it does, in a sentence', 'Says what is missing, briefly.')
    await fill(wrapper, 'Why this version', ' brief ')
    await choose(wrapper, 'use it from now on', false)
    await submit(wrapper)
    expect(saved(wrapper)).toEqual([expect.objectContaining({ does: 'Says what is missing, briefly.' }), 'brief', false])
  })

  it('says under the instruction in which line a slot is wrong, and is not saved so', async () => {
    const wrapper = await editor()
    await fill(wrapper, 'Instruction', 'Fill out this prompt.\n{{ promt }}')
    await submit(wrapper)
    expect([under(wrapper, 'Instruction'), saved(wrapper)]).toEqual([expect.stringMatching(/^Line 2: /), undefined])
    await fill(wrapper, 'Instruction', 'Fill out this prompt.\n{{ prompt }}')
    await submit(wrapper)
    expect(saved(wrapper)![0]).toMatchObject({ instruction: 'Fill out this prompt.\n{{ prompt }}' })
  })

  it('wants a name and an instruction, and goes to what is missing', async () => {
    const wrapper = await editor(aHelperBody(), true)
    await fill(wrapper, 'Name', '')
    await submit(wrapper)
    expect([under(wrapper, 'Name'), document.activeElement === fieldOf(wrapper, 'Name').get('input').element, saved(wrapper)]).toEqual(['Fill this in.', true, undefined])
  })

  it('puts a slot where the caret is', async () => {
    const wrapper = await editor(aHelperBody({ instruction: 'Of this: ' }))
    const area = wrapper.get('textarea.v-field__input').element as HTMLTextAreaElement
    area.setSelectionRange(9, 9)
    await press(wrapper, 'Slots it may name')
    await press(wrapper, '{{ prompt }}')
    expect(area.value).toBe('Of this: {{ prompt }}')
  })

  it('asks for what it needs, under names that a slot can have', async () => {
    const wrapper = await editor()
    await press(wrapper, 'Ask for one thing more')
    await fill(wrapper, 'Name of the slot', 'Two words')
    await submit(wrapper)
    expect([under(wrapper, 'Name of the slot'), saved(wrapper)]).toEqual(['Begins with a small letter; letters and digits alone.', undefined])
    await fill(wrapper, 'Name of the slot', 'mood')
    await choose(wrapper, 'Kind', 'choice')
    await fill(wrapper, 'Choices, with commas', 'calm, wild,')
    await submit(wrapper)
    expect(saved(wrapper)![0]).toMatchObject({ inputs: [{ key: 'mood', kind: 'choice', values: ['calm', 'wild'], default: 'calm' }] })
  })

  it('gives a number bounds, and takes a field away again', async () => {
    const wrapper = await editor()
    await press(wrapper, 'Ask for one thing more')
    await choose(wrapper, 'Kind', 'number')
    await fill(wrapper, 'To', '40')
    await submit(wrapper)
    expect(saved(wrapper)![0]).toMatchObject({ inputs: [{ kind: 'number', min: 1, max: 40, default: 10 }] })
    await press(wrapper, 'Remove')
    await fill(wrapper, 'Tags, with commas', 'long, longer, long')
    await submit(wrapper)
    expect(saved(wrapper)![0]).toMatchObject({ inputs: [], tags: ['long', 'longer'] })
  })

  it('keeps to the temperatures that the model it asks says it takes', async () => {
    const wrapper = await editor()
    useModels().all = [{ profile: { id: 'quoin', name: 'Quoin', temperature: { least: 0.2, most: 1 } } }] as ReturnType<typeof useModels>['all']
    await choose(wrapper, 'Model', 'quoin')
    expect(under(wrapper, 'Temperature')).toBe('0.2 to 1; the higher, the freer')
    await fill(wrapper, 'Temperature', '1.4')
    await submit(wrapper)
    expect([under(wrapper, 'Temperature'), saved(wrapper)]).toEqual(['A number from 0.2 to 1.', undefined])
  })

  it('takes examples apart at their dashes', async () => {
    const wrapper = await editor()
    await fill(wrapper, 'Examples, with --- between them', 'one\n---\n two \n---\n')
    await submit(wrapper)
    expect(saved(wrapper)![0]).toMatchObject({ examples: ['one', 'two'] })
  })
})
