import { Canvas, n } from './canvas.ts'
import { hex, lighter, mix, oklch } from './colour.ts'
import type { Ground } from './landscape.ts'

/** Indoors: a wall with a window's light on it and a table; in a studio, a seamless backdrop. */
export function interior(canvas: Canvas): Ground {
  const { width, height, palette, scene } = canvas
  const edge = height * 0.66
  const fromRight = scene.light === 'right'
  if (scene.setting === 'studio') {
    const base = palette.wall
    const id = canvas.define('sweep', (name) => `<radialGradient id="${name}" cx="${fromRight ? 0.68 : 0.32}" cy="0.38" r="0.9"><stop offset="0" stop-color="${hex(lighter(base, 0.07))}"/><stop offset="0.6" stop-color="${hex(base)}"/><stop offset="1" stop-color="${hex(lighter(mix(base, palette.ink, 0.14), -0.03))}"/></radialGradient>`)
    canvas.add(`<rect x="-20" y="-20" width="${width + 40}" height="${height + 40}" fill="url(#${id})"/>`)
    const floor = canvas.define('floor', (name) => `<linearGradient id="${name}" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="${hex(lighter(base, 0.05))}" stop-opacity="0"/><stop offset="0.35" stop-color="${hex(lighter(base, 0.06))}" stop-opacity="0.8"/><stop offset="1" stop-color="${hex(lighter(base, -0.02))}"/></linearGradient>`)
    canvas.add(`<rect x="-20" y="${n(edge)}" width="${width + 40}" height="${n(height - edge + 20)}" fill="url(#${floor})"/>`)
    return { foot: height * 0.84, horizon: edge }
  }
  const wall = palette.wall
  const id = canvas.define('wall', (name) => `<linearGradient id="${name}" x1="${fromRight ? 1 : 0}" y1="0" x2="${fromRight ? 0 : 1}" y2="0.4"><stop offset="0" stop-color="${hex(lighter(wall, 0.06))}"/><stop offset="1" stop-color="${hex(lighter(mix(wall, palette.ink, 0.2), -0.05))}"/></linearGradient>`)
  canvas.add(`<rect x="-20" y="-20" width="${width + 40}" height="${n(edge + 40)}" fill="url(#${id})"/>`)
  window_(canvas, fromRight)
  shelf(canvas, fromRight)
  canvas.path(`M-20 ${n(edge)}H${width + 20}V${height + 20}H-20Z`, canvas.solid(palette.table, 0.8), canvas.edge())
  canvas.add(`<rect x="-20" y="${n(edge)}" width="${width + 40}" height="${n(height * 0.014)}" fill="${hex(lighter(palette.table, 0.09))}"/>`)
  const grain = canvas.random('grain')
  for (let i = 0; i < 16; i++) {
    const y = edge + (height - edge) * (0.08 + 0.9 * grain())
    canvas.add(`<path d="M${n(grain() * width * 0.6)} ${n(y)}q${n(width * 0.2)} ${n((grain() - 0.5) * 9)} ${n(width * (0.3 + grain() * 0.3))} 0" fill="none" stroke="${hex(mix(palette.table, palette.ink, 0.3))}" stroke-width="1" opacity="0.35"/>`)
  }
  return { foot: height * 0.84, horizon: edge }
}

function window_(canvas: Canvas, right: boolean): void {
  const { width, height, palette } = canvas
  const [w, h] = [width * 0.2, height * 0.42]
  const x = right ? width * 0.74 : width * 0.07
  const y = height * 0.08
  const frame = hex(palette.lit(oklch(0.93, 0.02, 85)))
  const id = canvas.define('pane', (name) => `<linearGradient id="${name}" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="${hex(palette.sky[0])}"/><stop offset="1" stop-color="${hex(palette.sky[2])}"/></linearGradient>`)
  canvas.add(`<rect x="${n(x)}" y="${n(y)}" width="${n(w)}" height="${n(h)}" fill="url(#${id})"/>`)
  canvas.path(`M${n(x)} ${n(y + h)}V${n(y + h * 0.74)}L${n(x + w * 0.32)} ${n(y + h * 0.5)}L${n(x + w * 0.6)} ${n(y + h * 0.76)}L${n(x + w * 0.78)} ${n(y + h * 0.62)}L${n(x + w)} ${n(y + h * 0.78)}V${n(y + h)}Z`, hex(palette.far))
  canvas.add(`<g fill="none" stroke="${frame}" stroke-width="${n(width * 0.011)}"><rect x="${n(x)}" y="${n(y)}" width="${n(w)}" height="${n(h)}"/><path d="M${n(x + w / 2)} ${n(y)}v${n(h)}M${n(x)} ${n(y + h / 2)}h${n(w)}"/></g>`)
  if (canvas.scene.moment !== 'night' && canvas.medium !== 'line') {
    const s = right ? -1 : 1
    const [ax, ay] = [right ? x : x + w, y]
    canvas.path(`M${n(ax)} ${n(ay)}L${n(ax + s * width * 0.5)} ${n(height * 0.62)}L${n(ax + s * width * 0.18)} ${n(height * 0.66)}L${n(ax)} ${n(ay + h)}Z`, hex(palette.sun), 'opacity="0.16"')
  }
}

function shelf(canvas: Canvas, right: boolean): void {
  const { width, height, palette } = canvas
  const random = canvas.random('shelf')
  const [x, y, w] = [right ? width * 0.06 : width * 0.62, height * 0.3, width * 0.3]
  for (let i = 0; i < 6; i++) {
    const h = height * (0.06 + random() * 0.08)
    const colour = palette.lit(oklch(0.5 + random() * 0.3, 0.05 + random() * 0.07, random() * 360))
    canvas.add(`<rect x="${n(x + w * (0.06 + i * 0.155))}" y="${n(y - h)}" width="${n(w * (0.08 + random() * 0.05))}" height="${n(h)}" rx="2" fill="${canvas.solid(mix(colour, palette.wall, 0.35))}" ${canvas.edge()}/>`)
  }
  canvas.add(`<rect x="${n(x)}" y="${n(y)}" width="${n(w)}" height="${n(height * 0.016)}" fill="${canvas.solid(palette.table)}" ${canvas.edge()}/>`)
}
