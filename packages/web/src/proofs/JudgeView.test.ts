import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { letterKeys } from '../keys/letters.ts'
import { useNotices } from '../notices/notices.ts'
import { aServer, aSheetProof, named, press, withRouter } from '../testing.test-support.ts'
import JudgeView from './JudgeView.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

const ALL = ['p0', 'p1', 'p2'].map((id, i) => aSheetProof(id, { version: i + 1 }))
let server: ReturnType<typeof aServer>
beforeEach(() => {
  letterKeys.value = true
  server = aServer(call, { readSheet: { proofs: ALL, total: 3 }, judgementsOf: [] })
})
async function judging(ids = 'p0,p1,p2') {
  const { global, router } = await withRouter('/proofs/judge', `/proofs/judge?ids=${ids}`)
  const wrapper = mount(JudgeView, { global, attachTo: document.body })
  await flushPromises()
  const key = async (name: string, more = {}) => {
    await wrapper.get('.two').trigger('keydown', { key: name, ...more })
    await flushPromises()
  }
  return { wrapper, router, key, status: () => wrapper.get('[role=status]').text() }
}
const given = () => server.asked('addJudgement').map(({ body }) => body!['better'])

describe('judging blind', () => {
  it('shows two pictures and nothing that tells which is which', async () => {
    const { wrapper } = await judging()
    expect(wrapper.findAll('.two img').map((one) => one.attributes('alt'))).toEqual(['Left picture', 'Right picture'])
    expect(wrapper.text()).not.toMatch(/version|Burin|seed/)
  })

  it('takes answers by keys, buttons and presses on a picture, and counts them', async () => {
    const { wrapper, key, status } = await judging()
    expect(status()).toBe('0 comparisons of at most 15')
    await key('ArrowLeft')
    await press(wrapper, 'Cannot tell↓')
    await wrapper.findAll('.two img')[1]!.trigger('click')
    await flushPromises()
    expect([given(), status()]).toEqual([['left', null, 'right'], '3 comparisons of at most 15'])
  })

  it('undoes the last answer, and has nothing to undo before the first', async () => {
    const { wrapper, key, status } = await judging()
    expect(named(wrapper, 'Undo the last')!.attributes('disabled')).toBeDefined()
    await key('l')
    await key('z', { ctrlKey: true })
    expect([server.asked('takeBackJudgement').length, status()]).toEqual([1, '0 comparisons of at most 15'])
  })

  it('asks for the same pair again where an answer was not kept, and says why', async () => {
    const { wrapper, key, status } = await judging()
    const pair = () => wrapper.findAll('.two img').map((one) => one.attributes('src'))
    const before = pair()
    server.refuses('addJudgement', 'The server does not answer.', 'unreachable')
    await key('ArrowRight')
    expect([pair(), status(), useNotices().shown.map(({ text }) => text)]).toEqual([before, '0 comparisons of at most 15', ['The server does not answer.']])
  })

  it('goes on from earlier sittings', async () => {
    server.answers['judgementsOf'] = [{ id: 'j1', left: 'p0', right: 'p1', better: 'left', at: '2026-01-01T10:00:00Z' }]
    const { status } = await judging()
    expect(status()).toBe('1 comparison of at most 15, 1 from earlier sittings')
  })

  it('shows the ranking with the names, and makes the first the best of its prompt', async () => {
    server.answers['judgementsOf'] = Array.from({ length: 8 }, (_, i) => ({ id: `j${i}`, left: 'p2', right: i % 2 ? 'p0' : 'p1', better: 'left', at: '2026-01-01T10:00:00Z' }))
    const { wrapper } = await judging()
    await press(wrapper, 'Show the ranking')
    expect(wrapper.findAll('.chart li .name').map((one) => one.text())[0]).toBe('Version 3, Burin 1, seed 7')
    await press(wrapper, 'Make the first the best proof')
    expect(server.asked('changePrompt')).toEqual([{ params: { prompt: 'x' }, body: { bestProofId: 'p2' } }])
    await press(wrapper, 'Go on judging')
    expect(wrapper.find('.two').exists()).toBe(true)
  })

  it('says where the first two cannot be told apart yet', async () => {
    const { wrapper } = await judging()
    await press(wrapper, 'Show the ranking')
    expect(wrapper.get('.results').text()).toContain('The first two cannot be told apart yet')
  })

  it('says what a sitting is of where there are fewer than two pictures', async () => {
    const { wrapper } = await judging('p0')
    expect(wrapper.get('.away').text()).toBe('A sitting has two to a hundred pictures. Select them on a sheet')
  })

  it('says why it could not begin, and begins by a press', async () => {
    server.refuses('judgementsOf', 'It went wrong on the server. Nothing was changed.', 'internal')
    const { wrapper } = await judging()
    expect(wrapper.get('.away').text()).toContain('It went wrong on the server.')
    server.answers['judgementsOf'] = []
    await press(wrapper, 'Try again')
    expect(wrapper.find('.two').exists()).toBe(true)
  })
})
