import type { Reference } from '@idolon/contract'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { ApiProblem } from '../api/problem.ts'
import { useNotices } from '../notices/notices.ts'
import { useProjects } from '../stores/projects.ts'
import { aServer, emit, IN_TIME, named, press, withRouter } from '../testing.test-support.ts'
import { aReference, aWhole } from './reading.test-support.ts'
import ReferencesView from './ReferencesView.vue'

const { call, sent } = vi.hoisted(() => ({ call: vi.fn(), sent: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
vi.mock('../proofs/upload.ts', async (original) => ({ ...(await original<object>()), uploadPicture: sent }))

let all: Reference[]
let server: ReturnType<typeof aServer>
beforeEach(() => {
  all = [aReference({ projectId: 'j' }), aReference({ id: 'r2', projectId: 'j', name: '', stage: 'glance' })]
  sent.mockReset().mockResolvedValue({ sha256: 'b'.repeat(64) })
  server = aServer(call, {
    listReferences: () => all,
    listEngines: [],
    readReference: ({ params }: { params: { reference: string } }) => ({ ...aWhole(), reference: all.find(({ id }) => id === params.reference) ?? all[0] }),
    addReference: ({ body }: { body: { id: string; name: string } }) => ({ ...aReference({ projectId: 'j' }), ...body, picture: aReference().picture }),
    changeReference: ({ body }: { body: object }) => ({ ...all[0]!, ...body }),
  })
})
afterEach(dropPageData)
async function view(at = '/references') {
  const { global, router } = await withRouter('/references/:reference?', at)
  const projects = useProjects()
  projects.all = [{ id: 'j', name: 'Bees', archivedAt: null }] as typeof projects.all
  projects.chosen = 'j'
  const stub = (name: string) => ({ name, props: ['whole', 'shown', 'evidence', 'references'], emits: ['show', 'change'], template: `<i class="${name}" />` })
  const wrapper = mount(ReferencesView, { global: { ...global, stubs: { ...global.stubs, ClosingIn: true, PictureEvidence: stub('PictureEvidence'), ReadingPhrases: stub('ReadingPhrases'), ReferenceNotes: stub('ReferenceNotes'), TogetherPanel: stub('TogetherPanel') } } })
  await flushPromises()
  return { wrapper, router }
}
type Shown = Awaited<ReturnType<typeof view>>['wrapper']
const drop = async (wrapper: Shown, ...names: string[]) => {
  wrapper.get('main').element.dispatchEvent(Object.assign(new Event('drop', { bubbles: true, cancelable: true }), { dataTransfer: { files: names.map((name) => new File(['x'], name)) } }))
  await flushPromises()
}
const notices = () => useNotices().shown.map(({ text }) => text)

describe('the references of a project', () => {
  it('stand in a strip with how far each is read, the first open with what was measured', async () => {
    const { wrapper } = await view()
    expect(wrapper.findAll('.strip li').map((one) => one.text())).toEqual(['The quay', 'without a nameits colours are read'])
    expect([wrapper.find('.ReadingPhrases').exists(), wrapper.findAll('.palette li').length, wrapper.findAll('.facts dt').length > 3]).toEqual([true, 2, true])
  })

  it('show the evidence of a fact or a colour that is pressed, and no longer when it is pressed again', async () => {
    const { wrapper } = await view()
    const colour = wrapper.get('.palette button')
    const evidence = () => wrapper.getComponent({ name: 'PictureEvidence' }).props('evidence') as unknown
    await colour.trigger('click')
    expect([colour.attributes('aria-pressed'), evidence() !== undefined]).toEqual(['true', true])
    await colour.trigger('click')
    expect([colour.attributes('aria-pressed'), evidence()]).toEqual(['false', undefined])
  })

  it('are taken in where they are dropped, named by their files, and the last is gone to', async () => {
    const { wrapper, router } = await view()
    await drop(wrapper, 'old_quay-wall.png', 'two.jpg')
    expect(server.asked('addReference').map(({ body }) => [body!['name'], body!['projectId'], body!['rights']])).toEqual([['old quay wall', 'j', 'unknown'], ['two', 'j', 'unknown']])
    await vi.waitUntil(() => router.currentRoute.value.path.startsWith('/references/') && router.currentRoute.value.path.length > 20, IN_TIME)
  })

  it('take in the sound ones of several, and say why of the others', async () => {
    sent.mockRejectedValueOnce(new ApiProblem('invalid', 'This is no picture. Nothing was taken in.'))
    const { wrapper } = await view()
    await drop(wrapper, 'notes.png', 'two.png')
    expect([notices(), server.asked('addReference').length]).toEqual([['notes.png: This is no picture. Nothing was taken in.'], 1])
  })

  it('say of a picture that it is here already', async () => {
    server.answers['addReference'] = aReference({ projectId: 'j' })
    const { wrapper } = await view()
    await drop(wrapper, 'quay.png')
    expect(notices()).toEqual(['1 picture was here already.'])
  })

  it('are read one by one or several together', async () => {
    const { wrapper } = await view()
    await press(wrapper, 'Read several together')
    emit(wrapper.findAllComponents({ name: 'VCheckbox' })[0]!, 'update:modelValue', ['r1'])
    await flushPromises()
    expect((wrapper.getComponent({ name: 'TogetherPanel' }).props('references') as Reference[]).map(({ id }) => id)).toEqual(['r1'])
    await press(wrapper, 'Read one by one')
    expect(wrapper.find('.TogetherPanel').exists()).toBe(false)
  })

  it('keep what is written about one', async () => {
    const { wrapper } = await view()
    emit(wrapper.getComponent({ name: 'ReferenceNotes' }), 'change', { note: 'seen at noon' })
    await flushPromises()
    expect(server.asked('changeReference')).toEqual([{ params: { reference: 'r1' }, body: { note: 'seen at noon' } }])
  })

  it('go into the bin with the way back', async () => {
    const { wrapper, router } = await view('/references/r1')
    server.answers['listBin'] = [{ kind: 'reference', id: 'bin-1', picture: all[0]!.picture.sha256 }]
    await press(wrapper, 'Delete')
    expect(notices()).toEqual(['“The quay” lies in the bin.'])
    useNotices().shown[0]!.action!.run()
    await vi.waitUntil(() => router.currentRoute.value.path === '/references/r1', IN_TIME)
    expect(server.asked('restoreFromBin')).toEqual([{ params: { kind: 'reference', id: 'bin-1' } }])
  })

  it('say that one could not be read, and why', async () => {
    all = [aReference({ projectId: 'j', stage: 'failed', problem: 'The picture is cut off. It is kept as it is.' })]
    const { wrapper } = await view()
    expect([wrapper.get('.problem').text(), wrapper.get('.right [role=status]').text()]).toEqual(['The picture is cut off. It is kept as it is.', 'could not be read …'])
  })

  it('are none yet, with what to do', async () => {
    all = []
    const { wrapper } = await view()
    expect([wrapper.text(), named(wrapper, 'Read several together')]).toEqual([expect.stringContaining('No picture here yet. Import one'), undefined])
  })

  it('say that there is no such one', async () => {
    server.refuses('readReference', 'There is no such reference.', 'not-found')
    const { wrapper } = await view('/references/gone')
    expect([wrapper.text(), notices()]).toEqual([expect.stringContaining('There is no such reference here'), []])
  })
})
