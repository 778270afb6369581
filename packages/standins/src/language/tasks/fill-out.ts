import { type Asked, linesOf } from '../asked.ts'
import { fillOut } from '../fill.ts'
import { slips } from '../habits.ts'
import { withSlips } from '../slip.ts'

/** A draft filled out into a full prompt. */
export function fillOutTask(asked: Asked): { prompt: string } {
  const { told, random, way, habits, given } = asked
  const words = told.words === undefined ? undefined : Math.round(told.words * (slips('tooLong', habits, told, random) ? 1.35 : 1))
  const locked = linesOf(given('locked'))
  const unwanted = linesOf(given('leaveOut')).map((entry) => entry.toLowerCase().replace(/s$/, ''))
  const { text } = fillOut(given('prompt'), { ...told, words }, { random, way, terse: habits.terse, unwanted, locked })
  return { prompt: withSlips(text, asked, locked, true) }
}
