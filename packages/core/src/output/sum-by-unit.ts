/** So much of a unit: engines have units of their own, which are never added to one another. */
interface Amount {
  unit: string
  amount: number
}

/** Amounts added up, each unit by itself, in the order in which they first come. */
export function sumByUnit(amounts: readonly Amount[]): Amount[] {
  const sums = new Map<string, number>()
  for (const { unit, amount } of amounts) sums.set(unit, (sums.get(unit) ?? 0) + amount)
  return [...sums].map(([unit, amount]) => ({ unit, amount }))
}
