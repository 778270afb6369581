import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { aServer, withRouter } from '../testing.test-support.ts'
import EvidenceOf from './EvidenceOf.vue'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

const kin = (title: string, steps: number) => ({ promptId: title, projectId: 'j', title, steps, proofs: 4, keepers: 2 })
let server: ReturnType<typeof aServer>
beforeEach(() => {
  server = aServer(call, { readEvidence: { engines: [{ name: 'Burin', tried: 8, kept: 3 }], lastUsed: '2020-01-01T10:00:00Z', family: [kin('Its mother', -1), kin('Its child', 1), kin('Its grandchild', 2)] }, readNear: [] })
})
async function evidence() {
  const { global } = await withRouter('/shelf', '/shelf')
  const wrapper = mount(EvidenceOf, { props: { promptId: 'x', title: 'Fox' }, global })
  await flushPromises()
  return wrapper
}

describe('what a prompt has shown', () => {
  it('is kept of tried by engine, and when it was last used', async () => {
    expect((await evidence()).get('p').text()).toBe('Kept of tried: 3 of 8 on Burin; last used 1 January 2020.')
  })

  it('names what it came from, and what came from it, further in the further it is', async () => {
    const wrapper = await evidence()
    expect(wrapper.text()).toContain('Came from Its mother (2 of 4 kept).')
    expect(wrapper.findAll('li').map((one) => [one.get('a').text(), one.attributes('style')])).toEqual([['Its child', 'padding-left: 16px;'], ['Its grandchild', 'padding-left: 32px;']])
  })

  it('says that nothing bears it out yet', async () => {
    server.answers['readEvidence'] = { engines: [], lastUsed: null, family: [] }
    const wrapper = await evidence()
    expect([wrapper.get('p').text(), wrapper.findAll('li').length]).toEqual(['Not tried yet: nothing bears it out.', 0])
  })
})
