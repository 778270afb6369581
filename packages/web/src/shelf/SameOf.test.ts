import type { NearPrompt } from '@idolon/contract'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useNotices } from '../notices/notices.ts'
import { aServer, named, press, withRouter } from '../testing.test-support.ts'
import SameOf from './SameOf.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

const near = (title: string, more: Partial<NearPrompt> = {}): NearPrompt => ({ promptId: title, projectId: 'j', title, proofs: 4, keepers: 1, said: null, merged: false, differences: [], ...more }) as unknown as NearPrompt
let list: NearPrompt[]
let server: ReturnType<typeof aServer>
beforeEach(() => {
  list = [near('A fox'), near('Fox two', { said: 'same', differences: ['“dusk” is “noon”'] as never }), near('Within', { merged: true }), near('A hen', { said: 'other' })]
  server = aServer(call, { readNear: () => list })
})
async function same(alone = false) {
  const { global } = await withRouter('/shelf', '/shelf')
  const wrapper = mount(SameOf, { props: { promptId: 'x', title: 'Fox', alone }, global })
  await flushPromises()
  return wrapper
}

describe('what says the same as a prompt', () => {
  it('stands by what the writer said of it, with what differs', async () => {
    const wrapper = await same()
    expect(wrapper.findAll('li > span').map((one) => one.text())).toEqual(['A fox , 1 of 4 kept', 'Fox two , 1 of 4 kept, linked by you; “dusk” is “noon”', 'Within , 1 of 4 kept'])
    expect(wrapper.text()).toContain('Told apart by you: A hen')
  })

  it('is told apart, linked no longer, and left to the words again', async () => {
    const wrapper = await same()
    await press(wrapper, 'Say that A fox is another prompt')
    await press(wrapper, 'Unlink Fox two')
    await press(wrapper, 'Let the words say again whether A hen is the same')
    expect(server.asked('saySame').map(({ body }) => body)).toEqual([{ prompts: ['A fox'], as: 'other' }, { prompts: ['Fox two'], as: null }, { prompts: ['A hen'], as: null }])
  })

  it('is merged, said what that means, and taken out again', async () => {
    const wrapper = await same()
    await press(wrapper, 'Merge A fox into this one')
    expect([server.asked('mergePrompts'), useNotices().shown.map(({ text }) => text)]).toEqual([[{ params: { prompt: 'x' }, body: { prompts: ['A fox'] } }], ['“A fox” is merged into “Fox”: its tags, its note and what it has shown count there.']])
    useNotices().shown[0]!.action!.run()
    await press(wrapper, 'Remove Within from the merge')
    expect(server.asked('unmergePrompt').map(({ params }) => params)).toEqual([{ prompt: 'A fox' }, { prompt: 'Within' }])
  })

  it('is none, which is said only where it stands alone', async () => {
    list = []
    expect((await same(true)).text()).toBe('No other prompt says the same.')
    expect((await same()).text()).toBe('')
  })

  it('stays as it is where the server refuses, and says why', async () => {
    server.refuses('mergePrompts', 'It is merged elsewhere already. Nothing was changed.')
    const wrapper = await same()
    await press(wrapper, 'Merge A fox into this one')
    expect([named(wrapper, 'Merge A fox into this one') !== undefined, useNotices().shown.map(({ text }) => text)]).toEqual([true, ['It is merged elsewhere already. Nothing was changed.']])
  })
})
