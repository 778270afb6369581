import type { Scene, Shot } from '../scene/scene.ts'
import { Canvas, n } from './canvas.ts'
import { hex, mix, oklch, paletteFor } from './colour.ts'
import { FIGURES } from './figures/index.ts'
import { type Figure, penFor } from './figures/figure.ts'
import { finishFor } from './finish.ts'
import { interior } from './interior.ts'
import { type Ground, landscape } from './landscape.ts'
import { lettering } from './lettering.ts'

const SIZE: Record<Shot, number> = { wide: 0.5, medium: 1.14, close: 1.75 }
const INDOORS = new Set(['interior', 'studio'])

function place(canvas: Canvas, figure: Figure, x: number, foot: number, h: number, element: string): void {
  const scale = h / 100
  const { palette, scene } = canvas
  const lean = scene.light === 'right' ? -1 : scene.light === 'left' ? 1 : 0
  if (scene.moment !== 'night' || INDOORS.has(scene.setting)) {
    const w = figure.width * h * 0.5
    canvas.add(`<ellipse cx="${n(x + lean * w * 0.35)}" cy="${n(foot + h * 0.012)}" rx="${n(w * 1.05)}" ry="${n(Math.max(h * 0.035, 3))}" fill="${hex(palette.ink)}" opacity="0.26"/>`)
  }
  canvas.group(`transform="translate(${n(x)} ${n(foot)}) scale(${(scale).toFixed(4)})"`, () => figure.draw(penFor(canvas, element, scale)))
}

/** The subject, as many as asked, from the back to the front so that each is seen. */
function subjects(canvas: Canvas, ground: Ground): void {
  const { scene, width, height } = canvas
  const figure = FIGURES[`${scene.subject.kind}/${scene.subject.variant}`]
  if (!figure) return
  const { count } = scene.subject
  const letters = scene.lettering ? 0.9 : 1
  let h = height * figure.height * SIZE[scene.shot] * letters * (count === 1 ? 1 : count < 4 ? 0.86 : count < 7 ? 0.7 : 0.56)
  const rows = count > 5 ? 2 : 1
  const perRow = Math.ceil(count / rows)
  const STEP = 0.84
  h = Math.min(h, (width * 0.94) / (figure.width * (1 + STEP * (perRow - 1))))
  const random = canvas.random('places')
  const lift = scene.lettering ? height * 0.13 : 0
  for (let i = 0; i < count; i++) {
    const row = Math.floor(i / perRow)
    const inRow = row === rows - 1 ? count - perRow * (rows - 1) : perRow
    const k = i % perRow
    const off = count === 1 ? (scene.light === 'left' ? 0.06 : -0.06) : 0
    const x = width * (0.5 + off + (k - (inRow - 1) / 2) * ((figure.width * h * STEP) / width)) + (random() - 0.5) * h * 0.06
    const depth = rows - 1 - row
    const size = h * (1 - depth * 0.16) * (0.96 + random() * 0.08)
    // In a close shot of someone standing the feet lie below the frame.
    const sunk = scene.shot === 'close' && figure.height > 0.3 ? size * 0.34 : 0
    place(canvas, figure, x, ground.foot - lift - depth * height * 0.07 + sunk + (random() - 0.5) * height * 0.012, size, `subject ${i}`)
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

/** Secondary things the words name, each from a stream of its own. */
function extras(canvas: Canvas, ground: Ground): void {
  const { scene, width, height, palette } = canvas
  const has = (name: Scene['extras'][number]) => scene.extras.includes(name)
  const outdoors = !INDOORS.has(scene.setting)
  const small = scene.shot === 'wide' ? 0.6 : 1
  if (has('hive') && outdoors) {
    const random = canvas.random('hives')
    for (const x of [0.12, 0.24, 0.78, 0.9]) skep(canvas, width * (x + (random() - 0.5) * 0.04), ground.foot - height * (0.05 + random() * 0.04), height * 0.15 * small)
  }
  if (has('flowers') && outdoors && scene.subject.kind !== 'plant') {
    const random = canvas.random('flowers')
    for (let i = 0; i < 60; i++) {
      const [x, y] = [random() * width, ground.foot - height * 0.04 + random() * height * 0.18]
      const r = 1.6 + random() * 2.6
      canvas.add(`<path d="M${n(x)} ${n(y)}v${n(r * 3)}" stroke="${hex(palette.near)}" stroke-width="1"/><circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="${hex(palette.accents[i % 3] ?? palette.sun)}"/>`)
    }
  }
  if (has('birds') && scene.subject.kind !== 'bird') {
    const random = canvas.random('flock')
    for (let i = 0; i < 9; i++) {
      const [x, y, w] = [width * (0.2 + random() * 0.6), height * (0.1 + random() * 0.25), 5 + random() * 7]
      canvas.add(`<path d="M${n(x - w)} ${n(y - w * 0.3)}q${n(w * 0.6)} ${n(-w * 0.4)} ${n(w)} ${n(w * 0.3)}q${n(w * 0.4)} ${n(-w * 0.7)} ${n(w)} ${n(-w * 0.3)}" fill="none" stroke="${hex(palette.ink)}" stroke-width="1.6" stroke-linecap="round"/>`)
    }
  }
}

/** What flies or falls in front of everything. */
function foreground(canvas: Canvas, ground: Ground): void {
  const { scene, width, height, palette } = canvas
  const outdoors = !INDOORS.has(scene.setting)
  if (scene.extras.includes('bees') && scene.subject.kind !== 'insect') {
    const random = canvas.random('bees')
    for (let i = 0; i < 16; i++) {
      const [x, y, r] = [width * random(), ground.horizon * (0.5 + random() * 0.8), 1.8 + random() * 2.2]
      const glows = scene.moment === 'night'
      if (glows) canvas.add(`<circle cx="${n(x)}" cy="${n(y)}" r="${n(r * 4)}" fill="#ffd27a" opacity="0.25"/>`)
      canvas.add(`<g transform="translate(${n(x)} ${n(y)}) rotate(${n(random() * 60 - 30)})"><ellipse rx="${n(r * 0.8)}" ry="${n(r * 1.3)}" cx="${n(r * 0.4)}" cy="${n(-r)}" fill="#ffffff" opacity="0.6"/><ellipse rx="${n(r * 1.5)}" ry="${n(r)}" fill="${hex(glows ? palette.glow : oklch(0.75, 0.15, 78))}"/><path d="M0 ${n(-r)}v${n(2 * r)}M${n(r * 0.7)} ${n(-r * 0.8)}v${n(r * 1.6)}" stroke="#2a1d12" stroke-width="${n(r * 0.4)}"/></g>`)
    }
  }
  if (outdoors && scene.setting !== 'water' && scene.setting !== 'city' && canvas.medium !== 'line' && scene.season !== 'winter') {
    const random = canvas.random('grass')
    const blade = hex(mix(palette.near, palette.ink, 0.25))
    for (let i = 0; i < 70; i++) {
      const [x, h] = [random() * width, height * (0.02 + random() * 0.06)]
      canvas.add(`<path d="M${n(x)} ${height + 4}q${n((random() - 0.5) * 8)} ${n(-h * 0.6)} ${n((random() - 0.5) * 16)} ${n(-h)}" fill="none" stroke="${blade}" stroke-width="${n(1 + random() * 1.6)}" stroke-linecap="round"/>`)
    }
  }
  if (!outdoors) return
  if (scene.weather === 'rain') {
    const random = canvas.random('rain')
    for (let i = 0; i < 140; i++) canvas.add(`<path d="M${n(random() * width)} ${n(random() * height)}l-4 16" stroke="#dfe8f2" stroke-width="1" opacity="0.5"/>`)
  }
  if (scene.weather === 'snow') {
    const random = canvas.random('snowfall')
    for (let i = 0; i < 150; i++) canvas.add(`<circle cx="${n(random() * width)}" cy="${n(random() * height)}" r="${n(0.8 + random() ** 2 * 3.4)}" fill="#ffffff" opacity="${n(0.5 + random() * 0.45)}"/>`)
  }
}

/** The picture of a scene as SVG. The same scene, seed and size give the same text. */
export function drawScene(scene: Scene, seed: number, width: number, height: number): string {
  const palette = paletteFor(scene)
  const canvas = new Canvas(width, height, scene, palette, seed)
  const finish = finishFor(canvas, seed)
  canvas.add(`<g ${finish.around}>`)
  const ground = INDOORS.has(scene.setting) ? interior(canvas) : landscape(canvas)
  extras(canvas, ground)
  subjects(canvas, ground)
  foreground(canvas, ground)
  canvas.add('</g>')
  lettering(canvas)
  return canvas.toString(`<rect width="${width}" height="${height}" fill="${hex(palette.paper)}"/>`, finish.over)
}
