import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import ProofsParts from '../proofs/ProofsParts.vue'
import ShelfParts from '../shelf/ShelfParts.vue'
import { withRouter } from '../testing.test-support.ts'

const shown = async (of: typeof ProofsParts, path: string, address: string) => {
  const { global } = await withRouter(path, address)
  const wrapper = mount(of, { global })
  return { label: wrapper.get('nav').attributes('aria-label'), links: wrapper.findAll('a').map((one) => [one.text(), one.attributes('href'), one.attributes('aria-current')]) }
}

describe('views that stand beside one another', () => {
  it.each([
    ['/shelf', '/shelf?q=fox', 'Prompts'],
    ['/shelf/templates/:template?', '/shelf/templates', 'Templates'],
    ['/shelf/templates/:template?', '/shelf/templates/t1', 'Templates'],
    ['/shelf/writing-styles/:writingStyle?', '/shelf/writing-styles/w1', 'Writing styles'],
  ])('on the Shelf: at %s (%s) the one that is open is “%s”', async (path, address, open) => {
    const { label, links } = await shown(ShelfParts, path, address)
    expect([label, links.map(([name, href]) => [name, href])]).toEqual(['On the Shelf', [['Prompts', '/shelf'], ['Templates', '/shelf/templates'], ['Writing styles', '/shelf/writing-styles']]])
    expect(links.filter(([, , current]) => current === 'page').map(([name]) => name)).toEqual([open])
  })

  it('of proofs take along what they are narrowed down to, and by run not how a sheet is laid out', async () => {
    const { links } = await shown(ProofsParts, '/proofs', '/proofs?project=j&verdict=none')
    expect(links).toEqual([['By run', '/proofs?project=j&verdict=none', 'page'], ['As a sheet', '/proofs/sheet?project=j&verdict=none', undefined]])
    const sheet = await shown(ProofsParts, '/proofs/sheet', '/proofs/sheet?prompt=x&by=version-engine')
    expect(sheet.links).toEqual([['By run', '/proofs?prompt=x', undefined], ['As a sheet', '/proofs/sheet?prompt=x&by=version-engine', 'page']])
  })
})
