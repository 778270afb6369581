import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { useNotices } from '../notices/notices.ts'
import { aServer, emit, IN_TIME, press, withRouter } from '../testing.test-support.ts'
import { aTemplate, aWholeTemplate } from './template.test-support.ts'
import TemplatesView from './TemplatesView.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
vi.mock('../reading/reading-client.ts', async (original) => ({ ...(await original<object>()), startReadingWorker: () => ({ postMessage: () => undefined, terminate: () => undefined, onmessage: null, onerror: null }) }))

const OWN = aTemplate({ id: 'own', drafts: 3, keepers: 1, behind: 2, version: 2 }, { name: 'Mine' })
const SHIPPED = aTemplate({ id: 'ships', shipped: true }, { name: 'A likeness' })
let server: ReturnType<typeof aServer>
beforeEach(() => {
  server = aServer(call, {
    listTemplates: [OWN, SHIPPED],
    readTemplateWhole: ({ params }: { params: { template: string } }) => aWholeTemplate(params.template === 'own' ? OWN : SHIPPED, params.template === 'own' ? { versions: [2, 1].map((number) => ({ number, body: { ...OWN.body, text: `version ${number}` }, why: number === 2 ? 'shorter' : '', madeAt: '2026-01-01T10:00:00Z' })) } : {}),
  })
})
afterEach(dropPageData)
async function view(at = '/shelf/templates') {
  const { global, router } = await withRouter('/shelf/templates/:template?', at)
  const wrapper = mount(TemplatesView, { global: { ...global, stubs: { ...global.stubs, FillTable: true, MadeDrafts: true, ShelfParts: true, TemplateEditor: { name: 'TemplateEditor', props: ['body', 'projectId', 'isNew', 'problem'], emits: ['save', 'cancel'], template: '<div class="writing" />' } } } })
  await flushPromises()
  return { wrapper, router }
}
const editor = (wrapper: Awaited<ReturnType<typeof view>>['wrapper']) => wrapper.getComponent({ name: 'TemplateEditor' })
const notices = () => useNotices().shown.map(({ text }) => text)

describe('the templates', () => {
  it('stand by whose they are, with what was made of each, the first of them open', async () => {
    const { wrapper } = await view()
    expect(wrapper.findAll('nav h2').map((one) => one.text())).toEqual(['Yours', 'Ship with Idolon'])
    expect(wrapper.findAll('nav li').map((one) => one.text())).toEqual(['Mine3 drafts, 1 kept; has changed since', 'A likeness'])
    expect(wrapper.get('h2.titled').text()).toBe('Mine for all projects, version 2')
  })

  it('are saved as a new version of what was shown, which says who can take its change', async () => {
    const { wrapper } = await view('/shelf/templates/own')
    await press(wrapper, 'Edit')
    server.answers['saveTemplateVersion'] = { ...OWN, version: 3, behind: 2 }
    emit(editor(wrapper), 'save', OWN.body, null, 'shorter')
    await flushPromises()
    expect(server.asked('saveTemplateVersion')).toEqual([{ params: { template: 'own' }, body: { on: 2, body: OWN.body, why: 'shorter' } }])
    expect(notices()).toEqual(['Version 3 of “Mine” is saved. 2 drafts can take its change.'])
  })

  it('keep what was written where the server refuses, and say why there', async () => {
    const { wrapper } = await view('/shelf/templates/own')
    await press(wrapper, 'Edit')
    server.refuses('saveTemplateVersion', 'Somebody saved version 3 meanwhile. Nothing was kept.')
    emit(editor(wrapper), 'save', OWN.body, null, '')
    await flushPromises()
    expect(editor(wrapper).props('problem')).toBe('Somebody saved version 3 meanwhile. Nothing was kept.')
  })

  it('are copied under another name', async () => {
    const { wrapper, router } = await view('/shelf/templates/ships')
    await press(wrapper, 'Copy')
    expect(editor(wrapper).props()).toMatchObject({ isNew: true, body: { name: 'A likeness, copy' } })
    server.answers['addTemplate'] = { ...OWN, id: 'new' }
    emit(editor(wrapper), 'save', SHIPPED.body, null, '')
    await vi.waitUntil(() => router.currentRoute.value.path === '/shelf/templates/new', IN_TIME)
  })

  it('go into the bin, with the way back; those that ship cannot', async () => {
    const { wrapper, router } = await view('/shelf/templates/own')
    await press(wrapper, 'Delete')
    expect([server.asked('deleteTemplate'), notices()]).toEqual([[{ params: { template: 'own' } }], ['“Mine” is in the bin. What was made from it stays.']])
    useNotices().shown[0]!.action!.run()
    await flushPromises()
    expect(server.asked('restoreFromBin')).toEqual([{ params: { kind: 'template', id: 'own' } }])
    await vi.waitUntil(() => router.currentRoute.value.path === '/shelf/templates/own', IN_TIME)
    const shipped = await view('/shelf/templates/ships')
    expect(shipped.wrapper.findAll('article button').map((one) => one.text())).not.toContain('Delete')
  })

  it('go back to an earlier version by writing on from it', async () => {
    const { wrapper } = await view('/shelf/templates/own')
    await press(wrapper, 'Versions')
    await press(wrapper, 'Go back to this')
    expect(editor(wrapper).props()).toMatchObject({ isNew: false, body: { text: 'version 1' } })
  })

  it('are begun or learned at once where the address says so', async () => {
    expect(editor((await view('/shelf/templates?do=new')).wrapper).props('isNew')).toBe(true)
    expect((await view('/shelf/templates?do=learn')).wrapper.find('.learn').exists()).toBe(true)
  })

  it('learned from texts are named by their slots', async () => {
    const { wrapper } = await view('/shelf/templates?do=learn')
    emit(wrapper.getComponent({ name: 'LearnTemplate' }), 'take', 'a {{ animal }} by {{ hour }}', [{ name: 'animal' }, { name: 'hour' }])
    await flushPromises()
    expect(editor(wrapper).props('body')).toMatchObject({ name: 'Animal, hour', text: 'a {{ animal }} by {{ hour }}' })
  })
})
