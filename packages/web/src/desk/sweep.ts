import type { SettingProfile, SettingValue } from '@idolon/core'

/** One setting at several values, everything else alike. */
export interface Sweep {
  key: string
  values: SettingValue[]
}

/** How else to try than with the draft's own seed or a new one. */
export interface Way {
  /** Of the first result; null for a new one. */
  seed?: number | null
  sweep?: Sweep
}

/** Values that a number of even steps goes through, each one that the setting can have; doubles left out. */
export function stepsBetween({ min, max, step }: Extract<SettingProfile, { kind: 'number' }>, from: number, to: number, steps: number): number[] {
  if (![from, to, steps].every(Number.isFinite)) return []
  const count = Math.min(12, Math.max(2, Math.round(steps)))
  const decimals = String(step).split('.')[1]?.length ?? 0
  const values = Array.from({ length: count }, (_, i) => {
    const even = from + ((to - from) * i) / (count - 1)
    return Number(Math.min(max, Math.max(min, min + Math.round((even - min) / step) * step)).toFixed(decimals))
  })
  return [...new Set(values)]
}
