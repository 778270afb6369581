import { SHIPPED_MODELS, type ModelProfile } from '@idolon/core/helper'
import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { fieldOf, fill, press, withEngines } from '../testing.test-support.ts'
import ModelForm from './ModelForm.vue'

const FRESH: ModelProfile = { id: '', name: '', simulated: false, model: '', sees: false, costUnit: 'token', cost: { request: 0, thousandIn: 1_000, thousandOut: 1_000 }, mostOut: 2_000, notes: '' }
const form = (profile = FRESH, isNew = true) => mount(ModelForm, { props: { profile, isNew }, global: withEngines(), attachTo: document.body })
type Form = ReturnType<typeof form>
const send = async (wrapper: Form) => {
  await wrapper.get('form').trigger('submit')
  await flushPromises()
}
const saved = (wrapper: Form) => wrapper.emitted('save')?.at(-1)?.[0] as ModelProfile | undefined
/** What is asked of a service as such, and nothing more. */
async function filled(): Promise<Form> {
  const wrapper = form()
  await fill(wrapper, 'Name', 'Quill')
  await fill(wrapper, 'What the service calls it', 'quill-2')
  await fill(wrapper, 'Address that messages are posted to', 'https://models.example/messages')
  return wrapper
}
const messages = (wrapper: Form) => wrapper.findAll('.v-messages__message').map((one) => one.text())

describe('the form of a language model', () => {
  it('saves one by address, key and name; its short name follows the name', async () => {
    const wrapper = await filled()
    await send(wrapper)
    expect(saved(wrapper)).toMatchObject({ id: 'quill', name: 'Quill', model: 'quill-2', connection: { url: 'https://models.example/messages', headers: { authorization: 'Bearer {apiKey}' } } })
    expect(saved(wrapper)).not.toHaveProperty('temperature')
    expect(saved(wrapper)).not.toHaveProperty('address')
  })

  it('leaves a short name alone that was written by hand', async () => {
    const wrapper = await filled()
    await fill(wrapper, 'Short name, for good', 'own')
    await fieldOf(wrapper, 'Short name, for good').get('input').trigger('input')
    await fill(wrapper, 'Name', 'Quill of the house')
    await send(wrapper)
    expect(saved(wrapper)?.id).toBe('own')
  })

  it('saves nothing while something is missing, says it under the field, and puts the caret there', async () => {
    const wrapper = form()
    await send(wrapper)
    expect([saved(wrapper), messages(wrapper).includes('Fill this in.'), (document.activeElement as HTMLInputElement).maxLength]).toEqual([undefined, true, 60])
  })

  it.each([
    ['Address that messages are posted to', 'models example', 'An address with https:// or http://.'],
    ['Short name, for good', 'My Model', 'Small letters, digits and hyphens.'],
    ['A question', '-1', 'A number from 0 to 1,000,000,000.'],
    ['Highest temperature', '1', 'Both ends, or none.'],
    ['Lowest temperature it takes', '11', 'A number from 0 to 10.'],
  ])('refuses “%s” of “%s” in its place', async (label, text, says) => {
    const wrapper = await filled()
    await fill(wrapper, label, text, true)
    await send(wrapper)
    expect([saved(wrapper), messages(wrapper)]).toEqual([undefined, expect.arrayContaining([label === 'Highest temperature' ? 'Both ends, or none.' : says])])
  })

  it('keeps a range of temperatures, the lowest below the highest', async () => {
    const wrapper = await filled()
    await fill(wrapper, 'Highest temperature', '0.5')
    await fill(wrapper, 'Lowest temperature it takes', '0.5')
    await send(wrapper)
    expect([saved(wrapper), messages(wrapper)]).toEqual([undefined, expect.arrayContaining(['More than the lowest.'])])
    await fill(wrapper, 'Highest temperature', '1.5')
    await send(wrapper)
    expect(saved(wrapper)?.temperature).toEqual({ least: 0.5, most: 1.5 })
  })

  it('takes a shape of its own as JSON in place of the address, and says what is not JSON yet', async () => {
    const wrapper = await filled()
    await press(wrapper, 'A service of another shape')
    await fill(wrapper, 'How it is spoken to, as JSON', '{"url": ')
    await send(wrapper)
    expect([saved(wrapper), messages(wrapper).some((one) => one.startsWith('This is not JSON yet:'))]).toEqual([undefined, true])
    await fill(wrapper, 'How it is spoken to, as JSON', '{"url": "https://words.example", "body": {}, "streams": false, "answer": {"text": "/said"}}')
    await send(wrapper)
    expect(saved(wrapper)?.connection).toMatchObject({ url: 'https://words.example', answer: { text: '/said' } })
  })

  it('shows a simulated one as it is, and saves it as it was', async () => {
    const [quoin] = SHIPPED_MODELS
    const wrapper = form(quoin, false)
    await send(wrapper)
    expect(saved(wrapper)).toEqual(quoin)
  })

  it('is left by Escape without a word', async () => {
    const wrapper = await filled()
    await wrapper.get('form').trigger('keydown', { key: 'Escape' })
    expect([wrapper.emitted('cancel'), saved(wrapper)]).toEqual([[[]], undefined])
  })
})
