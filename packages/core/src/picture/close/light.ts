import type { LightSide } from '../shape.ts'
import type { Respect } from './closeness.ts'
import { phraseFor } from './colours.ts'

/** Degrees from straight above, clockwise. */
const ANGLES: Readonly<Record<LightSide, number>> = { left: -90, 'upper left': -45, above: 0, 'upper right': 45, right: 90 }
/** Where no side can be told, the light is neither right nor wrong. */
const UNTOLD = 0.5

/** From which side the light comes. */
export const lightCloseness: Respect = (reference, proof) => {
  if (reference.lightSide === null) return undefined
  const phrase = phraseFor(reference, 'lightSide')
  const closing = phrase ? [{ facet: phrase.facet, say: phrase.text }] : []
  if (proof.lightSide === null) return { close: UNTOLD, says: 'no side can be told from which it is lit', closing }
  const off = Math.abs(ANGLES[proof.lightSide] - ANGLES[reference.lightSide])
  return { close: 1 - off / 180, says: off === 0 ? 'lit from the same side' : `lit from ${proof.lightSide === 'above' ? 'above' : `the ${proof.lightSide}`}, ${off} degrees off`, closing: off === 0 ? [] : closing }
}
