import type { TrialFactor } from '@idolon/contract'
import { effectSentence, effectsOf, type EngineChoice, type Factor, factorName, type Judged, optionName, PRIOR_SD, rank } from '@idolon/core'

/** What a verdict counts. */
export const SCORE = { keep: 1, maybe: 0.5, drop: 0 } as const

/** What each option did, in words, by scores that can lie `spread` apart. */
export function factorsOf(factors: readonly Factor[], judged: readonly Judged[], unit: 'verdicts' | 'ranking', nameOf: (choice: EngineChoice) => string): TrialFactor[] {
  const effects = effectsOf(judged, factors.map(({ options }) => options.length), unit === 'verdicts' ? 1 : 2 * PRIOR_SD)
  return effects.map((effect, f) => {
    const factor = factors[f]!
    const names = factor.options.map((_, option) => optionName(factor, option, nameOf))
    return { name: factorName(factor), says: effectSentence(effect, factorName(factor), names, unit), told: effect.told === null ? null : names[effect.told]!, options: effect.options.map(({ option, ...rest }) => ({ name: names[option]!, ...rest })) }
  })
}

/** Strengths of proofs from blind judging; undefined where so few were compared that it would be the prior that speaks. */
export function strengthsOf(proofs: readonly string[], judgements: readonly { left: string; right: string; better: 'left' | 'right' | null }[]): Map<string, number> | undefined {
  const compared = [...new Set(judgements.flatMap(({ left, right }) => [left, right]))]
  if (compared.length < 4 || judgements.length < compared.length) return undefined
  const place = new Map(compared.map((id, i) => [id, i]))
  const { strengths } = rank(compared.length, judgements.map(({ left, right, better }) => ({ left: place.get(left)!, right: place.get(right)!, better: better ?? undefined })))
  return new Map(proofs.filter((id) => place.has(id)).map((id) => [id, strengths[place.get(id)!]!]))
}
