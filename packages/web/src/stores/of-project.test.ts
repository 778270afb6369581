import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import { dropPageData } from '../api/page-data.ts'
import { useOfProject } from './of-project.ts'

vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
beforeEach(() => setActivePinia(createPinia()))
afterEach(dropPageData)
const ofProject = (read: (project: string) => Promise<string[]>) => effectScope().run(() => useOfProject<string[]>({ name: 'rules', none: [], read, on: () => false }))!

it('is nothing, and asks nothing, until a project is asked for', async () => {
  const read = vi.fn(() => Promise.resolve(['never blue']))
  const { shown, project } = ofProject(read)
  await flushPromises()
  expect([shown.value, project.value, read.mock.calls.length]).toEqual([[], undefined, 0])
})

it('is that of the project asked for last, and nothing of the one before while it is read', async () => {
  let give: (value: string[]) => void = () => undefined
  const { shown, load } = ofProject((project) => (project === 'a' ? Promise.resolve(['of a']) : new Promise((resolve) => (give = resolve))))
  await load('a')
  expect(shown.value).toEqual(['of a'])
  const second = load('b')
  expect(shown.value).toEqual([])
  give(['of b'])
  await second
  expect(shown.value).toEqual(['of b'])
})

it('may be of no project in particular, which has the empty name', async () => {
  const { shown, load } = ofProject((project) => Promise.resolve([`of “${project}”`]))
  await load('')
  expect(shown.value).toEqual(['of “”'])
})

it('shows what the server answered to a change, and keeps what it has where it cannot be read again', async () => {
  const read = vi.fn<() => Promise<string[]>>().mockResolvedValueOnce(['old']).mockRejectedValue(new Error('away'))
  const { shown, load, put, again } = ofProject(read)
  await load('a')
  put(['new'])
  await again()
  expect(shown.value).toEqual(['new'])
})
