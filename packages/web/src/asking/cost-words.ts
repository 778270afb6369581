import { costOf, type HelperBody, type ModelProfile } from '@idolon/core/helper'
import { sayAmounts } from '../shared/said.ts'

/** What is sent beside the instruction and the draft: the rules of answering, the shape, notes. In characters. */
const AROUND = 1_800
/** An answer of usual length, in tokens. */
const ANSWER = 220

/** What an asking will cost, about: exactly is known when it is answered. */
export function costAbout(body: Pick<HelperBody, 'instruction'>, text: string, models: readonly ModelProfile[]): string {
  const amounts = models.map((model) => ({ unit: model.costUnit, amount: Math.round(costOf(model, Math.ceil((body.instruction.length + text.length + AROUND) / 4), ANSWER) / 50) * 50 }))
  return `about ${sayAmounts(amounts)}`
}
