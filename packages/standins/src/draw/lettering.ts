import type { Canvas } from './canvas.ts'
import { n } from './canvas.ts'
import { hex, mix } from './colour.ts'

const escape = (text: string) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;')

/** The words asked for, as a poster's line at the foot of the picture. */
export function lettering(canvas: Canvas): void {
  const { lettering: words } = canvas.scene
  if (!words) return
  const { width, height, palette } = canvas
  const margin = Math.round(Math.min(width, height) * 0.035)
  const band = height * 0.15
  const text = words.toUpperCase()
  const size = Math.min(band * 0.58, (width * 0.86) / Math.max(text.length * 0.72, 1))
  const y = height - margin - band
  canvas.add(`<rect x="${margin}" y="${n(y)}" width="${width - 2 * margin}" height="${n(band)}" fill="${hex(mix(palette.accents[0], palette.ink, 0.25))}"/>`)
  canvas.add(
    `<text x="${width / 2}" y="${n(y + band / 2 + size * 0.36)}" font-family="Archivo" font-weight="700" font-size="${n(size)}" letter-spacing="${n(size * 0.08)}" text-anchor="middle" fill="${hex(palette.paper)}">${escape(text)}</text>`,
  )
}
