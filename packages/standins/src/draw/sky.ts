import { type Canvas, n } from './canvas.ts'
import { type Colour, hex, mix, oklch } from './colour.ts'

/** How high the sun or the moon stands, as a share of the sky from the top. */
const HEIGHT = { dawn: 0.86, morning: 0.48, noon: 0.16, afternoon: 0.58, dusk: 0.84, night: 0.26 } as const

/** Sky, sun or moon, stars and clouds down to the horizon. */
export function sky(canvas: Canvas, horizon: number): void {
  const { palette, width, height, scene } = canvas
  const [top, middle, low] = palette.sky
  const stops: [number, Colour][] = canvas.flat
    ? [[0, top], [0.3, top], [0.301, mix(top, middle, 0.5)], [0.5, mix(top, middle, 0.5)], [0.501, middle], [0.72, middle], [0.721, mix(middle, low, 0.6)], [0.88, mix(middle, low, 0.6)], [0.881, low], [1, low]]
    : [[0, top], [0.55, middle], [1, low]]
  const id = canvas.define('sky', (name) => `<linearGradient id="${name}" x1="0" y1="0" x2="0" y2="1">${stops.map(([at, c]) => `<stop offset="${at}" stop-color="${hex(c)}"/>`).join('')}</linearGradient>`)
  canvas.add(`<rect x="-60" y="-60" width="${width + 120}" height="${n(Math.max(0, horizon) + 120)}" fill="url(#${id})"/>`)
  const without = (extra: (typeof scene.without)[number]) => scene.without.includes(extra)
  const hidden = ['overcast', 'rain', 'storm', 'snow'].includes(scene.weather)
  const night = scene.moment === 'night'
  if (night && !hidden && !without('stars')) stars(canvas, horizon)
  if ((!hidden || scene.extras.includes('moon')) && !without(night ? 'moon' : 'sun')) disc(canvas, horizon)
  if (!without('clouds')) clouds(canvas, horizon)
  if (scene.weather === 'storm') lightning(canvas, horizon)
  if (scene.extras.includes('birds') && scene.subject.kind !== 'bird') {
    const random = canvas.random('flock')
    for (let i = 0; i < 9; i++) {
      const [x, y, w] = [width * (0.18 + random() * 0.64), Math.max(16, horizon * (0.16 + random() * 0.5)), height * (0.009 + random() * 0.013)]
      canvas.add(`<path d="M${n(x - w)} ${n(y - w * 0.3)}q${n(w * 0.6)} ${n(-w * 0.4)} ${n(w)} ${n(w * 0.3)}q${n(w * 0.4)} ${n(-w * 0.7)} ${n(w)} ${n(-w * 0.3)}" fill="none" stroke="${hex(mix(palette.ink, palette.sky[1], 0.2))}" stroke-width="${n(height * 0.0034)}" stroke-linecap="round"/>`)
    }
  }
}

function stars(canvas: Canvas, horizon: number): void {
  const { width } = canvas
  const random = canvas.random('stars')
  const many = canvas.scene.extras.includes('stars') ? 190 : 80
  for (let i = 0; i < many; i++) canvas.add(`<circle cx="${n(random() * width)}" cy="${n(random() * horizon * 0.88)}" r="${n(0.5 + random() ** 3 * 1.7)}" fill="#fff6dd" opacity="${n(0.35 + random() * 0.6)}"/>`)
}

function disc(canvas: Canvas, horizon: number): void {
  const { width, height, palette, scene } = canvas
  const random = canvas.random('sun')
  const { from } = scene.light
  const side = from === 'right' ? 0.68 + random() * 0.2 : from === 'behind' ? 0.42 + random() * 0.16 : 0.12 + random() * 0.2
  const night = scene.moment === 'night'
  const [x, y] = [width * side, Math.max(height * 0.06, horizon * HEIGHT[scene.moment])]
  const r = Math.min(width, height) * (night ? 0.055 : scene.moment === 'dusk' || scene.moment === 'dawn' ? 0.075 : 0.05)
  const halo = canvas.define('halo', (name) => `<radialGradient id="${name}"><stop offset="0" stop-color="${hex(palette.sun)}" stop-opacity="${night ? 0.5 : 0.8}"/><stop offset="0.35" stop-color="${hex(palette.sun)}" stop-opacity="0.26"/><stop offset="1" stop-color="${hex(palette.sun)}" stop-opacity="0"/></radialGradient>`)
  if (canvas.flat) canvas.add(`<circle cx="${n(x)}" cy="${n(y)}" r="${n(r * 1.8)}" fill="${hex(palette.sun)}" opacity="0.26"/>`)
  else canvas.add(`<circle cx="${n(x)}" cy="${n(y)}" r="${n(r * (night ? 4.5 : 6.5))}" fill="url(#${halo})"/>`)
  if (scene.weather === 'mist') return
  canvas.add(`<circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="${hex(palette.sun)}"/>`)
  if (!night) return
  for (const [dx, dy, q] of [[-0.3, -0.2, 0.22], [0.25, 0.3, 0.3], [0.3, -0.38, 0.16]] as const) canvas.add(`<circle cx="${n(x + dx * r)}" cy="${n(y + dy * r)}" r="${n(q * r)}" fill="${hex(mix(palette.sun, palette.sky[1], 0.3))}" opacity="0.7"/>`)
}

const CLOUDS = { clear: 3, wind: 6, cloudy: 9, mist: 2, overcast: 15, rain: 15, storm: 18, snow: 13 } as const

function clouds(canvas: Canvas, horizon: number): void {
  const { width, palette, scene } = canvas
  const random = canvas.random('clouds')
  const count = CLOUDS[scene.weather] + (scene.extras.includes('clouds') ? 6 : 0)
  const heavy = ['overcast', 'rain', 'storm', 'snow'].includes(scene.weather)
  const night = scene.moment === 'night'
  const light = mix(palette.sky[2], oklch(0.98, 0.01, 90), night ? 0.06 : heavy ? 0.15 : 0.62)
  const shade = scene.weather === 'storm' ? mix(palette.sky[0], palette.ink, 0.4) : mix(light, palette.sky[0], 0.42)
  for (let i = 0; i < count; i++) {
    const depth = random()
    const [cx, cy] = [random() * width * 1.1 - width * 0.05, horizon * (heavy ? 0.02 + depth * 0.6 : 0.06 + depth * 0.62)]
    const w = width * (heavy ? 0.16 + random() * 0.14 : 0.05 + random() * 0.1) * (1.2 - depth * 0.7)
    const h = w * (0.26 + random() * 0.14)
    const lumps: [number, number, number][] = []
    const puffs = 5 + Math.floor(random() * 3)
    for (let k = 0; k < puffs; k++) {
      const t = k / (puffs - 1)
      lumps.push([cx + (t - 0.5) * w * 1.6, cy - Math.sin(t * Math.PI) * h * (0.5 + random() * 0.5), h * (0.42 + Math.sin(t * Math.PI) * 0.5 + random() * 0.16)])
    }
    const shape = (dy: number, grow: number) => lumps.map(([x, y, r]) => `<circle cx="${n(x)}" cy="${n(y + dy)}" r="${n(r * grow)}"/>`).join('') + `<rect x="${n(cx - w * 0.86)}" y="${n(cy - h * 0.2 + dy)}" width="${n(w * 1.72)}" height="${n(h * 0.5)}" rx="${n(h * 0.25)}"/>`
    const solid = night ? 0.5 : canvas.flat ? 0.95 : 0.8
    canvas.add(`<g fill="${hex(shade)}" opacity="${solid}">${shape(h * 0.13, 1)}</g><g fill="${hex(light)}" opacity="${n(solid * (heavy ? 0.5 : 1))}">${shape(-h * 0.03, 0.92)}</g>`)
  }
}

function lightning(canvas: Canvas, horizon: number): void {
  const random = canvas.random('lightning')
  let [x, y] = [canvas.width * (0.6 + random() * 0.25), 0]
  let d = `M${n(x)} 0`
  while (y < horizon * 0.92) {
    x += (random() - 0.5) * canvas.width * 0.07
    y += canvas.height * (0.05 + random() * 0.05)
    d += `L${n(x)} ${n(y)}`
  }
  canvas.add(`<path d="${d}" fill="none" stroke="#eaf0ff" stroke-width="${n(canvas.height * 0.014)}" opacity="0.25" stroke-linejoin="round"/><path d="${d}" fill="none" stroke="#fdfbff" stroke-width="${n(canvas.height * 0.005)}" stroke-linejoin="round"/>`)
}
