import { layout } from '../../lexicon/dimensions/index.ts'
import { valuesIn } from '../../lexicon/lexicon.ts'
import { type Judge, verdict } from './verdict.ts'

const SIDE = /\b(?:on|at|to|in) the (?:far )?(left|right)\b/i

/** Where the subject stands, and how much is about it. */
export const layoutJudge: Judge = ({ facet, text }, { side, busy, symmetric }) => {
  if (facet !== 'framing') return undefined
  const said = new Set(valuesIn(text, layout))
  if (/symmetric/i.test(text) && !/asymmetric/i.test(text) && symmetric !== null) return verdict('symmetric', symmetric, symmetric ? 'left mirrors right' : 'left does not mirror right')
  const where = SIDE.exec(text)?.[1]?.toLowerCase() ?? (said.has('centred') ? 'centre' : undefined)
  if (where && side !== null) return verdict('side', where === side, `the eye goes to the ${side === 'centre' ? 'middle' : side}`)
  if ((said.has('sparse') || said.has('dense')) && busy !== null) return verdict('busy', said.has('dense') === busy, busy ? 'there is detail nearly everywhere' : 'there is calm about it')
  return undefined
}
