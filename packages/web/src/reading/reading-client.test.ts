import type { Reading } from '@idolon/core'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { FromWorker, ToWorker } from './protocol.ts'
import { ReadingClient, type ReadingWorker } from './reading-client.ts'

class FakeWorker implements ReadingWorker {
  heard: ToWorker[] = []
  ended = false
  onmessage: ReadingWorker['onmessage'] = null
  onerror: ReadingWorker['onerror'] = null
  postMessage(message: ToWorker): void {
    this.heard.push(message)
  }
  terminate(): void {
    this.ended = true
  }
  say(message: FromWorker): void {
    this.onmessage?.({ data: message } as MessageEvent<FromWorker>)
  }
}
const reading = (note: string): Reading => ({ phrases: [], leaveOut: [note], settings: {}, noise: [] })

let workers: FakeWorker[]
let client: ReadingClient
beforeEach(() => {
  vi.useFakeTimers()
  workers = []
  client = new ReadingClient(() => {
    const worker = new FakeWorker()
    workers.push(worker)
    return worker
  })
})
afterEach(() => {
  client.stop()
  vi.useRealTimers()
})

describe('a reading kept by a worker', () => {
  it('sends the text once and then only what changes', () => {
    client.update('a fox', [])
    client.update('a red fox', [])
    client.update('a red fox', [])
    expect(workers[0]!.heard).toEqual([
      { type: 'text', revision: 1, text: 'a fox', fixed: [] },
      { type: 'edit', revision: 2, base: 1, changes: [{ from: 2, to: 2, insert: 'red ' }], fixed: [] },
    ])
  })

  it('drops the answer for an older text', () => {
    workers[0]!.say({ type: 'ready' })
    client.update('a', [])
    client.update('ab', [])
    workers[0]!.say({ type: 'reading', revision: 1, reading: reading('old') })
    expect([client.state.value, client.reading.value]).toEqual(['reading', undefined])
    workers[0]!.say({ type: 'reading', revision: 2, reading: reading('new') })
    expect([client.state.value, client.reading.value]).toEqual(['ready', { text: 'ab', reading: reading('new') }])
  })

  it('starts a silent or broken worker again, with the whole text', () => {
    workers[0]!.say({ type: 'ready' })
    client.update('a', [])
    client.update('ab', [{ from: 0, to: 1, facet: 'mood' }])
    vi.advanceTimersByTime(2_100)
    expect([workers[0]!.ended, client.state.value]).toEqual([true, 'starting'])
    expect(workers[1]!.heard).toEqual([{ type: 'text', revision: 2, text: 'ab', fixed: [{ from: 0, to: 1, facet: 'mood' }] }])
    workers[1]!.onerror?.({} as ErrorEvent)
    expect(workers[2]!.heard).toHaveLength(1)
  })

  it('gives a starting worker time for its tables', () => {
    client.update('a', [])
    vi.advanceTimersByTime(5_000)
    expect(workers).toHaveLength(1)
  })

  it('sends the whole text to a worker that has lost the thread', () => {
    client.update('a', [])
    client.update('ab', [])
    workers[0]!.say({ type: 'behind', revision: 2 })
    expect(workers[0]!.heard.at(-1)).toEqual({ type: 'text', revision: 2, text: 'ab', fixed: [] })
  })

  it('brings each answer to its question, and asks a new worker again', async () => {
    workers[0]!.say({ type: 'ready' })
    client.update('a fox', [])
    const first = client.ask('suggest', { facet: 'light', typed: '', most: 3 })
    const second = client.ask('suggest', { facet: 'mood', typed: 'h', most: 3 })
    workers[0]!.say({ type: 'answer', id: 2, answer: ['hushed'] })
    expect(await second).toEqual(['hushed'])
    workers[0]!.onerror?.({} as ErrorEvent)
    expect(workers[1]!.heard).toEqual([
      { type: 'text', revision: 1, text: 'a fox', fixed: [] },
      { type: 'ask', id: 1, kind: 'suggest', facet: 'light', typed: '', most: 3 },
    ])
    workers[1]!.say({ type: 'answer', id: 1, answer: ['backlight'] })
    expect(await first).toEqual(['backlight'])
  })
})
