import { applyEdit, type Draft, type Edit, type Reading } from '@idolon/core'
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { aDraft } from '../testing.test-support.ts'
import type { DraftSession } from './draft-session.ts'
import TidyOffer from './TidyOffer.vue'

const TEXT = 'a fox, masterpiece, seed 12, no people'
const noiseOf = (words: string, kind: Reading['noise'][number]['kind']) => ({ start: TEXT.indexOf(words), end: TEXT.indexOf(words) + words.length, kind })
const reading: Reading = { phrases: [], leaveOut: ['people'], settings: { seed: 12 }, noise: [noiseOf('masterpiece', 'praise'), noiseOf('seed 12', 'setting'), noiseOf('no people', 'leave-out')] }

function offer(given: Reading = reading) {
  const draft: Draft = aDraft(TEXT)
  let after = draft
  const session = { apply: (edit: Edit) => (after = applyEdit(draft, edit)) } as unknown as DraftSession
  const wrapper = mount(TidyOffer, { props: { draft, reading: given, session } })
  const button = (name: string) => wrapper.findAll('button').find((one) => one.text() === name)!
  return { wrapper, button, after: () => after }
}

describe('the offer to tidy', () => {
  it('says what would go where before anything is done', async () => {
    const { wrapper, button, after } = offer()
    await button('Tidy').trigger('click')
    expect(wrapper.findAll('li').map((li) => li.text())).toEqual([
      'masterpiece goes; it says nothing about the picture',
      'seed 12 goes to the settings: seed 12',
      'no people goes to the leave-out list: people',
    ])
    expect(after().text).toBe(TEXT)
  })

  it('is one edit of text, settings and list', async () => {
    const { button, after } = offer()
    await button('Tidy').trigger('click')
    await button('Tidy the text').trigger('click')
    expect(after()).toMatchObject({ text: 'a fox', settings: { seed: 12 }, leaveOut: ['people'] })
  })

  it('leaves what the writer unticks', async () => {
    const { wrapper, button, after } = offer()
    await button('Tidy').trigger('click')
    await wrapper.findAll('input')[0]!.setValue(false)
    await button('Tidy the text').trigger('click')
    expect(after().text).toBe('a fox, masterpiece')
  })

  it('is not there when there is nothing to tidy', () => {
    expect(offer({ ...reading, noise: [] }).wrapper.text()).toBe('')
  })
})
