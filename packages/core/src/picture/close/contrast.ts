import { quantile } from '../planes.ts'
import type { Respect } from './closeness.ts'

/** So much wider or narrower a range of tones, of 100, is another contrast. */
const APART = 45
const SAME = 6
const ENDS = 0.03

const rangeOf = (tones: readonly number[]) => quantile(tones, 1 - ENDS) - quantile(tones, ENDS)

/** How far the dark tones lie from the light ones, in both. */
export const contrastCloseness: Respect = (reference, proof) => {
  if (reference.where.tones.length === 0 || proof.where.tones.length === 0) return undefined
  const off = rangeOf(proof.where.tones) - rangeOf(reference.where.tones)
  const close = 1 - Math.abs(off) / APART
  if (Math.abs(off) < SAME) return { close, says: 'as much contrast', closing: [] }
  const towards = off > 0 ? 'low' : 'high'
  const against = reference.contrast === (off > 0 ? 'high' : 'low')
  return { close, says: `its tones reach ${Math.round(Math.abs(off))} of 100 ${off > 0 ? 'further' : 'less far'}`, closing: against ? [] : [{ facet: 'light', say: towards === 'low' ? 'low contrast' : 'strong contrast' }] }
}
