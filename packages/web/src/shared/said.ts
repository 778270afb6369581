import type { Amount } from '@idolon/contract'

/** "16 credits", "nothing". */
export function sayAmounts(amounts: readonly Amount[]): string {
  const said = amounts.filter(({ amount }) => amount !== 0).map(({ amount, unit }) => `${amount.toLocaleString('en')} ${unit}${amount === 1 ? '' : 's'}`)
  return said.length ? said.join(' and ') : 'nothing'
}

export const counted = (n: number, one: string, many = `${one}s`): string => `${n.toLocaleString('en')} ${n === 1 ? one : many}`

const STEPS: [number, Intl.RelativeTimeFormatUnit][] = [
  [60, 'second'],
  [3_600, 'minute'],
  [86_400, 'hour'],
  [604_800, 'day'],
  [2_629_800, 'week'],
]
const relative = new Intl.RelativeTimeFormat('en', { numeric: 'auto' })

/** "3 minutes ago"; a date when it is long past. */
export function sayWhen(instant: string, now = Date.now()): string {
  const seconds = Math.round((now - Date.parse(instant)) / 1000)
  if (seconds < 45) return 'just now'
  let size = 1
  for (const [limit, unit] of STEPS) {
    if (seconds < limit) return relative.format(-Math.round(seconds / size), unit)
    size = limit
  }
  return new Date(instant).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' })
}

export const sayExactly = (instant: string): string => new Date(instant).toLocaleString('en-GB', { dateStyle: 'long', timeStyle: 'medium' })

/** What a prompt has shown: “2 of 8 kept”. */
export const sayRecord = ({ proofs, keepers }: { proofs: number; keepers: number }): string => (proofs ? `${keepers} of ${proofs} kept` : 'not tried')
