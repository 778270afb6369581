import { SHIPPED_ENGINES } from '@idolon/core'
import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { useNotices } from '../notices/notices.ts'
import { IN_TIME, named, press, withEngines } from '../testing.test-support.ts'
import OutputText from './OutputText.vue'
import RewriteDraft from './RewriteDraft.vue'
import { aSession } from './session.test-support.ts'
import SideBySide from './SideBySide.vue'
import TrimOffer from './TrimOffer.vue'

vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
const of = (id: string) => SHIPPED_ENGINES.filter((one) => one.id === id).at(-1)!
const SHORT = { ...SHIPPED_ENGINES.find(({ limit }) => limit)!, limit: { unit: 'words' as const, max: 6 } }
const notices = () => useNotices().shown.map(({ text }) => text)

describe('the output of an engine', () => {
  const output = { text: 'a fox', leaveOut: 'text', settings: { aspectRatio: '3:2' }, used: 2, limit: 60, cut: [{ start: 0, end: 5 }], notes: ['Emphasis is lost.'], weights: [{ text: 'fox', weight: 1.2 }] }
  const shown = (more = {}) => mount(OutputText, { props: { output: { ...output, ...more } as never, profile: of('burin'), draft: { text: 'a hen, a fox' } as never }, global: withEngines() })

  it('stands as it is sent, with how far it is read, what weighs more and what is lost', () => {
    const text = shown().text()
    for (const part of ['a fox', '2 of the 60', 'Leave-out text', 'fox: 1.2', 'Emphasis is lost.', 'Not read: “a hen”.', 'a new one each time']) expect(text).toContain(part)
  })

  it('is copied, as text or as JSON', async () => {
    const wrote = vi.fn((_: string) => Promise.resolve())
    vi.spyOn(navigator.clipboard, 'writeText').mockImplementation(wrote)
    const wrapper = shown()
    await press(wrapper, 'Copy')
    await press(wrapper, 'Copy as JSON')
    expect([wrote.mock.calls.map(([said]) => said.slice(0, 5)), notices()]).toEqual([['a fox', '{\n  "'], ['The output is copied.']])
  })

  it('is nothing yet for an empty draft', () => {
    const wrapper = shown({ text: '', leaveOut: '', cut: [], notes: [] })
    expect([wrapper.get('p').text(), named(wrapper, 'Copy')]).toEqual(['Nothing yet.', undefined])
  })
})

it('one draft stands as several engines are given it', async () => {
  const session = aSession('a fox in the snow, gouache')
  const wrapper = mount(SideBySide, { props: { session, draft: session.draft.value, profiles: [of('burin'), of('brayer')] }, global: withEngines() })
  await vi.waitUntil(() => wrapper.findAll('section').length === 2, IN_TIME)
  expect(wrapper.findAll('h2').map((one) => one.text().split(' ')[0])).toEqual([of('burin').name, of('brayer').name])
  expect(wrapper.findAll('pre').every((one) => one.text().includes('fox'))).toBe(true)
})

describe('a trim', () => {
  const LONG = 'a fox in the snow, very beautiful, beautiful, soft light, long grass, gouache'
  async function offered(text = LONG) {
    const session = aSession(text)
    const wrapper = mount(TrimOffer, { props: { session, draft: session.draft.value, profile: SHORT }, global: withEngines() })
    await press(wrapper, 'Trim it to fit')
    await vi.waitUntil(() => wrapper.find('.trim').exists(), IN_TIME)
    return { wrapper, session }
  }

  it('says what would go and why, takes it by a press, and is undone', async () => {
    const { wrapper, session } = await offered()
    expect(wrapper.findAll('li').length).toBeGreaterThan(1)
    expect(wrapper.get('.trim').text()).toMatch(/says nothing of the picture|is said before|comes last/)
    await wrapper.findAll('button').find((one) => one.text().startsWith('Remove'))!.trigger('click')
    await flushPromises()
    expect([session.draft.value.text.split(/\s+/).length <= 6, notices()[0]]).toEqual([true, expect.stringContaining('Undo restores them one by one.')])
    while (session.undo());
    expect(session.draft.value.text).toBe(LONG)
  })

  it('is let alone by Reject', async () => {
    const { wrapper, session } = await offered()
    await press(wrapper, 'Reject')
    expect([session.draft.value.text, named(wrapper, 'Trim it to fit') !== undefined]).toEqual([LONG, true])
  })

  it('is asked for anew where the draft has changed', async () => {
    const { wrapper, session } = await offered()
    await wrapper.setProps({ draft: { ...session.draft.value, text: 'a fox' } })
    expect(wrapper.find('.trim').exists()).toBe(false)
  })
})

describe('a draft written otherwise', () => {
  async function rewritten(text: string, how: string) {
    const session = aSession(text)
    const wrapper = mount(RewriteDraft, { props: { session, shown: true }, global: withEngines() })
    await press(wrapper, how)
    await vi.waitUntil(() => session.draft.value.text !== text, IN_TIME)
    return session
  }

  it('becomes sentences, and a list again, each undone in one step', async () => {
    const LIST = 'a fox, snowy forest, soft light, gouache'
    const session = await rewritten(LIST, 'as sentences')
    expect(session.draft.value.text).toMatch(/^A.*fox.*\.$/)
    session.undo()
    expect(session.draft.value.text).toBe(LIST)
    const list = await rewritten('A fox sits in a snowy forest. It is painted in gouache.', 'as a list')
    expect(list.draft.value.text).toContain(', ')
  })

  it('is dropped where one wrote on before it came', async () => {
    const session = aSession('a fox, snowy forest, soft light, gouache')
    const asked = vi.spyOn(session.reading, 'ask')
    const wrapper = mount(RewriteDraft, { props: { session, shown: true }, global: withEngines() })
    await named(wrapper, 'as sentences')!.trigger('click')
    session.change({ text: 'a hen, snowy forest, soft light, gouache' })
    await asked.mock.results[0]!.value
    await flushPromises()
    expect(session.draft.value.text).toBe('a hen, snowy forest, soft light, gouache')
  })
})
