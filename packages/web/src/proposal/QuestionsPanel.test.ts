import { applyEdit, type Edit } from '@idolon/core'
import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { shallowRef } from 'vue'
import type { DraftSession } from '../desk/draft-session.ts'
import { aDraft, aTurn, fill } from '../testing.test-support.ts'
import QuestionsPanel from './QuestionsPanel.vue'

it('turns an answer into a phrase of its facet, marked as the helper’s, by a press or in own words', async () => {
  const draft = shallowRef(aDraft('a fox'))
  const session = { draft, reading: { reading: shallowRef(undefined) }, apply: (edit: Edit) => (draft.value = applyEdit(draft.value, edit) as ReturnType<typeof aDraft>) } as unknown as DraftSession
  const questions = [{ facet: 'moment', question: 'What hour is it?', answers: ['at dusk', 'at noon'] }, { facet: 'medium', question: 'What kind of picture?', answers: ['linocut'] }]
  const wrapper = mount(QuestionsPanel, { props: { turn: aTurn('questions', { questions }, { helper: { id: 'ask-me', version: 3, name: 'Ask me' } }), session } })
  await wrapper.findAll('button').find((one) => one.text() === 'at dusk')!.trigger('click')
  expect(draft.value.text).toBe('a fox, at dusk')
  expect(draft.value.marks).toEqual(expect.arrayContaining([expect.objectContaining({ kind: 'facet', facet: 'moment' }), expect.objectContaining({ kind: 'from', source: { type: 'helper', id: 'ask-me', version: 3 } })]))
  await fill(wrapper, 'Your own answer: What kind of picture?', '  a woodcut ')
  await wrapper.get('form').trigger('submit')
  expect(draft.value.text).toBe('a fox, at dusk, a woodcut')
  expect(wrapper.emitted('decided')).toEqual([[1, 1], [2, 0]])
})

it('says that nothing is missing', () => {
  expect(mount(QuestionsPanel, { props: { turn: aTurn('questions', { questions: [] }), session: {} as DraftSession } }).text()).toContain('Nothing is missing')
})
