import { quantile } from '../planes.ts'
import type { View } from '../view.ts'

const EDGE = 256
/** Nothing in it has more chroma: black and white. */
const GREY = 0.025
/** Of a toned picture, the hues lie this close together (length of their mean, weighted by chroma), and none is vivid. */
const TOGETHER = 0.985
const VIVID = 0.14
const SOME = 0.012

/** Whether a picture has one hue or none: black and white, or toned in one colour; undefined where it is hard to tell. */
export function mono(view: View): boolean | undefined {
  const { a, b } = view.at(EDGE)
  const chroma = a.at.map((x, i) => Math.hypot(x, b.at[i]!))
  const most = quantile(chroma, 0.97)
  if (most < GREY) return true
  let [x, y, sum] = [0, 0, 0]
  chroma.forEach((c, i) => {
    if (c < SOME) return
    x += a.at[i]!
    y += b.at[i]!
    sum += c
  })
  const together = sum > 0 ? Math.hypot(x, y) / sum : 1
  if (together > TOGETHER && most < VIVID) return most < 0.09 ? true : undefined
  return false
}
