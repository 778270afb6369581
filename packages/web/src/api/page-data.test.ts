import type { ChangeEvent } from '@idolon/contract'
import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, ref } from 'vue'
import { IN_TIME } from '../testing.test-support.ts'
import { useNotices } from '../notices/notices.ts'
import { dropPageData, usePageData, type Wanted } from './page-data.ts'
import { ApiProblem } from './problem.ts'

const { heard } = vi.hoisted(() => ({ heard: new Set<(event: unknown) => void>() }))
vi.mock('./changes.ts', () => ({ onChange: (listener: (event: unknown) => void) => heard.add(listener) }))
const tell = (event: Partial<ChangeEvent> | 'reset') => heard.forEach((listener) => listener(event))

/** A page that wants data, in a scope that ends as a page that is left does. */
function page<T>(wanted: Partial<Wanted<T>> & Pick<Wanted<T>, 'read'>) {
  const scope = effectScope()
  const data = scope.run(() => usePageData<T>({ key: () => ['thing', 'a'], gatherMs: 0, ...wanted }))!
  return { ...data, leave: () => scope.stop() }
}
/** A reading whose end is told by the test. */
function held() {
  const ends: { give: (value: string) => void; fail: (error: Error) => void; signal: AbortSignal }[] = []
  const read = vi.fn((signal: AbortSignal) => new Promise<string>((give, fail) => ends.push({ give, fail, signal })))
  return { read, ends }
}
const shown = () => useNotices().shown.map(({ text }) => text)

beforeEach(() => {
  heard.clear()
  setActivePinia(createPinia())
})
afterEach(dropPageData)

describe('data of a page', () => {
  it('is loading until it is read, and there is nothing wrong with it then', async () => {
    const { read, ends } = held()
    const { data, loading, problem } = page({ read })
    expect([loading.value, data.value]).toEqual([true, undefined])
    ends[0]!.give('words')
    await flushPromises()
    expect([loading.value, data.value, problem.value]).toEqual([false, 'words', undefined])
  })

  it('is read for nothing while nothing is wanted', async () => {
    const { read } = held()
    const { load, loading } = page({ key: () => undefined, read })
    await load()
    tell('reset')
    await flushPromises()
    expect([read.mock.calls.length, loading.value]).toEqual([0, false])
  })

  it('is another key’s as soon as that is wanted, and what was being read for the first is broken off', async () => {
    const which = ref('a')
    const { read, ends } = held()
    const { data } = page({ key: () => ['thing', which.value], read })
    which.value = 'b'
    await flushPromises()
    expect(ends[0]!.signal.aborted).toBe(true)
    ends[1]!.give('of b')
    ends[0]!.give('of a')
    await flushPromises()
    expect(data.value).toBe('of b')
  })

  it('shows at once what was read before, and reads it again', async () => {
    const first = page({ read: () => Promise.resolve('as it was') })
    await flushPromises()
    first.leave()
    const { read, ends } = held()
    const again = page({ read })
    expect([again.data.value, again.loading.value]).toEqual(['as it was', false])
    ends[0]!.give('as it is')
    await flushPromises()
    expect(again.data.value).toBe('as it is')
  })

  it('keeps what is shown when it cannot be read again, and says why once', async () => {
    const read = vi.fn<() => Promise<string>>().mockResolvedValueOnce('words').mockRejectedValue(new ApiProblem('internal', 'It went wrong here. Nothing was changed.'))
    const { data, problem, load } = page({ read })
    await flushPromises()
    await load()
    await load()
    expect([data.value, problem.value?.message, shown()]).toEqual(['words', 'It went wrong here. Nothing was changed.', ['It went wrong here. Nothing was changed.']])
  })

  it('says nothing more where the server is away, which the page’s own line says, unless there is nothing to show', async () => {
    const away = new ApiProblem('unreachable', 'The server does not answer.')
    const read = vi.fn<() => Promise<string>>().mockResolvedValueOnce('words').mockRejectedValue(away)
    const { load } = page({ read })
    await flushPromises()
    await load()
    expect(shown()).toEqual([])
    page({ key: () => ['thing', 'b'], read })
    await flushPromises()
    expect(shown()).toEqual(['The server does not answer.'])
  })

  it('leaves a failure to a page that tells it itself, and knows what does not exist', async () => {
    const { missing, problem } = page({ read: () => Promise.reject(new ApiProblem('not-found', 'There is no such prompt.')), tells: true })
    await flushPromises()
    expect([missing.value, problem.value?.message, shown()]).toEqual([true, 'There is no such prompt.', []])
  })
})

describe('a change on the server', () => {
  it('is answered where it concerns the data, and only there', async () => {
    const read = vi.fn(() => Promise.resolve('words'))
    page({ read, on: (event, data) => event.kind === 'run' && data === 'words' })
    await flushPromises()
    tell({ kind: 'draft' })
    await flushPromises()
    expect(read).toHaveBeenCalledTimes(1)
    tell({ kind: 'run' })
    await vi.waitFor(() => expect(read).toHaveBeenCalledTimes(2), IN_TIME)
    tell('reset')
    await vi.waitFor(() => expect(read).toHaveBeenCalledTimes(3), IN_TIME)
  })

  it('and a hundred more in the same moment are answered by one reading', async () => {
    const read = vi.fn(() => Promise.resolve('words'))
    page({ read, on: () => true })
    await flushPromises()
    for (let i = 0; i < 100; i++) tell({ kind: 'run' })
    await vi.waitFor(() => expect(read).toHaveBeenCalledTimes(2), IN_TIME)
    await flushPromises()
    expect(read).toHaveBeenCalledTimes(2)
  })

  it('that comes while the answer to another is on its way does not break it off, and is answered after it', async () => {
    const { read, ends } = held()
    const { data } = page({ read, on: () => true })
    ends[0]!.give('first')
    await flushPromises()
    tell({ kind: 'run' })
    await vi.waitFor(() => expect(ends).toHaveLength(2), IN_TIME)
    tell({ kind: 'run' })
    await new Promise((resolve) => setTimeout(resolve))
    await flushPromises()
    expect([ends.length, ends[1]!.signal.aborted]).toEqual([2, false])
    ends[1]!.give('second')
    await vi.waitFor(() => expect(ends).toHaveLength(3), IN_TIME)
    ends[2]!.give('third')
    await vi.waitFor(() => expect(data.value).toBe('third'), IN_TIME)
  })

  it('is not answered any more by a page that was left', async () => {
    const read = vi.fn(() => Promise.resolve('words'))
    const { leave } = page({ read, on: () => true })
    await flushPromises()
    tell({ kind: 'run' })
    leave()
    await new Promise((resolve) => setTimeout(resolve, 5))
    expect(read).toHaveBeenCalledTimes(1)
  })
})

it('what the server answered to a change is shown, and a reading that began before it is dropped', async () => {
  const { read, ends } = held()
  const { data, load, put } = page({ read })
  ends[0]!.give('old')
  await flushPromises()
  const loading = load()
  put('changed')
  ends[1]!.give('older than the change')
  await loading
  await flushPromises()
  expect(data.value).toBe('changed')
})

it('what is not finished is read again by itself until it is', async () => {
  const read = vi.fn<() => Promise<number>>().mockResolvedValueOnce(2).mockResolvedValueOnce(1).mockResolvedValue(0)
  const { data } = page({ read, againMs: (left) => (left ? 1 : undefined) })
  await vi.waitFor(() => expect(data.value).toBe(0), IN_TIME)
  expect(read).toHaveBeenCalledTimes(3)
})
