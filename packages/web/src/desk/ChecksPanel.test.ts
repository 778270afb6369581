import { EditorState } from '@codemirror/state'
import { EditorView } from '@codemirror/view'
import { applyEdit, type Draft, type Edit, editBetween, emptyDraft, type Finding } from '@idolon/core'
import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { computed, shallowRef } from 'vue'
import { withEngines } from '../testing.test-support.ts'
import ChecksPanel from './ChecksPanel.vue'
import type { DraftSession } from './draft-session.ts'

const text = 'a fox at noon, masterpiece'
const contradiction: Finding = { kind: 'contradiction', severity: 'stop', where: { in: 'text', start: 9, end: 13 }, reason: 'Two hours.' }
const filler = (reason = 'Says nothing.'): Finding => ({
  kind: 'filler',
  severity: 'tip',
  where: { in: 'text', start: 15, end: 26 },
  reason,
  fix: { label: 'Remove it', safe: true, edits: [{ text: [{ from: 13, to: 26, insert: '' }] }] },
})

/** A panel over a draft whose findings are given; a fixed one is found no more. */
function panel(given: Finding[]) {
  const draft = shallowRef<Draft>({ ...emptyDraft(), text })
  const all = shallowRef<Finding[]>(given)
  const apply = (edit: Edit) => {
    draft.value = applyEdit(draft.value, edit)
  }
  const session = { draft, apply, change: (next: Partial<Draft>) => apply(editBetween(draft.value, { ...draft.value, ...next })), undo: () => undefined, view: new EditorView({ state: EditorState.create({ doc: text }) }) } as unknown as DraftSession
  const findings = {
    all,
    ownWords: computed(() => []),
    current: computed(() => true),
    check: () => {
      all.value = all.value.filter(({ where }) => where?.in !== 'text' || where.end <= draft.value.text.length)
      return Promise.resolve()
    },
  }
  return { draft, wrapper: mount(ChecksPanel, { props: { session, findings }, global: withEngines() }) }
}

describe('ChecksPanel', () => {
  it('shows what would waste the try, and keeps tips a press away from it', async () => {
    const { wrapper } = panel([contradiction, filler()])
    expect(wrapper.findAll('h2').map((heading) => heading.text())).toEqual(['Stops: the try would be wasted'])
    await wrapper.findAll('button').find((button) => button.text() === '1 tip')!.trigger('click')
    expect(wrapper.text()).toContain('Says nothing.')
  })

  it('fixes by key the finding that was gone to, and nothing while another place is selected', async () => {
    const { wrapper, draft } = panel([contradiction, filler()])
    const { walk, fixHere } = wrapper.vm as unknown as { walk: (by: 1 | -1) => void; fixHere: () => void }
    fixHere()
    walk(1)
    fixHere()
    await flushPromises()
    expect(draft.value.text).toBe(text)
    walk(1)
    fixHere()
    await flushPromises()
    expect(draft.value.text).toBe('a fox at noon')
  })

  it('shows one tip unasked on a draft with nothing graver', () => {
    const { wrapper } = panel([filler('First.'), filler('Second.')])
    expect(wrapper.text()).toContain('First.')
    expect(wrapper.text()).not.toContain('Second.')
  })

  it('fixes a finding by its edit', async () => {
    const { draft, wrapper } = panel([filler()])
    await wrapper.findAll('button').find((button) => button.text() === 'Remove it')!.trigger('click')
    await flushPromises()
    expect(draft.value.text).toBe('a fox at noon')
    expect(wrapper.text()).toContain('Nothing stands in the way of a try.')
  })

  it('dismisses a finding with a reason, and checks again when asked', async () => {
    const { draft, wrapper } = panel([contradiction])
    await wrapper.findAll('button').find((button) => button.text() === 'Dismiss')!.trigger('click')
    await wrapper.get('input').setValue('an eclipse')
    await wrapper.get('form').trigger('submit')
    expect(draft.value.marks).toEqual([{ from: 9, to: 13, kind: 'dismissed', check: 'contradiction', reason: 'an eclipse' }])
    expect(wrapper.text()).toContain('“noon”: an eclipse')
    await wrapper.findAll('button').find((button) => button.text() === 'Check it again')!.trigger('click')
    expect(draft.value.marks).toEqual([])
  })
})
