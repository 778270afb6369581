import { EditorView } from '@codemirror/view'
import { EditorState } from '@codemirror/state'
import { applyEdit, type Draft, type Edit, editBetween, type Phrase } from '@idolon/core'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ref, shallowRef } from 'vue'
import { letterKeys } from '../keys/letters.ts'
import { usePhrases } from '../stores/phrases.ts'
import { aDraft, withEngines } from '../testing.test-support.ts'
import type { DraftSession } from './draft-session.ts'
import OutlineRows from './OutlineRows.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

const TEXT = 'old fox, snowy wood, gouache'
const phraseOf = (text: string, words: string, facet: Phrase['facet'], confidence = 0.9): Phrase => ({ start: text.indexOf(words), end: text.indexOf(words) + words.length, text: words, facet, confidence })
const readingOf = (text: string) => ({
  text,
  reading: { phrases: ([['old fox', 'subject'], ['snowy wood', 'setting'], ['gouache', 'medium']] as const).filter(([words]) => text.includes(words)).map(([words, facet]) => phraseOf(text, words, facet)), leaveOut: [], settings: {}, noise: [] },
})

/** A session that applies edits at once and reads by a fixed list of phrases. */
function session(text = TEXT) {
  const draft = shallowRef<Draft>(aDraft(text))
  const reading = shallowRef(readingOf(text))
  const apply = (edit: Edit) => {
    draft.value = applyEdit(draft.value, edit)
    reading.value = readingOf(draft.value.text)
  }
  return {
    draft,
    caret: ref(0),
    reading: { reading, state: ref('ready'), ask: vi.fn(() => Promise.resolve<unknown>(['low angle', 'eye level'])) },
    view: new EditorView({ state: EditorState.create({ doc: text }) }),
    apply,
    change: (next: Partial<Draft>) => apply(editBetween(draft.value, { ...draft.value, ...next })),
  }
}
function outline(own = session()) {
  const wrapper = mount(OutlineRows, { props: { session: own as unknown as DraftSession }, global: { ...withEngines(), stubs: { ...withEngines().stubs, PhraseMenu: true } }, attachTo: document.body })
  const press = async (words: string, key: string, more = {}) => {
    await wrapper.findAll('.phrase').find((button) => button.text() === words)!.trigger('keydown', { key, ...more })
    await flushPromises()
  }
  return { wrapper, own, press, text: () => own.draft.value.text }
}
beforeEach(() => {
  call.mockReset()
  localStorage.clear()
  letterKeys.value = true
})

describe('the outline', () => {
  it('lists phrases by facet in writing order, and what nothing says on one line', () => {
    const { wrapper } = outline()
    expect(wrapper.findAll('h2').map((h) => h.text())).toEqual(['Subject', 'Setting', 'Medium'])
    expect(wrapper.get('.empty').text()).toContain('moment')
    expect(wrapper.get('.empty').text()).not.toContain('setting')
  })

  it('marks the phrase that the caret is in', async () => {
    const { wrapper, own } = outline()
    own.caret.value = TEXT.indexOf('wood')
    await flushPromises()
    expect(wrapper.get('.here').text()).toContain('snowy wood')
  })

  it('removes, moves and switches off by key', async () => {
    const { wrapper, own, press, text } = outline()
    await press('snowy wood', 'ArrowRight', { ctrlKey: true })
    expect(text()).toBe('old fox, gouache, snowy wood')
    await press('old fox', 'o')
    expect(own.draft.value.marks).toEqual([{ from: 0, to: 7, kind: 'off' }])
    expect(wrapper.findAll('.phrase').find((button) => button.text() === 'old fox')!.classes()).toContain('off')
    await press('gouache', 'Delete')
    expect(text()).toBe('old fox, snowy wood')
  })

  it('emphasises in five steps, said in words', async () => {
    const { wrapper, press } = outline()
    for (let i = 0; i < 4; i++) await press('gouache', '+')
    expect(wrapper.text()).toContain('much more')
    await press('gouache', '-')
    expect(wrapper.get('.said').text()).toBe('more')
  })

  it('leaves letters alone when they are switched off', async () => {
    letterKeys.value = false
    const { own, press } = outline()
    await press('old fox', 'o')
    expect(own.draft.value.marks).toEqual([])
  })

  it('fills an empty facet in its place, and takes the writer’s word for what it is', async () => {
    const { wrapper, own, text } = outline()
    await wrapper.findAll('.empty button').find((button) => button.text() === 'moment')!.trigger('click')
    const input = wrapper.get('input[role=combobox]')
    await input.setValue('early frost')
    await input.trigger('keydown', { key: 'Enter' })
    expect(text()).toBe('old fox, snowy wood, early frost, gouache')
    expect(own.draft.value.marks).toEqual([{ from: 21, to: 32, kind: 'facet', facet: 'moment' }])
  })

  it('offers kept phrases, then those of proven prompts with their source, then terms that fit', async () => {
    const { wrapper, own, text } = outline()
    usePhrases().all = [
      { id: 'k', text: 'Low angle', facet: 'framing', from: null },
      { id: null, text: 'worm’s-eye view', facet: 'framing', from: { promptId: 'p', title: 'The crossing', keepers: 2 } },
      { id: 'm', text: 'hushed', facet: 'mood', from: null },
    ]
    await wrapper.findAll('.empty button').find((button) => button.text() === 'framing')!.trigger('click')
    await flushPromises()
    expect(wrapper.findAll('[role=option]').map((option) => option.text())).toEqual(['Low angle', 'worm’s-eye view The crossing', 'eye level'])
    await wrapper.get('input[role=combobox]').setValue('low')
    await flushPromises()
    expect(own.reading.ask).toHaveBeenLastCalledWith('suggest', { facet: 'framing', typed: 'low', most: 10 })
    await wrapper.get('input[role=combobox]').trigger('keydown', { key: 'ArrowDown' })
    await wrapper.get('input[role=combobox]').trigger('keydown', { key: 'Enter' })
    expect(text()).toContain('Low angle')
  })

  it('replaces a phrase in place', async () => {
    const { wrapper, press, text } = outline()
    await press('snowy wood', 'r')
    const input = wrapper.get('.words input')
    await input.setValue('dry field')
    await input.trigger('keydown', { key: 'Enter' })
    expect(text()).toBe('old fox, dry field, gouache')
  })

  it('lets nothing be done with a reading of an older text', async () => {
    const { wrapper, own, press, text } = outline()
    own.draft.value = aDraft('old fox, snowy woods, gouache')
    await flushPromises()
    expect(wrapper.attributes('aria-busy')).toBe('true')
    await press('old fox', 'Delete')
    expect(text()).toBe('old fox, snowy woods, gouache')
  })

  it('shows the text alone, with what it says, or with all twelve facets to fill, and remembers which', async () => {
    const { wrapper } = outline()
    const show = (name: string) => wrapper.findAll('.views button').find((button) => button.text() === name)!.trigger('click')
    await show('By facet')
    expect(wrapper.findAll('h2')).toHaveLength(12)
    await show('Text only')
    expect(wrapper.findAll('h2')).toHaveLength(0)
    wrapper.unmount()
    expect(outline().wrapper.findAll('h2')).toHaveLength(0)
  })

  it('keeps a phrase among the project’s own by one key, and forgets it by the same', async () => {
    const { wrapper, press } = outline()
    call.mockResolvedValueOnce([])
    await usePhrases().load('j')
    call.mockResolvedValueOnce({ id: 'k', text: 'snowy wood', facet: 'setting', from: null })
    await press('snowy wood', 'k')
    expect(call.mock.lastCall?.[1]).toMatchObject({ body: { text: 'snowy wood', facet: 'setting' } })
    expect(wrapper.get('.said').text()).toBe('kept')
    await press('snowy wood', 'k')
    expect(call.mock.lastCall?.[1]).toMatchObject({ params: { phrase: 'k' } })
    expect(wrapper.find('.said').exists()).toBe(false)
  })

  it('joins a phrase with the next', async () => {
    const { own, press, text } = outline()
    await press('old fox', 'j')
    expect(text()).toBe('old fox snowy wood, gouache')
    expect(own.draft.value.marks).toEqual([{ from: 0, to: 18, kind: 'facet', facet: 'subject' }])
  })

  it('moves a phrase to where it is dropped, and makes it what it is dropped on', async () => {
    const { wrapper, own, text } = outline()
    const button = (words: string) => wrapper.findAll('.phrase').find((one) => one.text() === words)!
    await button('gouache').trigger('dragstart')
    await button('old fox').trigger('drop')
    expect(text()).toBe('gouache, old fox, snowy wood')
    await button('gouache').trigger('dragstart')
    await wrapper.get('#facet-setting').trigger('drop')
    expect(own.draft.value.marks).toEqual([{ from: 0, to: 7, kind: 'facet', facet: 'setting' }])
  })

  it('rewrites the draft in one edit, unless it was changed meanwhile', async () => {
    const { wrapper, own, text } = outline()
    const write = () => wrapper.findAll('.rewriting button').find((button) => button.text() === 'as sentences')!.trigger('click')
    own.reading.ask.mockImplementationOnce(() => {
      own.draft.value = aDraft('typed on')
      return Promise.resolve({ edit: { text: [{ from: 0, to: 3, insert: 'An old' }] }, unplaced: [] })
    })
    await write()
    await flushPromises()
    expect(text()).toBe('typed on')
    own.apply(editBetween(own.draft.value, aDraft(TEXT)))
    await flushPromises()
    own.reading.ask.mockResolvedValueOnce({ edit: { text: [{ from: 0, to: 3, insert: 'An old' }] }, unplaced: ['zz'] })
    await write()
    await flushPromises()
    expect(text()).toBe('An old fox, snowy wood, gouache')
  })
})
