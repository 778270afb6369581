import type { Allowed, Row } from './row.ts'

/** From the first option of everything, each other option once with the rest as it was. */
export function oneAtATime(sizes: readonly number[], allowed: Allowed): Row[] {
  const base = sizes.map(() => 0)
  const rows: Row[] = [base, ...sizes.flatMap((size, i) => Array.from({ length: size - 1 }, (_, k) => base.with(i, k + 1)))]
  return rows.filter(allowed)
}
