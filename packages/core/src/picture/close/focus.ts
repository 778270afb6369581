import { FEWEST_CELLS } from '../measure/focus.ts'
import { BLURRED_EDGE, type PictureReading } from '../shape.ts'
import type { Respect } from './closeness.ts'
import { phraseFor } from './colours.ts'

const APART = 0.6

/** Of what has edges at all, how much is out of focus. */
function blurredShare({ where }: PictureReading): number | undefined {
  const widths = where.edges.widths.filter((width) => width !== null)
  return widths.length < FEWEST_CELLS ? undefined : widths.filter((width) => width > BLURRED_EDGE).length / widths.length
}

export const focusCloseness: Respect = (reference, proof) => {
  if (reference.medium !== 'photo') return undefined
  const [own, its] = [blurredShare(reference), blurredShare(proof)]
  if (own === undefined || its === undefined) return undefined
  const phrase = phraseFor(reference, 'focus')
  return { close: 1 - Math.abs(own - its) / APART, says: `${Math.round(its * 100)} % of its edges are out of focus, ${Math.round(own * 100)} % of the reference’s`, closing: phrase && reference.focus !== proof.focus ? [{ facet: 'technique', say: phrase.text }] : [] }
}
