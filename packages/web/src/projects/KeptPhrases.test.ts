import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { dropPageData } from '../api/page-data.ts'
import { useNotices } from '../notices/notices.ts'
import { aServer, choose, fill, press, withEngines } from '../testing.test-support.ts'
import KeptPhrases from './KeptPhrases.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

let server: ReturnType<typeof aServer>
beforeEach(() => {
  server = aServer(call, { keepPhrase: ({ body }: { body: object }) => ({ id: '3', uses: 0, ...body }), listPhrases: [{ id: '1', text: 'rim light', facet: 'light', uses: 2 }, { id: null, text: 'dusk', facet: 'light', uses: 4 }, { id: '2', text: 'a heron', facet: 'subject', uses: 0 }] })
})
afterEach(dropPageData)
async function phrases() {
  const wrapper = mount(KeptPhrases, { props: { project: 'j' }, global: withEngines() })
  await flushPromises()
  return wrapper
}

it('lists what is kept by facet in writing order, and not what was only used', async () => {
  const wrapper = await phrases()
  expect(wrapper.findAll('dt').map((one) => one.text())).toEqual(['subject', 'light'])
  expect(wrapper.text()).not.toContain('dusk')
})

it('keeps another phrase with its facet, once it says something', async () => {
  const wrapper = await phrases()
  await wrapper.get('form').trigger('submit')
  await fill(wrapper, 'Phrase to keep', '  low angle ')
  await choose(wrapper, 'Its facet', 'framing')
  await wrapper.get('form').trigger('submit')
  await flushPromises()
  expect(server.asked('keepPhrase').map(({ body }) => body)).toEqual([expect.objectContaining({ text: 'low angle', facet: 'framing' })])
})

it('lets one go', async () => {
  const wrapper = await phrases()
  await press(wrapper, 'Remove rim light')
  expect(call.mock.calls.map(([route]) => (route as { id: string }).id)).toContain('removePhrase')
})

it('says why one could not be let go, and shows it still', async () => {
  server.refuses('removePhrase', 'The server does not answer.', 'unreachable')
  const wrapper = await phrases()
  await press(wrapper, 'Remove rim light')
  expect([wrapper.text().includes('rim light'), useNotices().shown.map(({ text }) => text)]).toEqual([true, ['The server does not answer.']])
})
