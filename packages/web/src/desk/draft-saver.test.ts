import { emptyDraft } from '@idolon/core'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '../api/problem.ts'
import { DraftSaver } from './draft-saver.ts'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('./local-drafts.ts', () => ({ keepAtOnce: () => undefined, keepLocally: () => Promise.resolve(), deleteLocally: () => Promise.resolve() }))

interface Sent {
  body: { base: number; first: number; edits: unknown[]; goOnFrom?: number }
}
const sent = () => call.mock.calls.map(([, given]) => (given as Sent).body)
const edit = (insert: string) => ({ edit: { text: [{ from: 0, to: 0, insert }] } })

let moved = 0
const saver = () => new DraftSaver('p', 'c', 5, '', emptyDraft, () => moved++, () => undefined)

beforeEach(() => {
  vi.useFakeTimers()
  moved = 0
  call.mockReset()
  call.mockImplementation((_route, { body }: Sent) => Promise.resolve({ promptId: 'p', revision: body.base + body.edits.length, savedAt: 'now' }))
})
afterEach(() => vi.useRealTimers())

describe('DraftSaver', () => {
  it('sends edits in order within half a second, numbered without gaps', async () => {
    const one = saver()
    one.push(edit('a'))
    one.push(edit('b'))
    expect(one.state.value).toBe('saving')
    await vi.advanceTimersByTimeAsync(500)
    one.push(edit('c'))
    await vi.advanceTimersByTimeAsync(500)
    expect(sent().map(({ base, first, edits }) => [base, first, edits.length])).toEqual([[5, 1, 2], [7, 3, 1]])
    expect([one.state.value, one.acknowledged]).toEqual(['saved', 8])
  })

  it('sends what is written after a try that came in the middle of typing', async () => {
    const one = saver()
    one.push(edit('a'))
    await one.settled()
    one.push(edit('b'))
    await vi.advanceTimersByTimeAsync(500)
    expect(sent()).toHaveLength(2)
    expect(one.state.value).toBe('saved')
  })

  it('tries again with the same numbers while the server is away', async () => {
    call.mockRejectedValueOnce(new ApiProblem('unreachable', ''))
    const one = saver()
    one.push(edit('a'))
    await vi.advanceTimersByTimeAsync(400)
    expect(one.state.value).toBe('unsent')
    one.push(edit('b'))
    await vi.advanceTimersByTimeAsync(2_000)
    expect(sent().map(({ base, first, edits }) => [base, first, edits.length])).toEqual([[5, 1, 1], [5, 1, 2]])
    expect(one.state.value).toBe('saved')
  })

  it('stops and tells when the draft has moved on, until it is begun again', async () => {
    call.mockRejectedValueOnce(new ApiProblem('draft-moved', ''))
    const one = saver()
    one.push(edit('a'))
    await vi.advanceTimersByTimeAsync(400)
    one.push(edit('b'))
    await vi.advanceTimersByTimeAsync(5_000)
    expect([one.state.value, moved, call.mock.calls.length]).toEqual(['moved', 1, 1])
    one.rebase(9, [edit('mine')])
    await vi.advanceTimersByTimeAsync(100)
    expect(sent().at(-1)).toMatchObject({ base: 9, first: 3 })
    expect(one.state.value).toBe('saved')
  })

  it('ends a batch at an edit that goes on from a version', async () => {
    const one = saver()
    one.push(edit('a'))
    one.push({ ...edit('b'), goOnFrom: 2 })
    one.push(edit('c'))
    await vi.advanceTimersByTimeAsync(500)
    expect(sent().map(({ edits, goOnFrom }) => [edits.length, goOnFrom])).toEqual([[2, 2], [1, undefined]])
  })
})
