import { type Lab, oklabOf } from '../oklab.ts'
import type { PaletteColour, PictureReading } from '../shape.ts'

export const labOf = (hex: string): Lab => oklabOf(...([1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16)) as [number, number, number]))

/** A palette's mean by share: how light it is, and how warm, along the axis from orange to blue. */
export function meanOf(palette: readonly PaletteColour[]): { light: number; warm: number } | undefined {
  const all = palette.reduce((sum, { share }) => sum + share, 0)
  if (all === 0) return undefined
  const axis = (50 * Math.PI) / 180
  let [light, warm] = [0, 0]
  for (const { hex, share } of palette) {
    const [l, a, b] = labOf(hex)
    light += (l * share) / all
    warm += ((a * Math.cos(axis) + b * Math.sin(axis)) * share) / all
  }
  return { light, warm }
}

/** The phrase of a reading that a fact bears out. */
export const phraseFor = ({ phrases }: PictureReading, evidence: string, which: (text: string) => boolean = () => true) => phrases.find((phrase) => phrase.evidence === evidence && which(phrase.text))
