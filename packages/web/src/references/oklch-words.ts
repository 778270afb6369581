import { chromaOf, hueOf, labOf } from '@idolon/core'

/** A colour in OKLCH as style sheets write it: lightness in percent, chroma, hue in degrees. */
export function oklchWords(hex: string): string {
  const lab = labOf(hex)
  return `oklch(${Math.round(lab[0] * 100)}% ${chromaOf(lab).toFixed(2)} ${Math.round(hueOf(lab))})`
}
