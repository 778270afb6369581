import { intervalOf, type Judgement, nextPair, orderOf, PRIOR_SD, rank, seededRandom } from '@idolon/core'
import { type Bench } from './figure.ts'

const SITTINGS = { 8: 200, 16: 100 } as const

/** Judges who prefer by the model, asked for the pair that tells most, and for pairs at random, five times as often as there are things. */
export const ranking: Bench = () => {
  const random = seededRandom(1_952)
  // Two even values make a normal one (Box and Muller 1958).
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  function sitting(count: number, chosen: boolean): { missed: boolean; covered: number } {
    const truth = Array.from({ length: count }, () => PRIOR_SD * normal())
    const judgements: Judgement[] = []
    let now = rank(count, judgements)
    while (judgements.length < 5 * count) {
      const left = Math.floor(random() * count)
      const pair = chosen ? nextPair(now)!.pair : [left, (left + 1 + Math.floor(random() * (count - 1))) % count]
      judgements.push({ left: pair[0]!, right: pair[1]!, better: random() < 1 / (1 + Math.exp(truth[pair[1]!]! - truth[pair[0]!]!)) ? 'left' : 'right' })
      if (chosen) now = rank(count, judgements)
    }
    if (!chosen) now = rank(count, judgements)
    const covered = truth.filter((strength, i) => {
      const [low, high] = intervalOf(now, i)
      return low <= strength && strength <= high
    }).length
    return { missed: !orderOf(now).slice(0, 2).includes(truth.indexOf(Math.max(...truth))), covered }
  }
  const share = (list: readonly { missed: boolean }[]) => (100 * list.filter(({ missed }) => missed).length) / list.length
  return Promise.resolve(
    ([8, 16] as const).flatMap((count) => {
      const chosen = Array.from({ length: SITTINGS[count] }, () => sitting(count, true))
      const drawn = Array.from({ length: SITTINGS[count] }, () => sitting(count, false))
      const covered = (list: readonly { covered: number }[]) => (100 * list.reduce((sum, one) => sum + one.covered, 0)) / (list.length * count)
      return [
        { what: `Sittings over ${count} pictures in which the true best is not among the first two`, value: share(chosen), unit: '%' as const, baseline: { what: 'pairs drawn at random', value: share(drawn) }, limit: 10 },
        { what: `How far intervals of 90 % are from covering 90 %, over ${count} pictures`, value: Math.abs(covered(chosen) - 90), unit: '%' as const, baseline: { what: 'pairs drawn at random', value: Math.abs(covered(drawn) - 90) }, limit: 3 },
      ]
    }),
  )
}
