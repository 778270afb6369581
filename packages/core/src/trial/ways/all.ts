import { type Allowed, countOf, type Row, rowAt } from './row.ts'

/** Every combination that is allowed, the last thing varying fastest; at most `most`. */
export function everyCombination(sizes: readonly number[], allowed: Allowed, most: number): Row[] {
  const rows: Row[] = []
  const all = countOf(sizes)
  for (let i = 0; i < all && rows.length < most; i++) {
    const row = rowAt(sizes, i)
    if (allowed(row)) rows.push(row)
  }
  return rows
}
