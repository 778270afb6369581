import { mix, oklch } from '../colour.ts'
import { house } from '../landscape.ts'
import { ellipse, type Figure, type Pen } from './figure.ts'

function steam(pen: Pen, x: number, y: number, size: number): void {
  const white = oklch(0.98, 0.005, 90)
  for (let i = 0; i < 6; i++) pen.mark(ellipse(x + i * size * 0.75 + pen.random() * size * 0.3, y - i * size * 0.42, size * (0.42 + i * 0.13), size * (0.36 + i * 0.1)), white, 0.62 - i * 0.075)
}

export const train: Figure = {
  height: 0.34,
  width: 2.5,
  draw(pen) {
    const { palette, scene } = pen.canvas
    const [body, trim] = palette.accents
    const iron = palette.lit(oklch(0.32, 0.02, 265))
    const window = scene.moment === 'night' || scene.moment === 'dusk' ? palette.glow : palette.lit(oklch(0.86, 0.05, 225))
    // Rails, sleepers and the toothed rack between them.
    pen.line('M-240 2H240', iron, 3)
    for (let x = -236; x < 240; x += 12) pen.mark(`M${x} 3h7v4h-7z`, palette.lit(oklch(0.42, 0.05, 55)))
    let teeth = 'M-240 -2'
    for (let x = -240; x < 240; x += 6) teeth += 'l2 -3h2l2 3'
    pen.line(teeth, mix(iron, palette.sun, 0.2), 1)
    const wheel = (x: number, r: number) => {
      pen.shape(ellipse(x, -r, r, r), iron)
      pen.mark(ellipse(x, -r, r * 0.55, r * 0.55), mix(iron, body, 0.5))
      pen.mark(ellipse(x, -r, r * 0.18, r * 0.18), trim)
    }
    const carriage = (x: number) => {
      pen.shape(`M${x} -14H${x + 92}V-68Q${x + 92} -72 ${x + 88} -72H${x + 4}Q${x} -72 ${x} -68Z`, body)
      pen.mark(`M${x} -34H${x + 92}V-29H${x}Z`, trim)
      pen.shape(`M${x - 4} -72Q${x + 46} -86 ${x + 96} -72L${x + 94} -68H${x - 2}Z`, mix(palette.paper, palette.ink, 0.25))
      for (let i = 0; i < 5; i++) pen.shape(`M${x + 6 + i * 17} -64h12v22h-12z`, window, 0.5)
      wheel(x + 18, 10)
      wheel(x + 74, 10)
    }
    carriage(6)
    carriage(108)
    // The engine, its boiler level on the slope.
    pen.shape('M-100 -14H-4V-60H-100Z', body)
    pen.shape('M-106 -62Q-112 -46 -106 -26H-40V-62Z', mix(body, palette.ink, 0.1))
    pen.mark('M-84 -62h4v36h-4zM-62 -62h4v36h-4z', trim)
    pen.shape('M-44 -22H-2V-84H-44Z', body)
    pen.shape('M-50 -84H4V-90Q-22 -98 -50 -90Z', iron)
    pen.shape('M-38 -76h14v20h-14zM-20 -76h13v20h-13z', window, 0.5)
    pen.shape('M-98 -62L-101 -86H-87L-90 -62Z', iron)
    pen.shape('M-104 -86H-84V-92H-104Z', iron)
    pen.shape('M-74 -62Q-74 -74 -68 -74Q-62 -74 -62 -62Z', palette.lit(oklch(0.74, 0.12, 85)))
    pen.mark(ellipse(-108, -44, 4, 5), palette.glow)
    pen.shape('M-112 -18H-96V-6L-118 -4Z', iron)
    for (const x of [-88, -62, -22]) wheel(x, 13)
    pen.line('M-88 -13H-22', palette.lit(oklch(0.75, 0.03, 80)), 2.4)
    steam(pen, -94, -100, 17)
  },
}

export const cart: Figure = {
  height: 0.3,
  width: 1.8,
  draw(pen) {
    const { palette } = pen.canvas
    const wood = palette.lit(oklch(0.5, 0.08, 58))
    pen.shape('M-70 -62H64L52 -26H-60Z', palette.accents[0])
    pen.line('M-66 -50H60M-63 -38H56', mix(palette.accents[0], palette.ink, 0.4), 1.4)
    pen.line('M-60 -30L-120 -18', wood, 4)
    for (const [x, y, r] of [[-40, -70, 14], [-12, -74, 16], [18, -72, 15], [42, -69, 12]] as const) pen.shape(ellipse(x, y, r, r * 0.8), palette.accents[1])
    for (const x of [-30, 34]) {
      pen.canvas.add(`<circle cx="${x}" cy="-22" r="20" fill="none" stroke="#4a3626" stroke-width="4.5"/>`)
      for (let i = 0; i < 8; i++) pen.line(`M${x} -22L${x + Math.cos((i / 8) * 6.283) * 19} ${-22 + Math.sin((i / 8) * 6.283) * 19}`, wood, 1.8)
      pen.mark(ellipse(x, -22, 4, 4), palette.ink)
    }
  },
}

export const boat: Figure = {
  height: 0.46,
  width: 1.1,
  draw(pen) {
    const { palette } = pen.canvas
    pen.line('M-2 -14V-100', palette.lit(oklch(0.45, 0.06, 58)), 2.4)
    pen.shape('M0 -98Q48 -62 44 -22H0Z', palette.paper)
    pen.shape('M-4 -92Q-34 -54 -38 -22H-4Z', mix(palette.paper, palette.accents[1], 0.5))
    pen.mark('M0 -60L40 -42L42 -34L0 -50Z', palette.accents[0])
    pen.shape('M-56 -16H58Q50 0 34 2H-34Q-52 0 -56 -16Z', palette.accents[0])
    pen.mark('M-55 -16H57L56 -12H-54Z', palette.paper)
    pen.line('M-62 5q14 -5 28 0t28 0t28 0t32 0', mix(palette.paper, palette.sky[1], 0.4), 1.6)
  },
}

export const chalet: Figure = { height: 0.5, width: 1.2, draw: (pen) => house(pen.canvas, 0, 0, 100, pen.canvas.palette.accents[1], mix(pen.canvas.palette.accents[0], pen.canvas.palette.ink, 0.2)) }

export const tower: Figure = {
  height: 0.72,
  width: 0.4,
  draw(pen) {
    const { palette, scene } = pen.canvas
    const lights = scene.moment === 'night' || scene.moment === 'dusk'
    const pane = lights ? palette.glow : mix(palette.accents[1], palette.ink, 0.6)
    pen.shape('M-16 0L-12 -70H12L16 0Z', mix(palette.accents[1], palette.paper, 0.5))
    pen.shape('M-15 -70H15V-74H-15Z', palette.lit(oklch(0.5, 0.04, 60)))
    pen.shape('M-17 -74L0 -100L17 -74Z', palette.accents[0])
    for (const y of [-60, -40, -20]) pen.mark(`M-3 ${y}q3 -6 6 0v7h-6z`, pane)
    pen.mark('M-4.5 0V-9Q0 -15 4.5 -9V0Z', mix(palette.accents[0], palette.ink, 0.5))
    pen.line('M0 -100V-108M-3 -105H3', palette.ink, 1)
  },
}

export const jar: Figure = {
  height: 0.42,
  width: 0.8,
  draw(pen) {
    const { palette, scene } = pen.canvas
    const honey = scene.ownColours.length && !scene.ownColours.includes('white') ? palette.accents[0] : palette.lit(oklch(0.72, 0.15, 70))
    pen.shape('M-30 -78Q-38 -72 -38 -60V-8Q-38 0 -29 0H29Q38 0 38 -8V-60Q38 -72 30 -78Z', mix(palette.paper, honey, 0.35))
    pen.shape('M-34 -62Q0 -58 34 -62V-9Q34 -3.5 27 -3.5H-27Q-34 -3.5 -34 -9Z', honey)
    pen.mark('M-29 -58Q-24 -56 -24 -50V-12Q-24 -8 -27 -8Q-30 -9 -30 -14Z', oklch(0.98, 0.03, 95), 0.55)
    pen.shape('M-32 -80H32V-96Q32 -100 27 -100H-27Q-32 -100 -32 -96Z', mix(palette.accents[2], palette.ink, 0.05))
    pen.mark('M-32 -84H32V-81H-32Z', palette.ink, 0.25)
    pen.shape('M-26 -48H26V-18H-26Z', palette.paper)
    pen.line('M-22 -45H22M-22 -21H22', palette.accents[1], 1)
    hexagons(pen)
  },
}

/** The small comb on a label, where no lettering was asked for. */
function hexagons(pen: Pen): void {
  for (const [x, y] of [[0, -36], [-8, -31.4], [8, -31.4]] as const) {
    const points = Array.from({ length: 6 }, (_, i) => `${x + 4.6 * Math.cos((i / 6 + 1 / 12) * 6.2832)} ${y + 4.6 * Math.sin((i / 6 + 1 / 12) * 6.2832)}`)
    pen.shape(`M${points.join('L')}Z`, pen.canvas.palette.accents[1])
  }
}

export const cup: Figure = {
  height: 0.26,
  width: 1.5,
  draw(pen) {
    const { palette } = pen.canvas
    const glaze = palette.accents[0]
    pen.shape(ellipse(0, -3, 66, 8), mix(glaze, palette.paper, 0.3))
    pen.canvas.add(`<path d="M40 -66q34 -6 30 18q-4 20 -36 22" fill="none" stroke="${pen.canvas.solid(glaze)}" stroke-width="8"/>`)
    pen.shape('M-46 -80H46Q46 -24 22 -8H-22Q-46 -24 -46 -80Z', glaze)
    pen.shape(ellipse(0, -80, 46, 9), mix(glaze, palette.paper, 0.4))
    pen.mark(ellipse(0, -79, 40, 7), palette.lit(oklch(0.5, 0.11, 55)))
    pen.mark('M-38 -70Q-34 -30 -20 -16Q-24 -44 -28 -70Z', oklch(1, 0, 0), 0.3)
    for (const x of [-14, 2, 18]) pen.canvas.add(`<path d="M${x} -88q-7 -12 0 -22t0 -20" fill="none" stroke="#ffffff" stroke-width="3" stroke-linecap="round" opacity="0.55"/>`)
  },
}

export const teapot: Figure = {
  height: 0.36,
  width: 1.5,
  draw(pen) {
    const { palette } = pen.canvas
    const glaze = palette.accents[0]
    pen.shape('M-40 -44Q-66 -46 -74 -74L-84 -78L-78 -84Q-60 -86 -52 -62Q-46 -58 -36 -60Z', glaze)
    pen.canvas.add(`<path d="M40 -66q36 -8 34 20q-4 22 -38 24" fill="none" stroke="${pen.canvas.solid(glaze)}" stroke-width="8"/>`)
    pen.shape('M-44 -46C-44 -78 44 -78 46 -46C46 -18 30 -2 0 -2C-30 -2 -44 -18 -44 -46Z', glaze)
    pen.shape('M-26 -70Q0 -86 26 -70Q0 -64 -26 -70Z', mix(glaze, palette.ink, 0.12))
    pen.shape(ellipse(0, -83, 5.5, 5.5), palette.accents[1])
    pen.mark('M-34 -56Q-36 -30 -22 -14Q-28 -36 -24 -60Z', oklch(1, 0, 0), 0.35)
    pen.line('M-42 -40Q0 -32 44 -40', palette.accents[1], 2.4)
  },
}

export const loaf: Figure = {
  height: 0.24,
  width: 1.6,
  draw(pen) {
    const { palette } = pen.canvas
    const crust = palette.lit(oklch(0.6, 0.11, 58))
    pen.shape('M-96 0H96V-8H-96Z', palette.lit(oklch(0.5, 0.06, 50)))
    pen.shape('M-74 -10C-84 -50 -58 -84 0 -84C58 -84 84 -50 74 -10Z', crust)
    for (const x of [-38, -10, 18]) pen.shape(`M${x} -70Q${x + 18} -62 ${x + 26} -30Q${x + 8} -50 ${x} -70Z`, mix(crust, palette.paper, 0.6))
  },
}
