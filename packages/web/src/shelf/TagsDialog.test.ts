import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useNotices } from '../notices/notices.ts'
import { aServer, fill, press, withEngines } from '../testing.test-support.ts'
import TagsDialog from './TagsDialog.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

let server: ReturnType<typeof aServer>
beforeEach(() => {
  server = aServer(call, { renameTag: { changed: ['a', 'b'] } })
})
const tags = (list = [{ tag: 'winter', count: 2 }, { tag: 'birds', count: 1 }]) => mount(TagsDialog, { props: { tags: list }, global: withEngines() })
const said = () => useNotices().shown.map(({ text }) => text)

describe('all tags', () => {
  it('are renamed where another name is written over one', async () => {
    const wrapper = tags()
    await fill(wrapper, 'Name of the tag winter', ' snow ')
    expect([server.asked('renameTag')[0]!.body, said(), wrapper.emitted('changed')?.length]).toEqual([{ from: 'winter', to: 'snow' }, ['“winter” is “snow” now in 2 prompts.'], 1])
  })

  it('are joined by giving one the name of another', async () => {
    await fill(tags(), 'Name of the tag winter', 'birds')
    expect(said()).toEqual(['“winter” is “birds” now in 2 prompts, together with those that had it.'])
  })

  it('are removed by a press or by an empty name, and left alone by the same name', async () => {
    const wrapper = tags()
    await press(wrapper, 'Remove the tag birds')
    await fill(wrapper, 'Name of the tag winter', 'winter')
    expect([server.asked('renameTag').map(({ body }) => body), said()]).toEqual([[{ from: 'birds', to: '' }], ['“birds” is removed from 2 prompts.']])
  })

  it('are found by what is typed', async () => {
    const wrapper = tags()
    await fill(wrapper, 'Find a tag', 'BIR')
    expect(wrapper.findAll('li')).toHaveLength(1)
  })

  it('are none yet, with where they are given', () => {
    expect(tags([]).text()).toContain('No tag yet. Tags are given on the Desk, or to many prompts at once on the Shelf.')
  })

  it('stay where the server refuses', async () => {
    server.refuses('renameTag', 'A tag has no commas. Nothing was changed.')
    const wrapper = tags()
    await fill(wrapper, 'Name of the tag winter', 'a,b')
    expect([said(), wrapper.emitted('changed')]).toEqual([['A tag has no commas. Nothing was changed.'], undefined])
  })
})
