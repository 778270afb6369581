import type { TemplateOffer } from '@idolon/contract'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useNotices } from '../notices/notices.ts'
import { aServer, named, press, withEngines } from '../testing.test-support.ts'
import MadeDrafts from './MadeDrafts.vue'
import { aTemplate, aWholeTemplate } from './template.test-support.ts'

const { call } = vi.hoisted(() => ({ call: vi.fn() }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))

const draft = (title: string, values: Record<string, string> = {}, more = {}) => ({ promptId: title, projectId: 'j', title, version: 1, values, proofs: 4, keepers: 1, ...more })
const offer = (title: string, meets: boolean): TemplateOffer => ({ promptId: title, title, revision: 3, meets, differences: [{ kind: 'phrase', facet: 'medium', before: 'gouache', after: 'oil painting' }] }) as unknown as TemplateOffer
let server: ReturnType<typeof aServer>
beforeEach(() => {
  server = aServer(call, { readOffers: [offer('Fox', true), offer('Hen', false)], takeOffers: { taken: ['Fox'], passedOver: [] } })
})
const made = async (behind: number, drafts = [draft('Fox', { animal: 'fox', setting: '' }), draft('Hen')]) => {
  const wrapper = mount(MadeDrafts, { props: { whole: aWholeTemplate(aTemplate({ behind, keepers: 2 }), { made: drafts as never }) }, global: withEngines() })
  await flushPromises()
  return wrapper
}

describe('the drafts made from a template', () => {
  it('stand with the values they were made with, and what became of them', async () => {
    const wrapper = await made(0)
    expect(wrapper.findAll('.one').map((one) => one.text())).toEqual(['Foxfox1 of 4 kept', 'Henas it is1 of 4 kept'])
    expect([wrapper.get('h3').text(), server.asked('readOffers')]).toEqual(['Made from it 2 drafts, 2 kept', []])
  })

  it('take no place where there are none', async () => {
    expect((await made(0, [])).find('section').exists()).toBe(false)
  })

  it('are shown to the end only when asked for', async () => {
    const wrapper = await made(0, Array.from({ length: 40 }, (_, i) => draft(`Fox ${i}`)))
    expect(wrapper.findAll('.one')).toHaveLength(30)
    await press(wrapper, 'Show all 40')
    expect(wrapper.findAll('.one')).toHaveLength(40)
  })

  it('are offered a change of the template, one by one, what was edited since only to reject', async () => {
    const wrapper = await made(2)
    expect(wrapper.get('.offers p').text()).toContain('The template has changed since 2 drafts were made.')
    expect(wrapper.findAll('.offer').map((one) => one.findAll('button').map((button) => button.text()))).toEqual([['Accept', 'Reject'], ['Reject']])
    await press(wrapper, 'Accept')
    expect(server.asked('takeOffers')[0]!.body).toEqual({ take: [{ promptId: 'Fox', revision: 3 }], leave: [] })
    expect([wrapper.emitted('changed')?.length, useNotices().shown.map(({ text }) => text)]).toEqual([1, ['1 draft changed.']])
  })

  it('take it in all that it fits, or none', async () => {
    const wrapper = await made(2)
    await press(wrapper, 'Accept the change in all that it fits')
    await press(wrapper, 'Reject all')
    expect(server.asked('takeOffers').map(({ body }) => body)).toEqual([{ take: [{ promptId: 'Fox', revision: 3 }], leave: [] }, { take: [], leave: ['Fox', 'Hen'] }])
  })

  it('say which were passed over, since they were edited meanwhile', async () => {
    server.answers['takeOffers'] = { taken: [], passedOver: ['Fox'] }
    const wrapper = await made(2)
    await press(wrapper, 'Accept')
    expect(useNotices().shown.map(({ text }) => text)).toEqual(['Passed over, since they were edited: Fox.'])
  })

  it('stay as they are where the server refuses', async () => {
    server.refuses('takeOffers', 'The server does not answer.', 'unreachable')
    const wrapper = await made(2)
    await press(wrapper, 'Accept')
    expect([wrapper.emitted('changed'), named(wrapper, 'Accept')!.attributes('disabled')]).toEqual([undefined, undefined])
  })
})
