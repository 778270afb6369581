import type { Run } from '@idolon/contract'
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '../api/problem.ts'
import { useNotices } from '../notices/notices.ts'
import { aProof, aRun, named, press, withEngines } from '../testing.test-support.ts'
import LastTry from './LastTry.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
vi.mock('vue-router', async (whole) => ({ ...(await whole<object>()), useRouter: () => ({ push: vi.fn() }) }))

const asked = aProof({ id: 'p2', state: 'asked', picture: null })
const strip = (run: Run | undefined, more = {}) => {
  const global = withEngines()
  return mount(LastTry, { props: { promptId: 'x', run, starting: false, expected: 4, changes: 0, height: 96, ...more }, global: { ...global, stubs: { ...global.stubs, ProofTile: { props: ['proof'], template: '<i class="tile">{{ proof.id }}</i>', methods: { focus: () => undefined } }, ImportPictures: { template: '<i class="import" />' } } } })
}
beforeEach(() => call.mockReset())

describe('what came back from the last try', () => {
  it('says of a prompt that was never tried where its pictures will be', () => {
    const wrapper = strip(undefined)
    expect(wrapper.text()).toBe('Nothing tried yet. The pictures that come back stay here with all that made them.')
    expect(wrapper.findAll('button')).toHaveLength(0)
  })

  it('keeps room for what was asked for from the press on, before the server has answered', () => {
    const wrapper = strip(undefined, { starting: true, expected: 3 })
    expect([wrapper.text(), wrapper.findAll('.v-skeleton-loader').length, wrapper.find('[role=progressbar]').exists()]).toEqual(['Asking …', 3, true])
    expect(strip(aRun(), { starting: true, expected: 200 }).findAll('.v-skeleton-loader')).toHaveLength(12)
  })

  it('says how many are back, and shows each as it comes', async () => {
    const wrapper = strip(aRun({ proofs: [aProof(), asked] }))
    expect([wrapper.get('[role=status]').text(), wrapper.findAll('.tile').map((tile) => tile.text())]).toEqual(['1 of 2 pictures back', ['p1', 'p2']])
    await wrapper.setProps({ run: aRun() })
    expect([wrapper.find('[role=status]').exists(), wrapper.find('[role=progressbar]').exists(), wrapper.find('time').exists()]).toEqual([false, false, true])
  })

  it('counts one that failed as back: nothing more comes of it', () => {
    expect(strip(aRun({ proofs: [aProof(), aProof({ id: 'p2', state: 'failed', picture: null })] })).find('[role=status]').exists()).toBe(false)
  })

  it('stops it, and says that what the engine has still arrives', async () => {
    const stopped = aRun({ proofs: [aProof(), asked], stoppedAt: '2026-01-01T10:00:05Z' })
    call.mockResolvedValue(stopped)
    const wrapper = strip(aRun({ proofs: [aProof(), asked] }))
    await press(wrapper, 'Stop')
    expect(wrapper.emitted('changed')).toEqual([[stopped]])
    await wrapper.setProps({ run: stopped })
    expect([named(wrapper, 'Stop'), wrapper.text()]).toEqual([undefined, expect.stringContaining('Stopped; what the engine already has still arrives.')])
  })

  it('goes on where it could not be stopped, which is said', async () => {
    call.mockRejectedValueOnce(new ApiProblem('unreachable', 'The server does not answer.'))
    const wrapper = strip(aRun({ proofs: [asked] }))
    await press(wrapper, 'Stop')
    expect([wrapper.emitted('changed'), useNotices().shown.map(({ text }) => text)]).toEqual([undefined, ['The server does not answer.']])
  })

  it('takes pictures in for an engine that is asked by hand, until there are no more', () => {
    const byHand = aRun({ byHand: true, proofs: [] })
    expect([strip(byHand).find('.import').exists(), named(strip(byHand), 'No more pictures') !== undefined]).toEqual([true, true])
    expect(strip({ ...byHand, stoppedAt: '2026-01-01T10:00:05Z' }).find('.import').exists()).toBe(false)
  })

  it('leads to all tries and to what has changed since', async () => {
    const wrapper = strip(aRun(), { changes: 2 })
    await press(wrapper, 'All tries')
    await press(wrapper, '2 changes since')
    expect([wrapper.emitted('older')?.length, wrapper.emitted('since')?.length]).toEqual([1, 1])
    expect(named(strip(aRun()), '0 changes since')).toBeUndefined()
  })

  it('names the engines it asked, each once', () => {
    expect(strip(aRun()).get('.asked').text()).toBe('Burin 1')
    expect(strip(aRun({ proofs: [], engines: [{ engine: 'burin' }, { engine: 'brayer', revision: '2' }] })).get('.asked').text()).toBe('Burin, Brayer 2')
  })
})
