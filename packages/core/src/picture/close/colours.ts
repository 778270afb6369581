import { labOf, warmthOf } from '../oklab.ts'
import type { PaletteColour, PictureReading } from '../shape.ts'

/** A palette's mean by share: how light it is, and how warm, along the axis from orange to blue. */
export function meanOf(palette: readonly PaletteColour[]): { light: number; warm: number } | undefined {
  const all = palette.reduce((sum, { share }) => sum + share, 0)
  if (all === 0) return undefined
  let [light, warm] = [0, 0]
  for (const { hex, share } of palette) {
    const [l, a, b] = labOf(hex)
    light += (l * share) / all
    warm += (warmthOf(a, b) * share) / all
  }
  return { light, warm }
}

/** The phrase of a reading that a fact bears out. */
export const phraseFor = ({ phrases }: PictureReading, evidence: string) => phrases.find((phrase) => phrase.evidence === evidence)
