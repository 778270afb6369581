import type { Engine } from '@idolon/contract'
import { SHIPPED_ENGINES } from '@idolon/core'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useNotices } from '../notices/notices.ts'
import { useEngines } from '../stores/engines.ts'
import { aServer, fieldOf, fill, IN_TIME, named, press, withRouter } from '../testing.test-support.ts'
import EnginesView from './EnginesView.vue'

const { call, picked } = vi.hoisted(() => ({ call: vi.fn(), picked: { give: (_: File[]) => undefined as unknown } }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
vi.mock('../shared/pick-files.ts', () => ({ JSON_FILES: '', usePickFiles: (_: unknown, take: (files: File[]) => unknown) => ((picked.give = take), () => undefined) }))

const BURIN = SHIPPED_ENGINES.find(({ id, revision }) => id === 'burin' && revision === '2')!
let server: ReturnType<typeof aServer>
beforeEach(() => {
  server = aServer(call, { previewRequest: { request: null, problem: null }, listModels: [] })
})
const engine = (more: Partial<Engine> = {}): Engine => ({ profile: BURIN, connected: true, origin: 'shipped', off: false, hasApiKey: false, usage: { stored: 12, failed: 1, medianMs: 900, spent: 48, lastFailure: null }, ...more }) as Engine
async function view(all = [engine(), engine({ profile: { ...BURIN, id: 'mine', name: 'Mine', revision: '1', simulated: false }, origin: 'own', connected: false, usage: { stored: 0, failed: 0, medianMs: null, spent: 0, lastFailure: null } } as Partial<Engine>)], query = '') {
  const { global, router } = await withRouter('/engines', `/engines${query}`)
  const wrapper = mount(EnginesView, { global: { ...global, stubs: { ...global.stubs, EngineConnection: true, ModelsSection: true } }, attachTo: document.body })
  useEngines().all = all
  server.answers['listEngines'] = all
  await flushPromises()
  return { wrapper, router }
}
type Shown = Awaited<ReturnType<typeof view>>['wrapper']
const notices = () => useNotices().shown.map(({ text }) => text)
const submit = async (wrapper: Shown) => {
  await wrapper.get('form').trigger('submit')
  await flushPromises()
}
const under = (wrapper: Shown, label: string) => fieldOf(wrapper, label).get('.v-messages').text()
const saved = () => server.asked('saveEngine').map(({ body }) => body as unknown as { profile?: object } & typeof BURIN)

describe('the engines', () => {
  it('are listed with how each is reached and what came of it', async () => {
    const { wrapper } = await view()
    expect(wrapper.findAll('[aria-label=Engines] .choice').map((one) => one.text())).toEqual([`Burin 2simulated, 12 made, usually in 0.9 s, 1 failed`, 'Mine 1written for, not connected'])
  })

  it('show where they come until they are there', async () => {
    const { wrapper } = await view([])
    expect([wrapper.find('.v-skeleton-loader').exists(), wrapper.find('.profile').exists()]).toEqual([true, false])
    useEngines().all = [engine()]
    await flushPromises()
    expect([wrapper.find('.v-skeleton-loader').exists(), wrapper.get('.profile h2').text()]).toEqual([false, 'Burin 2 ships with Idolon'])
  })

  it('say what they read, take and cost, in tables that sort', async () => {
    const { wrapper } = await view()
    const tables = wrapper.findAll('table')
    expect(tables[0]!.findAll('tbody tr')).toHaveLength(BURIN.settings.length)
    expect(tables[1]!.findAll('tbody tr').map((row) => row.findAll('td')[0]!.text())).toEqual(BURIN.sizes.map(({ aspectRatio }) => aspectRatio))
    await tables[1]!.findAll('th').at(-1)!.trigger('click')
    const costs = tables[1]!.findAll('tbody tr').map((row) => Number.parseFloat(row.findAll('td')[2]!.text()))
    expect(costs).toEqual([...costs].sort((a, b) => a - b))
  })

  it('are chosen by their address', async () => {
    const { wrapper, router } = await view()
    await wrapper.findAll('[aria-label=Engines] .choice')[1]!.trigger('click')
    await vi.waitUntil(() => router.currentRoute.value.query['engine'] === 'mine|1', IN_TIME)
    expect(wrapper.get('h2.titled').text()).toBe('Mine 1 added by you')
  })

  it('are removed or reset, which can be undone', async () => {
    const { wrapper } = await view(undefined, '?engine=mine%7C1')
    await press(wrapper, 'Remove it')
    expect(notices()).toEqual(['Mine is removed.'])
    const changed = await view([engine({ origin: 'changed' })])
    expect(named(changed.wrapper, 'Reset to what ships')).toBeDefined()
    expect((await view([engine()])).wrapper.findAll('button').map((one) => one.text())).not.toContain('Reset to what ships')
  })

  it('come in from a file, and say with its place what is wrong with one', async () => {
    await view()
    const { profile } = engine()
    await picked.give([new File([JSON.stringify({ ...profile, id: 'file', name: 'File' })], 'engine.json')])
    await flushPromises()
    expect(notices()).toEqual(['File 2 is saved.'])
    await picked.give([new File([JSON.stringify({ ...profile, sizes: [] })], 'engine.json')])
    await picked.give([new File(['{'], 'engine.json')])
    await flushPromises()
    expect(notices().slice(1)).toEqual([expect.stringMatching(/^engine\.json, \/sizes.* Nothing was imported\.$/), 'engine.json is no JSON file. Nothing was imported.'])
  })
})

describe('a profile that is written', () => {
  it('is saved once it has a name, a short name and nothing that contradicts itself', async () => {
    const { wrapper } = await view()
    await press(wrapper, 'Add an engine')
    await submit(wrapper)
    expect([under(wrapper, 'Name'), saved()]).toEqual(['Fill this in.', []])
    await fill(wrapper, 'Name', 'Press')
    await fill(wrapper, 'Short name, for files and the command line', 'My Press')
    await submit(wrapper)
    expect([under(wrapper, 'Short name, for files and the command line'), saved()]).toEqual([expect.stringContaining('Small letters, digits and hyphens.'), []])
    await fill(wrapper, 'Short name, for files and the command line', 'press')
    await submit(wrapper)
    expect([notices(), wrapper.find('form').exists()]).toEqual([['Press 1 is saved.'], false])
  })

  it('says under a number that it is none, and keeps the rest', async () => {
    const { wrapper } = await view()
    await press(wrapper, 'Edit the profile')
    const width = wrapper.findAll('input[aria-label="Width in pixels"]')[0]!
    await width.setValue('')
    await submit(wrapper)
    expect([wrapper.findAll('.v-input--error').length > 0, document.activeElement === width.element, saved()]).toEqual([true, true, []])
  })

  it('says at its place what is no JSON', async () => {
    const { wrapper } = await view()
    await press(wrapper, 'Edit the profile')
    await fill(wrapper, 'The connection, as JSON', '{"url":')
    expect(under(wrapper, 'The connection, as JSON')).toContain('The connection is no JSON yet')
    await submit(wrapper)
    expect(saved()).toEqual([])
  })

  it('is a copy under another name, of an engine that is not simulated', async () => {
    const { wrapper } = await view()
    await press(wrapper, 'Copy as a new engine')
    expect([(fieldOf(wrapper, 'Name').get('input').element as HTMLInputElement).value, (fieldOf(wrapper, 'Short name, for files and the command line').get('input').element as HTMLInputElement).value]).toEqual(['Burin copy', 'burin-copy'])
    await press(wrapper, 'Cancel')
    expect(wrapper.find('form').exists()).toBe(false)
  })
})
