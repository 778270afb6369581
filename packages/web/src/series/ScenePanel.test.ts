import { blankScene } from '@idolon/core'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { aProof, aServer, choose, fieldOf, fill, named, press, withRouter } from '../testing.test-support.ts'
import ScenePanel from './ScenePanel.vue'
import { anOpenSeries, aPart, aScene } from './series.test-support.ts'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

const HEDDA = aPart('character', 'Hedda', { variants: [{ key: 'v', aspect: 'dress', name: 'winter coat', text: 'in a winter coat' }] })
const YARD = aPart('place', 'The yard')
let server: ReturnType<typeof aServer>
beforeEach(() => {
  server = aServer(call, { listProofs: { proofs: [aProof({ id: 'p1' }), aProof({ id: 'p2', picture: null })], total: 2 } })
})
async function panel(more: Parameters<typeof aScene>[1] = {}, number = 1) {
  const scene = aScene('a', more)
  const { open, acts, changeScene } = anOpenSeries([scene, aScene('b')], [HEDDA, YARD])
  const { global } = await withRouter('/series/:series', '/series/s1')
  const wrapper = mount(ScenePanel, { props: { open, scene, number }, global })
  await flushPromises()
  return { wrapper, acts, changed: () => (changeScene.mock.calls as unknown as [string, { body?: Record<string, unknown> }][]).map(([, change]) => change.body ?? change) }
}

describe('a scene', () => {
  it.each([
    ['What happens', 'She waits', { beat: 'She waits' }],
    ['What the picture shows', 'a woman\nin a yard', { words: 'a woman in a yard' }],
    ['Where, in words', 'a field', { where: 'a field' }],
    ['When', 'noon', { moment: 'noon' }],
    ['Framing', 'wide shot', { framing: 'wide shot' }],
  ])('keeps “%s” where it is written', async (label, text, kept) => {
    const { wrapper, changed } = await panel()
    await fill(wrapper, label, text, true)
    expect(changed()).toEqual([expect.objectContaining(kept)])
  })

  it('has somebody in it, dressed as chosen, and no longer', async () => {
    const { wrapper, changed } = await panel()
    await press(wrapper, 'Hedda')
    expect(changed()[0]).toMatchObject({ cast: [{ part: HEDDA.id, variants: [] }] })
    const there = await panel({ body: { ...blankScene(), cast: [{ part: HEDDA.id, variants: [] }] } })
    await choose(there.wrapper, 'dress', 'v')
    await press(there.wrapper, 'Remove Hedda')
    expect(there.changed()).toMatchObject([{ cast: [{ variants: ['v'] }] }, { cast: [] }])
    expect(named(there.wrapper, 'Add somebody')).toBeUndefined()
  })

  it('lies in a place of the series or in words', async () => {
    const { wrapper, changed } = await panel()
    await choose(wrapper, 'Where', YARD.id)
    expect(changed()[0]).toMatchObject({ place: { part: YARD.id, variants: [] } })
    const placed = await panel({ body: { ...blankScene(), place: { part: YARD.id, variants: [] } } })
    await choose(placed.wrapper, 'Where', '')
    expect(placed.changed()[0]).toMatchObject({ place: null })
  })

  it('takes seconds within bounds, and says of others under the field that they are none', async () => {
    const { wrapper, changed } = await panel()
    await fill(wrapper, 'Seconds', '12')
    await fill(wrapper, 'Seconds', '900', true)
    await fill(wrapper, 'Seconds', 'long', true)
    expect([changed().map((body) => (body as { motion: { seconds: number } }).motion.seconds), fieldOf(wrapper, 'Seconds').get('.v-messages').text()]).toEqual([[12], 'A number from 0.5 to 120.'])
  })

  it('chooses one of its proofs, those with a picture alone, and takes the choice back', async () => {
    const { wrapper, changed } = await panel()
    expect(wrapper.findAll('.proofs li')).toHaveLength(1)
    await wrapper.get('.proofs button').trigger('click')
    expect(changed()).toEqual([{ chosen: 'p1' }])
    const chosen = await panel({ chosen: aProof({ id: 'p1' }) })
    await chosen.wrapper.get('.proofs button').trigger('click')
    expect(chosen.changed()).toEqual([{ chosen: null }])
  })

  it('says where it is tried while it has no proof', async () => {
    server.answers['listProofs'] = { proofs: [], total: 0 }
    expect((await panel()).wrapper.text()).toContain('None yet. Try it on the Desk.')
  })

  it('says what a part gives that is said otherwise or left out here', async () => {
    const { wrapper } = await panel({ overrides: [{ part: HEDDA.id, given: 'grey hair', text: null }, { part: HEDDA.id, given: 'tall', text: 'small' }] as never, left: [{ part: HEDDA.id, text: 'smiling', reason: 'She weeps here.' }] as never })
    expect(wrapper.findAll('.notes li').map((one) => one.text())).toEqual(['Override: Hedda says “grey hair”; here it is not said.', 'Override: Hedda says “tall”; here it says “small”.', '“smiling” of Hedda is left out: She weeps here.'])
  })

  it('says that its passage was rewritten or that it was edited by hand, with what to do', async () => {
    const { wrapper, changed } = await panel({ touched: true, apart: true })
    await press(wrapper, 'It still holds')
    await press(wrapper, 'Compose it again')
    expect(changed()).toEqual([{ seen: true }, { anew: true }])
  })

  it('is moved, joined, duplicated and deleted; the first not earlier, the last not later', async () => {
    const { wrapper, acts } = await panel()
    expect([named(wrapper, 'Earlier')!.attributes('disabled'), named(wrapper, 'Later')!.attributes('disabled')]).toEqual(['', undefined])
    await press(wrapper, 'Later')
    await press(wrapper, 'Join with the next')
    await press(wrapper, 'Duplicate')
    await press(wrapper, 'Delete this scene')
    expect([acts.move.mock.calls, acts.join.mock.calls.length, acts.duplicate.mock.calls.length, acts.remove.mock.calls.length]).toEqual([[['a', 1]], 1, 1, 1])
    const last = await panel({}, 2)
    expect(named(last.wrapper, 'Later')!.attributes('disabled')).toBeDefined()
  })

  it('is split in the story it tells', async () => {
    const { wrapper } = await panel({ story: { start: 0, end: 10 } })
    await press(wrapper, 'Split …')
    expect(wrapper.emitted('story')).toHaveLength(1)
  })
})
