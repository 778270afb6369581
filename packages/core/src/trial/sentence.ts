import type { FactorEffect } from './effects.ts'

/** More results than this are not asked for in a sentence: the difference is too small to matter. */
const MANY = 400
const share = (mean: number) => `${Math.round(mean * 100)} %`

/** What a plan tells of one thing that varies, in a plain sentence. `unit` says what the scores are. */
export function effectSentence(effect: FactorEffect, thing: string, names: readonly string[], unit: 'verdicts' | 'ranking'): string {
  const inOrder = effect.options.toSorted((x, y) => y.effect - x.effect)
  const [first, second] = inOrder
  if (!first || !second || inOrder.every(({ judged }) => judged === 0)) return `Nothing is judged yet that tells of ${thing}.`
  const untried = inOrder.filter(({ judged }) => judged === 0)
  if (untried.length) return `Of ${thing} nothing can be said before ${untried.map(({ option }) => `“${names[option]}”`).join(', ')} ${untried.length === 1 ? 'is' : 'are'} judged, too.`
  const mean = (one: typeof first) => (unit === 'verdicts' && one.mean !== null ? ` (${share(one.mean)} of a keep on average, of ${one.judged})` : ` (${one.judged} ranked)`)
  if (effect.told !== null) return `${capital(thing)}: “${names[first.option]}” did best${mean(first)}, sure to ${share(first.best)}; next “${names[second.option]}”${mean(second)}.`
  const leads = `This plan cannot tell which ${thing} does best: “${names[first.option]}” leads “${names[second.option]}”, but may well not be better.`
  if (effect.wanted === null || effect.wanted > MANY) return `This plan cannot tell which ${thing} does best; the options hardly differ.`
  return `${leads} About ${Math.max(effect.wanted, first.judged + 1)} judged results of each would tell, if they differ as they seem to.`
}

const capital = (text: string) => text.replace(/^\p{L}/u, (letter) => letter.toUpperCase())
