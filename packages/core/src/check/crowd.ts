import type { Check } from './checked.ts'
import { namedFigures, numbersOfFigures } from './figures.ts'
import { inText } from './finding.ts'

/** Figures that any engine draws well, and that most draw badly above. */
const WELL = 4
const CROWD = 7

export const crowd: Check = (checked) => {
  const well = checked.engine?.figures ?? WELL
  const limit = Math.max(CROWD, well + 1)
  const few = numbersOfFigures(checked)
  const many = few.filter(({ number }) => number >= limit)
  const reason = (said: string) => `Engines draw so many figures badly: faces melt and limbs are shared (“${said}”). Show a few near, and the rest as shapes.`
  if (many.length) return [{ kind: 'crowd', severity: 'caution', where: inText(many[0]!), facet: 'subject', reason: reason(checked.said(many[0]!)) }]
  const named = namedFigures(checked)
  const total = named.filter((one) => !few.some((other) => other.start < one.end && other.end > one.start)).length + few.reduce((sum, { number }) => sum + number, 0)
  if (named.length < Math.max(5, well + 1) && total < limit) return []
  if (named.length === 0) return [{ kind: 'crowd', severity: 'caution', where: inText(few[0]!), facet: 'subject', reason: reason(checked.said(few[0]!)) }]
  const where = { start: named[0]!.start, end: named[named.length - 1]!.end }
  return [{ kind: 'crowd', severity: 'caution', where: inText(where), facet: 'subject', reason: `${total} figures are named, each to be told from the others; most engines lose count after ${well}.` }]
}
