import type { GlossaryEntry } from '@idolon/core'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { useNotices } from '../notices/notices.ts'
import { useProjects } from '../stores/projects.ts'
import { aServer, choose, emit, fieldOf, fill, IN_TIME, named, press, withRouter } from '../testing.test-support.ts'
import GlossaryView from './GlossaryView.vue'

const { call, picked } = vi.hoisted(() => ({ call: vi.fn(), picked: { give: (_: File[]) => undefined as unknown } }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
vi.mock('../shared/pick-files.ts', () => ({ JSON_FILES: '', usePickFiles: (_: unknown, take: (files: File[]) => unknown) => ((picked.give = take), () => undefined) }))

const entry = (term: string, facet: GlossaryEntry['facet'], more: Partial<GlossaryEntry> = {}): GlossaryEntry => ({ term, facet, does: `It makes the picture ${term}.`, ...more })
const SHIPPED = [entry('rim light', 'light', { also: ['edge light'], near: ['backlight'], broader: 'light' }), entry('backlight', 'light'), entry('gouache', 'medium', { brings: ['flat colour'] })]
const OWN = entry('honey glow', 'light')
let own: { id: string; projectId: string | null; entry: GlossaryEntry }[]
let server: ReturnType<typeof aServer>
beforeEach(() => {
  own = [{ id: 'o1', projectId: 'j', entry: OWN }]
  server = aServer(call, {
    listTerms: () => own,
    promptsThatSay: { rows: [], total: 0 },
    addTerms: ({ body }: { body: { projectId: string | null; entries: GlossaryEntry[] } }) => void own.push(...body.entries.map((one) => ({ id: one.term, projectId: body.projectId, entry: one }))),
    removeTerm: ({ params }: { params: { term: string } }) => void (own = own.filter(({ id }) => id !== params.term)),
  })
  // The tables are files of the page.
  vi.stubGlobal('fetch', (url: string) => Promise.resolve({ ok: true, json: () => Promise.resolve(url.includes('glossary') ? SHIPPED : []) }))
})
afterEach(() => {
  vi.unstubAllGlobals()
  dropPageData()
})
async function glossary(query = '') {
  const { global, router } = await withRouter('/glossary', `/glossary${query}`)
  const projects = useProjects()
  projects.all = [{ id: 'j', name: 'Bees', archivedAt: null }] as typeof projects.all
  projects.chosen = 'j'
  const wrapper = mount(GlossaryView, { global: { ...global, stubs: { ...global.stubs, WordCompanions: true } } })
  await flushPromises()
  return { wrapper, router }
}
type Shown = Awaited<ReturnType<typeof glossary>>['wrapper']
const terms = (wrapper: Shown) => wrapper.findAll('.list .name').map((one) => one.text())
const notices = () => useNotices().shown.map(({ text }) => text)
const submit = async (wrapper: Shown) => {
  await wrapper.get('form').trigger('submit')
  await flushPromises()
}

describe('the glossary', () => {
  it('lists what ships and the project’s own, counted, with the first of them read', async () => {
    const { wrapper } = await glossary()
    expect([terms(wrapper).sort(), wrapper.get('.finding [role=status]').text()]).toEqual([['backlight', 'gouache', 'honey glow', 'rim light'], '4 terms'])
    expect(wrapper.get('.entry').text().length).toBeGreaterThan(0)
  })

  it('finds a term by typing, and by what is also said for it', async () => {
    const { wrapper, router } = await glossary()
    await fieldOf(wrapper, 'Find a term').get('input').setValue('edge')
    await vi.waitUntil(() => router.currentRoute.value.query['q'] === 'edge', IN_TIME)
    await flushPromises()
    expect(terms(wrapper)[0]).toBe('rim light')
  })

  it('shows those of one facet, which is cleared with one press', async () => {
    const { wrapper, router } = await glossary('?facet=medium')
    expect(terms(wrapper)).toEqual(['gouache'])
    await choose(wrapper, 'Facet', null)
    await vi.waitUntil(() => !router.currentRoute.value.query['facet'], IN_TIME)
    await flushPromises()
    expect(terms(wrapper)).toHaveLength(4)
  })

  it('offers to add what it does not have', async () => {
    const { wrapper } = await glossary('?q=zzzz')
    expect(wrapper.text()).toContain('No term is written like that or says so.')
    await press(wrapper, 'Add “zzzz”')
    expect((fieldOf(wrapper, 'Term').get('input').element as HTMLInputElement).value).toBe('zzzz')
  })

  it('takes a term in that says what it does, for the project or for all', async () => {
    const { wrapper } = await glossary()
    await press(wrapper, 'Add a term')
    await submit(wrapper)
    expect([fieldOf(wrapper, 'Term').get('.v-messages').text(), server.asked('addTerms')]).toEqual(['Fill this in.', []])
    await fill(wrapper, 'Term', ' smoke ')
    await fill(wrapper, 'What it does to a picture, in one sentence', 'It veils what is far.')
    await fill(wrapper, 'Near: terms that do nearly the same, with commas', 'fog, mist, fog')
    emit(wrapper.findAllComponents({ name: 'VRadioGroup' })[0]!, 'update:modelValue', false)
    await submit(wrapper)
    expect(server.asked('addTerms')[0]!.body).toEqual({ projectId: null, entries: [{ term: 'smoke', facet: 'subject', does: 'It veils what is far.', near: ['fog', 'mist'] }] })
    expect([notices(), wrapper.find('form').exists()]).toEqual([['“smoke” is in the glossary.'], false])
  })

  it('lets the writer correct a term, and take the own one away again', async () => {
    const { wrapper } = await glossary('?term=honey%20glow|light')
    await press(wrapper, 'Remove yours')
    expect(call.mock.calls.map(([route]) => (route as { id: string }).id)).toContain('removeTerm')
    useNotices().shown[0]!.action!.run()
    await flushPromises()
    expect(server.asked('addTerms')[0]!.body).toEqual({ projectId: 'j', entries: [OWN] })
    const shipped = await glossary('?term=rim%20light|light')
    expect(named(shipped.wrapper, 'Remove yours')).toBeUndefined()
    await press(shipped.wrapper, 'Edit')
    expect((fieldOf(shipped.wrapper, 'Also written: other ways to write it, with commas').get('input').element as HTMLInputElement).value).toBe('edge light')
  })

  it('walks to terms of its kin', async () => {
    const { wrapper, router } = await glossary('?term=rim%20light|light')
    await press(wrapper, 'backlight')
    await vi.waitUntil(() => router.currentRoute.value.query['term'] === 'backlight', IN_TIME)
  })

  it('says in which prompts of the project a term stands', async () => {
    server.answers['promptsThatSay'] = { rows: [], total: 3 }
    const { wrapper } = await glossary('?term=rim%20light|light')
    expect([server.asked('promptsThatSay')[0]!.query, wrapper.get('#uses').text()]).toEqual([{ words: 'rim light\nedge light', project: 'j' }, 'In 3 prompts of this project'])
  })

  it.each([
    ['[{"term":"smoke","facet":"light","does":"It veils."}]', '1 term imported for Bees.'],
    ['{"term":', 'terms.json: '],
  ])('imports a file of terms or says what is wrong with it (%s)', async (text, says) => {
    await glossary()
    await picked.give([new File([text], 'terms.json')])
    await flushPromises()
    expect([notices()[0]!.startsWith(says), server.asked('addTerms').length]).toEqual([true, says.startsWith('1') ? 1 : 0])
  })

  it('goes through the list by arrows', async () => {
    const { wrapper } = await glossary()
    document.body.append(wrapper.element as Node)
    const buttons = wrapper.findAll('.list button')
    ;(buttons[0]!.element as HTMLElement).focus()
    await wrapper.get('.list').trigger('keydown', { key: 'ArrowDown' })
    expect(document.activeElement).toBe(buttons[1]!.element)
  })
})

it('the glossary says that its tables could not be loaded', async () => {
  vi.stubGlobal('fetch', () => Promise.resolve({ ok: false, status: 503 }))
  await glossary()
  expect(notices()).toEqual(['The glossary could not be loaded. Nothing you wrote is lost. Reload the page.'])
})
