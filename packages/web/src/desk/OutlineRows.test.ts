import { EditorView } from '@codemirror/view'
import { EditorState } from '@codemirror/state'
import { applyEdit, type Draft, type Edit, editBetween, type Phrase } from '@idolon/core'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { ref, shallowRef } from 'vue'
import { letterKeys } from '../keys/keys.ts'
import { aDraft, withEngines } from '../testing.test-support.ts'
import type { DraftSession } from './draft-session.ts'
import OutlineRows from './OutlineRows.vue'

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
    reading: { reading, state: ref('ready') },
    view: new EditorView({ state: EditorState.create({ doc: text }) }),
    apply,
    change: (next: Partial<Draft>) => apply(editBetween(draft.value, { ...draft.value, ...next })),
  }
}
function outline(own = session()) {
  const wrapper = mount(OutlineRows, { props: { session: own as unknown as DraftSession }, global: { ...withEngines(), stubs: { PhraseMenu: true } }, attachTo: document.body })
  const press = async (words: string, key: string, more = {}) => {
    await wrapper.findAll('.phrase').find((button) => button.text() === words)!.trigger('keydown', { key, ...more })
    await flushPromises()
  }
  return { wrapper, own, press, text: () => own.draft.value.text }
}
beforeEach(() => {
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
    const input = wrapper.get('[role=combobox]')
    await input.setValue('early frost')
    await input.trigger('keydown', { key: 'Enter' })
    expect(text()).toBe('old fox, snowy wood, early frost, gouache')
    expect(own.draft.value.marks).toEqual([{ from: 21, to: 32, kind: 'facet', facet: 'moment' }])
  })

  it('offers terms that the text does not say yet', async () => {
    const { wrapper, text } = outline()
    await wrapper.findAll('.empty button').find((button) => button.text() === 'framing')!.trigger('click')
    await wrapper.get('[role=combobox]').setValue('low ang')
    expect(wrapper.findAll('[role=option]').map((option) => option.text())[0]).toBe('low angle')
    await wrapper.get('[role=combobox]').trigger('keydown', { key: 'ArrowDown' })
    await wrapper.get('[role=combobox]').trigger('keydown', { key: 'Enter' })
    expect(text()).toContain('low angle')
  })

  it('replaces a phrase in place', async () => {
    const { wrapper, press, text } = outline()
    await press('snowy wood', 'r')
    const input = wrapper.get('.words')
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
})
