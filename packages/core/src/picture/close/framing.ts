import { areaOf, type Box } from '../seen/seen.ts'
import type { Respect } from './closeness.ts'
import { phraseFor } from './colours.ts'
import type { Close } from '../shape.ts'

/** A figure of so many times the size is another shot, and one so far off another place. */
const SIZE_APART = Math.log(6)
const PLACE_APART = 0.5
const SAME_SIZE = Math.log(1.35)
const SAME_PLACE = 0.1

/** The main figure's size and place; where the pictures have none that is sure, where the eye goes. */
export const framingCloseness: Respect = (reference, proof) => {
  const closing: Close['closing'] = []
  const place = phraseFor(reference, 'side')
  if (reference.figure && proof.figure) {
    const [own, its] = [reference.figure as unknown as Box, proof.figure as unknown as Box]
    const size = Math.log(Math.max(1e-4, areaOf(its)) / Math.max(1e-4, areaOf(own)))
    const off = Math.hypot((its[0] + its[2] - own[0] - own[2]) / 2, (its[1] + its[3] - own[1] - own[3]) / 2)
    const shot = phraseFor(reference, 'shot')
    if (Math.abs(size) > SAME_SIZE) closing.push({ facet: 'framing', say: shot && reference.shot !== proof.shot ? shot.text : size > 0 ? 'seen from further away' : 'closer view' })
    if (off > SAME_PLACE && place && reference.side !== proof.side) closing.push({ facet: 'framing', say: place.text })
    const times = Math.exp(Math.abs(size))
    const said = [times < 1.35 ? 'the main figure is as large' : `the main figure is ${times < 10 ? times.toFixed(1) : 'more than ten'} times as ${size > 0 ? 'large' : 'small'}`, off < SAME_PLACE ? 'in the same place' : `${Math.round(off * 100)} % of the picture away`]
    return { close: 1 - (Math.min(1, Math.abs(size) / SIZE_APART) + Math.min(1, off / PLACE_APART)) / 2, says: said.join(', '), closing }
  }
  const [own, its] = [reference.where.eye, proof.where.eye]
  if (!own || !its) return undefined
  const off = Math.hypot(own.x - its.x, own.y - its.y)
  if (off > SAME_PLACE && place && reference.side !== proof.side) closing.push({ facet: 'framing', say: place.text })
  return { close: 1 - off / PLACE_APART, says: off < SAME_PLACE ? 'the eye goes to the same place' : `the eye goes ${Math.round(off * 100)} % of the picture away`, closing }
}
