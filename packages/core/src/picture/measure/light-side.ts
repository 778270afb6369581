import { boxBlur, type Plane } from '../planes.ts'
import { LIGHT_SIDES, type LightSide } from '../shape.ts'
import type { View } from '../view.ts'

const EDGE = 128
/** Slopes of lightness that come from shading: steeper ones are the edges of things, flatter ones nothing. */
const LEAST = 0.004
const MOST = 0.05
/** The middle of a picture, where its subject is sought: the whole and the middle must agree. */
const MIDDLE = [0.25, 0.2, 0.75, 0.9] as const
/** So much of the shading points one way, across and up, where the light comes from there; ground and sky alone lean a little upwards. */
const ACROSS = 0.16
const UP = 0.2
const STRAIGHT_UP = 0.34

/** How shading leans within a part of a picture: the mean of its slopes by their length, from -1 to 1 to the right and downwards (after Pentland 1982). */
function leaning({ width, height, at }: Plane, [x0, y0, x1, y1]: readonly [number, number, number, number]): { x: number; y: number } {
  let [x, y, all] = [0, 0, 0]
  for (let v = Math.max(2, Math.ceil(y0 * height)); v < Math.min(height - 2, y1 * height); v++)
    for (let u = Math.max(2, Math.ceil(x0 * width)); u < Math.min(width - 2, x1 * width); u++) {
      const i = v * width + u
      const [across, down] = [(at[i + 1]! - at[i - 1]!) / 2, (at[i + width]! - at[i - width]!) / 2]
      const slope = Math.hypot(across, down)
      if (slope < LEAST || slope > MOST) continue
      x += across
      y += down
      all += slope
    }
  return all > 0 ? { x: x / all, y: y / all } : { x: 0, y: 0 }
}

/**
 * From which side the light comes, told from shading: bodies are lighter towards it, while the edge of a thing adds up to nothing
 * all round. Undefined where the whole and its middle do not lean the same way.
 */
export function lightSide(view: View): LightSide | undefined {
  const smooth = boxBlur(view.at(EDGE).l, 1)
  const [whole, middle] = [leaning(smooth, [0, 0, 1, 1]), leaning(smooth, MIDDLE)]
  const across = Math.sign(whole.x) === Math.sign(middle.x) ? Math.sign(whole.x) * Math.min(Math.abs(whole.x), Math.abs(middle.x)) : 0
  const up = -Math.max(whole.y, middle.y)
  if (Math.abs(across) >= ACROSS) {
    const side = across < 0 ? 'left' : 'right'
    return LIGHT_SIDES.find((one) => one === (up >= UP ? `upper ${side}` : side))
  }
  return up >= STRAIGHT_UP && Math.abs(whole.x) < ACROSS / 2 ? 'above' : undefined
}
