import { seededRandom } from '../random/seeded.ts'
import { normal } from '../random/normal.ts'
import { backward, cholesky, forward, type Matrix } from './solve.ts'

/** One result that was judged: the places of its options, and how good it is. */
export interface Judged {
  row: readonly number[]
  /** By verdict from 0 (drop) to 1 (keep), or a strength from ranking. */
  score: number
}

/** What an option does, over the mean of the options of its thing, with everything else alike. */
export interface OptionEffect {
  option: number
  /** Results judged with it, and their plain mean. */
  judged: number
  mean: number | null
  /** In units of the score; low and high hold it in 9 of 10 cases. */
  effect: number
  low: number
  high: number
  /** How sure it is that this option is the best of its thing, from 0 to 1. */
  best: number
}
export interface FactorEffect {
  factor: number
  options: OptionEffect[]
  /** The option that did best, where that is sure enough to say. */
  told: number | null
  /** Where it is not: results of each option that would be about enough, if the two first options differ as they seem to; null where nothing can be said. */
  wanted: number | null
}

/** How far options lie apart before anything is judged, as a share of the spread that scores can have. */
const PRIOR = 0.5
/** The least noise that is believed, as a share of the same: a few verdicts that agree prove nothing. */
const LEAST_NOISE = 0.2
const DRAWS = 2_000
const NINE_IN_TEN = 1.645
/** From here an option is said to have done best. */
const TOLD = 0.9
const SEED = 7

/** Solves for the options' effects under normal priors; what they and their differences may be besides comes as the factor of the precision. */
function posterior(judged: readonly Judged[], offsets: readonly number[], size: number, noise: number, prior: number): { mean: number[]; lower: Matrix } {
  const precision = Array.from({ length: size }, (_, i) => Array.from({ length: size }, (__, j) => (i === j && i > 0 ? 1 / prior ** 2 : 0)))
  // The mean of all may lie anywhere.
  precision[0]![0] = 1e-6
  const weighted = new Array<number>(size).fill(0)
  for (const { row, score } of judged) {
    const places = [0, ...row.map((option, f) => offsets[f]! + option)]
    for (const i of places) {
      weighted[i]! += score / noise ** 2
      for (const j of places) precision[i]![j]! += 1 / noise ** 2
    }
  }
  const lower = cholesky(precision)
  return { mean: backward(lower, forward(lower, weighted)), lower }
}

/**
 * What each option of a plan did: main effects, all estimated together from the plan's design, so that an option is not thanked for the
 * company it was tried in. Linear with normal priors and a noise estimated from what is left over; interactions are not told apart.
 * `spread` is how far scores can lie apart: 1 for verdicts.
 */
export function effectsOf(judged: readonly Judged[], sizes: readonly number[], spread = 1): FactorEffect[] {
  const offsets = sizes.map((_, f) => 1 + sizes.slice(0, f).reduce((sum, n) => sum + n, 0))
  const size = 1 + sizes.reduce((sum, n) => sum + n, 0)
  // What is fitted takes its share of the noise: a mean, and all options of a thing but one.
  const fitted = size - sizes.length
  const prior = PRIOR * spread
  const least = LEAST_NOISE * spread
  let noise = PRIOR * spread
  // A few rounds are enough: the noise changes the effects little, and these the noise.
  for (let round = 0; round < 4 && judged.length > 2; round++) {
    const { mean } = posterior(judged, offsets, size, noise, prior)
    const left = judged.reduce((sum, { row, score }) => sum + (score - mean[0]! - row.reduce((all, option, f) => all + mean[offsets[f]! + option]!, 0)) ** 2, 0)
    // As if two results more had been off by the noise that was expected: few results say little of it.
    noise = Math.max(least, Math.sqrt((left + 2 * prior ** 2) / (Math.max(0, judged.length - fitted) + 2)))
  }
  const { mean, lower } = posterior(judged, offsets, size, noise, prior)
  const random = seededRandom(SEED)
  const draws = Array.from({ length: DRAWS }, () => backward(lower, Array.from({ length: size }, () => normal(random))).map((x, i) => x + mean[i]!))
  return sizes.map((n, factor) => {
    const at = offsets[factor]!
    const centred = draws.map((draw) => {
      const own = draw.slice(at, at + n)
      const middle = own.reduce((sum, x) => sum + x, 0) / n
      return own.map((x) => x - middle)
    })
    const options = Array.from({ length: n }, (_, option): OptionEffect => {
      const own = judged.filter(({ row }) => row[factor] === option)
      const values = centred.map((draw) => draw[option]!)
      const effect = values.reduce((sum, x) => sum + x, 0) / DRAWS
      const sd = Math.sqrt(values.reduce((sum, x) => sum + (x - effect) ** 2, 0) / DRAWS)
      const best = centred.filter((draw) => draw[option]! >= Math.max(...draw)).length / DRAWS
      return { option, judged: own.length, mean: own.length ? own.reduce((sum, { score }) => sum + score, 0) / own.length : null, effect, low: effect - NINE_IN_TEN * sd, high: effect + NINE_IN_TEN * sd, best }
    })
    const [first, second] = options.toSorted((x, y) => y.effect - x.effect)
    const told = first && second && first.best >= TOLD && first.judged > 0 && second.judged > 0 ? first.option : null
    const difference = first && second ? first.effect - second.effect : 0
    // Two means of n results each lie apart by twice the noise over n; the prior is left out of it.
    const wanted = told === null && difference > 0.02 * spread ? Math.ceil(2 * (NINE_IN_TEN * (noise / difference)) ** 2) : null
    return { factor, options, told, wanted }
  })
}
