import type { PromptSummary } from '@idolon/contract'
import { mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { aProof, withEngines } from '../testing.test-support.ts'
import PromptRow from './PromptRow.vue'

vi.mock('../api/changes.ts', () => ({ onChange: () => undefined }))
const row = (more: Partial<PromptSummary> = {}) =>
  mount(PromptRow, {
    props: { to: '/desk/x', prompt: { id: 'x', projectId: 'p', title: 'a fox', named: false, excerpt: 'a fox, in the snow', status: 'rough', tags: [], note: '', changedAt: '2026-01-01T00:00:00Z', versions: 0, proofs: 0, keepers: 0, bestProof: null, ...more } },
    global: withEngines(),
  })

describe('PromptRow', () => {
  it('does not say the first words twice when they are the title', () => {
    expect(row().get('.excerpt').text()).toBe('in the snow')
    expect(row({ excerpt: '  a fox, in the snow' }).get('.excerpt').text()).toBe('in the snow')
    expect(row({ named: true, title: 'Winter' }).get('.excerpt').text()).toBe('a fox, in the snow')
  })
  it('says of a proven prompt that it has no keeper', () => {
    expect(row({ status: 'proven' }).text()).toContain('without a keeper')
    expect(row({ status: 'proven', versions: 2, proofs: 8, keepers: 3 }).text()).toMatch(/2 versions, 8 proofs, 3 kept/)
  })
  it('shows the best proof, or says why there is none', () => {
    expect(row({ bestProof: aProof() }).find('img').exists()).toBe(true)
    expect(row().text()).toContain('not tried yet')
    expect(row({ proofs: 3, versions: 1 }).text()).toContain('none kept yet')
  })
  it('shows markup as the text it is', () => {
    expect(row({ named: true, title: '<b>x</b>' }).get('.title').text()).toBe('<b>x</b>')
  })
})
