import { type Canvas, n } from './canvas.ts'
import { hex, lighter, mix, oklch } from './colour.ts'
import { decor, type Ground } from './land.ts'

/** Indoors: a wall with a window's light on it and a table or a floor; in a studio, a seamless backdrop. */
export function interior(canvas: Canvas, onFloor: boolean): Ground {
  const { width, height, scene } = canvas
  if (scene.setting === 'studio') return studio(canvas)
  const edge = height * (onFloor ? 0.74 : 0.66)
  const fromRight = scene.light.from === 'right'
  const wall = canvas.palette.wall
  const { palette } = canvas
  const shade = scene.moment === 'night' ? 0.34 : 0.2
  const id = canvas.define('wall', (name) => `<linearGradient id="${name}" x1="${fromRight ? 1 : 0}" y1="0" x2="${fromRight ? 0 : 1}" y2="0.4"><stop offset="0" stop-color="${hex(lighter(wall, 0.06))}"/><stop offset="1" stop-color="${hex(lighter(mix(wall, palette.ink, shade), -0.05))}"/></linearGradient>`)
  const depth = scene.blur ? `filter="url(#${canvas.define('depth', (name) => `<filter id="${name}" x="-5%" y="-5%" width="110%" height="110%"><feGaussianBlur stdDeviation="${n(height * 0.011 * scene.blur)}"/></filter>`)})"` : ''
  canvas.group(depth, () => {
    canvas.add(`<rect x="-60" y="-60" width="${width + 120}" height="${n(edge + 80)}" fill="url(#${id})"/>`)
    if (scene.setting === 'workshop') {
      const wood = mix(wall, palette.lit(oklch(0.45, 0.06, 55)), 0.55)
      for (let x = -20; x < width + 20; x += width * 0.085) canvas.add(`<path d="M${n(x)} -20V${n(edge)}" stroke="${hex(mix(wood, palette.ink, 0.4))}" stroke-width="1.6" opacity="0.5"/>`)
      canvas.path(`M-20 ${n(height * 0.06)}H${width + 20}v${n(height * 0.05)}H-20Z`, canvas.solid(palette.lit(oklch(0.4, 0.06, 52))), canvas.edge())
      tools(canvas, fromRight)
    }
    window_(canvas, fromRight)
    if (scene.setting !== 'workshop') shelf(canvas, fromRight, height * 0.3, 'shelf')
    if (onFloor) {
      wainscot(canvas, edge)
      if (![scene.subject, ...scene.others].some(({ kind }) => kind === 'furniture')) decor(canvas, 'furniture', 'table', width * (fromRight ? 0.2 : 0.82), edge + height * 0.07, height * 0.2, 'side table')
      frame(canvas, fromRight)
    }
  })
  const boards = onFloor ? palette.lit(oklch(0.5, 0.06, 52)) : palette.table
  canvas.path(`M-60 ${n(edge)}H${width + 60}V${height + 60}H-60Z`, canvas.solid(boards, 0.8), canvas.edge())
  if (!onFloor) canvas.add(`<rect x="-60" y="${n(edge)}" width="${width + 120}" height="${n(height * 0.014)}" fill="${hex(lighter(palette.table, 0.09))}"/>`)
  const grain = canvas.random('grain')
  for (let i = 0; i < 16; i++) {
    const y = edge + (height - edge) * (0.08 + 0.9 * grain())
    canvas.add(`<path d="M${n(grain() * width * 0.6)} ${n(y)}q${n(width * 0.2)} ${n((grain() - 0.5) * 9)} ${n(width * (0.3 + grain() * 0.3))} 0" fill="none" stroke="${hex(mix(boards, palette.ink, 0.3))}" stroke-width="1" opacity="0.35"/>`)
  }
  return { foot: onFloor ? height * 0.92 : height * 0.84, horizon: edge }
}

function studio(canvas: Canvas): Ground {
  const { width, height, palette, scene } = canvas
  const edge = height * 0.66
  const base = scene.mood < 0 || scene.moment === 'night' ? mix(palette.wall, palette.ink, 0.55) : palette.wall
  const id = canvas.define('sweep', (name) => `<radialGradient id="${name}" cx="${scene.light.from === 'right' ? 0.68 : 0.32}" cy="0.38" r="0.9"><stop offset="0" stop-color="${hex(lighter(base, 0.07))}"/><stop offset="0.6" stop-color="${hex(base)}"/><stop offset="1" stop-color="${hex(lighter(mix(base, palette.ink, 0.18), -0.03))}"/></radialGradient>`)
  canvas.add(`<rect x="-60" y="-60" width="${width + 120}" height="${height + 120}" fill="url(#${id})"/>`)
  const floor = canvas.define('floor', (name) => `<linearGradient id="${name}" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="${hex(lighter(base, 0.05))}" stop-opacity="0"/><stop offset="0.35" stop-color="${hex(lighter(base, 0.06))}" stop-opacity="0.8"/><stop offset="1" stop-color="${hex(lighter(base, -0.02))}"/></linearGradient>`)
  canvas.add(`<rect x="-60" y="${n(edge)}" width="${width + 120}" height="${n(height - edge + 60)}" fill="url(#${floor})"/>`)
  return { foot: height * 0.86, horizon: edge }
}

function window_(canvas: Canvas, right: boolean): void {
  const { width, height, palette, scene } = canvas
  const [w, h] = [width * 0.2, height * 0.42]
  const x = right ? width * 0.74 : width * 0.07
  const y = height * 0.1
  const wood = hex(palette.lit(oklch(0.93, 0.02, 85)))
  const id = canvas.define('pane', (name) => `<linearGradient id="${name}" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="${hex(palette.sky[0])}"/><stop offset="1" stop-color="${hex(palette.sky[2])}"/></linearGradient>`)
  canvas.add(`<rect x="${n(x)}" y="${n(y)}" width="${n(w)}" height="${n(h)}" fill="url(#${id})"/>`)
  canvas.path(`M${n(x)} ${n(y + h)}V${n(y + h * 0.74)}Q${n(x + w * 0.3)} ${n(y + h * 0.5)} ${n(x + w * 0.6)} ${n(y + h * 0.74)}Q${n(x + w * 0.8)} ${n(y + h * 0.62)} ${n(x + w)} ${n(y + h * 0.78)}V${n(y + h)}Z`, hex(palette.far))
  if (scene.moment === 'night') canvas.add(`<circle cx="${n(x + w * 0.7)}" cy="${n(y + h * 0.22)}" r="${n(w * 0.09)}" fill="${hex(palette.sun)}"/>`)
  if (scene.weather === 'rain' || scene.weather === 'storm') {
    const random = canvas.random('pane rain')
    for (let i = 0; i < 24; i++) canvas.add(`<path d="M${n(x + random() * w)} ${n(y + random() * h * 0.9)}l-2 ${n(h * 0.07)}" stroke="#e6eef6" stroke-width="1" opacity="0.7"/>`)
  }
  canvas.add(`<g fill="none" stroke="${wood}" stroke-width="${n(width * 0.011)}"><rect x="${n(x)}" y="${n(y)}" width="${n(w)}" height="${n(h)}"/><path d="M${n(x + w / 2)} ${n(y)}v${n(h)}M${n(x)} ${n(y + h / 2)}h${n(w)}"/></g>`)
  canvas.add(`<rect x="${n(x - w * 0.08)}" y="${n(y + h)}" width="${n(w * 1.16)}" height="${n(height * 0.02)}" fill="${canvas.solid(palette.lit(oklch(0.9, 0.02, 85)))}"/>`)
  if (scene.moment === 'night' || canvas.medium === 'engraving') return
  const s = right ? -1 : 1
  const ax = right ? x : x + w
  canvas.path(`M${n(ax)} ${n(y)}L${n(ax + s * width * 0.5)} ${n(height * 0.62)}L${n(ax + s * width * 0.18)} ${n(height * 0.7)}L${n(ax)} ${n(y + h)}Z`, hex(palette.sun), `opacity="${scene.light.hard ? 0.34 : 0.16}"`)
}

function shelf(canvas: Canvas, right: boolean, y: number, name: string): void {
  const { width, height, palette } = canvas
  const random = canvas.random(name)
  const [x, w] = [right ? width * 0.06 : width * 0.62, width * 0.3]
  for (let i = 0; i < 8; i++) {
    const h = height * (0.06 + random() * 0.08)
    const colour = palette.lit(oklch(0.5 + random() * 0.3, 0.05 + random() * 0.07, random() * 360))
    const px = x + w * (0.04 + i * 0.12)
    if (random() < 0.5) canvas.add(`<rect x="${n(px)}" y="${n(y - h)}" width="${n(w * 0.06)}" height="${n(h)}" rx="1" fill="${canvas.solid(mix(colour, palette.wall, 0.3))}" ${canvas.edge(1, 0.6)}/>`)
    else canvas.path(`M${n(px)} ${n(y)}q${n(-w * 0.02)} ${n(-h * 0.5)} ${n(w * 0.02)} ${n(-h * 0.7)}v${n(-h * 0.2)}h${n(w * 0.04)}v${n(h * 0.2)}q${n(w * 0.04)} ${n(h * 0.2)} ${n(w * 0.02)} ${n(h * 0.7)}Z`, canvas.solid(mix(colour, palette.wall, 0.3)), canvas.edge(1, 0.6))
  }
  canvas.add(`<rect x="${n(x)}" y="${n(y)}" width="${n(w)}" height="${n(height * 0.016)}" fill="${canvas.solid(palette.table)}" ${canvas.edge()}/>`)
}

function tools(canvas: Canvas, right: boolean): void {
  const { width, height, palette } = canvas
  const x0 = right ? width * 0.1 : width * 0.58
  const metal = hex(palette.lit(oklch(0.62, 0.015, 250)))
  const wood = hex(palette.lit(oklch(0.45, 0.07, 55)))
  const y = height * 0.2
  for (let i = 0; i < 6; i++) {
    const x = x0 + i * width * 0.05
    canvas.add(`<path d="M${n(x)} ${n(y)}v${n(height * 0.16)}" stroke="${wood}" stroke-width="${n(height * 0.012)}" stroke-linecap="round"/><path d="${i % 2 ? `M${n(x - width * 0.014)} ${n(y + height * 0.15)}h${n(width * 0.028)}v${n(height * 0.03)}h${n(-width * 0.028)}Z` : `M${n(x - width * 0.01)} ${n(y + height * 0.14)}l${n(width * 0.01)} ${n(height * 0.08)}l${n(width * 0.01)} ${n(-height * 0.08)}Z`}" fill="${metal}"/>`)
  }
  canvas.add(`<path d="M${n(x0 - width * 0.03)} ${n(y)}h${n(width * 0.32)}" stroke="${wood}" stroke-width="${n(height * 0.014)}"/>`)
}

function wainscot(canvas: Canvas, edge: number): void {
  const { width, height, palette } = canvas
  const panel = mix(palette.wall, palette.lit(oklch(0.5, 0.07, 50)), 0.5)
  canvas.add(`<rect x="-60" y="${n(edge - height * 0.16)}" width="${width + 120}" height="${n(height * 0.17)}" fill="${canvas.solid(panel, 0.6)}"/>`)
  for (let x = -20; x < width + 20; x += width * 0.06) canvas.add(`<path d="M${n(x)} ${n(edge - height * 0.15)}V${n(edge)}" stroke="${hex(mix(panel, palette.ink, 0.35))}" stroke-width="1" opacity="0.6"/>`)
  canvas.add(`<path d="M-20 ${n(edge - height * 0.16)}H${width + 20}M-20 ${n(edge)}H${width + 20}" stroke="${hex(lighter(panel, 0.08))}" stroke-width="${n(height * 0.01)}"/>`)
}

function frame(canvas: Canvas, right: boolean): void {
  const { width, height, palette } = canvas
  const [x, y, w, h] = [right ? width * 0.42 : width * 0.44, height * 0.12, width * 0.12, height * 0.2]
  canvas.add(`<rect x="${n(x)}" y="${n(y)}" width="${n(w)}" height="${n(h)}" fill="${hex(palette.lit(oklch(0.6, 0.06, 150)))}" stroke="${hex(palette.lit(oklch(0.62, 0.1, 80)))}" stroke-width="${n(height * 0.014)}"/><path d="M${n(x)} ${n(y + h * 0.8)}Q${n(x + w * 0.4)} ${n(y + h * 0.4)} ${n(x + w)} ${n(y + h * 0.7)}V${n(y + h)}H${n(x)}Z" fill="${hex(palette.lit(oklch(0.48, 0.08, 140)))}"/>`)
}
