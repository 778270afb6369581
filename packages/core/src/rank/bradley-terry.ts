/** One comparison of two of the things ranked, by their places; `better` is undefined when the judge could not tell. */
export interface Judgement {
  left: number
  right: number
  better: 'left' | 'right' | undefined
}

/** Standard deviation of strengths before anything is known, in logits. */
export const PRIOR_SD = 2

/** How strong each thing is, in logits, mean 0 beforehand; with how sure that is. */
export interface Ranking {
  strengths: number[]
  /** Covariance of the strengths. */
  covariance: number[][]
}

const logistic = (x: number) => 1 / (1 + Math.exp(-x))
const SWEEPS = 50
const SMALL = 1e-6

/** Nodes and weights of an even rule over six standard deviations either way: enough for what is as smooth as a logistic. */
const NODES = Array.from({ length: 25 }, (_, i) => -6 + i / 2)

/** Mean and variance of a normal value given how the judge answered; the answer's chance is the logistic, or its square root both ways for one who could not tell. */
function given(mean: number, variance: number, better: Judgement['better']): { mean: number; variance: number } {
  const sd = Math.sqrt(variance)
  let [total, first, second] = [0, 0, 0]
  for (const node of NODES) {
    const d = mean + sd * node
    const chance = better === 'left' ? logistic(d) : better === 'right' ? logistic(-d) : Math.sqrt(logistic(d) * logistic(-d))
    const weight = chance * Math.exp((-node * node) / 2)
    total += weight
    first += weight * node
    second += weight * node * node
  }
  const shift = first / total
  return { mean: mean + sd * shift, variance: variance * (second / total - shift * shift) }
}

/**
 * Strengths by the model of Bradley and Terry (1952): the chance that one is judged better than another is the logistic of
 * the difference of their strengths. Strengths are normal beforehand, mean 0 and standard deviation PRIOR_SD, so that every
 * set of judgements has one answer; a judge who could not tell counts half for each. Means and covariance by expectation
 * propagation (Minka 2001), since the peak of so few judgements lies nearer to 0 than their mean, and its curve is too narrow.
 * @throws RangeError when a judgement names a place that there is not, or one thing twice.
 */
export function rank(count: number, judgements: readonly Judgement[]): Ranking {
  for (const { left, right } of judgements) {
    if (left === right || ![left, right].every((place) => Number.isInteger(place) && place >= 0 && place < count)) throw new RangeError(`No judgement between ${left} and ${right} of ${count}.`)
  }
  const strengths = new Array<number>(count).fill(0)
  const covariance = strengths.map((_, i) => strengths.map((__, j) => (i === j ? PRIOR_SD ** 2 : 0)))
  /** What each judgement adds: precision, and precision times mean, of the difference. */
  const sites = judgements.map(() => ({ precision: 0, weighted: 0 }))
  for (let sweep = 0; sweep < SWEEPS; sweep++) {
    let moved = 0
    judgements.forEach(({ left, right, better }, g) => {
      const site = sites[g]!
      const mean = strengths[left]! - strengths[right]!
      const variance = covariance[left]![left]! + covariance[right]![right]! - 2 * covariance[left]![right]!
      // Without this judgement, then with its true effect instead of the normal one that stands for it.
      const precision = 1 / variance - site.precision
      const without = (mean / variance - site.weighted) / precision
      const tilted = given(without, 1 / precision, better)
      const next = { precision: 1 / tilted.variance - precision, weighted: tilted.mean / tilted.variance - without * precision }
      const [more, push] = [next.precision - site.precision, next.weighted - site.weighted]
      sites[g] = next
      const scale = more / (1 + more * variance)
      const along = covariance.map((row) => row[left]! - row[right]!)
      const lift = push - scale * (mean + push * variance)
      for (let i = 0; i < count; i++) {
        strengths[i]! += along[i]! * lift
        for (let j = 0; j < count; j++) covariance[i]![j]! -= scale * along[i]! * along[j]!
      }
      moved = Math.max(moved, Math.abs(more), Math.abs(push))
    })
    if (moved < SMALL) break
  }
  return { strengths, covariance }
}

/** Standard deviation of the difference of two strengths. */
export const spreadBetween = ({ covariance }: Ranking, i: number, j: number): number => Math.sqrt(Math.max(0, covariance[i]![i]! + covariance[j]![j]! - 2 * covariance[i]![j]!))

/** Of the normal distribution, the value that two-sided intervals of 90 % reach to. */
const REACH = 1.6449
/** The interval that holds the strength with a chance of 90 %. */
export function intervalOf({ strengths, covariance }: Ranking, i: number): [low: number, high: number] {
  const reach = REACH * Math.sqrt(covariance[i]![i]!)
  return [strengths[i]! - reach, strengths[i]! + reach]
}

/** Whether one can be told to be stronger than another, or weaker, with a chance of 95 %. */
export const toldApart = (ranking: Ranking, i: number, j: number): boolean => Math.abs(ranking.strengths[i]! - ranking.strengths[j]!) > REACH * spreadBetween(ranking, i, j)
