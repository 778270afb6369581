import { type Draft, type EngineProfile, findEngine, fixedFacetsOf, type HouseRules } from '@idolon/core'
import { costOf, type EarlierTurn, type HelperBody, type HelperValues, type Message, messagesFor, type ModelProfile, tokensOf, renderInstruction, slotValues, withDefaults } from '@idolon/core/helper'
import { promptReader } from '../phrases/prompt-reader.ts'

/** What a helper is asked with, worked out from the draft and the project alone. */
export interface Preparing {
  body: HelperBody
  values: HelperValues
  draft: Draft
  engines: readonly EngineProfile[]
  rules?: HouseRules | undefined
  existing?: readonly string[]
  takes?: readonly string[]
  turns?: readonly EarlierTurn[]
}

/** The engine that a helper writes for: the one it was given, else the draft's first. */
export function engineFor({ values, draft, engines, body }: Pick<Preparing, 'values' | 'draft' | 'engines' | 'body'>): EngineProfile | undefined {
  const key = body.inputs.find(({ kind }) => kind === 'engine')?.key
  const [id, revision] = String((key && values[key]) ?? '').split(' ')
  const choice = id ? { engine: id, revision } : draft.engines[0]
  return choice && findEngine(engines, choice.engine, choice.revision)
}

/** The messages of an asking. */
export async function prepareMessages(preparing: Preparing): Promise<Message[]> {
  const { body, draft, rules, existing, takes, turns } = preparing
  const reader = await promptReader()
  const values = withDefaults(body, preparing.values)
  const engine = engineFor({ ...preparing, values })
  const own = { ...values }
  for (const input of body.inputs) {
    if (input.kind === 'engine') own[input.key] = engine?.name ?? ''
    // “As the engine reads” is said in the engine's own words.
    if (input.kind === 'choice' && own[input.key] === 'as the engine reads') own[input.key] = engine?.reads === 'keywords' ? 'a list' : engine?.reads === 'sentences' ? 'sentences' : 'in the way of the draft'
  }
  const instruction = renderInstruction(body.instruction, slotValues(body, own, { draft, reading: reader.read(draft.text, fixedFacetsOf(draft.marks)), engine, rules, existing, takes }))
  return messagesFor({ kind: body.answer, instruction, ...(turns ? { turns } : {}) })
}

/** Services count a picture of our size as some hundreds of tokens; this is on the safe side. */
const TOKENS_A_PICTURE = 1_600

/** What is set aside for an asking: what is sent, the longest usual answer, and once more in case it is asked again. */
export function reserveFor(profile: ModelProfile, messages: readonly Message[], pictures = 0): number {
  const sent = tokensOf(messages) + pictures * TOKENS_A_PICTURE
  return costOf(profile, sent, Math.min(profile.mostOut, 600)) * 2
}
