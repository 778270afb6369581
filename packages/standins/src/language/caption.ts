import type { Random } from '@idolon/core'
import { formatHex, oklch, parse } from 'culori'
import sharp from 'sharp'
import { choose } from './asked.ts'
import { COLOURS } from '../scene/words.ts'

const WRONG = ['a small dog in the background', 'the scene plays at dusk', 'a brass lamp on the left', 'seen from a low angle'] as const
/** How often a caption says something that is not so. */
const WRONG_RATE = 0.5

/** The nearest named colour, by distance in OKLab. */
function nameOf(hex: string): string {
  const { l = 0, c = 0, h = 0 } = oklch(parse(hex)) ?? {}
  const at = (chroma: number, hue: number) => [chroma * Math.cos((hue * Math.PI) / 180), chroma * Math.sin((hue * Math.PI) / 180)] as const
  const [a, b] = at(c, h)
  let best = 'grey'
  let nearest = Infinity
  for (const [name, [light, chroma, hue]] of Object.entries(COLOURS)) {
    const [x, y] = at(chroma, hue)
    const distance = (l - light) ** 2 + (a - x) ** 2 + (b - y) ** 2
    if (distance < nearest) [best, nearest] = [name, distance]
  }
  return best
}

/** A caption of a picture by its plainest measures, with a wrong guess now and then. */
export async function captionOf(dataUrl: string, random: Random): Promise<string> {
  const bytes = Buffer.from(dataUrl.slice(dataUrl.indexOf(',') + 1), 'base64')
  const image = sharp(bytes, { limitInputPixels: 50_000_000 })
  const { channels, dominant } = await image.clone().stats()
  const { width, height } = await image.metadata()
  const light = channels.slice(0, 3).reduce((sum, { mean }) => sum + mean, 0) / 3 / 255
  const contrast = channels.slice(0, 3).reduce((sum, { stdev }) => sum + stdev, 0) / 3 / 255
  const [red = 0, , blue = 0] = channels.map(({ mean }) => mean)
  const colour = nameOf(formatHex({ mode: 'rgb', r: dominant.r / 255, g: dominant.g / 255, b: dominant.b / 255 }))
  const tone = light > 0.62 ? 'high-key' : light < 0.36 ? 'low-key' : 'evenly lit'
  const warmth = red - blue > 14 ? 'warm' : blue - red > 14 ? 'cool' : 'neutral'
  const format = width > height * 1.15 ? 'landscape format' : height > width * 1.15 ? 'upright format' : 'square format'
  const said = [`a ${tone} picture in ${format}`, `${contrast > 0.24 ? 'strong' : contrast < 0.12 ? 'low' : 'moderate'} contrast`, `${warmth} colours, mostly ${colour}`, ...(random() < WRONG_RATE ? [choose(WRONG, random)] : [])]
  return said.join(', ')
}
