import type { OutlinePhrase } from '@idolon/core'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { usePhrases } from '../stores/phrases.ts'
import { IN_TIME, press, withEngines } from '../testing.test-support.ts'
import type { PhraseActions } from './OutlineRows.vue'
import PhraseMenu from './PhraseMenu.vue'

vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
const phrase = (more: Partial<OutlinePhrase> = {}): OutlinePhrase => ({ text: 'old red fox', start: 2, end: 13, facet: 'subject', confidence: 0.9, emphasis: 'as written', off: false, locked: false, byHand: false, ...more }) as unknown as OutlinePhrase
const NAMES = ['show', 'entry', 'startReplacing', 'rephrase', 'off', 'locked', 'move', 'keep', 'slot', 'join', 'remove', 'split', 'emphasis', 'facet'] as const
let acts: Record<(typeof NAMES)[number], ReturnType<typeof vi.fn>> & { next: () => unknown; kept: () => boolean }
beforeEach(() => {
  acts = { ...(Object.fromEntries(NAMES.map((name) => [name, vi.fn()])) as Record<(typeof NAMES)[number], ReturnType<typeof vi.fn>>), next: () => ({ text: 'snow' }), kept: () => false }
})
async function menu(of = phrase(), more: { places?: number[]; splitting?: boolean } = {}) {
  const target = document.createElement('button')
  document.body.append(target)
  const global = withEngines()
  vi.spyOn(usePhrases(), 'countsOf').mockResolvedValue([{ engine: 'burin', revision: '2', kept: 3, tried: 8 }] as never)
  const wrapper = mount(PhraseMenu, { props: { phrase: of, target, actions: acts as unknown as PhraseActions, places: more.places ?? [5, 9], splitting: more.splitting }, global, attachTo: document.body })
  await flushPromises()
  // The menu takes the focus a moment after it has opened.
  await vi.waitUntil(() => wrapper.get('[role=menu]').element.contains(document.activeElement), IN_TIME)
  const items = () => wrapper.findAll('[role^=menuitem]')
  const key = (name: string) => wrapper.get('[role=menu]').trigger('keydown', { key: name })
  return { wrapper, target, items, key, titles: () => items().map((one) => one.element.querySelector('.v-list-item-title')?.textContent) }
}

describe('everything that can be done with a phrase', () => {
  it.each([
    ['Show in the text', 'show'],
    ['Glossary: what it does and brings', 'entry'],
    ['Replace', 'startReplacing'],
    ['Rephrase, with a helper', 'rephrase'],
    ['Switch off', 'off'],
    ['Lock: helpers may not change it', 'locked'],
    ['Keep for this project', 'keep'],
    ['Make it a slot of a template', 'slot'],
    ['Join with “snow”', 'join'],
    ['Remove', 'remove'],
  ] as const)('“%s” closes the menu and does it', async (title, name) => {
    const { wrapper } = await menu()
    await press(wrapper, title)
    expect([acts[name].mock.calls.length, wrapper.emitted('close')?.length]).toEqual([1, 1])
  })

  it('says the other way of what is so already', async () => {
    acts.kept = () => true
    const { titles } = await menu(phrase({ off: true, locked: true } as Partial<OutlinePhrase>))
    expect(titles()).toEqual(expect.arrayContaining(['Switch on', 'Unlock: helpers may change it', 'Keep it no longer']))
  })

  it('moves it either way, splits it after a word, and sets emphasis and facet', async () => {
    const { wrapper } = await menu()
    await press(wrapper, 'Move earlier')
    await press(wrapper, 'Move later')
    await press(wrapper, 'red')
    await press(wrapper, 'much more')
    await press(wrapper, 'medium')
    expect([(acts.move.mock.calls as [unknown, number][]).map(([, by]) => by), acts.split.mock.calls[0]?.[1], acts.emphasis.mock.calls.length, acts.facet.mock.calls[0]?.[1]]).toEqual([[-1, 1], 9, 1, 'medium'])
  })

  it('offers “as read” only where the writer said what it is', async () => {
    const read = await menu()
    expect(read.titles()).not.toContain('as read')
    read.wrapper.unmount()
    const byHand = await menu(phrase({ byHand: true } as Partial<OutlinePhrase>))
    await press(byHand.wrapper, 'as read')
    expect(acts.facet.mock.calls.at(-1)?.[1]).toBeUndefined()
  })

  it('says how many pictures that say it were kept', async () => {
    const { wrapper } = await menu()
    expect(wrapper.get('.tried').text()).toMatch(/^Pictures kept that say it: 3 of 8 on Burin 2/)
  })

  it('is gone through by arrows, round and round, and left by Escape back to the phrase', async () => {
    const { wrapper, items, key, target } = await menu()
    await key('Home')
    expect(document.activeElement).toBe(items()[0]!.element)
    await key('ArrowUp')
    expect(document.activeElement).toBe(items().at(-1)!.element)
    await key('ArrowDown')
    expect(document.activeElement).toBe(items()[0]!.element)
    await key('End')
    expect(document.activeElement).toBe(items().at(-1)!.element)
    await key('Escape')
    expect([wrapper.emitted('close')?.length, document.activeElement === target]).toEqual([1, true])
  })

  it('begins at the places to split where that was asked for', async () => {
    await menu(phrase(), { splitting: true })
    expect([document.activeElement!.closest('.splits') !== null, document.activeElement!.textContent]).toEqual([true, expect.stringContaining('old')])
  })
})
