import type { Scene, Shot, Thing } from '../scene/scene.ts'
import { Canvas, n } from './canvas.ts'
import { hex, paletteFor } from './colour.ts'
import { type Figure, penFor } from './figures/figure.ts'
import { figureOf } from './figures/index.ts'
import { interior } from './interior.ts'
import { type Ground, land } from './land.ts'
import { lettering } from './lettering.ts'
import { weather } from './weather.ts'

/** Size of the subject by how near it is seen; 1 is its natural share of the picture. */
const SIZE: Record<Shot, number> = { panorama: 0.26, wide: 0.52, medium: 1.1, close: 1.75, detail: 2.6 }
const INDOORS = new Set(['interior', 'workshop', 'studio'])
/** Kinds that stand on a table indoors; others on the floor. */
const SMALL = new Set(['food', 'drink', 'tool', 'insect', 'plant'])

/** How the pictures of one run differ: 0 keeps the layout, 1 moves it as far as it goes. */
export interface Variation {
  spread: number
  /** Where a layout reference has its weight and its horizon, as shares of its size, and how closely it is followed. */
  layout?: { x: number; horizon: number; strength: number }
  /** A seed for how people look, whatever the picture's. */
  person?: number
}

/** Light along one side and shade along the other, over everything a figure is made of. */
function modelling(canvas: Canvas, size: number): string {
  const { from, hard } = canvas.scene.light
  const key = `form ${Math.round(size)} ${from} ${hard}`
  const reach = Math.max(2, size * 0.07)
  const dx = from === 'right' ? 1 : from === 'left' ? -1 : 0
  const dy = from === 'above' || from === 'front' ? -1 : -0.35
  const soft = canvas.flat ? 0.4 : reach * 0.55
  const back = from === 'behind'
  const id = canvas.define(key, (name) => `<filter id="${name}" x="-15%" y="-15%" width="130%" height="130%" color-interpolation-filters="sRGB"><feOffset in="SourceAlpha" dx="${n(dx * reach)}" dy="${n(dy * reach)}" result="o"/><feComposite in="SourceAlpha" in2="o" operator="out" result="e"/><feGaussianBlur in="e" stdDeviation="${n(soft)}" result="b"/><feFlood flood-color="${hex(canvas.palette.ink)}" flood-opacity="${hard ? 0.5 : 0.3}"/><feComposite in2="b" operator="in" result="s"/><feComposite in="s" in2="SourceAlpha" operator="in" result="shade"/><feOffset in="SourceAlpha" dx="${n(-dx * reach * 0.45)}" dy="${n(-dy * reach * 0.45)}" result="o2"/><feComposite in="SourceAlpha" in2="o2" operator="out" result="e2"/><feGaussianBlur in="e2" stdDeviation="${n(soft * 0.5)}" result="b2"/><feFlood flood-color="${hex(canvas.palette.sun)}" flood-opacity="${back ? 0.85 : hard ? 0.6 : 0.36}"/><feComposite in2="b2" operator="in" result="l"/><feComposite in="l" in2="SourceAlpha" operator="in" result="light"/><feMerge><feMergeNode in="SourceGraphic"/><feMergeNode in="shade"/><feMergeNode in="light"/></feMerge></filter>`)
  return `filter="url(#${id})"`
}

/** Length and lean of a cast shadow by the hour. */
const CAST = { dawn: 1.5, morning: 1, noon: 0.35, afternoon: 1.25, dusk: 1.5, night: 0.6 } as const

function castShadow(canvas: Canvas, id: string, x: number, foot: number, h: number, width: number): void {
  const { palette, scene } = canvas
  if (scene.without.includes('shadows')) return
  const indoors = INDOORS.has(scene.setting)
  const soft = ['overcast', 'mist', 'rain', 'storm', 'snow'].includes(scene.weather) || (indoors && !scene.light.hard)
  canvas.add(`<ellipse cx="${n(x)}" cy="${n(foot + h * 0.006)}" rx="${n(width * h * 0.46)}" ry="${n(Math.max(h * 0.03, 2.4))}" fill="${hex(palette.ink)}" opacity="${soft ? 0.26 : 0.34}"/>`)
  if (soft || scene.shot === 'close' || scene.shot === 'detail') return
  const lean = (scene.light.from === 'right' ? -1 : scene.light.from === 'left' ? 1 : 0) * CAST[scene.moment]
  const fall = scene.light.from === 'behind' ? -0.34 : 0.2
  const flood = canvas.define('cast', (name) => `<filter id="${name}" x="-10%" y="-10%" width="120%" height="120%"><feFlood flood-color="${hex(palette.ink)}"/><feComposite in2="SourceAlpha" operator="in"/></filter>`)
  canvas.add(`<g transform="matrix(1 0 ${n(-lean)} ${fall} ${n(x)} ${n(foot)})" opacity="${scene.moment === 'night' ? 0.2 : 0.3}"><use href="#${id}" transform="translate(${n(-x)} ${n(-foot)})" filter="url(#${flood})"/></g>`)
}

interface Place {
  x: number
  foot: number
  h: number
}

function stand(canvas: Canvas, figure: Figure, thing: Thing, { x, foot, h }: Place, element: string, mirrored: boolean): void {
  const floats = figure.where === 'air' || thing.pose === 'flying' || (figure.where === 'water' && !INDOORS.has(canvas.scene.setting))
  const id = `f${element.replace(/\W/g, '')}`
  if (!floats) castShadow(canvas, id, x, foot, h, figure.width)
  canvas.group(modelling(canvas, h), () => {
    canvas.group(`id="${id}"`, () => {
      canvas.group(`transform="translate(${n(x)} ${n(foot)}) scale(${(mirrored ? -h / 100 : h / 100).toFixed(4)} ${(h / 100).toFixed(4)})"`, () => figure.draw(penFor(canvas, thing, element, h / 100)))
    })
  })
}

/** Where each of several like figures stands, from the back to the front so that each is seen. */
function placesFor(canvas: Canvas, figure: Figure, thing: Thing, ground: Ground, centre: number, share: number, spread: number, element: string): Place[] {
  const { scene, width, height } = canvas
  const { count } = thing
  const shot = scene.shot
  const near = shot === 'close' || shot === 'detail'
  const rows = count > 14 ? 4 : count > 8 ? 3 : count > 4 ? 2 : 1
  const perRow = Math.ceil(count / rows)
  const random = canvas.random(`${element} places`)
  const together = count === 1 ? 1 : count < 4 ? 0.84 : count < 9 ? 0.66 : count < 15 ? 0.5 : 0.4
  let h = height * figure.height * SIZE[shot] * share * together * (scene.angle === 'low' ? 1.14 : scene.angle === 'overhead' ? 0.85 : 1)
  if (near && count === 1) h = Math.min(h, height * (shot === 'detail' ? 2.2 : 1.5))
  const step = perRow > 5 ? 0.62 : 0.84
  h = Math.min(h, (width * 0.94) / (figure.width * (1 + step * (perRow - 1)) || 1))
  // So near, a wide thing may run out of the picture.
  if (near && count === 1) h = Math.max(h, Math.min(height * figure.height * SIZE[shot] * share, (width * (shot === 'detail' ? 1.5 : 1.1)) / figure.width))
  const lift = scene.lettering ? height * 0.16 : 0
  const drift = (random() - 0.5) * spread
  // The whole row stays in the picture, as far as it fits.
  const half = Math.min(0.5, (figure.width * h * (1 + step * (perRow - 1))) / 2 / width)
  const middle = near && count === 1 ? centre : Math.max(half, Math.min(1 - half, centre + drift * 0.2))
  return Array.from({ length: count }, (_, i) => {
    const row = Math.floor(i / perRow)
    const inRow = row === rows - 1 ? count - perRow * (rows - 1) : perRow
    const k = i % perRow
    const depth = rows - 1 - row
    const size = h * (1 - depth * 0.12) * (0.95 + random() * 0.1)
    const x = width * middle + (k - (inRow - 1) / 2) * figure.width * size * step + (random() - 0.5) * size * 0.08
    let foot = ground.foot - lift - depth * height * 0.055 + (random() - 0.5) * height * 0.012
    if (near && size > height * 0.72) foot = height * (shot === 'detail' ? 0.05 : 0.13) + size
    else if ((figure.where === 'air' || thing.pose === 'flying') && !INDOORS.has(scene.setting)) foot = near ? height * 0.5 + size * 0.5 : ground.foot - height * (0.22 + 0.18 * random()) - depth * height * 0.09
    else if (figure.where === 'water' && scene.setting === 'underwater') foot = height * 0.5 + size * 0.5 + (row - (rows - 1) / 2) * height * 0.2 + (random() - 0.5) * height * 0.06
    else if (near) foot = Math.max(foot, height * 0.5 + size * 0.46)
    return { x, foot, h: size }
  })
}

/** The picture of a scene as SVG, and the drawing's own record of it. The same scene, seed and size give the same text. */
export function drawScene(scene: Scene, seed: number, width: number, height: number, { spread, layout: asked, person }: Variation = { spread: 0.4 }): { svg: string; drawn: NonNullable<Scene['drawn']> } {
  const palette = paletteFor(scene)
  const canvas = new Canvas(width, height, scene, palette, seed, person)
  const layout = canvas.random('layout')
  const indoors = INDOORS.has(scene.setting)
  const level = { panorama: 0.52, wide: 0.55, medium: 0.6, close: 0.68, detail: 0.72 }[scene.shot] + (layout() - 0.5) * 0.08 * (0.5 + spread)
  const usual = height * (scene.angle === 'low' ? level + 0.17 : scene.angle === 'high' ? level - 0.3 : scene.angle === 'overhead' ? -0.3 : level)
  const horizon = asked ? usual + (height * asked.horizon - usual) * asked.strength : usual
  const figure = figureOf(scene.subject.kind, scene.subject.variant)
  let subjectHeight = 0
  const tilt = scene.angle === 'tilted' ? `transform="rotate(-8 ${n(width / 2)} ${n(height / 2)}) translate(${n(-width * 0.08)} ${n(-height * 0.08)}) scale(1.16)"` : ''
  canvas.group(tilt, () => {
    const ground = indoors ? interior(canvas, !SMALL.has(scene.subject.kind)) : land(canvas, horizon)
    const free = scene.others.length ? (layout() < 0.5 ? -1 : 1) * (0.11 + layout() * 0.05) : (layout() - 0.5) * 0.22 * (0.4 + spread)
    const aside = asked ? free + (asked.x - 0.5 - free) * asked.strength : free
    const mirrored = layout() < 0.5 * Math.min(1, spread * 1.6)
    // What stands beside is further off, on the other side of the middle.
    scene.others.forEach((other, i) => {
      const its = figureOf(other.kind, other.variant)
      if (!its) return
      const side = aside > 0 ? -1 : 1
      const centre = 0.5 + side * (0.2 + (i >> 1) * 0.1) * (i % 2 ? -1 : 1)
      const relative = Math.min(1, 0.66 / Math.max(0.3, figure?.height ?? 0.6))
      const places = placesFor(canvas, its, other, { ...ground, foot: ground.foot - height * (0.03 + 0.02 * i) }, centre, 0.62 * relative, spread, `other ${i}`)
      places.forEach((place, k) => stand(canvas, its, other, scene.shot === 'close' || scene.shot === 'detail' ? { ...place, h: place.h * 0.8 } : place, `other ${i} ${k}`, side > 0))
    })
    if (figure) placesFor(canvas, figure, scene.subject, ground, 0.5 + aside, (scene.lettering ? 0.9 : 1) * scene.subjectSize, spread, 'subject').forEach((place, i) => {
      if (i === 0) subjectHeight = place.h / height
      stand(canvas, figure, scene.subject, place, `subject ${i}`, mirrored)
    })
    weather(canvas, ground, !indoors && scene.setting !== 'underwater')
    atmosphere(canvas, indoors)
  })
  lettering(canvas)
  return { svg: canvas.toString(palette.paper), drawn: { horizon: horizon / height, subjectHeight } }
}

/** The light of the whole: warm from its side, darker away from it, and dark corners at night. */
function atmosphere(canvas: Canvas, indoors: boolean): void {
  const { width, height, palette, scene } = canvas
  const { from, hard } = scene.light
  if (from === 'left' || from === 'right') {
    const [x1, x2] = from === 'left' ? [0, 1] : [1, 0]
    const strength = hard ? 1.7 : 1
    const id = canvas.define('side light', (name) => `<linearGradient id="${name}" x1="${x1}" y1="0.1" x2="${x2}" y2="0.5"><stop offset="0" stop-color="${hex(palette.sun)}" stop-opacity="${n((scene.moment === 'night' && !indoors ? 0.06 : 0.2) * strength)}"/><stop offset="0.5" stop-color="${hex(palette.sun)}" stop-opacity="0"/></linearGradient>`)
    canvas.add(`<rect x="-60" y="-60" width="${width + 120}" height="${height + 120}" fill="url(#${id})"/>`)
    const dark = canvas.define('side shade', (name) => `<linearGradient id="${name}" x1="${x1}" y1="0.1" x2="${x2}" y2="0.5"><stop offset="0.5" stop-color="${hex(palette.ink)}" stop-opacity="0"/><stop offset="1" stop-color="${hex(palette.ink)}" stop-opacity="${n((indoors ? 0.3 : 0.18) * strength)}"/></linearGradient>`)
    canvas.add(`<rect x="-60" y="-60" width="${width + 120}" height="${height + 120}" fill="url(#${dark})"/>`)
  }
  if (scene.mood < 0 || scene.moment === 'night' || from === 'above') {
    const id = canvas.define('corners', (name) => `<radialGradient id="${name}" cx="0.5" cy="${from === 'above' ? 0.35 : 0.5}" r="0.75"><stop offset="${from === 'above' ? 0.2 : 0.45}" stop-color="${hex(palette.ink)}" stop-opacity="0"/><stop offset="1" stop-color="${hex(palette.ink)}" stop-opacity="${from === 'above' ? 0.62 : 0.42}"/></radialGradient>`)
    canvas.add(`<rect x="-60" y="-60" width="${width + 120}" height="${height + 120}" fill="url(#${id})"/>`)
  }
}
