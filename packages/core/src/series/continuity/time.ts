import type { SeenSeries } from './seen.ts'
import { steps } from './seen.ts'
import type { Slip } from './slip.ts'
import { goesBack, HOUR_NAMES, hourOf, isAnotherDay, saysAnotherDay } from './when.ts'

/** Time running backwards within a day: noon after evening, when nothing says that it is another day. */
export function time(series: SeenSeries): Slip[] {
  return steps(series).flatMap(({ before, now, at }) => {
    const [a, b] = [hourOf(before.body.moment), hourOf(now.body.moment)]
    if (a === undefined || b === undefined || b >= a || isAnotherDay(before, now) || saysAnotherDay(now) || goesBack(now)) return []
    return [{
      kind: 'time' as const,
      scene: at,
      against: at - 1,
      words: now.body.moment,
      reason: `It is ${HOUR_NAMES[b]} after ${HOUR_NAMES[a]}, and nothing says that it is another day.`,
      fix: { label: `Say “next ${b <= 1 ? 'morning' : b === 3 ? 'afternoon' : b === 2 ? 'day at noon' : HOUR_NAMES[b]}”`, body: { ...now.body, moment: `next ${b === 2 ? 'day at noon' : now.body.moment}` } },
    }]
  })
}
