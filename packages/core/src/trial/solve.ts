/** A symmetric matrix as rows. */
export type Matrix = readonly (readonly number[])[]

/**
 * The lower triangle L of a symmetric positive definite matrix with L·Lᵀ = A (Cholesky).
 * @throws RangeError when the matrix is not positive definite.
 */
export function cholesky(a: Matrix): number[][] {
  const n = a.length
  const lower = Array.from({ length: n }, () => new Array<number>(n).fill(0))
  for (let i = 0; i < n; i++)
    for (let j = 0; j <= i; j++) {
      let sum = a[i]![j]!
      for (let k = 0; k < j; k++) sum -= lower[i]![k]! * lower[j]![k]!
      if (i === j && sum <= 0) throw new RangeError('The matrix is not positive definite.')
      lower[i]![j] = i === j ? Math.sqrt(sum) : sum / lower[j]![j]!
    }
  return lower
}

/** x with L·x = b. */
export function forward(lower: Matrix, b: readonly number[]): number[] {
  const x: number[] = []
  lower.forEach((row, i) => {
    let sum = b[i]!
    for (let k = 0; k < i; k++) sum -= row[k]! * x[k]!
    x.push(sum / row[i]!)
  })
  return x
}

/** x with Lᵀ·x = b. */
export function backward(lower: Matrix, b: readonly number[]): number[] {
  const n = b.length
  const x = new Array<number>(n).fill(0)
  for (let i = n - 1; i >= 0; i--) {
    let sum = b[i]!
    for (let k = i + 1; k < n; k++) sum -= lower[k]![i]! * x[k]!
    x[i] = sum / lower[i]![i]!
  }
  return x
}
