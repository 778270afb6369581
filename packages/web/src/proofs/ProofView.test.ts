import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { letterKeys } from '../keys/letters.ts'
import { useNotices } from '../notices/notices.ts'
import { aProof, aRun, aServer, fill, IN_TIME, named, press, withRouter } from '../testing.test-support.ts'
import ProofView from './ProofView.vue'

const { call, told } = vi.hoisted(() => ({ call: vi.fn(), told: { all: [] as ((event: unknown) => void)[] } }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: (hear: (event: unknown) => void) => told.all.push(hear) }))

const RUN = aRun({ proofs: [aProof({ id: 'p1' }), aProof({ id: 'p2', seed: 8 }), aProof({ id: 'p3', picture: null, state: 'failed', reason: 'It was busy. Nothing was charged.' })] })
let server: ReturnType<typeof aServer>
beforeEach(() => {
  letterKeys.value = true
  told.all = []
  const kept = new Map(RUN.proofs.map((proof) => [proof.id, { ...proof, projectId: 'j', promptId: 'x', versionId: 'v2', tookMs: 1_200, storedAt: '2026-01-01T10:00:02Z', cost: { unit: 'credit', amount: 4 } }]))
  server = aServer(call, {
    readRun: RUN,
    readProof: ({ params }: { params: { proof: string } }) => kept.get(params.proof),
    changeProof: ({ params, body }: { params: { proof: string }; body: object }) => (kept.set(params.proof, { ...kept.get(params.proof)!, ...body }), kept.get(params.proof)),
  })
})
afterEach(() => {
  dropPageData()
})
async function shown(id = 'p1') {
  const { global, router } = await withRouter('/proofs/:proof', `/proofs/${id}`)
  const wrapper = mount(ProofView, { global: { ...global, stubs: { ...global.stubs, RegionLayer: { template: '<i class="layer" />' } } }, attachTo: document.body })
  await flushPromises()
  return { wrapper, router, frame: () => wrapper.get('.frame') }
}
const verdict = (wrapper: Awaited<ReturnType<typeof shown>>['wrapper']) => wrapper.findAll('[aria-label=Verdict] button').find((one) => one.attributes('aria-pressed') === 'true')?.text() ?? ''
const says = () => useNotices().shown.map(({ text }) => text)

describe('a proof, large', () => {
  it('says that it is opened, then shows the picture with what made it', async () => {
    const { global } = await withRouter('/proofs/:proof', '/proofs/p1')
    const wrapper = mount(ProofView, { global })
    expect(wrapper.get('[role=status]').text()).toBe('Opening …')
    await flushPromises()
    expect(wrapper.get('img').attributes('alt')).toBe('A fox, version 2')
    expect(wrapper.text()).toContain('1 of 2 in this run')
    expect(wrapper.get('dl').text()).toContain('4 credits')
    expect(wrapper.get('dl').text()).toContain('1.2 seconds')
  })

  it('has the focus from the start, so that keys judge at once; the same key takes it back', async () => {
    const { wrapper, frame } = await shown()
    expect(document.activeElement).toBe(frame().element)
    await frame().trigger('keydown', { key: 'k' })
    expect(verdict(wrapper)).toBe('keepk')
    await flushPromises()
    await frame().trigger('keydown', { key: 'k' })
    await flushPromises()
    expect([verdict(wrapper), server.asked('changeProof').map(({ body }) => body)]).toEqual(['', [{ verdict: 'keep' }, { verdict: null }]])
  })

  it('shows a verdict before the server has it, and takes it away where the server refuses, saying why', async () => {
    const { wrapper } = await shown()
    server.refuses('changeProof', 'The project is archived. Nothing was changed.')
    await wrapper.findAll('[aria-label=Verdict] button')[2]!.trigger('click')
    expect(verdict(wrapper)).toBe('dropd')
    await flushPromises()
    expect([verdict(wrapper), says()]).toEqual(['', ['The project is archived. Nothing was changed.']])
  })

  it('goes to the next and the one before within the run, past what has no picture, and keeps the focus', async () => {
    const { wrapper, router, frame } = await shown()
    expect(named(wrapper, 'Previous')!.attributes('disabled')).toBeDefined()
    await frame().trigger('keydown', { key: 'ArrowRight' })
    await flushPromises()
    expect([router.currentRoute.value.path, wrapper.text().includes('2 of 2 in this run'), document.activeElement === frame().element]).toEqual(['/proofs/p2', true, true])
    expect(named(wrapper, 'Next')!.attributes('disabled')).toBeDefined()
    await press(wrapper, 'Previous')
    expect(router.currentRoute.value.path).toBe('/proofs/p1')
  })

  it('says faults by letters, and where one lies by a key', async () => {
    const { wrapper, frame } = await shown()
    await frame().trigger('keydown', { key: 'l' })
    await flushPromises()
    expect(server.asked('changeProof')[0]!.body).toEqual({ faults: ['clutter'] })
    await frame().trigger('keydown', { key: 'w' })
    await flushPromises()
    expect(server.asked('changeProof')[1]!.body).toMatchObject({ regions: [{ fault: 'clutter', x: 0.35, y: 0.35 }] })
    expect(wrapper.get('[aria-label="Marked places"]').text()).toContain('middle')
  })

  it('keeps a note with the proof it was written on', async () => {
    const { wrapper } = await shown()
    await fill(wrapper, 'Note', 'the left hand', true)
    expect(server.asked('changeProof')).toEqual([expect.objectContaining({ params: { proof: 'p1' }, body: { note: 'the left hand' } })])
  })

  it('goes into the bin, and on to its neighbour, with the way back', async () => {
    const { router, frame } = await shown()
    await frame().trigger('keydown', { key: 'Delete' })
    await flushPromises()
    expect([server.asked('changeProofs')[0]!.body, router.currentRoute.value.path, says()]).toEqual([{ proofs: ['p1'], deleted: true }, '/proofs/p2', ['The proof is in the bin.']])
    useNotices().shown[0]!.action!.run()
    await flushPromises()
    expect(server.asked('changeProofs')[1]!.body).toEqual({ proofs: ['p1'], deleted: false })
  })

  it('of one that failed says why and what was charged, and asks again', async () => {
    const { wrapper } = await shown('p3')
    expect(wrapper.get('.frame').text()).toContain('It was busy. Nothing was charged.')
    expect(wrapper.findAll('[aria-label=Verdict] button').every((one) => one.attributes('disabled') !== undefined)).toBe(true)
    server.answers['askAgain'] = { ...RUN.proofs[2]!, state: 'asked', reason: null }
    await press(wrapper, 'Ask again')
    expect(server.asked('askAgain')).toEqual([{ params: { proof: 'p3' } }])
  })

  it('becomes the best of its prompt, or a reference that can be gone to', async () => {
    const { wrapper, router } = await shown()
    await press(wrapper, 'Make it the best proof')
    expect(server.asked('changePrompt')).toEqual([{ params: { prompt: 'x' }, body: { bestProofId: 'p1' } }])
    server.answers['addReference'] = { id: 'ref' }
    await press(wrapper, 'Keep as a reference')
    expect(server.asked('addReference')[0]!.body).toMatchObject({ projectId: 'j', picture: { proofId: 'p1' }, name: 'A fox, version 2', rights: 'own' })
    useNotices().shown.at(-1)!.action!.run()
    await vi.waitUntil(() => router.currentRoute.value.path === '/references/ref', IN_TIME)
  })

  it('is read again when another window judges it, and not when somebody judges another', async () => {
    const { wrapper } = await shown()
    vi.useFakeTimers()
    server.answers['readProof'] = { ...aProof({ id: 'p1', verdict: 'maybe' }), promptId: 'x', tookMs: null }
    for (const hear of told.all) hear({ kind: 'proof', proofId: 'p2' })
    await vi.advanceTimersByTimeAsync(1_000)
    expect(verdict(wrapper)).toBe('')
    for (const hear of told.all) hear({ kind: 'proof', proofId: 'p1' })
    await vi.advanceTimersByTimeAsync(1_000)
    expect(verdict(wrapper)).toBe('maybem')
    vi.useRealTimers()
  })

  it('says that there is no such proof', async () => {
    server.refuses('readProof', 'There is no such proof.', 'not-found')
    const { wrapper } = await shown()
    expect([wrapper.text(), says()]).toEqual([expect.stringContaining('There is no such proof here'), []])
  })

  it('says why it could not be opened', async () => {
    server.refuses('readProof', 'It went wrong on the server. Nothing was changed.', 'internal')
    const { wrapper } = await shown()
    expect(wrapper.get('main').text()).toContain('It went wrong on the server. Nothing was changed.')
  })

  it('is left by Escape, but first the note is left', async () => {
    const { wrapper, router, frame } = await shown()
    const note = wrapper.get('textarea')
    ;(note.element as HTMLElement).focus()
    await note.trigger('keydown', { key: 'Escape' })
    expect([router.currentRoute.value.path, document.activeElement === frame().element]).toEqual(['/proofs/p1', true])
    await frame().trigger('keydown', { key: 'Escape' })
    await vi.waitUntil(() => router.currentRoute.value.path === '/proofs', IN_TIME)
  })

  it('leaves letters alone where they are switched off', async () => {
    letterKeys.value = false
    const { frame } = await shown()
    await frame().trigger('keydown', { key: 'k' })
    await flushPromises()
    expect(server.asked('changeProof')).toEqual([])
  })
})
