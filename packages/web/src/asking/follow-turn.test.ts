import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { aTurn } from '../testing.test-support.ts'
import { followTurn } from './follow-turn.ts'

vi.mock('../api/shapes.ts', () => ({ hasShape: (_: string, value: { id?: string }) => value.id === 't1' }))

/** A stream that the test speaks through. */
class Stream extends EventTarget {
  static readonly CLOSED = 2
  static all: Stream[] = []
  readyState = 1
  onmessage?: (event: MessageEvent) => void
  onerror?: () => void
  constructor(readonly address: string) {
    super()
    Stream.all.push(this)
  }
  close() {
    this.readyState = 2
  }
  piece(text: string) {
    this.onmessage?.(new MessageEvent('message', { data: JSON.stringify(text) }))
  }
  say(name: string, data: unknown = null) {
    this.dispatchEvent(new MessageEvent(name, { data: JSON.stringify(data) }))
  }
}
beforeEach(() => {
  Stream.all = []
  vi.stubGlobal('EventSource', Stream)
  vi.useFakeTimers()
})
afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
})
function heard() {
  const hearing = { text: vi.fn<(now: string) => void>(), end: vi.fn(), gone: vi.fn() }
  return { hearing, stop: followTurn('t1', hearing) }
}

it('gives all that has come, begins anew when it is asked again, and ends with the turn', async () => {
  const { hearing } = heard()
  const [stream] = Stream.all
  stream!.piece('a fox')
  stream!.piece(' at dusk')
  expect(hearing.text).toHaveBeenLastCalledWith('a fox at dusk')
  stream!.say('again')
  stream!.piece('a hen')
  expect(hearing.text).toHaveBeenLastCalledWith('a hen')
  stream!.say('end', aTurn('ideas', null))
  await vi.advanceTimersByTimeAsync(0)
  expect(hearing.end).toHaveBeenCalledOnce()
  expect(stream!.readyState).toBe(2)
})

it('asks anew when the connection is lost for good, but not after it was ended', () => {
  const { hearing, stop } = heard()
  Stream.all[0]!.piece('a fox')
  Stream.all[0]!.readyState = 2
  Stream.all[0]!.onerror!()
  vi.advanceTimersByTime(1_100)
  expect(Stream.all).toHaveLength(2)
  Stream.all[1]!.piece('a fox at')
  expect(hearing.text).toHaveBeenLastCalledWith('a fox at')
  stop()
  Stream.all[1]!.onerror!()
  vi.advanceTimersByTime(5_000)
  expect(Stream.all).toHaveLength(2)
})

it('takes an answer of another shape, or none, for a turn that is gone', async () => {
  const { hearing } = heard()
  Stream.all[0]!.say('end', { id: 'else' })
  await vi.advanceTimersByTimeAsync(0)
  expect(hearing.gone).toHaveBeenCalledOnce()
  const other = heard()
  Stream.all[1]!.say('gone')
  expect(other.hearing.gone).toHaveBeenCalledOnce()
})
