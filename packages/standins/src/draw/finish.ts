import { Canvas, n } from './canvas.ts'
import { hex, mix } from './colour.ts'

/** What a medium lays over and under the drawing: paper, grain, edges, vignette. `around` wraps the drawing itself. */
export interface Finish {
  around: string
  over: string
}

const TILE = 192

/** A tile of noise that joins at its edges: made once and repeated, for a sixth of the time of noise over the whole picture. */
const noise = (id: string, frequency: string, octaves: number, seed: number, matrix: string) =>
  `<filter id="${id}f" x="0" y="0" width="100%" height="100%" color-interpolation-filters="sRGB"><feTurbulence type="fractalNoise" stitchTiles="stitch" baseFrequency="${frequency}" numOctaves="${octaves}" seed="${seed}"/><feColorMatrix type="matrix" values="${matrix}"/></filter><pattern id="${id}" width="${TILE}" height="${TILE}" patternUnits="userSpaceOnUse"><rect width="${TILE}" height="${TILE}" filter="url(#${id}f)"/></pattern>`

const GREY_FROM_NOISE = (strength: number, lift: number) => `0 0 0 0 0.5  0 0 0 0 0.45  0 0 0 0 0.4  ${strength} ${strength} 0 0 ${lift}`

const wobble = (id: string, frequency: number, scale: number, seed: number) =>
  `<filter id="${id}" x="-2%" y="-2%" width="104%" height="104%"><feTurbulence type="fractalNoise" baseFrequency="${frequency}" numOctaves="1" seed="${seed}"/><feDisplacementMap in="SourceGraphic" scale="${scale}" xChannelSelector="R" yChannelSelector="G"/></filter>`

export function finishFor(canvas: Canvas, seed: number): Finish {
  const { width, height, palette } = canvas
  const cover = (id: string, more = '') => `<rect width="${width}" height="${height}" fill="url(#${id})" ${more}/>`
  const wrap = (id: string) => `filter="url(#${id})"`
  const s = seed % 997
  switch (canvas.medium) {
    case 'gouache': {
      const strokes = canvas.define('strokes', (id) => wobble(id, 0.035, 7, s))
      const paper = canvas.define('paper', (id) => noise(id, '0.9 0.35', 1, s, GREY_FROM_NOISE(0.42, -0.31)))
      return { around: wrap(strokes), over: cover(paper, 'opacity="0.55"') }
    }
    case 'wash': {
      const bleed = canvas.define('bleed', (id) => wobble(id, 0.018, 11, s))
      const tooth = canvas.define('tooth', (id) => noise(id, '0.75', 1, s + 1, GREY_FROM_NOISE(0.4, -0.3)))
      return { around: wrap(bleed), over: `${pools(canvas)}${cover(tooth, 'opacity="0.4"')}${deckle(canvas)}` }
    }
    case 'flat print': {
      const speckle = canvas.define('speckle', (id) => noise(id, '0.8', 1, s, `0 0 0 0 0.97  0 0 0 0 0.95  0 0 0 0 0.9  2.6 0 0 0 -1.72`))
      const margin = Math.round(Math.min(width, height) * 0.035)
      return { around: '', over: `${cover(speckle, 'opacity="0.5"')}<path d="M0 0H${width}V${height}H0ZM${margin} ${margin}V${height - margin}H${width - margin}V${margin}Z" fill="${hex(palette.paper)}" fill-rule="evenodd"/>` }
    }
    case 'line': {
      const hand = canvas.define('hand', (id) => wobble(id, 0.03, 3.4, s))
      const hatch = canvas.define('hatch', (id) => `<pattern id="${id}" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(38)"><path d="M0 2.5H5" stroke="${hex(palette.ink)}" stroke-width="0.7" opacity="0.5"/></pattern>`)
      const shaded = canvas.scene.light === 'right' ? 0 : width * 0.42
      const tint = hex(mix(palette.paper, palette.sky[1], 0.1))
      return { around: wrap(hand), over: `<rect width="${width}" height="${height}" fill="url(#${hatch})" opacity="0.22"/><rect x="${n(shaded)}" width="${n(width * 0.58)}" height="${height}" fill="url(#${hatch})" opacity="0.5"/><rect width="${width}" height="${height}" fill="${tint}" opacity="0.12"/>` }
    }
    case 'photograph': {
      const grain = canvas.define('film grain', (id) => noise(id, '0.9', 1, s, `0 0 0 0 0.5  0 0 0 0 0.5  0 0 0 0 0.5  0.8 0 0 0 -0.28`))
      const vignette = canvas.define('vignette', (id) => `<radialGradient id="${id}" cx="0.5" cy="0.48" r="0.75"><stop offset="0.55" stop-color="#0b0a12" stop-opacity="0"/><stop offset="1" stop-color="#0b0a12" stop-opacity="0.5"/></radialGradient>`)
      return { around: '', over: `${cover(grain, 'opacity="0.22"')}<rect width="${width}" height="${height}" fill="url(#${vignette})"/>` }
    }
    case 'paper cut': {
      const fibre = canvas.define('fibre', (id) => noise(id, '0.5 0.6', 1, s, GREY_FROM_NOISE(0.5, -0.34)))
      return { around: '', over: cover(fibre, 'opacity="0.5"') }
    }
  }
}

/** Lighter patches where the water stood. */
function pools(canvas: Canvas): string {
  const { width, height } = canvas
  const random = canvas.random('pools')
  const fade = canvas.define('pool', (id) => `<radialGradient id="${id}"><stop offset="0" stop-color="#fffdf6" stop-opacity="0.34"/><stop offset="0.75" stop-color="#fffdf6" stop-opacity="0.2"/><stop offset="1" stop-color="#fffdf6" stop-opacity="0"/></radialGradient>`)
  return Array.from({ length: 12 }, () => `<ellipse cx="${n(random() * width)}" cy="${n(random() * height)}" rx="${n(width * (0.08 + random() * 0.16))}" ry="${n(height * (0.06 + random() * 0.14))}" fill="url(#${fade})"/>`).join('')
}

/** The uneven edge of a washed sheet. */
function deckle(canvas: Canvas): string {
  const { width, height, palette } = canvas
  const random = canvas.random('deckle')
  const steps = 34
  const inset = Math.min(width, height) * 0.03
  const jag = () => inset * (0.55 + random() * 0.9)
  const points: string[] = []
  for (let i = 1; i < steps; i++) points.push(`${n((i / steps) * width)} ${n(jag())}`)
  for (let i = 1; i < steps; i++) points.push(`${n(width - jag())} ${n((i / steps) * height)}`)
  for (let i = steps - 1; i > 0; i--) points.push(`${n((i / steps) * width)} ${n(height - jag())}`)
  for (let i = steps - 1; i > 0; i--) points.push(`${n(jag())} ${n((i / steps) * height)}`)
  return `<path d="M-9 -9H${width + 9}V${height + 9}H-9ZM${points.join('L')}Z" fill="${hex(palette.paper)}" fill-rule="evenodd"/>`
}
