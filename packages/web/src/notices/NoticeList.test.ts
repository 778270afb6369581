import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '../api/problem.ts'
import { press } from '../testing.test-support.ts'
import NoticeList from './NoticeList.vue'
import { useNotices, useTask } from './notices.ts'

const list = () => mount(NoticeList)
const texts = () => useNotices().shown.map(({ text }) => text)
beforeEach(() => {
  setActivePinia(createPinia())
  vi.useFakeTimers()
})
afterEach(() => vi.useRealTimers())

describe('notices', () => {
  it('go by themselves, but not those of what went wrong', () => {
    useNotices().show('It is kept.')
    useNotices().show('It could not be kept.', { problem: true })
    vi.advanceTimersByTime(60_000)
    expect(texts()).toEqual(['It could not be kept.'])
  })

  it('say the same once, and no more than three things at a time, the last ones', () => {
    for (const text of ['a', 'b', 'b', 'c', 'd']) useNotices().show(text)
    expect(texts()).toEqual(['b', 'c', 'd'])
  })

  it('are told to who cannot see them', () => {
    useNotices().show('It is kept.')
    expect(list().get('[role=status]').text()).toContain('It is kept.')
  })

  it('offer one act, which is done once, and are closed by it', async () => {
    const run = vi.fn()
    useNotices().show('It is in the bin.', { action: { label: 'Restore', run } })
    await press(list(), 'Restore')
    expect([run.mock.calls.length, texts()]).toEqual([1, []])
  })

  it('are closed by a press', async () => {
    useNotices().show('It could not be kept.', { problem: true })
    await press(list(), 'Close')
    expect(texts()).toEqual([])
  })
})

describe('a task of the page', () => {
  it('answers what came of it', async () => {
    expect(await useTask()(() => Promise.resolve(4))).toBe(4)
  })

  it('says what the server refused, in its words', async () => {
    const answer: unknown = await useTask()(() => Promise.reject<number>(new ApiProblem('invalid', 'The name is too long. Nothing was changed.')))
    expect(answer).toBeUndefined()
    expect(texts()).toEqual(['The name is too long. Nothing was changed.'])
  })

  it('says of a fault of ours that it is one, and that nothing is lost', async () => {
    await useTask()(() => Promise.reject(new TypeError('x is not a function')))
    expect(texts()).toEqual(['Something went wrong in this page. Nothing you wrote is lost. Reload to go on.'])
  })
})
