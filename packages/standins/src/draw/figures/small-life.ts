import { mix, oklch } from '../colour.ts'
import { ellipse, type Figure } from './figure.ts'

export const bee: Figure = {
  height: 0.26,
  width: 1.4,
  draw(pen) {
    const { palette } = pen.canvas
    const gold = palette.lit(oklch(0.8, 0.15, 80))
    const dark = palette.lit(oklch(0.25, 0.03, 60))
    pen.line('M-20 -30q-6 12 -14 14M0 -28q0 14 -6 20M20 -30q6 12 10 18', dark, 2)
    pen.canvas.group('opacity="0.72"', () => {
      pen.shape('M-6 -62C10 -100 46 -104 52 -88C54 -72 22 -58 -6 -60Z', palette.lit(oklch(0.93, 0.03, 220)), 0.4)
      pen.shape('M-10 -62C-10 -98 18 -108 26 -96C32 -82 12 -64 -8 -60Z', palette.lit(oklch(0.96, 0.02, 220)), 0.4)
    })
    pen.shape('M-10 -46C-6 -66 30 -70 50 -52C58 -44 60 -38 62 -34C54 -24 16 -20 0 -28C-8 -32 -12 -38 -10 -46Z', gold)
    for (const x of [12, 26, 40]) pen.shape(`M${x} ${-62 + (x - 12) * 0.22}q8 18 1 37h7q8 -18 0 -35z`, dark)
    pen.shape(ellipse(-18, -46, 16, 16), mix(gold, palette.lit(oklch(0.5, 0.09, 60)), 0.4))
    pen.shape(ellipse(-38, -44, 11, 11.5), dark)
    pen.mark(ellipse(-42, -47, 3.6, 5), palette.lit(oklch(0.6, 0.04, 60)))
    pen.line('M-44 -53Q-52 -68 -60 -66M-38 -55Q-44 -72 -52 -74', dark, 1.8)
  },
}

export const butterfly: Figure = {
  height: 0.3,
  width: 1.5,
  draw(pen) {
    const { palette } = pen.canvas
    const [wing, spot] = palette.accents
    for (const s of [-1, 1]) {
      pen.shape(`M0 -52C${s * 20} -108 ${s * 72} -106 ${s * 70} -74C${s * 68} -52 ${s * 30} -44 0 -48Z`, wing)
      pen.shape(`M0 -46C${s * 34} -50 ${s * 56} -34 ${s * 46} -14C${s * 34} 0 ${s * 8} -16 0 -42Z`, mix(wing, spot, 0.5))
      pen.mark(ellipse(s * 46, -78, 7, 7), spot)
      pen.mark(ellipse(s * 28, -24, 4.4, 4.4), palette.paper)
    }
    pen.shape('M-3 -66Q0 -72 3 -66L2.4 -22Q0 -14 -2.4 -22Z', palette.ink)
    pen.line('M-1 -68Q-8 -86 -15 -88M1 -68Q8 -86 15 -88', palette.ink, 1.3)
  },
}

export const flower: Figure = {
  height: 0.36,
  width: 0.6,
  draw(pen) {
    const { palette, random } = { ...pen, palette: pen.canvas.palette }
    const stem = palette.lit(oklch(0.52, 0.12, 140))
    const lean = (random() - 0.5) * 12
    pen.line(`M0 0Q${lean * 0.2} -30 ${lean} -68`, stem, 2.6)
    pen.shape('M0 -12C-18 -20 -26 -34 -24 -46C-10 -42 0 -28 0 -12Z', stem)
    pen.shape('M1 -22C16 -28 24 -40 24 -52C10 -50 1 -38 1 -22Z', mix(stem, palette.sun, 0.15))
    const petals = 7
    for (let i = 0; i < petals; i++) {
      const a = (i / petals) * 360 + lean
      pen.canvas.group(`transform="translate(${lean} -74) rotate(${a})"`, () => {
        pen.shape('M0 -4C-9 -12 -8 -26 0 -27C8 -26 9 -12 0 -4Z', palette.accents[0])
      })
    }
    pen.shape(ellipse(lean, -74, 7, 7), palette.lit(oklch(0.82, 0.15, 85)))
  },
}

export const tree: Figure = {
  height: 0.66,
  width: 0.8,
  draw(pen) {
    const { canvas } = pen
    const { palette, scene } = canvas
    const leaf = scene.season === 'autumn' ? palette.lit(oklch(0.64, 0.14, 55)) : scene.season === 'spring' ? palette.lit(oklch(0.84, 0.08, 0)) : scene.season === 'winter' ? palette.lit(oklch(0.9, 0.015, 240)) : mix(palette.near, palette.lit(oklch(0.6, 0.14, 132)), 0.4)
    pen.shape('M-6 0C-3 -20 -5 -34 -4 -48L4 -48C5 -34 4 -20 8 0Q0 -3 -6 0Z', palette.lit(oklch(0.42, 0.05, 55)))
    pen.line('M0 -40L-17 -58M1 -44L16 -62', palette.lit(oklch(0.42, 0.05, 55)), 3)
    for (const [x, y, r, shade] of [[-20, -56, 17, 0.16], [20, -58, 18, 0.2], [0, -66, 24, 0.08], [-14, -78, 16, 0], [14, -80, 15, 0.04], [0, -88, 12, 0]] as const) {
      pen.shape(ellipse(x, y, r, r * 0.9), mix(leaf, palette.ink, shade))
    }
    for (let i = 0; i < 16; i++) {
      const [a, d] = [pen.random() * Math.PI * 2, pen.random() * 26]
      pen.mark(ellipse(Math.cos(a) * d, -72 + Math.sin(a) * d * 0.8, 2, 1.6), i % 4 && scene.season !== 'summer' ? mix(leaf, palette.sun, 0.35) : i % 4 ? mix(leaf, palette.sun, 0.25) : palette.accents[0], 0.85)
    }
  },
}
