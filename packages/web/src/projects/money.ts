import type { Amount, Project } from '@idolon/contract'

type Rates = Pick<Project, 'currency' | 'rates'>
const plain = (amount: number, currency: string) => `${amount.toLocaleString('en', { minimumFractionDigits: 2, maximumFractionDigits: 2 })} ${currency}`

/** What amounts are worth in the project's currency; undefined where the price of a unit is not known. */
export function worth(amounts: readonly Amount[], { rates }: Rates): number | undefined {
  let sum = 0
  for (const { unit, amount } of amounts) {
    const rate = rates.find((one) => one.unit === unit)
    if (!rate && amount !== 0) return undefined
    sum += amount * (rate?.price ?? 0)
  }
  return sum
}

export const sayMoney = {
  worth: (amounts: readonly Amount[], rates: Rates): string => {
    const sum = worth(amounts, rates)
    return sum === undefined ? '' : plain(sum, rates.currency)
  },
  /** What is left under the ceiling, in words. */
  left: (project: Rates & Pick<Project, 'ceiling' | 'spent'>): { says: string; over: boolean } | undefined => {
    const { ceiling, currency, spent } = project
    if (!ceiling) return undefined
    const used = ceiling.unit === currency ? worth(spent, project) : (spent.find(({ unit }) => unit === ceiling.unit)?.amount ?? 0)
    if (used === undefined) return { says: `The ceiling is in ${currency}, and the price of a unit is missing; no run can start until it is given.`, over: true }
    const say = (amount: number) => (ceiling.unit === currency ? plain(amount, currency) : `${amount.toLocaleString('en')} ${ceiling.unit}${amount === 1 ? '' : 's'}`)
    return { says: `${say(used)} of ${say(ceiling.amount)} spent or reserved; ${say(Math.max(0, ceiling.amount - used))} left.`, over: used >= ceiling.amount }
  },
}
