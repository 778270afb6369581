import type { Helper, HelperWhole } from '@idolon/contract'
import type { HelperBody, HelperCase } from '@idolon/core/helper'

export const aHelperBody = (more: Partial<HelperBody> = {}): HelperBody => ({ name: 'Fill out', does: 'Says what is missing.', instruction: 'Fill out this prompt.\n\n{{ prompt }}', answer: 'prompt', inputs: [], examples: [], model: null, temperature: 0.7, tags: [], ...more })

export const aHelper = (more: Partial<Helper> = {}): Helper => ({ id: 'fill-out', shipped: false, current: 2, versions: 2, cases: 1, body: aHelperBody(), ...more }) as Helper

export const aCase = (more: Partial<HelperCase> = {}): HelperCase => ({ name: 'A heron', text: 'a heron in the reeds', locked: [], leaveOut: [], engine: null, values: {}, existing: [], criteria: [{ kind: 'no-stops' }], ...more })

export const aWholeHelper = (more: Partial<HelperWhole> = {}): HelperWhole => {
  const helper = more.helper ?? aHelper()
  return { helper, versions: [2, 1].map((number) => ({ number, body: aHelperBody({ instruction: `Version ${number}. {{ prompt }}` }), why: number === 2 ? 'shorter' : '', madeAt: '2026-01-01T10:00:00Z' })), cases: [{ id: 'c1', case: aCase() }], ...more } as HelperWhole
}
