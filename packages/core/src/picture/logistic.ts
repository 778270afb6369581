/** A multinomial logistic model: the scale of its features, and for each class a weight a feature and a constant. */
export interface Logistic {
  mean: readonly number[]
  deviation: readonly number[]
  weights: readonly (readonly number[])[]
}

/** Features further off than this from what was learned from say no more than this, in deviations. */
const FARTHEST = 4

/** Features in deviations from the mean of what was learned from. @throws RangeError when there are not as many as the model has. */
export function scaled(features: ArrayLike<number>, { mean, deviation }: Pick<Logistic, 'mean' | 'deviation'>): Float64Array {
  if (features.length !== mean.length) throw new RangeError(`${features.length} features; the model is for ${mean.length}.`)
  return Float64Array.from(features, (value, k) => Math.max(-FARTHEST, Math.min(FARTHEST, (value - mean[k]!) / deviation[k]!)))
}

/** How likely each class is, for scaled features; the shares add up to one. */
export function sharesOf(features: ArrayLike<number>, weights: Logistic['weights']): number[] {
  const size = features.length
  const sums = weights.map((row) => {
    let sum = row[size]!
    for (let k = 0; k < size; k++) sum += row[k]! * features[k]!
    return sum
  })
  const most = Math.max(...sums)
  const shares = sums.map((sum) => Math.exp(sum - most))
  const all = shares.reduce((sum, share) => sum + share, 0)
  return shares.map((share) => share / all)
}

/** The likeliest class and how likely it is. */
export function likeliest<T>(shares: readonly number[], classes: readonly T[]): { value: T; share: number } {
  const best = shares.indexOf(Math.max(...shares))
  return { value: classes[best]!, share: shares[best]! }
}
