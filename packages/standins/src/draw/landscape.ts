import { Canvas, curve, n } from './canvas.ts'
import { type Colour, hex, lighter, mix, oklch } from './colour.ts'

type Point = [number, number]

/** A ridge by midpoint displacement (Fournier, Fussell and Carpenter 1982): heights over the width. */
function ridge(canvas: Canvas, name: string, base: number, rise: number, roughness: number): Point[] {
  const random = canvas.random(name)
  let points: Point[] = [
    [-20, base - rise * (0.2 + random() * 0.5)],
    [canvas.width * (0.25 + random() * 0.2), base - rise * (0.6 + random() * 0.4)],
    [canvas.width * (0.6 + random() * 0.2), base - rise * (0.35 + random() * 0.65)],
    [canvas.width + 20, base - rise * (0.2 + random() * 0.6)],
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

const closed = (canvas: Canvas, points: Point[], smooth: boolean) =>
  `${smooth ? curve(points) : `M${points.map(([x, y]) => `${n(x)} ${n(y)}`).join('L')}`}L${canvas.width + 20} ${canvas.height + 20}L-20 ${canvas.height + 20}Z`

/** How a stretch of land is filled: flat where the medium is, else lit from the side. */
function land(canvas: Canvas, colour: Colour): string {
  if (canvas.medium === 'line') return hex(mix(colour, canvas.palette.paper, 0.76))
  return canvas.medium === 'flat print' || canvas.medium === 'paper cut' ? hex(colour) : canvas.solid(colour, 0.65)
}

function sky(canvas: Canvas, horizon: number): void {
  const { palette, width, height, scene } = canvas
  const pale = canvas.medium === 'line' ? 0.72 : 0
  const [top, middle, low] = palette.sky.map((colour) => mix(colour, palette.paper, pale)) as typeof palette.sky
  const bands = canvas.medium === 'flat print' || canvas.medium === 'paper cut'
  const stops: [number, Colour][] = bands
    ? [[0, top], [0.3, top], [0.301, mix(top, middle, 0.5)], [0.5, mix(top, middle, 0.5)], [0.501, middle], [0.72, middle], [0.721, mix(middle, low, 0.6)], [0.88, mix(middle, low, 0.6)], [0.881, low], [1, low]]
    : [[0, top], [0.55, middle], [1, low]]
  const id = canvas.define('sky', (name) => `<linearGradient id="${name}" x1="0" y1="0" x2="0" y2="1">${stops.map(([at, c]) => `<stop offset="${at}" stop-color="${hex(c)}"/>`).join('')}</linearGradient>`)
  canvas.add(`<rect x="-20" y="-20" width="${width + 40}" height="${n(horizon + 60)}" fill="url(#${id})"/>`)

  const random = canvas.random('sun')
  const side = scene.light === 'right' ? 0.66 + random() * 0.2 : scene.light === 'left' ? 0.14 + random() * 0.2 : 0.4 + random() * 0.2
  const [x, y] = [width * side, horizon * (scene.moment === 'day' ? 0.24 : scene.moment === 'night' ? 0.26 : 0.62)]
  const r = Math.min(width, height) * (scene.moment === 'night' ? 0.052 : 0.062)
  if (scene.moment === 'night') {
    const star = canvas.random('stars')
    for (let i = 0; i < 90; i++) {
      canvas.add(`<circle cx="${n(star() * width)}" cy="${n(star() * horizon * 0.85)}" r="${n(0.4 + star() ** 3 * 1.5)}" fill="#fff6dd" opacity="${n(0.35 + star() * 0.6)}"/>`)
    }
  }
  if (scene.weather === 'clear' || scene.weather === 'mist') {
    const halo = canvas.define('halo', (name) => `<radialGradient id="${name}"><stop offset="0" stop-color="${hex(palette.sun)}" stop-opacity="0.75"/><stop offset="1" stop-color="${hex(palette.sun)}" stop-opacity="0"/></radialGradient>`)
    if (!bands) canvas.add(`<circle cx="${n(x)}" cy="${n(y)}" r="${n(r * 5)}" fill="url(#${halo})"/>`)
    else canvas.add(`<circle cx="${n(x)}" cy="${n(y)}" r="${n(r * 1.9)}" fill="${hex(palette.sun)}" opacity="0.28"/>`)
    if (scene.moment === 'night') canvas.path(`M${n(x + r * 0.3)} ${n(y - r * 0.95)}A${n(r)} ${n(r)} 0 1 0 ${n(x + r * 0.95)} ${n(y + r * 0.3)}A${n(r * 0.82)} ${n(r * 0.82)} 0 0 1 ${n(x + r * 0.3)} ${n(y - r * 0.95)}Z`, hex(palette.sun))
    else canvas.add(`<circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="${hex(palette.sun)}" ${canvas.edge()}/>`)
  }
  const cloud = canvas.random('clouds')
  const clouds = scene.weather === 'clear' ? 3 : 7
  for (let i = 0; i < clouds; i++) {
    const [cx, cy, w] = [cloud() * width, horizon * (0.1 + cloud() * 0.55), width * (0.09 + cloud() * 0.14)]
    const colour = hex(mix(palette.sky[2], oklch(0.98, 0.01, 90), scene.moment === 'night' ? 0.08 : 0.6))
    const lumps = Array.from({ length: 4 }, (_, k) => `<ellipse cx="${n(cx + (k - 1.5) * w * 0.42)}" cy="${n(cy - (k === 1 || k === 2 ? w * 0.1 : 0))}" rx="${n(w * (0.3 + cloud() * 0.12))}" ry="${n(w * (0.1 + cloud() * 0.06))}"/>`)
    canvas.add(`<g fill="${colour}" opacity="${scene.moment === 'night' ? 0.25 : bands ? 0.85 : 0.6}">${lumps.join('')}<rect x="${n(cx - w * 0.8)}" y="${n(cy)}" width="${n(w * 1.6)}" height="${n(w * 0.09)}" rx="${n(w * 0.045)}"/></g>`)
  }
}

export function fir(canvas: Canvas, x: number, foot: number, h: number, colour: Colour): void {
  const fill = canvas.solid(colour)
  const w = h * 0.34
  let d = `M${n(x)} ${n(foot - h)}`
  for (const [y, half] of [[0.34, 0.3], [0.3, 0.18], [0.62, 0.42], [0.58, 0.28], [0.92, 0.5]] as const) d += `L${n(x + w * half)} ${n(foot - h + h * y)}`
  for (const [y, half] of [[0.92, 0.5], [0.58, 0.28], [0.62, 0.42], [0.3, 0.18], [0.34, 0.3]] as const) d += `L${n(x - w * half)} ${n(foot - h + h * y)}`
  canvas.path(`M${n(x - h * 0.025)} ${n(foot)}V${n(foot - h * 0.12)}H${n(x + h * 0.025)}V${n(foot)}Z`, hex(mix(colour, canvas.palette.ink, 0.5)))
  canvas.path(`${d}Z`, fill, canvas.edge(1, 0.6))
  if (canvas.scene.season === 'winter') canvas.path(`M${n(x)} ${n(foot - h)}L${n(x + w * 0.2)} ${n(foot - h * 0.78)}L${n(x)} ${n(foot - h * 0.82)}L${n(x - w * 0.2)} ${n(foot - h * 0.78)}Z`, hex(canvas.palette.lit(oklch(0.96, 0.01, 240))))
}

export function house(canvas: Canvas, x: number, foot: number, size: number, wall: Colour, roof: Colour): void {
  const dark = canvas.scene.moment === 'night' || canvas.scene.moment === 'dusk'
  const window = hex(dark ? canvas.palette.glow : mix(wall, canvas.palette.ink, 0.55))
  canvas.path(`M${n(x - size * 0.5)} ${n(foot)}V${n(foot - size * 0.5)}L${n(x)} ${n(foot - size * 0.92)}L${n(x + size * 0.5)} ${n(foot - size * 0.5)}V${n(foot)}Z`, canvas.solid(wall), canvas.edge(1, 0.7))
  canvas.path(`M${n(x - size * 0.64)} ${n(foot - size * 0.42)}L${n(x)} ${n(foot - size)}L${n(x + size * 0.64)} ${n(foot - size * 0.42)}L${n(x + size * 0.56)} ${n(foot - size * 0.36)}L${n(x)} ${n(foot - size * 0.84)}L${n(x - size * 0.56)} ${n(foot - size * 0.36)}Z`, hex(roof), canvas.edge(1, 0.7))
  for (const dx of [-0.24, 0.24]) canvas.add(`<rect x="${n(x + dx * size - size * 0.08)}" y="${n(foot - size * 0.42)}" width="${n(size * 0.16)}" height="${n(size * 0.17)}" fill="${window}"/>`)
  canvas.add(`<rect x="${n(x - size * 0.09)}" y="${n(foot - size * 0.22)}" width="${n(size * 0.18)}" height="${n(size * 0.22)}" fill="${hex(mix(wall, canvas.palette.ink, 0.6))}"/>`)
}

function viaduct(canvas: Canvas, y: number): void {
  const { width, palette } = canvas
  const stone = palette.lit(oklch(0.7, 0.03, 70))
  const arches = 7
  const span = width / arches
  const depth = canvas.height * 0.24
  let d = `M-20 ${n(y)}H${width + 20}V${n(y + depth)}H-20Z`
  for (let i = 0; i < arches; i++) {
    const x = i * span + span * 0.14
    const w = span * 0.72
    d += `M${n(x)} ${n(y + depth)}V${n(y + depth * 0.42)}A${n(w / 2)} ${n(w / 2)} 0 0 1 ${n(x + w)} ${n(y + depth * 0.42)}V${n(y + depth)}Z`
  }
  canvas.path(d, canvas.solid(stone), `fill-rule="evenodd" ${canvas.edge()}`)
  canvas.add(`<rect x="-20" y="${n(y - 5)}" width="${width + 40}" height="8" fill="${hex(mix(stone, palette.ink, 0.35))}"/>`)
}

/** Where figures stand, and how the ground runs. */
export interface Ground {
  /** Height in pixels from the top at which the main figure stands. */
  foot: number
  horizon: number
}

/** One stretch of land; in cut paper it lifts off what is behind it, its shadow a few soft strokes. */
function sheet(canvas: Canvas, d: string, fill: string): void {
  if (canvas.medium === 'paper cut') {
    for (const [width, opacity] of [[15, 0.07], [9, 0.1], [4, 0.14]] as const) canvas.path(d, 'none', `stroke="#1d1526" stroke-width="${width}" opacity="${opacity}"`)
  }
  canvas.path(d, fill, canvas.edge())
}

/** Snow above a line a third of the way down from the highest peak, ragged below. */
function snowCaps(canvas: Canvas, points: Point[], fill: string): void {
  const top = Math.min(...points.map(([, y]) => y))
  const foot = Math.max(...points.map(([, y]) => y))
  const line = top + (foot - top) * 0.42
  const random = canvas.random('snow line')
  let cap: Point[] = []
  const close = () => {
    if (cap.length > 2) {
      const ragged = [...cap].reverse().filter((_, i) => i % 2 === 0).map(([x, y], i): Point => [x, i % 2 ? Math.min(line, y + 6 + random() * 8) : Math.min(line + 8, y + 16 + random() * 26)])
      canvas.path(`M${[...cap, ...ragged].map(([x, y]) => `${n(x)} ${n(y)}`).join('L')}Z`, fill)
    }
    cap = []
  }
  for (const point of points) {
    if (point[1] < line) cap.push(point)
    else close()
  }
  close()
}

/** Everything outdoors behind the subject: sky, ranges, land, water, trees and houses. */
export function landscape(canvas: Canvas): Ground {
  const { width, height, palette, scene } = canvas
  const close = scene.shot === 'close'
  const horizon = height * (close ? 0.7 : scene.shot === 'wide' ? 0.56 : 0.62)
  sky(canvas, horizon)
  const depth = canvas.medium === 'photograph' && scene.shot !== 'wide' ? (close ? 5 : 2.6) : 0
  const blurred = depth ? `filter="url(#${canvas.define('depth', (name) => `<filter id="${name}" x="-5%" y="-5%" width="110%" height="110%"><feGaussianBlur stdDeviation="${depth}"/></filter>`)})"` : ''
  const snow = palette.lit(oklch(0.97, 0.01, 240))
  canvas.group(blurred, () => {
    const ranges: [string, number, number, number, Colour][] = [
      ['range far', horizon + 6, height * 0.42, 0.42, mix(palette.far, palette.sky[1], 0.35)],
      ['range middle', horizon + 10, height * 0.3, 0.46, palette.far],
    ]
    if (scene.setting !== 'city') {
      for (const [name, base, rise, rough, colour] of ranges) {
        const points = ridge(canvas, name, base, rise, rough)
        sheet(canvas, closed(canvas, points, false), canvas.medium === 'line' ? land(canvas, colour) : hex(colour))
        if (name === 'range far') snowCaps(canvas, points, hex(mix(snow, palette.sky[1], 0.2)))
      }
    } else city(canvas, horizon)
    const hills = ridge(canvas, 'hills', horizon + height * 0.06, height * 0.13, 0.16)
    sheet(canvas, closed(canvas, hills, true), land(canvas, palette.middle))
    if (scene.extras.includes('viaduct')) viaduct(canvas, horizon - height * 0.06)
    const trees = canvas.random('trees')
    const amount = scene.setting === 'forest' ? 46 : scene.extras.includes('trees') ? 26 : scene.setting === 'city' ? 0 : 13
    const firs = Array.from({ length: amount }, () => {
      const x = trees() * width
      const y = horizon + height * (0.02 + trees() * 0.1)
      return { x, y, h: height * (0.07 + trees() * 0.07) * (scene.setting === 'forest' ? 2 : 1) }
    }).sort((a, b) => a.y - b.y)
    for (const { x, y, h } of firs) fir(canvas, x, y, h, mix(palette.near, palette.ink, 0.22))
    if (scene.setting === 'village' || scene.extras.includes('houses')) {
      const random = canvas.random('houses')
      const roofs = [oklch(0.5, 0.12, 35), oklch(0.44, 0.09, 28), oklch(0.4, 0.03, 260)]
      for (let i = 0; i < 7; i++) {
        const x = width * (0.08 + 0.84 * ((i + random() * 0.7) / 7))
        house(canvas, x, horizon + height * (0.06 + random() * 0.06), height * (0.09 + random() * 0.05), palette.lit(oklch(0.88, 0.03, 80)), palette.lit(roofs[i % 3] as Colour))
      }
    }
  })
  if (scene.setting === 'water') {
    water(canvas, horizon + height * 0.04)
    return { foot: height * 0.86, horizon }
  }
  const front = ridge(canvas, 'front', height * 0.76, height * 0.07, 0.1)
  sheet(canvas, closed(canvas, front, true), land(canvas, palette.ground))
  if (scene.weather === 'mist') mist(canvas, horizon)
  return { foot: height * (scene.shot === 'wide' ? 0.86 : 0.9), horizon }
}

function city(canvas: Canvas, horizon: number): void {
  const random = canvas.random('city')
  for (let layer = 0; layer < 2; layer++) {
    for (let x = -10; x < canvas.width; ) {
      const w = canvas.width * (0.05 + random() * 0.06)
      const h = canvas.height * (0.16 + random() * 0.26) * (layer ? 0.7 : 1)
      const colour = layer ? canvas.palette.middle : canvas.palette.far
      canvas.add(`<rect x="${n(x)}" y="${n(horizon - h + 12)}" width="${n(w)}" height="${n(h)}" fill="${canvas.solid(colour)}" ${canvas.edge()}/>`)
      const lights = canvas.scene.moment === 'night' || canvas.scene.moment === 'dusk'
      for (let k = 0; k < 8; k++) if (random() < 0.55) canvas.add(`<rect x="${n(x + w * (0.15 + 0.45 * (k % 2)))}" y="${n(horizon - h + 22 + (k >> 1) * h * 0.2)}" width="${n(w * 0.2)}" height="${n(h * 0.07)}" fill="${hex(lights ? canvas.palette.glow : mix(colour, canvas.palette.ink, 0.3))}"/>`)
      x += w * 1.02
    }
  }
}

function water(canvas: Canvas, top: number): void {
  const { width, height, palette } = canvas
  const [upper, lower] = [mix(palette.sky[2], palette.far, 0.25), mix(palette.sky[0], palette.near, 0.35)]
  const id = canvas.define('water', (name) => `<linearGradient id="${name}" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="${hex(upper)}"/><stop offset="1" stop-color="${hex(lower)}"/></linearGradient>`)
  canvas.add(`<rect x="-20" y="${n(top)}" width="${width + 40}" height="${n(height - top + 20)}" fill="url(#${id})"/>`)
  const random = canvas.random('ripples')
  for (let i = 0; i < 46; i++) {
    const y = top + (height - top) * random() ** 1.3
    const w = width * (0.03 + 0.1 * random()) * (0.4 + (y - top) / (height - top))
    const x = random() * width
    canvas.add(`<path d="M${n(x)} ${n(y)}q${n(w / 2)} ${n(-2 - random() * 2)} ${n(w)} 0" fill="none" stroke="${hex(lighter(upper, 0.1))}" stroke-width="${n(1 + random() * 1.4)}" stroke-linecap="round" opacity="0.7"/>`)
  }
}

function mist(canvas: Canvas, horizon: number): void {
  const { width, height, palette } = canvas
  const pale = hex(lighter(palette.sky[2], 0.05))
  const id = canvas.define('mist', (name) => `<linearGradient id="${name}" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="${pale}" stop-opacity="0"/><stop offset="0.5" stop-color="${pale}" stop-opacity="0.72"/><stop offset="1" stop-color="${pale}" stop-opacity="0"/></linearGradient>`)
  for (const y of [horizon - height * 0.16, horizon + height * 0.02]) canvas.add(`<rect x="-20" y="${n(y)}" width="${width + 40}" height="${n(height * 0.22)}" fill="url(#${id})"/>`)
}
