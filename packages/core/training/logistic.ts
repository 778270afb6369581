import { sharesOf } from '../src/picture/logistic.ts'

/** Scaled features, what the shares of the classes should be, and how much it counts. */
export interface Taught {
  features: Float64Array
  shares: readonly number[]
  worth: number
}
const EPOCHS = 120
const RATE = 0.01

/** Weights and a constant for each class of a multinomial logistic model with a Gaussian prior, by Adam (Kingma & Ba 2015) over the whole set at a time. */
export function fitLogistic(set: readonly Taught[], classes: number, { prior, epochs = EPOCHS, rate = RATE }: { prior: number; epochs?: number; rate?: number }): number[][] {
  const size = set[0]!.features.length
  const row = size + 1
  const weights = new Float64Array(classes * row)
  const [first, second] = [new Float64Array(weights.length), new Float64Array(weights.length)]
  const all = set.reduce((sum, { worth }) => sum + worth, 0)
  const rows = () => Array.from({ length: classes }, (_, m) => [...weights.subarray(m * row, (m + 1) * row)])
  for (let epoch = 1; epoch <= epochs; epoch++) {
    const slope = new Float64Array(weights.length)
    const current = rows()
    for (const { features, shares, worth } of set)
      sharesOf(features, current).forEach((share, m) => {
        const off = ((share - shares[m]!) * worth) / all
        for (let k = 0; k < size; k++) slope[m * row + k]! += off * features[k]!
        slope[m * row + size]! += off
      })
    weights.forEach((weight, k) => {
      const by = slope[k]! + ((k + 1) % row ? prior * weight : 0)
      first[k] = 0.9 * first[k]! + 0.1 * by
      second[k] = 0.99 * second[k]! + 0.01 * by * by
      weights[k] = weight - (rate * (first[k]! / (1 - 0.9 ** epoch))) / (Math.sqrt(second[k]! / (1 - 0.99 ** epoch)) + 1e-8)
    })
  }
  return rows()
}

export interface Told {
  share: number
  right: boolean
}
const thousandth = (n: number) => Math.round(n * 1e3) / 1e3
/** Of what is told from each sureness on, how much that is, and how much of it is right. */
export const bySureness = (told: readonly Told[], levels: readonly number[]): { least: number; told: number; right: number }[] =>
  levels.map((least) => {
    const sure = told.filter(({ share }) => share >= least)
    return { least, told: thousandth(sure.length / told.length), right: thousandth(sure.filter(({ right }) => right).length / Math.max(1, sure.length)) }
  })
