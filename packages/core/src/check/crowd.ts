import type { Check } from './checked.ts'
import { namedFigures, numbersOfFigures } from './figures.ts'
import { inText } from './finding.ts'

/** Figures that any engine draws well, and that most draw badly above. */
const WELL = 4
const CROWD = 7

export const crowd: Check = (checked) => {
  const well = checked.engine?.figures ?? WELL
  const limit = Math.max(CROWD, well + 1)
  const many = numbersOfFigures(checked).filter(({ number }) => number >= limit)
  const reason = (said: string) => `Engines draw so many figures badly: faces melt and limbs are shared (“${said}”). Show a few near, and the rest as shapes.`
  if (many.length) return [{ kind: 'crowd', severity: 'caution', where: inText(many[0]!), facet: 'subject', reason: reason(checked.said(many[0]!)) }]
  const named = namedFigures(checked)
  if (named.length < Math.max(5, well + 1)) return []
  const where = { start: named[0]!.start, end: named[named.length - 1]!.end }
  return [{ kind: 'crowd', severity: 'caution', where: inText(where), facet: 'subject', reason: `${named.length} figures are named, each to be told from the others; most engines lose count after ${well}.` }]
}
