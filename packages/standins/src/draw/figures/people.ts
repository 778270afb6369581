import { mix, oklch } from '../colour.ts'
import { ellipse, type Figure, type Pen } from './figure.ts'

const SKIN = [oklch(0.8, 0.06, 55), oklch(0.68, 0.08, 52), oklch(0.5, 0.07, 48), oklch(0.87, 0.045, 60)]

interface Build {
  /** Radius of the head. */
  head: number
  shoulders: number
  hem: number
  hair: [number, number, number]
  beard: boolean
}

function person(pen: Pen, build: Build): void {
  const { canvas, random } = pen
  const { palette, scene } = canvas
  const skin = palette.lit(SKIN[Math.floor(random() * SKIN.length)] ?? SKIN[0]!)
  const [coat, second, third] = palette.accents
  const { head, shoulders, hem } = build
  const neck = -100 + head * 2.05
  const dark = palette.lit(oklch(0.33, 0.03, 265))
  const wearsHat = scene.extras.includes('hat') || build.beard || random() < 0.4
  const hair = palette.lit(oklch(...build.hair))
  const cy = -100 + head * 1.22
  // Long hair falls behind neck and coat; before them it would look like a beard.
  if (!build.beard && random() < 0.55) pen.shape(`M${-head * 0.95} ${cy}Q${-head * 1.25} ${cy + head * 1.5} ${-head * 0.5} ${cy + head * 1.6}H${head * 0.8}Q${head * 1.4} ${cy + head} ${head} ${cy}Z`, hair)
  // Boots and legs.
  for (const x of [-hem * 0.38, hem * 0.38]) {
    pen.shape(`M${x - 4.2} -26L${x - 3.6} -2Q${x - 4} 0 ${x - 2} 0H${x + 5.5}Q${x + 6} -3 ${x + 3.4} -4L${x + 4} -26Z`, dark)
  }
  // The far arm, then the coat over it.
  pen.shape(`M${shoulders * 0.7} ${neck + 8}Q${shoulders * 1.32} ${neck + 18} ${shoulders * 1.3} -41Q${shoulders * 1.3} -37 ${shoulders * 1.02} -38Q${shoulders * 0.7} ${neck + 26} ${shoulders * 0.4} ${neck + 14}Z`, mix(coat, palette.ink, 0.22))
  pen.shape(`M${-shoulders * 0.62} ${neck + 2}Q${-shoulders} ${neck + 4} ${-shoulders} ${neck + 12}C${-shoulders * 0.9} ${-46} ${-hem * 1.02} -34 ${-hem} -15Q0 -10 ${hem} -15C${hem * 1.02} -34 ${shoulders * 0.9} -46 ${shoulders} ${neck + 12}Q${shoulders} ${neck + 4} ${shoulders * 0.62} ${neck + 2}Z`, coat)
  pen.line(`M0.5 ${neck + 8}Q1.5 -40 1 -14`, mix(coat, palette.ink, 0.4), 0.7)
  for (let i = 0; i < 3; i++) pen.mark(ellipse(3, neck + 16 + i * 10, 0.9, 0.9), palette.lit(oklch(0.78, 0.1, 85)))
  pen.shape(`M${hem * 0.35} -33h${hem * 0.42}v6q0 2 -${hem * 0.21} 2t-${hem * 0.21} -2z`, mix(coat, palette.ink, 0.18))
  // The near arm, holding what the scene gives it.
  pen.shape(`M${-shoulders * 0.66} ${neck + 6}Q${-shoulders * 1.42} ${neck + 14} ${-shoulders * 1.62} -46Q${-shoulders * 1.5} -41 ${-shoulders * 1.22} -43Q${-shoulders} ${neck + 30} ${-shoulders * 0.5} ${neck + 18}Z`, mix(coat, palette.sun, 0.08))
  pen.shape(ellipse(-shoulders * 1.44, -42, 2.9, 3.1), skin)
  if (scene.extras.includes('lantern') || scene.moment === 'night') lantern(pen, -shoulders * 1.44, -40)
  // Neck, scarf, head.
  pen.shape(`M-3 ${neck + 5}V${neck - 4}H3V${neck + 5}Z`, mix(skin, palette.ink, 0.15))
  pen.shape(ellipse(0.6, cy - head * 0.1, head * 1.04, head * 1.1), hair)
  pen.shape(ellipse(-0.6, cy + head * 0.08, head * 0.84, head * 0.95), skin, 0.7)
  const eye = palette.ink
  pen.mark(ellipse(-head * 0.42, cy, head * 0.075, head * 0.1), eye)
  pen.mark(ellipse(head * 0.2, cy, head * 0.075, head * 0.1), eye)
  pen.line(`M${-head * 0.56} ${cy - head * 0.24}q${head * 0.14} -${head * 0.1} ${head * 0.3} 0M${head * 0.06} ${cy - head * 0.24}q${head * 0.14} -${head * 0.1} ${head * 0.3} 0`, mix(skin, palette.ink, 0.6), 0.5)
  pen.line(`M${-head * 0.14} ${cy + head * 0.02}l${-head * 0.12} ${head * 0.24}l${head * 0.14} ${head * 0.04}`, mix(skin, palette.ink, 0.35), 0.5)
  pen.mark(ellipse(-head * 0.5, cy + head * 0.3, head * 0.15, head * 0.1), mix(skin, oklch(0.62, 0.16, 25), 0.4), 0.6)
  pen.mark(ellipse(head * 0.38, cy + head * 0.3, head * 0.15, head * 0.1), mix(skin, oklch(0.62, 0.16, 25), 0.4), 0.6)
  if (build.beard) pen.shape(`M${-head * 0.86} ${cy + head * 0.12}Q${-head * 0.9} ${cy + head * 1.3} ${-head * 0.1} ${cy + head * 1.55}Q${head * 0.8} ${cy + head * 1.3} ${head * 0.72} ${cy + head * 0.12}Q${head * 0.4} ${cy + head * 0.5} ${-head * 0.1} ${cy + head * 0.48}Q${-head * 0.6} ${cy + head * 0.5} ${-head * 0.86} ${cy + head * 0.12}Z`, palette.lit(oklch(0.93, 0.01, 90)))
  else pen.line(`M${-head * 0.34} ${cy + head * 0.5}q${head * 0.22} ${head * 0.14} ${head * 0.46} 0`, mix(skin, palette.ink, 0.5), 0.55)
  if (scene.extras.includes('scarf') || scene.season === 'winter' || random() < 0.35) {
    const wool = scene.ownColours.length ? coat : second
    pen.shape(`M${-shoulders * 0.62} ${neck - 1}Q0 ${neck + 7} ${shoulders * 0.6} ${neck - 1}Q${shoulders * 0.74} ${neck + 5} ${shoulders * 0.5} ${neck + 7}Q0 ${neck + 13} ${-shoulders * 0.56} ${neck + 7}Q${-shoulders * 0.76} ${neck + 4} ${-shoulders * 0.62} ${neck - 1}Z`, mix(wool, palette.sun, 0.1))
    pen.shape(`M${shoulders * 0.2} ${neck + 7}l4.5 18l-5 1.5l-3.6 -18z`, wool)
  }
  if (wearsHat) {
    const straw = build.beard || scene.season !== 'winter' ? palette.lit(oklch(0.83, 0.09, 88)) : third
    pen.shape(`M${-head * 0.84} ${cy - head * 0.52}Q${-head * 0.8} ${cy - head * 1.5} 0 ${cy - head * 1.5}Q${head * 0.8} ${cy - head * 1.5} ${head * 0.84} ${cy - head * 0.52}Z`, straw)
    pen.shape(`M${-head * 1.62} ${cy - head * 0.4}Q0 ${cy - head * 0.98} ${head * 1.62} ${cy - head * 0.4}Q0 ${cy - head * 0.2} ${-head * 1.62} ${cy - head * 0.4}Z`, straw)
    pen.line(`M${-head * 0.82} ${cy - head * 0.66}Q0 ${cy - head * 0.94} ${head * 0.82} ${cy - head * 0.66}`, third, 1.3)
  }
}

function lantern(pen: Pen, x: number, y: number): void {
  const { palette } = pen.canvas
  const id = pen.canvas.define('lantern glow', (name) => `<radialGradient id="${name}"><stop offset="0" stop-color="#ffe7a8" stop-opacity="0.95"/><stop offset="0.3" stop-color="#ffd071" stop-opacity="0.5"/><stop offset="1" stop-color="#ffbf55" stop-opacity="0"/></radialGradient>`)
  const strong = pen.canvas.scene.moment === 'night' || pen.canvas.scene.moment === 'dusk'
  pen.canvas.add(`<circle cx="${x}" cy="${y + 12}" r="${strong ? 40 : 16}" fill="url(#${id})"/>`)
  const brass = palette.lit(oklch(0.62, 0.1, 80))
  pen.line(`M${x - 3} ${y + 6}Q${x} ${y - 2} ${x + 3} ${y + 6}`, brass, 0.9)
  pen.shape(`M${x - 4.4} ${y + 6}H${x + 4.4}L${x + 3.4} ${y + 8}H${x - 3.4}Z`, brass)
  pen.mark(`M${x - 3.4} ${y + 8}H${x + 3.4}V${y + 17}H${x - 3.4}Z`, palette.glow)
  pen.mark(`M${x} ${y + 9.5}q2 3.6 0 6q-2 -2.4 0 -6z`, oklch(0.76, 0.17, 58))
  pen.line(`M${x - 3.4} ${y + 8}V${y + 17}M${x} ${y + 8}V${y + 17}M${x + 3.4} ${y + 8}V${y + 17}`, brass, 0.6)
  pen.shape(`M${x - 4.4} ${y + 17}H${x + 4.4}L${x + 3.6} ${y + 19.5}H${x - 3.6}Z`, brass)
}

export const elder: Figure = { height: 0.6, width: 0.44, draw: (pen) => person(pen, { head: 8.6, shoulders: 15, hem: 17.5, hair: [0.92, 0.01, 90], beard: true }) }
export const oldWoman: Figure = { height: 0.58, width: 0.44, draw: (pen) => person(pen, { head: 8.4, shoulders: 14, hem: 18, hair: [0.86, 0.01, 90], beard: false }) }
export const adult: Figure = { height: 0.6, width: 0.42, draw: (pen) => person(pen, { head: 8, shoulders: 13.5, hem: 16, hair: [0.3, 0.05, 50], beard: false }) }
export const child: Figure = { height: 0.44, width: 0.5, draw: (pen) => person(pen, { head: 12.5, shoulders: 15, hem: 18, hair: [0.42, 0.09, 48], beard: false }) }
