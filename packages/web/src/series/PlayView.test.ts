import { blankScene } from '@idolon/core'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { aProof, aServer, emit, fill, named, press, withRouter } from '../testing.test-support.ts'
import PlayView from './PlayView.vue'
import { aScene } from './series.test-support.ts'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
/** Frames come when the test says. */
const frames = vi.hoisted(() => ({ draw: vi.fn() as (frame: { timestamp: number }) => void, running: false }))
vi.mock('@vueuse/core', async (original) => ({
  ...(await original<object>()),
  useRafFn: (draw: (frame: { timestamp: number }) => void) => {
    frames.draw = draw
    return { pause: () => (frames.running = false), resume: () => (frames.running = true) }
  },
}))

const scene = (id: string, seconds: number, more: Parameters<typeof aScene>[1] = {}) => aScene(id, { body: { ...blankScene(), beat: `Beat ${id}`, caption: `Caption ${id}`, motion: { ...blankScene().motion, seconds, camera: 'push in' } }, chosen: aProof({ id: `p${id}` }), ...more })
let scenes: ReturnType<typeof scene>[]
let server: ReturnType<typeof aServer>
beforeEach(() => {
  scenes = [scene('a', 2), scene('b', 3, { chosen: null }), scene('c', 4)]
  server = aServer(call, { readSeries: () => ({ id: 's1', projectId: 'j', name: 'Foxes', story: '', revision: 0, style: null, scenes, parts: [], changedAt: '2026-01-01T10:00:00Z' }) })
})
afterEach(() => {
  dropPageData()
})
async function played() {
  const { global } = await withRouter('/series/:series/play', '/series/s1/play')
  const wrapper = mount(PlayView, { global, attachTo: document.body })
  await flushPromises()
  return wrapper
}
type Shown = Awaited<ReturnType<typeof played>>
/** So many milliseconds pass, a frame each hundred. */
async function pass(ms: number, from = 1_000) {
  for (let t = 0; t <= ms && frames.running; t += 100) frames.draw({ timestamp: from + t })
  await flushPromises()
}
const caption = (wrapper: Shown) => wrapper.get('figcaption').text()
const time = (wrapper: Shown) => wrapper.get('.time').text()
const key = async (name: string) => {
  window.dispatchEvent(new KeyboardEvent('keydown', { key: name }))
  await flushPromises()
}

describe('a series that is played', () => {
  it('shows scene after scene for its seconds, and stops at the end', async () => {
    const wrapper = await played()
    expect([caption(wrapper), time(wrapper)]).toEqual(['Caption a', '0:00 of 0:09'])
    await press(wrapper, 'Play')
    await pass(2_500)
    expect([caption(wrapper), wrapper.get('.none').text()]).toEqual(['Caption b', expect.stringContaining('no proof is chosen')])
    await pass(9_000, 60_000)
    expect([caption(wrapper), time(wrapper), named(wrapper, 'Play') !== undefined, frames.running]).toEqual(['Caption c', '0:09 of 0:09', true, false])
  })

  it('does not jump over what a held-back page did not show', async () => {
    const wrapper = await played()
    await press(wrapper, 'Play')
    frames.draw({ timestamp: 1_000 })
    frames.draw({ timestamp: 60_000 })
    await flushPromises()
    expect(time(wrapper)).toBe('0:00 of 0:09')
  })

  it('is paused and gone on with, goes to scenes by keys and to the start', async () => {
    const wrapper = await played()
    await key(' ')
    expect(named(wrapper, 'Pause')).toBeDefined()
    await pass(1_000)
    await key(' ')
    expect(named(wrapper, 'Go on')).toBeDefined()
    await key('ArrowRight')
    await key('ArrowRight')
    expect([caption(wrapper), named(wrapper, 'Next scene')!.attributes('disabled')]).toEqual(['Caption c', ''])
    await key('ArrowLeft')
    expect(caption(wrapper)).toBe('Caption b')
    await key('Home')
    expect(caption(wrapper)).toBe('Caption a')
  })

  it('moves the camera as the scene says, unless that is switched off', async () => {
    const wrapper = await played()
    await press(wrapper, 'Play')
    await pass(1_000)
    const moved = wrapper.get('.frame img').attributes('style')
    expect(moved).toContain('scale')
    emit(wrapper.findAllComponents({ name: 'VCheckbox' })[0]!, 'update:modelValue', false)
    await flushPromises()
    expect(wrapper.get('.frame img').attributes('style')).not.toContain('scale')
  })

  it('goes twice as fast', async () => {
    const wrapper = await played()
    emit(wrapper.findAllComponents({ name: 'VSelect' })[0]!, 'update:modelValue', 2)
    await press(wrapper, 'Play')
    await pass(1_500)
    expect(caption(wrapper)).toBe('Caption b')
  })

  it('takes other seconds for the scene that is shown, none that are out of bounds', async () => {
    const wrapper = await played()
    server.answers['changeScene'] = () => (server.answers['readSeries'] as () => unknown)()
    await fill(wrapper, 'Seconds', '6')
    await fill(wrapper, 'Seconds', '600')
    expect(server.asked('changeScene').map(({ body }) => (body!['body'] as { motion: { seconds: number } }).motion.seconds)).toEqual([6])
  })

  it('leaves keys to a field that is typed into', async () => {
    const wrapper = await played()
    const input = wrapper.get('.seconds input')
    await input.trigger('keydown', { key: 'ArrowRight', bubbles: true })
    expect(caption(wrapper)).toBe('Caption a')
  })

  it('says that there is no scene to play yet', async () => {
    scenes = []
    expect((await played()).text()).toContain('There is no scene to play yet.')
  })
})
