import type { HelperCase } from '../case.ts'
import type { HelperBody, HelperInput } from '../helper.ts'

/** A helper as it ships, with cases that show what it must do. */
export interface ShippedHelper {
  id: string
  body: HelperBody
  cases: readonly HelperCase[]
}

/** What most helpers need not say. */
export const helper = (id: string, own: Pick<HelperBody, 'name' | 'does' | 'instruction' | 'answer'> & Partial<HelperBody>, cases: readonly HelperCase[] = []): ShippedHelper => ({
  id,
  body: { inputs: [], examples: [], model: null, temperature: 0.7, tags: [], ...own },
  cases,
})

export const aCase = (name: string, text: string, criteria: HelperCase['criteria'], more: Partial<HelperCase> = {}): HelperCase => ({ name, text, locked: [], leaveOut: [], engine: null, values: {}, existing: [], ...more, criteria })

export const LENGTH: HelperInput = { key: 'length', label: 'Length in words', kind: 'number', min: 10, max: 400, default: 70 }
export const STYLE: HelperInput = { key: 'style', label: 'Written as', kind: 'choice', values: ['as the engine reads', 'sentences', 'a list'], default: 'as the engine reads' }
export const ENGINE: HelperInput = { key: 'engine', label: 'For', kind: 'engine' }

/** How an instruction ends: the words that must stay, and, where another answer is wanted, those it must not be like. */
export const LOCKED_AND_UNLIKE = `{{#locked}}Keep these words exactly as they are:
{{ locked }}
{{/locked}}{{#takes}}Make it unlike these:
{{ takes }}
{{/takes}}`
