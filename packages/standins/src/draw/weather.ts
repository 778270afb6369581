import { type Canvas, n } from './canvas.ts'
import { hex, mix, oklch } from './colour.ts'
import type { Ground } from './land.ts'

/** What flies or falls in front of everything. */
export function weather(canvas: Canvas, ground: Ground, outdoors: boolean): void {
  const { scene, width, height, palette } = canvas
  if (scene.extras.includes('bees')) bees(canvas, ground)
  if (scene.extras.includes('steam') && !outdoors) {
    for (const [x, s] of [[0.44, 1], [0.5, 1.2], [0.56, 0.9]] as const) canvas.add(`<path d="M${n(width * x)} ${n(height * 0.5)}q${n(-width * 0.03)} ${n(-height * 0.09 * s)} 0 ${n(-height * 0.16 * s)}t0 ${n(-height * 0.14 * s)}" fill="none" stroke="#ffffff" stroke-width="${n(height * 0.014)}" stroke-linecap="round" opacity="0.35"/>`)
  }
  if (!outdoors) return
  if (scene.weather === 'rain' || scene.weather === 'storm') {
    const random = canvas.random('rain')
    const slant = scene.weather === 'storm' ? 0.5 : 0.18
    for (let i = 0; i < 190; i++) {
      const [x, y, l] = [random() * width * 1.2 - width * 0.1, random() * height, height * (0.03 + random() * 0.035)]
      canvas.add(`<path d="M${n(x)} ${n(y)}l${n(-l * slant)} ${n(l)}" stroke="#e4ecf4" stroke-width="${n(height * 0.0022)}" opacity="${n(0.3 + random() * 0.3)}"/>`)
    }
  }
  if (scene.weather === 'snow') {
    const random = canvas.random('snowfall')
    for (let i = 0; i < 190; i++) canvas.add(`<circle cx="${n(random() * width)}" cy="${n(random() * height)}" r="${n((0.8 + random() ** 2 * 3.6) * (height / 512))}" fill="#ffffff" opacity="${n(0.55 + random() * 0.45)}"/>`)
  }
  if (scene.weather === 'wind' || (scene.season === 'autumn' && ['forest', 'garden', 'meadow', 'village'].includes(scene.setting))) {
    const random = canvas.random('leaves')
    for (let i = 0; i < 26; i++) {
      const [x, y, r] = [random() * width, random() * height, height * (0.005 + random() * 0.008)]
      canvas.add(`<path d="M${n(x - r)} ${n(y)}Q${n(x)} ${n(y - r)} ${n(x + r)} ${n(y)}Q${n(x)} ${n(y + r)} ${n(x - r)} ${n(y)}Z" transform="rotate(${n(random() * 180)} ${n(x)} ${n(y)})" fill="${hex(palette.lit(oklch(0.6 + random() * 0.12, 0.14, 40 + random() * 40)))}"/>`)
    }
  }
}

function bees(canvas: Canvas, ground: Ground): void {
  const { scene, width, height, palette } = canvas
  const random = canvas.random('bees')
  const glows = scene.moment === 'night' || scene.moment === 'dusk'
  for (let i = 0; i < 18; i++) {
    const [x, y, r] = [width * random(), ground.horizon * (0.4 + random() * 0.9), (1.9 + random() * 2.4) * (height / 512)]
    if (glows) canvas.add(`<circle cx="${n(x)}" cy="${n(y)}" r="${n(r * 4)}" fill="#ffd27a" opacity="0.25"/>`)
    canvas.add(`<g transform="translate(${n(x)} ${n(y)}) rotate(${n(random() * 60 - 30)})"><ellipse rx="${n(r * 0.8)}" ry="${n(r * 1.3)}" cx="${n(r * 0.4)}" cy="${n(-r)}" fill="#ffffff" opacity="0.6"/><ellipse rx="${n(r * 1.5)}" ry="${n(r)}" fill="${hex(glows ? palette.glow : oklch(0.75, 0.15, 78))}"/><path d="M0 ${n(-r)}v${n(2 * r)}M${n(r * 0.7)} ${n(-r * 0.8)}v${n(r * 1.6)}" stroke="${hex(mix(palette.ink, palette.glow, 0.1))}" stroke-width="${n(r * 0.4)}"/></g>`)
  }
}
