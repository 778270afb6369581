import type { Respect } from './closeness.ts'
import { meanOf } from './colours.ts'

/** So much lighter or darker, on OKLab's scale from 0 to 1, is the other end. */
const APART = 0.4
const SAME = 0.04

export const keyCloseness: Respect = (reference, proof) => {
  const [own, its] = [meanOf(reference.palette), meanOf(proof.palette)]
  if (!own || !its) return undefined
  const off = its.light - own.light
  const close = 1 - Math.abs(off) / APART
  if (Math.abs(off) < SAME) return { close, says: 'as light as the reference', closing: [] }
  const towards = off > 0 ? 'low-key light' : 'high-key light'
  const against = reference.key === (off > 0 ? 'high' : 'low')
  const settled = reference.key === (off > 0 ? 'low' : 'high')
  return { close, says: `${off > 0 ? 'lighter' : 'darker'} by ${Math.round(Math.abs(off) * 100)} of 100`, closing: against ? [] : [{ facet: 'light', say: settled ? towards : off > 0 ? 'darker tones' : 'bright soft light' }] }
}
