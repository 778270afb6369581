import type { Amount } from '@idolon/contract'
import type { Knex } from 'knex'
import { ProblemError } from '../http/problem.ts'

export interface Money {
  currency: string
  rates: { unit: string; price: number }[]
  ceiling: { unit: string; amount: number } | null
}

const said = (amount: number, unit: string, currency: string) =>
  unit === currency ? `${amount.toLocaleString('en', { minimumFractionDigits: 2, maximumFractionDigits: 2 })} ${unit}` : `${amount.toLocaleString('en')} ${unit}${amount === 1 ? '' : 's'}`

/** What amounts come to in the unit of a ceiling. */
function inUnitOf(ceiling: { unit: string }, amounts: readonly Amount[], { currency, rates }: Money): number {
  if (ceiling.unit !== currency) return amounts.filter(({ unit }) => unit === ceiling.unit).reduce((sum, { amount }) => sum + amount, 0)
  return amounts.reduce((sum, { unit, amount }) => {
    const rate = rates.find((one) => one.unit === unit)
    if (!rate && amount !== 0) throw new ProblemError('over-ceiling', `The ceiling is in ${currency}, and nothing says what a ${unit} costs. Give its price on the project’s page; nothing was started.`)
    return sum + amount * (rate?.price ?? 0)
  }, 0)
}

/**
 * Refuses what would pass the project's ceiling, with what is spent and reserved so far. The project's row must be locked, so
 * that two runs at once cannot both take what is left.
 */
export async function demandUnderCeiling(trx: Knex.Transaction, projectId: string, wanted: readonly Amount[]): Promise<void> {
  const money = await trx('projects').where({ id: projectId }).first<Money>('currency', 'rates', 'ceiling')
  const { ceiling, currency } = money
  if (!ceiling) return
  const { rows } = await trx.raw<{ rows: Amount[] }>('select unit, sum(amount)::int as amount from ledger where project_id = ? group by unit', [projectId])
  const [spent, more] = [inUnitOf(ceiling, rows, money), inUnitOf(ceiling, wanted, money)]
  // A tenth of a millionth, for sums of prices.
  if (spent + more <= ceiling.amount + 1e-7) return
  const say = (amount: number) => said(amount, ceiling.unit, currency)
  throw new ProblemError(
    'over-ceiling',
    `This would cost ${say(more)}, and ${say(Math.max(0, ceiling.amount - spent))} is left under the project’s ceiling of ${say(ceiling.amount)}. Nothing was started; ask for less, or raise the ceiling on the project’s page.`,
  )
}
