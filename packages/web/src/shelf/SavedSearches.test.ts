import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useNotices } from '../notices/notices.ts'
import { aServer, fill, named, press, valueOf, withRouter } from '../testing.test-support.ts'
import SavedSearches from './SavedSearches.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

let kept: { id: string; name: string; query: Record<string, string> }[]
let server: ReturnType<typeof aServer>
beforeEach(() => {
  kept = [{ id: 's1', name: 'Winter birds', query: { q: 'bird', tag: 'winter' } }]
  server = aServer(call, {
    listSearches: () => kept,
    saveSearch: ({ params, body }: { params: { search: string }; body: { name: string; query: Record<string, string> } }) => void kept.push({ id: params.search, ...body }),
    deleteSearch: ({ params }: { params: { search: string } }) => void (kept = kept.filter(({ id }) => id !== params.search)),
  })
})
async function searches(given: Record<string, string>) {
  const { global } = await withRouter('/shelf', '/shelf')
  const wrapper = mount(SavedSearches, { props: { given }, global })
  await flushPromises()
  return wrapper
}

describe('saved searches', () => {
  it('are gone back to by their names, the one at hand marked however its filters are ordered', async () => {
    const wrapper = await searches({ tag: 'winter', q: 'bird' })
    expect([wrapper.get('a').attributes('href'), wrapper.get('a').attributes('aria-current')]).toEqual(['/shelf?q=bird&tag=winter', 'true'])
    expect(named(wrapper, 'Save this search')).toBeUndefined()
  })

  it('are offered where something is looked for, under a name that says what', async () => {
    expect(named(await searches({}), 'Save this search')).toBeUndefined()
    const wrapper = await searches({ q: 'heron' })
    await press(wrapper, 'Save this search')
    expect(valueOf(wrapper, 'Name of the search')).toBe('heron')
    await fill(wrapper, 'Name of the search', ' Herons ')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect([server.asked('saveSearch')[0]!.body, wrapper.find('form').exists(), wrapper.text()]).toEqual([{ name: 'Herons', query: { q: 'heron' } }, false, expect.stringContaining('Herons')])
  })

  it('are deleted, which can be undone', async () => {
    const wrapper = await searches({ q: 'bird', tag: 'winter' })
    await press(wrapper, 'Delete “Winter birds”')
    expect(wrapper.find('a').exists()).toBe(false)
    useNotices().shown[0]!.action!.run()
    await flushPromises()
    expect(wrapper.get('a').text()).toBe('Winter birds')
  })

  it('keep the name that is being written where the server refuses', async () => {
    server.refuses('saveSearch', 'There are two hundred already. Nothing was kept.')
    const wrapper = await searches({ q: 'heron' })
    await press(wrapper, 'Save this search')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    expect([useNotices().shown.map(({ text }) => text), valueOf(wrapper, 'Name of the search')]).toEqual([['There are two hundred already. Nothing was kept.'], 'heron'])
  })
})
