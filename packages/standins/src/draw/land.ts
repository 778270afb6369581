import type { Random } from '@idolon/core'
import type { Thing } from '../scene/scene.ts'
import { type Canvas, curve, n } from './canvas.ts'
import { type Colour, hex, lighter, mix, oklch } from './colour.ts'
import { penFor } from './figures/figure.ts'
import { figureOf } from './figures/index.ts'
import { sky } from './sky.ts'

export type Point = [number, number]
/** Where figures stand, and how the ground runs; pixels from the top. */
export interface Ground {
  foot: number
  horizon: number
}

/** A ridge by midpoint displacement (Fournier, Fussell and Carpenter 1982): heights over the width. */
function ridge(canvas: Canvas, name: string, base: number, rise: number, roughness: number): Point[] {
  const random = canvas.random(name)
  let points: Point[] = [
    [-60, base - rise * (0.2 + random() * 0.5)],
    [canvas.width * (0.2 + random() * 0.25), base - rise * (0.6 + random() * 0.4)],
    [canvas.width * (0.58 + random() * 0.24), base - rise * (0.35 + random() * 0.65)],
    [canvas.width + 60, base - rise * (0.2 + random() * 0.6)],
  ]
  let wobble = rise * roughness
  for (let round = 0; round < 5; round++) {
    points = points.flatMap((p, i): Point[] => {
      const q = points[i + 1]
      if (!q) return [p]
      const t = 0.4 + random() * 0.2
      return [p, [p[0] + (q[0] - p[0]) * t, p[1] + (q[1] - p[1]) * t + (random() - 0.5) * wobble]]
    })
    wobble *= 0.52
  }
  return points
}

const closed = (canvas: Canvas, points: Point[], smooth: boolean) => `${smooth ? curve(points) : `M${points.map(([x, y]) => `${n(x)} ${n(y)}`).join('L')}`}L${canvas.width + 60} ${canvas.height + 60}L-60 ${canvas.height + 60}Z`

/** One stretch of land; in cut paper it lifts off what is behind it, its shadow a few soft strokes. */
function sheet(canvas: Canvas, d: string, top: Colour, bottom = top): void {
  if (canvas.medium === 'paper cut') for (const [width, opacity] of [[16, 0.07], [9, 0.1], [4, 0.14]] as const) canvas.path(d, 'none', `stroke="#1d1526" stroke-width="${width}" opacity="${opacity}"`)
  const fill = canvas.flat || top === bottom ? hex(top) : `url(#${canvas.define(`land ${hex(top)} ${hex(bottom)}`, (id) => `<linearGradient id="${id}" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="${hex(top)}"/><stop offset="0.6" stop-color="${hex(bottom)}"/></linearGradient>`)})`
  canvas.path(d, fill, canvas.edge())
}

/** The lit and the shaded faces of a range: facets that run down from its peaks. */
function mountains(canvas: Canvas, name: string, base: number, rise: number, rough: number, colour: Colour, capped: boolean): void {
  const points = ridge(canvas, name, base, rise, rough)
  sheet(canvas, closed(canvas, points, false), colour, mix(colour, canvas.palette.sky[2], 0.35))
  const random = canvas.random(`${name} faces`)
  const fromRight = canvas.scene.light.from === 'right'
  const shade = hex(mix(colour, canvas.palette.ink, 0.26))
  const snow = hex(mix(canvas.palette.lit(oklch(0.98, 0.01, 240)), canvas.palette.sky[1], 0.12))
  const top = Math.min(...points.map(([, y]) => y))
  for (let i = 2; i < points.length - 2; i++) {
    const [x, y] = points[i]!
    if (!(y <= points[i - 1]![1] && y < points[i + 1]![1] && y < points[i - 2]![1] && y < points[i + 2]![1])) continue
    const deep = (base - y) * (0.55 + random() * 0.35)
    const s = fromRight ? -1 : 1
    canvas.path(`M${n(x)} ${n(y)}L${n(x + s * deep * 0.5)} ${n(y + deep * 0.55)}L${n(x + s * deep * 0.34)} ${n(y + deep * 0.72)}L${n(x + s * deep * 0.44)} ${n(y + deep)}L${n(x + s * deep * 0.1)} ${n(y + deep * 0.8)}L${n(x + s * deep * 0.02)} ${n(y + deep * 0.4)}Z`, shade, 'opacity="0.5"')
    if (capped && y < top + (base - top) * 0.5) {
      const c = (base - y) * 0.3
      canvas.path(`M${n(x)} ${n(y - 1)}L${n(x + c * 0.62)} ${n(y + c * 0.62)}L${n(x + c * 0.36)} ${n(y + c * 0.56)}L${n(x + c * 0.2)} ${n(y + c * 0.9)}L${n(x)} ${n(y + c * 0.58)}L${n(x - c * 0.26)} ${n(y + c)}L${n(x - c * 0.36)} ${n(y + c * 0.55)}L${n(x - c * 0.66)} ${n(y + c * 0.68)}Z`, snow)
    }
  }
}

/** Small things set into the land, drawn by the same figures as in front. */
export function decor(canvas: Canvas, kind: Thing['kind'], variant: string, x: number, foot: number, height: number, element: string, colours: string[] = []): void {
  const figure = figureOf(kind, variant)
  if (!figure) return
  const scale = height / 100
  const thing: Thing = { kind, variant, count: 1, word: null, colours, pose: 'standing', wears: [], holds: [] }
  canvas.group(`transform="translate(${n(x)} ${n(foot)}) scale(${scale.toFixed(4)})"`, () => figure.draw(penFor(canvas, thing, element, scale)))
}

interface Row {
  x: number
  y: number
  size: number
}
/** Places in a strip of land, from the back to the front. */
function strewn(random: Random, count: number, from: number, to: number, width: number): Row[] {
  return Array.from({ length: count }, () => ({ x: random() * width, y: from + random() * (to - from), size: random() })).sort((a, b) => a.y - b.y)
}

/** Everything outdoors behind the subject. */
export function land(canvas: Canvas, horizon: number): Ground {
  const { width, height, palette, scene } = canvas
  if (scene.setting === 'underwater') return underwater(canvas)
  sky(canvas, horizon)
  const step = Math.max(height * 0.05, (height - Math.max(horizon, 0)) * 0.16)
  const far = horizon + 4
  const depth = canvas.scene.blur
  const blurred = depth ? `filter="url(#${canvas.define('depth', (name) => `<filter id="${name}" x="-5%" y="-5%" width="110%" height="110%"><feGaussianBlur stdDeviation="${n(height * 0.011 * depth)}"/></filter>`)})"` : ''
  canvas.group(blurred, () => {
    switch (scene.setting) {
      case 'city':
        skyline(canvas, far)
        break
      case 'desert':
        mountains(canvas, 'mesa', far + 4, height * 0.16, 0.22, mix(palette.far, palette.lit(oklch(0.66, 0.09, 50)), 0.6), false)
        break
      case 'water':
      case 'meadow':
      case 'garden':
      case 'village':
        sheet(canvas, closed(canvas, ridge(canvas, 'range far', far + 4, height * 0.2, 0.2), true), mix(palette.far, palette.sky[1], 0.35))
        break
      case 'forest':
        sheet(canvas, closed(canvas, ridge(canvas, 'range far', far + 4, height * 0.26, 0.3), true), mix(palette.far, palette.sky[1], 0.3))
        break
      default:
        mountains(canvas, 'range far', far + 8, height * 0.44, 0.42, mix(palette.far, palette.sky[1], 0.3), true)
        mountains(canvas, 'range middle', far + 14, height * 0.27, 0.46, palette.far, false)
    }
    if (scene.weather === 'mist') mist(canvas, horizon - height * 0.1)
    if (scene.setting === 'water') return
    const middle = scene.setting === 'desert' ? palette.lit(oklch(0.8, 0.09, 75)) : palette.middle
    if (scene.setting !== 'city') sheet(canvas, closed(canvas, ridge(canvas, 'hills', far + step * 0.7, height * 0.1, 0.14), true), middle, mix(middle, palette.near, 0.3))
    if (scene.extras.includes('viaduct') && scene.subject.variant !== 'bridge') viaduct(canvas, far - height * 0.03)
    middleGround(canvas, far, step)
  })
  if (scene.setting === 'water') return waterside(canvas, far, blurred)
  const ground = scene.setting === 'desert' ? palette.lit(oklch(0.84, 0.085, 80)) : scene.setting === 'city' || scene.setting === 'village' ? mix(palette.lit(oklch(scene.season === 'winter' ? 0.93 : 0.68, 0.015, 70)), palette.ground, scene.setting === 'village' ? 0.15 : 0) : palette.ground
  const front = scene.setting === 'city' || scene.setting === 'village' ? ([[-60, far + step * 1.15], [width + 60, far + step * 1.15]] as Point[]) : ridge(canvas, 'front', far + step * 1.9, height * 0.06, 0.1)
  sheet(canvas, closed(canvas, front, true), lighter(ground, 0.02), mix(ground, palette.near, scene.setting === 'desert' ? 0.1 : 0.32))
  floor(canvas, far + step * 1.3)
  if (scene.weather === 'mist') mist(canvas, far + step)
  return { foot: Math.min(height * 0.91, Math.max(far + step * 2.6, height * (scene.shot === 'panorama' ? 0.84 : 0.89))), horizon }
}

function middleGround(canvas: Canvas, far: number, step: number): void {
  const { width, height, palette, scene } = canvas
  const winter = scene.season === 'winter'
  const trees = canvas.random('trees')
  if (scene.setting === 'forest') {
    for (const [layer, count, tall, fog] of [[0, 26, 0.42, 0.55], [1, 18, 0.6, 0.3], [2, 12, 0.82, 0.06]] as const) {
      for (const { x, y, size } of strewn(trees, count, far + step * layer * 0.4, far + step * (layer * 0.4 + 0.5), width)) {
        const h = height * tall * (0.8 + size * 0.4)
        trunkTree(canvas, x, y, h, mix(mix(palette.near, palette.ink, 0.28), palette.sky[1], fog), layer > 0 && size > 0.6)
      }
    }
    return
  }
  const amount = scene.without.includes('trees') ? 0 : scene.extras.includes('trees') ? 22 : scene.setting === 'mountains' ? 14 : scene.setting === 'meadow' ? 7 : scene.setting === 'garden' ? 8 : 0
  for (const { x, y, size } of strewn(trees, amount, far + step * 0.3, far + step * 1.3, width)) {
    const h = height * (0.07 + size * 0.06) * (0.7 + (y - far) / (step * 1.3))
    if (scene.setting === 'mountains' || (scene.setting !== 'garden' && size > 0.72)) fir(canvas, x, y, h, mix(palette.near, palette.ink, 0.26))
    else bush(canvas, x, y, h * 0.8, winter ? mix(palette.middle, palette.lit(oklch(0.95, 0.01, 240)), 0.5) : mix(palette.near, palette.ink, 0.12))
  }
  if (scene.setting === 'garden') {
    const hedge = mix(palette.near, palette.ink, 0.2)
    const random = canvas.random('hedge')
    for (let x = -20; x < width + 40; x += height * 0.05) canvas.path(`M${n(x - height * 0.05)} ${n(far + step * 1.4)}q0 ${n(-height * (0.1 + random() * 0.03))} ${n(height * 0.05)} ${n(-height * 0.1)}q${n(height * 0.05)} 0 ${n(height * 0.05)} ${n(height * 0.1)}Z`, canvas.solid(hedge), canvas.edge(1, 0.5))
  }
  if ((scene.setting === 'village' || scene.extras.includes('houses')) && !scene.without.includes('houses')) {
    const random = canvas.random('houses')
    const close = scene.setting === 'village'
    const count = close ? 7 : 6
    for (let i = 0; i < count; i++) {
      const x = width * ((i + 0.3 + random() * 0.4) / count)
      const h = height * (close ? 0.27 + random() * 0.13 : 0.1 + random() * 0.05)
      const wall = (['cream', 'sand', 'white', 'peach', 'beige'] as const)[Math.floor(random() * 5)]!
      const roof = (['terracotta', 'slate', 'rust', 'brown'] as const)[Math.floor(random() * 4)]!
      decor(canvas, 'building', close && i === 2 ? 'church' : 'cottage', x, far + step * (close ? 1.16 : 0.9), h * (close && i === 2 ? 1.5 : 1), `house ${i}`, scene.paletteShare >= 1 ? [] : [wall, roof])
    }
  }
  if (scene.setting === 'desert') {
    const random = canvas.random('dunes')
    for (let i = 0; i < 3; i++) {
      const y = far + step * (0.5 + i * 0.5)
      const x = width * random()
      const w = width * (0.35 + random() * 0.3)
      const sand = palette.lit(oklch(0.82 - i * 0.01, 0.09, 76))
      canvas.path(`M${n(x - w)} ${n(y + step * 0.5)}Q${n(x - w * 0.3)} ${n(y - step * 0.4)} ${n(x)} ${n(y - step * 0.7)}Q${n(x + w * 0.3)} ${n(y)} ${n(x + w)} ${n(y + step * 0.5)}Z`, hex(sand))
      canvas.path(`M${n(x)} ${n(y - step * 0.7)}Q${n(x + w * 0.3)} ${n(y)} ${n(x + w)} ${n(y + step * 0.5)}H${n(x - w * 0.1)}Q${n(x + w * 0.12)} ${n(y)} ${n(x)} ${n(y - step * 0.7)}Z`, hex(mix(sand, palette.ink, 0.16)))
    }
  }
}

/** What lies on the ground before the subject's feet: a path, grass, flowers, stones. */
function floor(canvas: Canvas, top: number): void {
  const { width, height, palette, scene } = canvas
  const has = (extra: (typeof scene.extras)[number]) => scene.extras.includes(extra)
  const grassy = ['meadow', 'garden', 'mountains', 'forest'].includes(scene.setting) && scene.season !== 'winter'
  if (has('path') && grassy) {
    const earth = palette.lit(oklch(0.76, 0.05, 75))
    canvas.path(`M${n(width * 0.44)} ${n(top)}Q${n(width * 0.62)} ${n(top + (height - top) * 0.4)} ${n(width * 0.2)} ${height + 40}H${n(width * 0.66)}Q${n(width * 0.72)} ${n(top + (height - top) * 0.35)} ${n(width * 0.47)} ${n(top)}Z`, hex(earth), canvas.edge(1, 0.4))
  }
  if (scene.setting === 'village' || scene.setting === 'city') {
    const random = canvas.random('stones')
    const tone = palette.lit(oklch(scene.season === 'winter' ? 0.82 : 0.58, 0.012, 70))
    for (let y = top, row = 0; y < height + 20; row++) {
      const h = 4 + ((y - top) / (height - top)) * 15
      for (let x = -10 + (row % 2) * h; x < width + 20; x += h * 2.2) if (random() < 0.72) canvas.add(`<rect x="${n(x + random() * 3)}" y="${n(y)}" width="${n(h * 1.9)}" height="${n(h * 0.72)}" rx="${n(h * 0.28)}" fill="${hex(mix(tone, palette.ink, random() * 0.2))}" opacity="0.42"/>`)
      y += h
    }
    if (scene.weather === 'rain' || scene.weather === 'storm' || has('reflections')) puddles(canvas, top)
  } else if (grassy) {
    const random = canvas.random('tufts')
    for (let i = 0; i < 130; i++) {
      const y = top + (height - top) * random() ** 0.8
      const h = 2.4 + ((y - top) / (height - top)) * height * 0.034
      const x = random() * width
      canvas.add(`<path d="M${n(x)} ${n(y)}q${n(-h * 0.2)} ${n(-h * 0.6)} ${n(-h * 0.5)} ${n(-h)}M${n(x)} ${n(y)}q${n(h * 0.1)} ${n(-h * 0.6)} ${n(h * 0.3)} ${n(-h * 1.1)}" fill="none" stroke="${hex(mix(palette.near, random() < 0.5 ? palette.ink : palette.sun, 0.25))}" stroke-width="${n(0.8 + h * 0.06)}" stroke-linecap="round" opacity="0.75"/>`)
    }
  } else if (scene.setting === 'desert') {
    const random = canvas.random('ripples')
    for (let i = 0; i < 26; i++) {
      const y = top + (height - top) * random()
      const w = width * (0.05 + random() * 0.12)
      canvas.add(`<path d="M${n(random() * width)} ${n(y)}q${n(w / 2)} ${n(-3)} ${n(w)} 0" fill="none" stroke="${hex(palette.lit(oklch(0.72, 0.09, 68)))}" stroke-width="1.3" opacity="0.5"/>`)
    }
  }
  if (has('rocks')) {
    const random = canvas.random('rocks')
    for (const { x, y, size } of strewn(random, 9, top, height * 0.98, width)) {
      const r = height * (0.012 + size * 0.03) * (0.6 + (y - top) / (height - top))
      canvas.path(`M${n(x - r * 1.4)} ${n(y)}L${n(x - r)} ${n(y - r * 0.8)}L${n(x - r * 0.1)} ${n(y - r * 1.1)}L${n(x + r)} ${n(y - r * 0.6)}L${n(x + r * 1.4)} ${n(y)}Z`, canvas.solid(palette.lit(oklch(0.6, 0.015, 80))), canvas.edge(1, 0.6))
    }
  }
  if (has('flowers') && scene.subject.kind !== 'plant') {
    const random = canvas.random('flowers')
    for (const { x, y, size } of strewn(random, 90, top, height * 0.99, width)) {
      const r = (1.4 + size * 1.6) * (0.7 + ((y - top) / (height - top)) * 1.4) * (height / 512)
      canvas.add(`<path d="M${n(x)} ${n(y)}v${n(r * 3)}" stroke="${hex(palette.near)}" stroke-width="1"/><circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="${hex(random() < 0.4 ? palette.lit(oklch(0.95, 0.03, 95)) : (palette.accents[Math.floor(random() * 3)] ?? palette.sun))}"/>`)
    }
  }
  if (has('fence')) {
    const y = top + (height - top) * 0.12
    const wood = hex(palette.lit(oklch(0.52, 0.06, 60)))
    for (let x = -10; x < width + 20; x += width * 0.07) canvas.add(`<path d="M${n(x)} ${n(y + height * 0.02)}V${n(y - height * 0.09)}" stroke="${wood}" stroke-width="${n(height * 0.012)}"/>`)
    for (const dy of [0.02, 0.06]) canvas.add(`<path d="M-10 ${n(y - height * dy)}H${width + 10}" stroke="${wood}" stroke-width="${n(height * 0.009)}"/>`)
  }
  if (has('hives')) {
    const random = canvas.random('hives')
    for (const x of [0.1, 0.22, 0.8, 0.92]) skep(canvas, width * (x + (random() - 0.5) * 0.04), top + (height - top) * (0.3 + random() * 0.15), height * 0.15 * (scene.shot === 'wide' || scene.shot === 'panorama' ? 0.6 : 1))
  }
  if (has('lamps')) {
    const iron = hex(palette.lit(oklch(0.3, 0.02, 260)))
    const halo = canvas.define('street glow', (name) => `<radialGradient id="${name}"><stop offset="0" stop-color="#ffe9b0" stop-opacity="0.9"/><stop offset="0.3" stop-color="#ffd27a" stop-opacity="0.4"/><stop offset="1" stop-color="#ffbf55" stop-opacity="0"/></radialGradient>`)
    for (const [x, s] of [[0.09, 1], [0.9, 0.8], [0.3, 0.5]] as const) {
      const [px, foot, h] = [width * x, top + (height - top) * 0.35 * s, height * 0.4 * s]
      const lit = scene.moment === 'night' || scene.moment === 'dusk'
      canvas.add(`<path d="M${n(px)} ${n(foot)}V${n(foot - h)}" stroke="${iron}" stroke-width="${n(h * 0.022)}"/><circle cx="${n(px)}" cy="${n(foot - h)}" r="${n(h * (lit ? 0.42 : 0.12))}" fill="url(#${halo})"/><path d="M${n(px - h * 0.04)} ${n(foot - h * 1.06)}h${n(h * 0.08)}l${n(-h * 0.015)} ${n(h * 0.1)}h${n(-h * 0.05)}Z" fill="${hex(palette.glow)}" stroke="${iron}" stroke-width="1"/>`)
    }
  }
}

function puddles(canvas: Canvas, top: number): void {
  const { width, height, palette } = canvas
  const random = canvas.random('puddles')
  for (let i = 0; i < 7; i++) {
    const [x, y] = [random() * width, top + (height - top) * (0.15 + random() * 0.8)]
    const w = width * (0.04 + random() * 0.1)
    canvas.add(`<ellipse cx="${n(x)}" cy="${n(y)}" rx="${n(w)}" ry="${n(w * 0.16)}" fill="${hex(mix(palette.sky[2], palette.sky[0], 0.4))}" opacity="0.7"/><path d="M${n(x - w * 0.5)} ${n(y)}h${n(w * 0.6)}" stroke="${hex(lighter(palette.sky[2], 0.06))}" stroke-width="1.4" opacity="0.8"/>`)
  }
}

function skep(canvas: Canvas, x: number, foot: number, size: number): void {
  const straw = canvas.palette.lit(oklch(0.74, 0.1, 82))
  for (let i = 0; i < 5; i++) {
    const w = size * [0.5, 0.49, 0.44, 0.34, 0.2][i]!
    canvas.add(`<rect x="${n(x - w)}" y="${n(foot - size * 0.2 * (i + 1))}" width="${n(2 * w)}" height="${n(size * 0.21)}" rx="${n(size * 0.1)}" fill="${canvas.solid(straw)}" ${canvas.edge() || `stroke="${hex(mix(straw, canvas.palette.ink, 0.3))}" stroke-width="0.8"`}/>`)
  }
  canvas.add(`<ellipse cx="${n(x)}" cy="${n(foot - size * 0.1)}" rx="${n(size * 0.1)}" ry="${n(size * 0.09)}" fill="${hex(canvas.palette.ink)}"/>`)
  canvas.add(`<rect x="${n(x - size * 0.62)}" y="${n(foot)}" width="${n(size * 1.24)}" height="${n(size * 0.08)}" fill="${hex(canvas.palette.lit(oklch(0.45, 0.06, 55)))}"/>`)
}

function fir(canvas: Canvas, x: number, foot: number, h: number, colour: Colour): void {
  const w = h * 0.34
  let d = `M${n(x)} ${n(foot - h)}`
  const steps = [[0.34, 0.3], [0.3, 0.18], [0.62, 0.42], [0.58, 0.28], [0.92, 0.5]] as const
  for (const [y, half] of steps) d += `L${n(x + w * half)} ${n(foot - h + h * y)}`
  for (const [y, half] of [...steps].reverse()) d += `L${n(x - w * half)} ${n(foot - h + h * y)}`
  canvas.path(`M${n(x - h * 0.025)} ${n(foot)}V${n(foot - h * 0.12)}H${n(x + h * 0.025)}V${n(foot)}Z`, hex(mix(colour, canvas.palette.ink, 0.5)))
  canvas.path(`${d}Z`, canvas.solid(colour), canvas.edge(1, 0.5))
  if (canvas.scene.season === 'winter') canvas.path(`M${n(x)} ${n(foot - h)}L${n(x + w * 0.2)} ${n(foot - h * 0.74)}L${n(x)} ${n(foot - h * 0.8)}L${n(x - w * 0.22)} ${n(foot - h * 0.72)}Z`, hex(canvas.palette.lit(oklch(0.96, 0.01, 240))))
}

function bush(canvas: Canvas, x: number, foot: number, h: number, colour: Colour): void {
  canvas.path(`M${n(x - h * 0.04)} ${n(foot)}v${n(-h * 0.4)}h${n(h * 0.08)}v${n(h * 0.4)}Z`, hex(mix(colour, canvas.palette.ink, 0.5)))
  const random = canvas.random(`bush ${Math.round(x)}`)
  for (const [shade, lift] of [[0.22, 0], [0, 0.06], [-0.18, 0.13]] as const) {
    const tone = hex(shade < 0 ? mix(colour, canvas.palette.sun, canvas.scene.moment === 'night' ? 0.04 : 0.2) : mix(colour, canvas.palette.ink, shade))
    for (let i = 0; i < 5; i++) canvas.add(`<circle cx="${n(x + (random() - 0.5) * h * (0.7 - lift))}" cy="${n(foot - h * (0.5 + lift + random() * 0.3))}" r="${n(h * (0.22 - lift * 0.4))}" fill="${tone}"/>`)
  }
}

/** A tall trunk whose crown is above or fills the frame: trees as a wood has them. */
function trunkTree(canvas: Canvas, x: number, foot: number, h: number, colour: Colour, broad: boolean): void {
  if (!broad) {
    fir(canvas, x, foot, h, colour)
    return
  }
  const w = h * 0.035
  canvas.path(`M${n(x - w * 1.5)} ${n(foot)}Q${n(x - w * 0.7)} ${n(foot - h * 0.1)} ${n(x - w * 0.6)} ${n(foot - h * 0.8)}H${n(x + w * 0.6)}Q${n(x + w * 0.7)} ${n(foot - h * 0.1)} ${n(x + w * 1.6)} ${n(foot)}Z`, canvas.solid(mix(colour, canvas.palette.lit(oklch(0.36, 0.05, 50)), 0.6)), canvas.edge(1, 0.6))
  const leaf = canvas.scene.season === 'autumn' ? mix(colour, canvas.palette.lit(oklch(0.62, 0.15, 55)), 0.7) : canvas.scene.season === 'winter' ? mix(colour, canvas.palette.lit(oklch(0.94, 0.01, 240)), 0.6) : colour
  const random = canvas.random(`crown ${Math.round(x)}`)
  for (let i = 0; i < 9; i++) canvas.add(`<circle cx="${n(x + (random() - 0.5) * h * 0.36)}" cy="${n(foot - h * (0.62 + random() * 0.36))}" r="${n(h * (0.08 + random() * 0.06))}" fill="${hex(i % 3 ? mix(leaf, canvas.palette.ink, (i % 3) * 0.07) : mix(leaf, canvas.palette.sun, 0.14))}"/>`)
}

function viaduct(canvas: Canvas, y: number): void {
  const { width, palette } = canvas
  const stone = palette.lit(oklch(0.7, 0.03, 70))
  const span = width / 7
  const depth = canvas.height * 0.24
  let d = `M-60 ${n(y)}H${width + 60}V${n(y + depth)}H-60Z`
  for (let i = 0; i < 7; i++) {
    const x = i * span + span * 0.14
    const w = span * 0.72
    d += `M${n(x)} ${n(y + depth)}V${n(y + depth * 0.42)}A${n(w / 2)} ${n(w / 2)} 0 0 1 ${n(x + w)} ${n(y + depth * 0.42)}V${n(y + depth)}Z`
  }
  canvas.path(d, canvas.solid(stone), `fill-rule="evenodd" ${canvas.edge()}`)
  canvas.add(`<rect x="-60" y="${n(y - 5)}" width="${width + 120}" height="8" fill="${hex(mix(stone, palette.ink, 0.35))}"/>`)
}

function skyline(canvas: Canvas, horizon: number): void {
  const random = canvas.random('city')
  const { width, height, palette, scene } = canvas
  const lights = scene.moment === 'night' || scene.moment === 'dusk'
  for (const [layer, tall, fog] of [[0, 0.5, 0.55], [1, 0.38, 0.28], [2, 0.24, 0]] as const) {
    for (let x = -20; x < width + 20; ) {
      const w = width * (0.045 + random() * 0.06)
      const h = height * tall * (0.5 + random() * 0.6)
      const colour = mix(mix(palette.lit(oklch(0.52 + random() * 0.12, 0.03, random() < 0.3 ? 40 : 250)), palette.ink, lights ? 0.3 : 0.05), palette.sky[1], fog)
      canvas.add(`<rect x="${n(x)}" y="${n(horizon - h + 14)}" width="${n(w)}" height="${n(h + 60)}" fill="${canvas.solid(colour)}" ${canvas.edge(1, 0.7)}/>`)
      if (random() < 0.25) canvas.path(`M${n(x + w * 0.2)} ${n(horizon - h + 14)}l${n(w * 0.3)} ${n(-w * 0.7)}l${n(w * 0.3)} ${n(w * 0.7)}Z`, canvas.solid(colour), canvas.edge(1, 0.7))
      if (layer > 0) for (let row = 0; row < h / (height * 0.028); row++) for (let k = 0; k < 3; k++) if (random() < 0.5) canvas.add(`<rect x="${n(x + w * (0.14 + k * 0.27))}" y="${n(horizon - h + 20 + row * height * 0.028)}" width="${n(w * 0.16)}" height="${n(height * 0.013)}" fill="${hex(lights && random() < 0.7 ? palette.glow : mix(colour, palette.ink, 0.32))}"/>`)
      x += w * 1.01
    }
  }
}

function mist(canvas: Canvas, top: number): void {
  const { width, height, palette } = canvas
  const pale = hex(lighter(palette.sky[2], 0.03))
  const id = canvas.define('mist', (name) => `<linearGradient id="${name}" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="${pale}" stop-opacity="0"/><stop offset="0.5" stop-color="${pale}" stop-opacity="0.82"/><stop offset="1" stop-color="${pale}" stop-opacity="0"/></linearGradient>`)
  canvas.add(`<rect x="-60" y="${n(top - height * 0.04)}" width="${width + 120}" height="${n(height * 0.26)}" fill="url(#${id})"/>`)
}

function waterside(canvas: Canvas, top: number, blurred: string): Ground {
  const { width, height, palette, scene } = canvas
  const [upper, lower] = [mix(palette.sky[2], palette.far, 0.25), mix(palette.sky[0], palette.lit(oklch(0.4, 0.08, 235)), 0.42)]
  const rough = scene.weather === 'storm' || scene.weather === 'wind'
  canvas.group(blurred, () => {
    const id = canvas.define('water', (name) => `<linearGradient id="${name}" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="${hex(upper)}"/><stop offset="1" stop-color="${hex(lower)}"/></linearGradient>`)
    canvas.add(`<rect x="-60" y="${n(top)}" width="${width + 120}" height="${n(height - top + 60)}" fill="${canvas.flat ? hex(mix(upper, lower, 0.55)) : `url(#${id})`}"/>`)
    const random = canvas.random('ripples')
    const bright = hex(mix(upper, palette.sun, 0.45))
    const deep = hex(mix(lower, palette.ink, 0.25))
    for (let i = 0; i < 70; i++) {
      const t = random() ** 1.4
      const y = top + (height - top) * t
      const w = width * (0.02 + 0.11 * random()) * (0.3 + t)
      const rise = rough ? height * (0.01 + 0.03 * t) : 1.5 + 2.5 * t
      canvas.add(`<path d="M${n(random() * width - w / 2)} ${n(y)}q${n(w / 2)} ${n(-rise)} ${n(w)} 0" fill="none" stroke="${i % 3 ? bright : deep}" stroke-width="${n(0.8 + t * 2)}" stroke-linecap="round" opacity="0.6"/>`)
    }
    // The sun's path on the water.
    if (!['overcast', 'rain', 'storm', 'snow', 'mist'].includes(scene.weather)) {
      const glint = canvas.random('glints')
      const x = width * (scene.light.from === 'right' ? 0.78 : scene.light.from === 'behind' ? 0.5 : 0.22)
      for (let i = 0; i < 26; i++) {
        const t = i / 26
        const w = width * (0.02 + t * 0.07) * (0.4 + glint())
        canvas.add(`<path d="M${n(x - w / 2 + (glint() - 0.5) * width * 0.08 * (0.3 + t))} ${n(top + (height - top) * t)}h${n(w)}" stroke="${hex(palette.sun)}" stroke-width="${n(1 + t * 2.4)}" stroke-linecap="round" opacity="0.5"/>`)
      }
    }
    if (rough) {
      const crest = canvas.random('crests')
      for (let i = 0; i < 16; i++) {
        const t = 0.1 + crest() * 0.9
        const [x, y, w] = [crest() * width, top + (height - top) * t, width * (0.05 + 0.12 * t)]
        canvas.path(`M${n(x - w)} ${n(y)}Q${n(x - w * 0.2)} ${n(y - w * 0.34)} ${n(x + w * 0.2)} ${n(y - w * 0.16)}Q${n(x + w * 0.4)} ${n(y - w * 0.02)} ${n(x + w)} ${n(y)}Q${n(x)} ${n(y - w * 0.06)} ${n(x - w)} ${n(y)}Z`, hex(palette.lit(oklch(0.95, 0.015, 220))), 'opacity="0.75"')
      }
    }
    if (scene.extras.includes('boats') && scene.subject.kind !== 'vessel') for (const [x, s] of [[0.16, 0.09], [0.72, 0.12], [0.88, 0.07]] as const) decor(canvas, 'vessel', 'sailboat', width * x, top + height * s * 0.9, height * s, `boat ${x}`)
  })
  if (scene.extras.includes('reeds')) {
    const random = canvas.random('reeds')
    for (let i = 0; i < 60; i++) {
      const edge = random() < 0.5 ? random() * 0.3 : 0.7 + random() * 0.3
      const [x, h] = [width * edge, height * (0.14 + random() * 0.2)]
      canvas.add(`<path d="M${n(x)} ${height + 5}Q${n(x + (random() - 0.5) * 20)} ${n(height - h * 0.6)} ${n(x + (random() - 0.5) * 40)} ${n(height - h)}" fill="none" stroke="${hex(mix(palette.near, palette.ink, random() * 0.4))}" stroke-width="${n(1.2 + random() * 2)}" stroke-linecap="round"/>`)
    }
  }
  const afloat = figureOf(scene.subject.kind, scene.subject.variant)?.where === 'water'
  if (!afloat && scene.subject.kind !== 'landscape') {
    // A strip of shore to stand on.
    const shore = scene.extras.includes('rocks') ? palette.lit(oklch(0.52, 0.015, 80)) : palette.lit(oklch(0.83, 0.06, 82))
    const front = ridge(canvas, 'shore', height * 0.84, height * 0.045, 0.16)
    sheet(canvas, closed(canvas, front, true), shore, mix(shore, palette.ink, 0.16))
    canvas.path(curve(front), 'none', `stroke="${hex(palette.lit(oklch(0.97, 0.01, 210)))}" stroke-width="${n(height * 0.008)}" opacity="0.8"`)
  }
  if (scene.weather === 'mist') mist(canvas, top)
  return { foot: height * (afloat ? (scene.shot === 'panorama' ? 0.74 : 0.84) : 0.92), horizon: top }
}

function underwater(canvas: Canvas): Ground {
  const { width, height, palette } = canvas
  const top = palette.toned(palette.lit(oklch(0.74, 0.1, 205)), 0)
  const deep = palette.toned(palette.lit(oklch(0.34, 0.09, 245)), 1)
  const id = canvas.define('deep', (name) => `<linearGradient id="${name}" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="${hex(top)}"/><stop offset="1" stop-color="${hex(deep)}"/></linearGradient>`)
  canvas.add(`<rect x="-60" y="-60" width="${width + 120}" height="${height + 120}" fill="url(#${id})"/>`)
  const rays = canvas.random('rays')
  for (let i = 0; i < 6; i++) {
    const [x, w] = [width * (rays() * 0.9), width * (0.03 + rays() * 0.07)]
    canvas.path(`M${n(x)} -60L${n(x + w)} -60L${n(x + w * 3 + width * 0.14)} ${n(height * 0.86)}H${n(x + width * 0.1)}Z`, hex(lighter(top, 0.14)), 'opacity="0.2"')
  }
  sheet(canvas, closed(canvas, ridge(canvas, 'reef', height * 0.84, height * 0.3, 0.4), true), mix(deep, top, 0.16))
  sheet(canvas, closed(canvas, ridge(canvas, 'seabed', height * 0.88, height * 0.07, 0.2), true), mix(palette.lit(oklch(0.78, 0.06, 85)), deep, 0.45), mix(palette.lit(oklch(0.6, 0.05, 85)), deep, 0.5))
  const weed = canvas.random('weed')
  for (let i = 0; i < 26; i++) {
    const edge = weed() < 0.5 ? weed() * 0.36 : 0.64 + weed() * 0.36
    const [x, h, s] = [width * edge, height * (0.1 + weed() * 0.28), (weed() - 0.5) * 60]
    const colour = weed() < 0.3 ? palette.lit(oklch(0.6, 0.16, 20)) : palette.lit(oklch(0.5, 0.11, 150))
    canvas.add(`<path d="M${n(x)} ${n(height * 0.97)}C${n(x + s)} ${n(height * 0.97 - h * 0.4)} ${n(x - s)} ${n(height * 0.97 - h * 0.6)} ${n(x + s * 0.4)} ${n(height * 0.97 - h)}" fill="none" stroke="${hex(mix(colour, deep, 0.25))}" stroke-width="${n(3 + weed() * 6)}" stroke-linecap="round"/>`)
  }
  const bubbles = canvas.random('bubbles')
  for (let i = 0; i < 30; i++) canvas.add(`<circle cx="${n(bubbles() * width)}" cy="${n(bubbles() * height)}" r="${n(1.5 + bubbles() ** 2 * 7)}" fill="none" stroke="${hex(lighter(top, 0.2))}" stroke-width="1.2" opacity="0.7"/>`)
  return { foot: height * 0.9, horizon: height * 0.2 }
}
