import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import { dropPageData } from '../api/page-data.ts'
import { useKnownList } from './known-list.ts'

vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
beforeEach(() => setActivePinia(createPinia()))
afterEach(dropPageData)
const listOf = (read: () => Promise<string[]>) => effectScope().run(() => useKnownList('birds', read, () => false))!

it('is read when it is first asked for, by all who ask at once in one reading', async () => {
  const read = vi.fn(() => Promise.resolve(['owl', 'heron']))
  const { all, load, loaded } = listOf(read)
  await flushPromises()
  expect([read.mock.calls.length, all.value, loaded()]).toEqual([0, [], false])
  await Promise.all([load(), load(), load()])
  expect([read.mock.calls.length, all.value, loaded()]).toEqual([1, ['owl', 'heron'], true])
  await load()
  expect(read).toHaveBeenCalledTimes(1)
})

it('is read again when that is asked for', async () => {
  const read = vi.fn<() => Promise<string[]>>().mockResolvedValueOnce(['owl']).mockResolvedValue(['owl', 'heron'])
  const { all, load, read: again } = listOf(read)
  await load()
  await again()
  expect(all.value).toEqual(['owl', 'heron'])
})

it('never throws, and keeps what it has', async () => {
  const read = vi.fn<() => Promise<string[]>>().mockResolvedValueOnce(['owl']).mockRejectedValue(new Error('away'))
  const { all, load, read: again } = listOf(read)
  await load()
  await expect(again()).resolves.toBeUndefined()
  expect(all.value).toEqual(['owl'])
})
