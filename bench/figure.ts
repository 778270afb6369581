/** One thing measured, beside what it is measured against. */
export interface Figure {
  what: string
  value: number
  unit: 'ms' | 's' | 'kB' | 'rows' | '%'
  /** The same kind of thing without our part in it, in the same run. */
  baseline: { what: string; value: number }
  /** The most it may be. */
  limit: number
}

export type Bench = () => Promise<Figure[]>

export function percentile(values: readonly number[], p: number): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.ceil((p / 100) * sorted.length) - 1)] ?? NaN
}

export async function timed(task: () => Promise<unknown>): Promise<number> {
  const began = performance.now()
  await task()
  return performance.now() - began
}
