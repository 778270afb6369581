import type { Raster } from '@idolon/core/look'
import sharp from 'sharp'

/** A picture in a square on grey, and where in it the picture lies. */
export interface Fitted {
  edge: number
  rgb: Buffer
  /** A place in the square, in its pixels, as a share of the picture's width and height from 0 to 1. */
  x: (pixel: number) => number
  y: (pixel: number) => number
}

/** Squares keep the picture's proportions: a network that was shown people as they are finds squeezed ones less surely. */
export async function fitted({ width, height, rgb }: Raster, edge: number): Promise<Fitted> {
  const scale = edge / Math.max(width, height)
  const [w, h] = [width, height].map((side) => Math.max(1, Math.round(side * scale))) as [number, number]
  const [left, top] = [Math.floor((edge - w) / 2), Math.floor((edge - h) / 2)]
  const square = await sharp(rgb, { raw: { width, height, channels: 3 } })
    .resize(w, h, { fit: 'fill' })
    .extend({ left, top, right: edge - w - left, bottom: edge - h - top, background: '#808080' })
    .raw()
    .toBuffer()
  const within = (value: number) => Math.min(1, Math.max(0, value))
  return { edge, rgb: square, x: (pixel) => within((pixel - left) / w), y: (pixel) => within((pixel - top) / h) }
}
