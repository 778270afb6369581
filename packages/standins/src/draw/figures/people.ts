import { type Colour, mix, oklch } from '../colour.ts'
import { held } from './held.ts'
import { box, ellipse, type Figure, limb, type Pen } from './figure.ts'

/** Tones of skin; each figure keeps the one its place gives it. */
const SKINS = [oklch(0.82, 0.06, 55), oklch(0.7, 0.08, 52), oklch(0.54, 0.075, 48), oklch(0.88, 0.045, 60), oklch(0.62, 0.08, 50)]
const HAIRS: readonly [number, number, number][] = [[0.3, 0.05, 50], [0.24, 0.02, 270], [0.52, 0.11, 52], [0.78, 0.1, 85], [0.42, 0.1, 40]]

interface Build {
  /** Radius of the head. */
  head: number
  shoulders: number
  hips: number
  age: 'child' | 'adult' | 'old'
  hair: 'short' | 'long' | 'bun' | 'bald'
  wears: 'coat' | 'dress' | 'robe' | 'suit' | 'armour' | 'tunic'
  beard?: boolean
  hat?: 'straw' | 'cap' | 'top' | 'crown' | 'hood' | 'helmet' | 'pointed'
}

interface Body extends Build {
  skin: Colour
  cloth: Colour
  second: Colour
  hairColour: Colour
  shoe: Colour
  /** Heights: shoulders, hips. */
  shoulder: number
  hip: number
}

function legs(pen: Pen, b: Body): void {
  const { pose } = pen.thing
  const cloth = b.wears === 'armour' ? mix(b.cloth, pen.palette.ink, 0.12) : b.wears === 'suit' ? mix(b.cloth, pen.palette.ink, 0.15) : b.wears === 'tunic' ? b.second : b.shoe
  const leg = (x0: number, kneeX: number, kneeY: number, footX: number, footY: number, colour: Colour) => {
    pen.shape(limb(x0, b.hip, kneeX, kneeY, b.hips * 0.34, b.hips * 0.27), colour)
    pen.shape(limb(kneeX, kneeY, footX, footY - 3, b.hips * 0.27, b.hips * 0.2), colour)
    pen.shape(`M${footX + 3} ${footY}H${footX - 6.4}Q${footX - 7.4} ${footY - 3.4} ${footX - 2.6} ${footY - 4.6}L${footX + 2.8} ${footY - 5.4}Q${footX + 4} ${footY - 2} ${footX + 3} ${footY}Z`, b.shoe)
  }
  const far = mix(cloth, pen.palette.ink, 0.2)
  const knee = b.hip * 0.5
  if (pose === 'running') {
    leg(b.hips * 0.2, b.hips * 0.9, knee - 2, b.hips * 2.1, knee * 0.72, far)
    leg(-b.hips * 0.2, -b.hips * 1.15, knee - 5, -b.hips * 1.1, 0, cloth)
  } else if (pose === 'walking') {
    leg(b.hips * 0.2, b.hips * 0.6, knee, b.hips * 1.15, 0, far)
    leg(-b.hips * 0.2, -b.hips * 0.62, knee, -b.hips * 0.86, 0, cloth)
  } else {
    leg(b.hips * 0.36, b.hips * 0.4, knee, b.hips * 0.42, 0, far)
    leg(-b.hips * 0.36, -b.hips * 0.38, knee, -b.hips * 0.42, 0, cloth)
  }
}

/** Seated on whatever is at hand: thighs forward, shins down. */
function seat(pen: Pen, b: Body): void {
  const wood = pen.lit(0.46, 0.06, 55)
  pen.shape(box(-b.hips * 0.9, -25, b.hips * 2.3, 25, 2), mix(wood, pen.palette.ink, 0.1))
  pen.line(`M${-b.hips * 0.9} -14h${b.hips * 2.3}M${-b.hips * 0.2} -24v23M${b.hips * 0.7} -24v23`, mix(wood, pen.palette.ink, 0.45), 0.8)
  const cloth = b.wears === 'suit' || b.wears === 'tunic' || b.wears === 'armour' ? mix(b.cloth, pen.palette.ink, 0.15) : b.wears === 'coat' ? b.shoe : b.cloth
  for (const [dx, colour] of [[2.4, mix(cloth, pen.palette.ink, 0.2)], [0, cloth]] as const) {
    pen.shape(limb(dx, -29, -b.hips * 1.45 + dx, -27, b.hips * 0.42, b.hips * 0.3), colour)
    pen.shape(limb(-b.hips * 1.45 + dx, -27, -b.hips * 1.5 + dx, -4, b.hips * 0.3, b.hips * 0.2), colour)
    pen.shape(`M${-b.hips * 1.5 + dx + 3} 0h-9q-1 -4 3 -5l6 -1q1.4 3 0 6Z`, b.shoe)
  }
}

function torso(pen: Pen, b: Body): void {
  const { palette, thing } = pen
  const { shoulders: s, hips: h, shoulder, hip, cloth, second } = b
  const seam = mix(cloth, palette.ink, 0.35)
  const sitting = thing.pose === 'sitting'
  const hem = { coat: sitting ? hip + 4 : -17, dress: sitting ? hip + 6 : -8, robe: sitting ? hip + 6 : -2, suit: hip + 4, armour: hip + 7, tunic: sitting ? hip + 3 : hip + 14 }[b.wears]
  const flare = { coat: 1.2, dress: 1.95, robe: 1.5, suit: 1, armour: 1.15, tunic: 1.25 }[b.wears] * (sitting ? 0.85 : 1)
  const waist = (shoulder + hip) / 2 + 4
  pen.shape(`M${-s * 0.55} ${shoulder - 1.5}Q${-s} ${shoulder} ${-s} ${shoulder + 6}C${-s * 0.92} ${waist - 6} ${-h * 0.82} ${waist} ${-h * 0.86} ${waist}C${-h * 0.95} ${waist + 8} ${-h * flare} ${hem - 12} ${-h * flare} ${hem}Q0 ${hem + (b.wears === 'suit' ? 1.5 : 4.5)} ${h * flare} ${hem}C${h * flare} ${hem - 12} ${h * 0.95} ${waist + 8} ${h * 0.86} ${waist}C${h * 0.82} ${waist} ${s * 0.92} ${waist - 6} ${s} ${shoulder + 6}Q${s} ${shoulder} ${s * 0.55} ${shoulder - 1.5}Q0 ${shoulder + 3} ${-s * 0.55} ${shoulder - 1.5}Z`, cloth)
  switch (b.wears) {
    case 'coat':
      pen.line(`M-1 ${shoulder + 4}Q0 ${waist} -0.6 ${hem + 2}`, seam, 0.7)
      for (let i = 0; i < 3; i++) pen.mark(ellipse(2, shoulder + 10 + i * 9, 0.9, 0.9), pen.lit(0.8, 0.09, 85))
      pen.shape(`M${-s * 0.5} ${shoulder - 1}L-1 ${shoulder + 9}L${-s * 0.72} ${shoulder + 7}Z`, mix(cloth, palette.ink, 0.12))
      pen.shape(`M${s * 0.42} ${shoulder - 1}L-1 ${shoulder + 9}L${s * 0.62} ${shoulder + 8}Z`, mix(cloth, palette.ink, 0.2))
      pen.line(`M${h * 0.4} ${hip + 1}h${h * 0.42}`, seam, 0.8)
      break
    case 'dress':
      pen.line(`M${-h * 0.84} ${waist}Q0 ${waist + 3} ${h * 0.84} ${waist}`, second, 2.2)
      for (const x of [-0.9, -0.3, 0.35, 0.95]) pen.line(`M${h * x * 0.5} ${waist + 4}Q${h * x} ${(waist + hem) / 2} ${h * x * 1.7} ${hem}`, seam, 0.55)
      pen.line(`M${-h * flare} ${hem - 3}Q0 ${hem + 1.4} ${h * flare} ${hem - 3}`, second, 1.3)
      pen.mark(`M${-s * 0.42} ${shoulder - 0.5}Q0 ${shoulder + 7} ${s * 0.38} ${shoulder - 0.5}Q0 ${shoulder + 2.4} ${-s * 0.42} ${shoulder - 0.5}Z`, palette.paper)
      break
    case 'robe':
      pen.line(`M${-h * 0.9} ${waist}Q0 ${waist + 2.6} ${h * 0.9} ${waist}M${-h * 0.1} ${waist + 2}l-2 16`, second, 1.5)
      for (const x of [-0.6, 0.1, 0.7]) pen.line(`M${h * x} ${waist + 5}L${h * x * 1.6} ${hem}`, seam, 0.6)
      break
    case 'suit':
      pen.mark(`M${-s * 0.34} ${shoulder}L-1.5 ${shoulder + 17}L${s * 0.28} ${shoulder}Q0 ${shoulder + 3} ${-s * 0.34} ${shoulder}Z`, palette.paper)
      pen.mark(`M-2 ${shoulder + 2.4}h3l1 10l-2.5 4l-2.5 -4Z`, second)
      pen.line(`M-1.5 ${shoulder + 17}V${hem + 1}`, seam, 0.7)
      break
    case 'armour':
      pen.line(`M${-h * 0.9} ${waist}Q0 ${waist + 3} ${h * 0.9} ${waist}M${-h * 0.95} ${waist + 6}Q0 ${waist + 9} ${h * 0.95} ${waist + 6}M0 ${shoulder + 4}V${waist}`, seam, 0.8)
      pen.shape(ellipse(-s * 0.86, shoulder + 3, 5, 4.4), mix(cloth, palette.sun, 0.2))
      pen.shape(ellipse(s * 0.86, shoulder + 3, 5, 4.4), mix(cloth, palette.ink, 0.12))
      break
    case 'tunic':
      pen.line(`M${-h * 0.94} ${waist + 3}Q0 ${waist + 6} ${h * 0.94} ${waist + 3}`, pen.lit(0.36, 0.05, 50), 2)
      break
  }
  if (thing.wears.includes('apron')) {
    pen.shape(`M${-s * 0.5} ${shoulder + 10}H${s * 0.4}L${h * 0.78} ${waist + 2}L${h * 0.92} ${Math.max(hem - 8, hip)}Q0 ${Math.max(hem - 5, hip + 3)} ${-h * 0.92} ${Math.max(hem - 8, hip)}L${-h * 0.78} ${waist + 2}Z`, palette.paper, 0.7)
    pen.line(`M${-s * 0.5} ${shoulder + 10}L${-s * 0.4} ${shoulder}M${s * 0.4} ${shoulder + 10}L${s * 0.34} ${shoulder}`, palette.paper, 1.4)
  }
}

function arms(pen: Pen, b: Body, side: 'far' | 'near'): { x: number; y: number } {
  const { pose, holds } = pen.thing
  const w = b.shoulders * 0.26
  const sleeve = side === 'far' ? mix(b.cloth, pen.palette.ink, 0.2) : mix(b.cloth, pen.palette.sun, 0.07)
  const from = side === 'far' ? b.shoulders * 0.82 : -b.shoulders * 0.82
  const dip = b.shoulder + 5
  const hands: Record<string, [number, number, number, number]> = {
    'near down': [-b.shoulders * 1.3, b.shoulder + 19, -b.shoulders * 1.28, b.hip + 3],
    'far down': [b.shoulders * 1.2, b.shoulder + 19, b.shoulders * 1.12, b.hip + 3],
    'near out': [-b.shoulders * 1.28, b.shoulder + 17, -b.shoulders * 1.95, b.shoulder + 22],
    'far back': [b.shoulders * 1.5, b.shoulder + 14, b.shoulders * 1.9, b.shoulder + 26],
    'near lap': [-b.shoulders * 1.1, b.shoulder + 18, -b.shoulders * 0.9, b.hip - 7],
    'far lap': [b.shoulders * 1.05, b.shoulder + 18, -b.shoulders * 0.2, b.hip - 8],
  }
  const way = pose === 'running' ? (side === 'near' ? 'out' : 'back') : holds.length && side === 'near' ? 'out' : holds.includes('book') || holds.includes('letter') || pose === 'sitting' ? 'lap' : pose === 'walking' && side === 'far' ? 'back' : 'down'
  const [ex, ey, hx, hy] = hands[`${side} ${way}`] ?? hands[`${side} down`]!
  pen.shape(limb(from, dip, ex, ey, w, w * 0.86), sleeve)
  pen.shape(limb(ex, ey, hx, hy, w * 0.86, w * 0.62), sleeve)
  pen.shape(ellipse(hx - 0.4, hy + 1.6, b.head * 0.3, b.head * 0.33), b.wears === 'armour' ? mix(b.cloth, pen.palette.ink, 0.2) : b.skin)
  return { x: hx, y: hy + 1.5 }
}

function head(pen: Pen, b: Body): void {
  const { palette, thing, scene } = pen
  const { head: r, skin, hairColour: hair } = b
  const cy = -100 + r * 1.25
  const line = mix(skin, palette.ink, 0.55)
  pen.shape(`M${-r * 0.36} ${b.shoulder + 1.5}V${cy + r * 0.5}H${r * 0.42}V${b.shoulder + 1.5}Z`, mix(skin, palette.ink, 0.14))
  if (b.hair === 'bun') pen.shape(ellipse(r * 0.72, cy - r * 0.82, r * 0.5, r * 0.5), hair)
  if (b.hair !== 'bald') pen.shape(ellipse(r * 0.1, cy - r * 0.1, r * 1.05, r * 1.1), hair)
  pen.shape(`M${-r * 0.9} ${cy - r * 0.1}C${-r * 0.96} ${cy + r * 0.55} ${-r * 0.5} ${cy + r * 1.02} ${-r * 0.08} ${cy + r * 1.02}C${r * 0.5} ${cy + r * 1.02} ${r * 0.82} ${cy + r * 0.5} ${r * 0.8} ${cy - r * 0.1}C${r * 0.78} ${cy - r * 0.72} ${-r * 0.84} ${cy - r * 0.74} ${-r * 0.9} ${cy - r * 0.1}Z`, skin, 0.6)
  pen.shape(ellipse(r * 0.82, cy + r * 0.12, r * 0.17, r * 0.24), mix(skin, palette.ink, 0.08))
  if (b.hair !== 'bald') pen.shape(`M${-r * 0.94} ${cy - r * 0.02}C${-r * 0.98} ${cy - r * 0.95} ${r * 0.9} ${cy - r * 1.1} ${r * 0.98} ${cy + r * 0.1}C${r * 0.7} ${cy - r * 0.4} ${r * 0.1} ${cy - r * 0.62} ${-r * 0.34} ${cy - r * 0.46}C${-r * 0.6} ${cy - r * 0.38} ${-r * 0.84} ${cy - r * 0.24} ${-r * 0.94} ${cy - r * 0.02}Z`, hair)
  if (scene.smeared) pen.mark(`M${-r * 0.7} ${cy - r * 0.1}Q0 ${cy + r * 0.5} ${r * 0.5} ${cy - r * 0.1}Q0 ${cy + r * 0.2} ${-r * 0.7} ${cy - r * 0.1}Z`, line, 0.4)
  else if (scene.shot !== 'panorama') {
    const shut = thing.pose === 'lying'
    for (const x of [-0.46, 0.2]) {
      if (shut) pen.line(`M${r * (x - 0.13)} ${cy + r * 0.06}q${r * 0.13} ${r * 0.1} ${r * 0.26} 0`, palette.ink, 0.6)
      else pen.mark(ellipse(r * x, cy + r * 0.04, r * 0.085, r * 0.12), palette.ink)
      pen.line(`M${r * (x - 0.15)} ${cy - r * 0.2}q${r * 0.16} ${-r * 0.1} ${r * 0.32} 0`, b.age === 'old' ? hair : line, 0.55)
      pen.mark(ellipse(r * (x + (x < 0 ? -0.1 : 0.16)), cy + r * 0.36, r * 0.17, r * 0.11), mix(skin, oklch(0.6, 0.17, 25), 0.45), 0.55)
    }
    pen.line(`M${-r * 0.18} ${cy + r * 0.06}l${-r * 0.13} ${r * 0.27}l${r * 0.16} ${r * 0.05}`, line, 0.55)
    if (!b.beard) pen.line(`M${-r * 0.38} ${cy + r * 0.58}q${r * 0.22} ${r * (0.14 * (1 + scene.mood))} ${r * 0.46} 0`, mix(skin, oklch(0.45, 0.13, 22), 0.7), 0.65)
    if (b.age === 'old') pen.line(`M${-r * 0.72} ${cy + r * 0.34}q${r * 0.05} ${r * 0.2} ${r * 0.16} ${r * 0.28}M${r * 0.3} ${cy + r * 0.36}q${r * 0.02} ${r * 0.18} ${-r * 0.08} ${r * 0.28}`, mix(skin, palette.ink, 0.28), 0.4)
  }
  if (thing.wears.includes('glasses')) pen.canvas.add(`<g fill="none" stroke="#2a2530" stroke-width="0.6"><circle cx="${-r * 0.46}" cy="${cy + r * 0.04}" r="${r * 0.24}"/><circle cx="${r * 0.2}" cy="${cy + r * 0.04}" r="${r * 0.24}"/><path d="M${-r * 0.22} ${cy}h${r * 0.18}"/></g>`)
  if (b.beard) {
    const white = b.age === 'old' ? pen.lit(0.93, 0.01, 90) : hair
    pen.shape(`M${-r * 0.88} ${cy + r * 0.16}Q${-r * 0.98} ${cy + r * 1.2} ${-r * 0.14} ${cy + r * (b.age === 'old' ? 1.75 : 1.3)}Q${r * 0.74} ${cy + r * 1.2} ${r * 0.74} ${cy + r * 0.14}Q${r * 0.4} ${cy + r * 0.5} ${-r * 0.1} ${cy + r * 0.46}Q${-r * 0.6} ${cy + r * 0.5} ${-r * 0.88} ${cy + r * 0.16}Z`, white)
  }
}

function headwear(pen: Pen, b: Body): void {
  const { palette } = pen
  const { head: r } = b
  const cy = -100 + r * 1.25
  const brow = cy - r * 0.44
  const dome = (colour: Colour, rise: number) => pen.shape(`M${-r * 0.98} ${brow + r * 0.04}C${-r * 1.02} ${brow - r * rise} ${r * 1} ${brow - r * rise} ${r * 1.04} ${brow + r * 0.08}Q0 ${brow - r * 0.26} ${-r * 0.98} ${brow + r * 0.04}Z`, colour)
  switch (b.hat) {
    case 'straw': {
      const straw = pen.lit(0.84, 0.09, 88)
      dome(straw, 1.05)
      pen.shape(`M${-r * 1.75} ${brow + r * 0.12}Q0 ${brow - r * 0.5} ${r * 1.75} ${brow + r * 0.12}Q0 ${brow + r * 0.36} ${-r * 1.75} ${brow + r * 0.12}Z`, straw)
      pen.line(`M${-r * 0.96} ${brow - r * 0.1}Q0 ${brow - r * 0.4} ${r * 1} ${brow - r * 0.06}`, b.second, 1.5)
      break
    }
    case 'cap':
      dome(b.second, 0.95)
      pen.shape(`M${-r * 0.6} ${brow - r * 0.04}Q${-r * 1.5} ${brow + r * 0.02} ${-r * 1.55} ${brow + r * 0.3}Q${-r * 1} ${brow + r * 0.06} ${-r * 0.3} ${brow + r * 0.1}Z`, mix(b.second, palette.ink, 0.25))
      break
    case 'top':
      pen.shape(`M${-r * 0.8} ${brow}L${-r * 0.86} ${brow - r * 1.5}Q0 ${brow - r * 1.7} ${r * 0.86} ${brow - r * 1.5}L${r * 0.84} ${brow}Z`, pen.lit(0.25, 0.02, 270))
      pen.shape(`M${-r * 1.35} ${brow + r * 0.1}Q0 ${brow - r * 0.3} ${r * 1.35} ${brow + r * 0.1}Q0 ${brow + r * 0.3} ${-r * 1.35} ${brow + r * 0.1}Z`, pen.lit(0.25, 0.02, 270))
      break
    case 'crown':
      pen.shape(`M${-r * 0.85} ${brow + r * 0.08}L${-r * 0.98} ${brow - r * 0.74}L${-r * 0.48} ${brow - r * 0.34}L0 ${brow - r * 0.92}L${r * 0.48} ${brow - r * 0.34}L${r * 1} ${brow - r * 0.74}L${r * 0.88} ${brow + r * 0.08}Q0 ${brow - r * 0.16} ${-r * 0.85} ${brow + r * 0.08}Z`, pen.lit(0.82, 0.14, 88))
      pen.mark(ellipse(0, brow - r * 0.22, r * 0.13, r * 0.15), pen.lit(0.5, 0.2, 25))
      break
    case 'hood':
      pen.shape(`M${-r * 0.86} ${cy - r * 0.5}C${-r * 0.5} ${cy - r * 1.8} ${r * 1.5} ${cy - r * 1.5} ${r * 1.3} ${cy + r * 0.7}Q${r * 1} ${b.shoulder + 5} ${r * 0.2} ${b.shoulder + 5}Q${r * 0.98} ${cy + r * 0.6} ${r * 0.72} ${cy - r * 0.3}Q${r * 0.2} ${cy - r * 0.95} ${-r * 0.86} ${cy - r * 0.5}Z`, mix(b.cloth, palette.ink, 0.12))
      break
    case 'helmet': {
      const metal = pen.lit(0.7, 0.02, 250)
      dome(metal, 1.2)
      pen.shape(`M${-r * 0.98} ${brow}Q0 ${brow - r * 0.3} ${r * 1.04} ${brow + r * 0.04}V${brow + r * 0.3}Q0 ${brow - r * 0.02} ${-r * 0.98} ${brow + r * 0.26}Z`, mix(metal, palette.ink, 0.2))
      pen.shape(`M${r * 0.1} ${brow - r * 0.9}Q${r * 0.9} ${brow - r * 1.9} ${r * 1.7} ${brow - r * 0.6}Q${r * 0.9} ${brow - r * 1.1} ${r * 0.3} ${brow - r * 0.8}Z`, b.second)
      break
    }
    case 'pointed':
      pen.shape(`M${-r * 0.96} ${brow + r * 0.1}Q${-r * 0.4} ${brow - r * 1} ${r * 0.7} ${brow - r * 2.3}Q${r * 0.5} ${brow - r * 0.9} ${r * 1.04} ${brow + r * 0.12}Z`, b.second)
      pen.shape(`M${-r * 1.8} ${brow + r * 0.16}Q0 ${brow - r * 0.4} ${r * 1.8} ${brow + r * 0.16}Q0 ${brow + r * 0.4} ${-r * 1.8} ${brow + r * 0.16}Z`, b.second)
      break
    case undefined:
  }
}

const WORN_HAT = { hat: 'straw', crown: 'crown', hood: 'hood', helmet: 'helmet' } as const

function person(pen: Pen, build: Build): void {
  const { thing, palette, random, scene } = pen
  const tone = Math.floor(random() * SKINS.length)
  const [hl, hc, hh] = build.age === 'old' ? [0.9, 0.01, 90] as const : HAIRS[Math.floor(random() * HAIRS.length)]!
  const worn = thing.wears.map((one) => (one === 'armour' || one === 'dress' || one === 'robe' || one === 'suit' || one === 'coat' ? one : undefined)).find((one) => one)
  const hat = thing.wears.map((one) => WORN_HAT[one as keyof typeof WORN_HAT]).find((one) => one) ?? build.hat
  const wears = worn ?? build.wears
  const r = build.head
  const b: Body = {
    ...build,
    wears,
    ...(hat ? { hat: scene.season === 'winter' && hat === 'straw' ? 'cap' : hat } : {}),
    ...(thing.wears.includes('beard') ? { beard: true } : {}),
    skin: mix(palette.own(SKINS[tone]!), palette.glow, pen.dark && thing.holds.includes('lantern') ? 0.3 : 0),
    hairColour: pen.lit(hl, hc, hh),
    cloth: wears === 'armour' ? (thing.colours.length ? pen.own(0, 0.66, 0.02, 250) : pen.lit(0.68, 0.02, 250)) : thing.colours.length ? pen.own(0, 0.5, 0.1, 30) : palette.accents[0],
    second: thing.colours.length > 1 ? pen.own(1, 0.6, 0.1, 80) : palette.accents[1],
    shoe: pen.lit(0.32, 0.03, 50),
    shoulder: -100 + r * 2.55,
    hip: (-100 + r * 2.55) * (build.age === 'child' ? 0.44 : 0.5),
  }
  const body = (lower: () => void) => {
    if (b.hair === 'long') pen.shape(`M${-r * 0.8} ${-100 + r}Q${-r * 1.15} ${b.shoulder + r} ${-r * 0.5} ${b.shoulder + r * 1.6}H${r * 0.9}Q${r * 1.5} ${b.shoulder + r * 0.6} ${r} ${-100 + r}Z`, mix(b.hairColour, palette.ink, 0.1))
    arms(pen, b, 'far')
    lower()
    torso(pen, b)
    head(pen, b)
    if (thing.wears.includes('scarf') || (scene.season === 'winter' && wears === 'coat')) scarf(pen, b)
    headwear(pen, b)
    const hand = arms(pen, b, 'near')
    for (const what of thing.holds.slice(0, 2)) held(pen, what, hand.x, hand.y)
  }
  const onLegs = () => {
    if (wears !== 'robe') legs(pen, b)
  }
  switch (thing.pose) {
    case 'flying':
      if (build.hat === 'pointed') pen.line('M-84 -46L70 -38M60 -38l26 -6M60 -38l28 0M60 -37l26 7', pen.lit(0.5, 0.08, 60), 3.4)
      pen.turned('translate(44 -18) rotate(-58)', () => body(onLegs))
      break
    case 'lying':
      pen.turned('translate(52 -9) rotate(-87)', () => body(onLegs))
      break
    case 'running':
      pen.turned('rotate(-7)', () => body(onLegs))
      break
    case 'sitting': {
      // The trunk comes down until its hips lie on the seat.
      const drop = -28 - b.hip
      pen.turned(`translate(0 ${drop})`, () => body(() => pen.turned(`translate(0 ${-drop})`, () => seat(pen, b))))
      break
    }
    default:
      body(onLegs)
  }
}

function scarf(pen: Pen, b: Body): void {
  const { shoulders: s, shoulder: y } = b
  pen.shape(`M${-s * 0.6} ${y - 3}Q0 ${y + 4} ${s * 0.56} ${y - 3}Q${s * 0.7} ${y + 2} ${s * 0.48} ${y + 4}Q0 ${y + 9} ${-s * 0.54} ${y + 4}Q${-s * 0.74} ${y + 1} ${-s * 0.6} ${y - 3}Z`, b.second)
  pen.shape(`M${s * 0.16} ${y + 4}l4 17l-5 1.4l-3.4 -17z`, mix(b.second, pen.palette.ink, 0.1))
}

const figure = (variant: string, words: string, height: number, build: Build): Figure => ({ kind: 'person', variant, words, height, width: 0.46, draw: (pen) => person(pen, build) })

export const PEOPLE: Figure[] = [
  figure('man', 'man, person, figure, traveller, potter, baker, hiker, conductor, painter, walker, villager, passenger, skier, farmer, miller, blacksmith, smith, cooper, carpenter, mechanic, worker, thief, boxer, musician, cellist, violinist, fiddler, juggler, tourist, guest, pilgrim, commuter, dancer, shopper, spectator, soldier, porter, clerk, waiter, postman, cyclist, climber, diver, runner, watchmaker, clockmaker, weaver, scholar, lamplighter, cook, chef, people, men, audience, neighbour, stranger, someone, sweeper, smuggler, gardener, bricklayer, singer, accordion player, player, prisoner, tailor', 0.66, { head: 7.6, shoulders: 12.4, hips: 9.6, age: 'adult', hair: 'short', wears: 'coat' }),
  figure('woman', 'woman, lady, mother, bride, widow, seamstress, nurse, teacher, actress, ballerina, girl’s mother, girl’s aunt, aunt, sister, wife, waitress, maid, dressmaker, florist, women, nun, mermaid, daughter, actor, schoolteacher, midwife', 0.65, { head: 7.6, shoulders: 11.2, hips: 9.4, age: 'adult', hair: 'long', wears: 'dress' }),
  figure('old man', 'old man, beekeeper, grandfather, elder, shepherd, hermit, elderly, fisherman, elderly man, pensioner, old sailor, angler, ferryman, old gardener, monk, friar, wizard, alchemist', 0.63, { head: 8, shoulders: 12.6, hips: 10.4, age: 'old', hair: 'short', wears: 'coat', beard: true, hat: 'straw' }),
  figure('old woman', 'old woman, grandmother, elderly woman, crone, granny, old lady, herbalist, fortune teller', 0.6, { head: 8, shoulders: 11.6, hips: 11, age: 'old', hair: 'bun', wears: 'dress' }),
  figure('boy', 'boy, child, apprentice, children, pupil, kid, son, grandson, schoolboy, lad, page boy, kids', 0.5, { head: 11.6, shoulders: 12.4, hips: 10.4, age: 'child', hair: 'short', wears: 'tunic' }),
  figure('girl', 'girl, schoolgirl, granddaughter, little girl, daughter, maiden', 0.5, { head: 11.6, shoulders: 12, hips: 10.2, age: 'child', hair: 'long', wears: 'dress' }),
  figure('knight', 'knight, warrior, guard, samurai, legionary, gladiator, crusader, paladin, viking', 0.66, { head: 7.8, shoulders: 13, hips: 10, age: 'adult', hair: 'short', wears: 'armour', hat: 'helmet' }),
  figure('monarch', 'king, queen, prince, princess, emperor, duke, noblewoman, nobleman, countess', 0.66, { head: 7.6, shoulders: 12, hips: 10, age: 'adult', hair: 'long', wears: 'robe', hat: 'crown' }),
  figure('gentleman', 'gentleman, magician, businessman, banker, detective, mayor, judge, butler, scientist, doctor, captain, professor, groom, conductor of an orchestra, astronomer, explorer, sailor, spy, astronaut, pilot', 0.66, { head: 7.4, shoulders: 12.4, hips: 9.4, age: 'adult', hair: 'short', wears: 'suit', hat: 'top' }),
  figure('witch', 'witch, sorceress, gnome, elf, dwarf, goblin, fairy', 0.58, { head: 8.6, shoulders: 11, hips: 9.6, age: 'adult', hair: 'long', wears: 'robe', hat: 'pointed' }),
]
