import { labOf } from '../oklab.ts'
import type { PaletteColour } from '../shape.ts'
import type { View } from '../view.ts'

const EDGE = 96
const COLUMNS = 48

/** Which colour of the palette each cell of the picture is nearest to, row by row. */
export function colourMap(view: View, palette: readonly PaletteColour[]): { columns: number; of: number[] } {
  const { l, a, b } = view.at(EDGE)
  const columns = Math.min(COLUMNS, l.width)
  const rows = Math.max(1, Math.min(l.height, Math.round((columns * l.height) / l.width)))
  const labs = palette.map(({ hex }) => labOf(hex))
  const of = Array.from({ length: columns * rows }, (_, cell) => {
    const [x, y] = [Math.floor((((cell % columns) + 0.5) * l.width) / columns), Math.floor(((Math.floor(cell / columns) + 0.5) * l.height) / rows)]
    const i = y * l.width + x
    let [best, least] = [0, Infinity]
    labs.forEach(([lightness, green, blue], k) => {
      const apart = (lightness - l.at[i]!) ** 2 + (green - a.at[i]!) ** 2 + (blue - b.at[i]!) ** 2
      if (apart < least) [best, least] = [k, apart]
    })
    return best
  })
  return { columns, of }
}
