import { chromaOf, labOf } from '../oklab.ts'
import type { PaletteColour } from '../shape.ts'
import type { Respect } from './closeness.ts'

/** So much more or less chroma in OKLab, on the mean, is another strength of colour. */
const APART = 0.09
const SAME = 0.012

const meanChroma = (palette: readonly PaletteColour[]) => palette.reduce((sum, { hex, share }) => sum + share * chromaOf(labOf(hex)), 0) / palette.reduce((sum, { share }) => sum + share, 0)

/** How strong the colours are. */
export const saturationCloseness: Respect = (reference, proof) => {
  if (reference.palette.length === 0 || proof.palette.length === 0) return undefined
  const off = meanChroma(proof.palette) - meanChroma(reference.palette)
  const close = 1 - Math.abs(off) / APART
  if (Math.abs(off) < SAME) return { close, says: 'as strongly coloured', closing: [] }
  const against = reference.saturation === (off > 0 ? 'vivid' : 'muted')
  return { close, says: `${off > 0 ? 'more' : 'less'} strongly coloured, by ${Math.abs(off).toFixed(2)} of chroma in OKLab`, closing: against ? [] : [{ facet: 'colour', say: reference.mono && off > 0 ? 'monochrome' : off > 0 ? 'muted colours' : 'vivid colours' }] }
}
