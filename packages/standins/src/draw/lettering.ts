import type { Face } from '../scene/scene.ts'
import { type Canvas, n } from './canvas.ts'
import { hex, mix } from './colour.ts'

const escape = (text: string) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;')
/** The families of `png/render.ts` by the names the files give themselves, how much wider than half its size a letter runs, and whether it is set in capitals. */
const FACES: Record<Face, { family: string; weight: number; wide: number; capitals: boolean; spacing: number }> = {
  block: { family: "Archivo SemiBold, Archivo", weight: 700, wide: 0.72, capitals: true, spacing: 0.08 },
  roman: { family: "Source Serif 4, Source Serif 4 SemiBold", weight: 600, wide: 0.66, capitals: true, spacing: 0.12 },
  script: { family: 'Caveat', weight: 700, wide: 0.44, capitals: false, spacing: 0 },
}

/** The words asked for, as a poster's line at the foot of the picture. */
export function lettering(canvas: Canvas): void {
  const { lettering: asked, setting } = canvas.scene
  if (!asked) return
  const { width, height, palette } = canvas
  const face = FACES[asked.face]
  const margin = Math.round(Math.min(width, height) * 0.05)
  const band = height * 0.15
  const text = face.capitals ? asked.words.toUpperCase() : asked.words
  const size = Math.min(band * (face.capitals ? 0.56 : 0.8), (width * 0.84) / Math.max(text.length * face.wide, 1))
  const y = height - margin - band
  canvas.add(`<rect x="${margin}" y="${n(y)}" width="${width - 2 * margin}" height="${n(band)}" fill="${hex(mix(palette.accents[0], palette.ink, setting === 'studio' ? 0.1 : 0.3))}"/>`)
  canvas.add(`<text x="${width / 2}" y="${n(y + band / 2 + size * (face.capitals ? 0.36 : 0.28))}" font-family="${face.family}" font-weight="${face.weight}" font-size="${n(size)}" letter-spacing="${n(size * face.spacing)}" text-anchor="middle" fill="${hex(palette.paper)}">${escape(text)}</text>`)
}
