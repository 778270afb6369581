import { shot } from '../../lexicon/dimensions/index.ts'
import type { Shot } from '../shape.ts'
import { valuesIn } from '../../lexicon/lexicon.ts'
import { type Judge, verdict } from './verdict.ts'

/** Steps from near to far: what is one step off is a matter of taste. */
const STEP: Readonly<Record<string, number>> = { detail: 0, close: 0, mediumClose: 0.5, medium: 1, full: 2, wide: 3, farthest: 3 }
const OWN: Readonly<Record<Shot, number>> = { 'close-up': 0, medium: 1, full: 2, wide: 3 }

/** How near the main figure is seen. */
export const shotJudge: Judge = ({ text }, reading) => {
  const [said] = valuesIn(text, shot)
  if (!said || reading.shot === null) return undefined
  const off = Math.abs(STEP[said]! - OWN[reading.shot])
  return off === 1 ? undefined : verdict('shot', off < 1, `the main figure is seen as a ${reading.shot === 'full' ? 'full figure' : reading.shot}`)
}
