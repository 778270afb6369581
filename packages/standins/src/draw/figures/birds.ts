import { mix, oklch } from '../colour.ts'
import { ellipse, type Figure, type Pen } from './figure.ts'

/** Brass plates, rivets and a cogwheel for a bird made by a clockmaker. */
const isClockwork = ({ thing }: Pen) => thing.colours.some((name) => ['brass', 'copper', 'bronze', 'gold'].includes(name))

function cog(pen: Pen, x: number, y: number, r: number): void {
  const metal = mix(pen.lit(0.78, 0.12, 85), pen.palette.ink, 0.15)
  for (let i = 0; i < 8; i++) pen.turned(`translate(${x} ${y}) rotate(${i * 45})`, () => pen.shape(`M-1.3 ${-r - 1.8}h2.6v3h-2.6z`, metal))
  pen.shape(ellipse(x, y, r, r), metal)
  pen.mark(ellipse(x, y, r * 0.4, r * 0.4), mix(metal, pen.palette.ink, 0.5))
}

function heron(pen: Pen): void {
  const { palette } = pen
  const body = pen.own(0, 0.68, 0.035, 250)
  const wing = mix(body, palette.ink, 0.28)
  const leg = pen.lit(0.52, 0.08, 70)
  pen.line('M4 -36L7 -18L2 0M2 0l-7 0.6M2 0l6 0.6', leg, 1.7)
  pen.line('M-6 -36L-9 -18L-12 0M-12 0l-7 0.6M-12 0l6 0.6', leg, 1.7)
  pen.shape('M-14 -40C-18 -58 -2 -62 12 -56C26 -50 36 -42 42 -32C28 -32 12 -31 2 -32C-6 -32 -12 -34 -14 -40Z', body)
  pen.shape('M-4 -52C10 -56 26 -46 40 -31C24 -34 8 -34 -2 -40C-7 -44 -8 -50 -4 -52Z', wing)
  for (let i = 0; i < 4; i++) pen.line(`M${4 + i * 6} ${-50 + i * 3.4}Q${14 + i * 6} ${-42 + i * 2.6} ${20 + i * 5} ${-36 + i * 1.2}`, mix(wing, palette.sun, 0.25), 0.8)
  pen.shape('M-13 -42C-22 -52 -4 -68 -16 -82C-19 -87 -17 -95 -9 -96C-1 -96 0 -88 -4 -84C-2 -68 2 -58 -6 -50Z', body)
  pen.shape('M-15 -92L-42 -84L-14 -86Z', pen.lit(0.76, 0.14, 72))
  pen.line('M-6 -95Q6 -96 14 -88', wing, 1.6)
  pen.mark(ellipse(-11.5, -91, 1.3, 1.4), isClockwork(pen) ? palette.glow : palette.ink)
  if (!isClockwork(pen)) return
  for (const [x, y] of [[-8, -46], [16, -42], [28, -37], [-9, -70], [-8, -60]] as const) pen.mark(ellipse(x, y, 0.9, 0.9), mix(body, palette.ink, 0.55))
  pen.line('M-14 -74h8M-13 -64h9', mix(body, palette.ink, 0.5), 0.9)
  cog(pen, 8, -46, 5)
}

function songbird(pen: Pen): void {
  const { palette, thing } = pen
  const back = pen.own(0, 0.5, 0.06, 70)
  const breast = thing.word === 'robin' ? pen.lit(0.64, 0.17, 45) : thing.colours.length ? mix(back, palette.paper, 0.6) : pen.lit(0.85, 0.05, 80)
  pen.line('M-4 -12V0M8 -12V0M-4 0h-8M8 0h-8', pen.lit(0.45, 0.06, 60), 2.2)
  pen.shape('M30 -46L70 -30L66 -18L28 -28Z', mix(back, palette.ink, 0.3))
  pen.shape('M-42 -64C-44 -94 -8 -98 4 -76C28 -70 46 -48 38 -28C26 -6 -22 -4 -34 -28C-41 -40 -42 -52 -42 -64Z', back)
  pen.shape('M-42 -62C-38 -36 -20 -10 8 -10C-22 -6 -38 -20 -40 -38Z', breast, 0.6)
  pen.shape('M4 -64C30 -62 46 -44 42 -26C22 -24 2 -36 4 -64Z', mix(back, palette.ink, 0.3))
  pen.line('M12 -50Q26 -44 38 -28M10 -42Q22 -36 32 -27', mix(back, palette.sun, 0.3), 1.2)
  pen.shape('M-41 -73L-60 -66L-40 -61Z', pen.lit(0.7, 0.14, 70))
  pen.mark(ellipse(-24, -73, 4, 4.4), palette.ink)
  pen.mark(ellipse(-25.4, -74.6, 1.3, 1.4), oklch(1, 0, 0))
}

function owl(pen: Pen): void {
  const { palette } = pen
  const body = pen.own(0, 0.5, 0.07, 65)
  const pale = mix(body, palette.paper, 0.6)
  pen.shape('M-34 -50C-40 -92 -26 -96 -22 -100Q-14 -90 0 -90Q14 -90 22 -100C26 -96 40 -92 34 -50C34 -14 20 -2 0 -2C-20 -2 -34 -14 -34 -50Z', body)
  pen.shape('M-20 -54C-20 -66 20 -66 20 -54C22 -24 12 -8 0 -8C-12 -8 -22 -24 -20 -54Z', pale, 0.6)
  for (let row = 0; row < 4; row++) for (let i = -2; i <= 2; i++) if (Math.abs(i) + row < 5) pen.line(`M${i * 7 + (row % 2) * 3 - 3} ${-48 + row * 9}q3 4 6 0`, mix(body, palette.ink, 0.2), 1.2)
  pen.shape('M-33 -60C-40 -40 -38 -14 -22 -6C-26 -24 -26 -44 -33 -60Z', mix(body, palette.ink, 0.25))
  pen.shape('M33 -60C40 -40 38 -14 22 -6C26 -24 26 -44 33 -60Z', mix(body, palette.ink, 0.35))
  for (const x of [-13, 13]) {
    pen.shape(ellipse(x, -76, 12.5, 12.5), pale, 0.5)
    pen.mark(ellipse(x, -76, 8.4, 8.4), pen.lit(0.82, 0.16, 85))
    pen.mark(ellipse(x, -76, 4.6, 5), palette.ink)
    pen.mark(ellipse(x - 2, -78.4, 1.5, 1.5), oklch(1, 0, 0))
  }
  pen.shape('M-4 -70L0 -58L4 -70Z', pen.lit(0.72, 0.14, 70))
  pen.line('M-10 -2v3M-6 -2v3M6 -2v3M10 -2v3', pen.lit(0.6, 0.1, 70), 2)
}

function swimmer(pen: Pen): void {
  const { palette, thing } = pen
  const swan = /swan|goose|geese|pelican/.test(thing.word ?? '')
  const body = swan ? pen.own(0, 0.96, 0.01, 90) : pen.own(0, 0.56, 0.06, 70)
  pen.shape('M-32 -22C-30 -44 10 -46 40 -40C52 -38 58 -46 64 -52C66 -34 56 -8 24 -4C-4 0 -32 -2 -32 -22Z', body)
  pen.shape('M-12 -30C4 -46 34 -38 54 -34C40 -16 2 -10 -12 -30Z', mix(body, palette.ink, 0.16))
  pen.line('M4 -30Q22 -20 44 -30M-2 -26Q18 -14 36 -22', mix(body, palette.ink, 0.35), 1)
  if (swan) pen.shape('M-32 -16C-44 -40 -14 -64 -26 -84C-30 -92 -42 -92 -46 -84C-42 -100 -16 -102 -14 -82C-12 -62 -26 -46 -14 -30Z', body)
  else pen.shape('M-32 -22C-36 -40 -26 -44 -28 -54C-44 -58 -42 -80 -26 -80C-8 -80 -8 -60 -16 -50C-16 -42 -10 -38 -6 -30Z', thing.colours.length ? body : pen.lit(0.42, 0.09, 155))
  pen.shape(swan ? 'M-44 -88L-62 -80L-43 -80Z' : 'M-40 -70L-58 -64L-38 -61Z', pen.lit(0.74, 0.16, 62))
  pen.mark(swan ? ellipse(-37, -88, 1.7, 1.8) : ellipse(-32, -70, 2.4, 2.6), palette.ink)
}

function flyer(pen: Pen): void {
  const { palette, thing } = pen
  const dark = /raven|crow|blackbird|rook/.test(thing.word ?? '')
  const body = dark ? pen.own(0, 0.28, 0.03, 270) : pen.own(0, 0.9, 0.015, 250)
  const tip = mix(body, palette.ink, dark ? 0.2 : 0.6)
  pen.shape('M14 -54C28 -92 62 -104 92 -100C76 -88 62 -66 44 -46Z', mix(body, palette.ink, 0.14))
  pen.shape('M66 -98L92 -100L74 -86Z', tip)
  pen.shape('M-44 -50C-34 -64 -10 -62 14 -54C36 -48 56 -42 72 -34L70 -28C40 -28 -4 -26 -26 -38Z', body)
  pen.shape('M-2 -52C-10 -80 -44 -98 -74 -94C-60 -80 -36 -50 8 -40Z', body)
  pen.shape('M-52 -91L-74 -94L-58 -82Z', tip)
  pen.line('M-56 -86Q-30 -64 2 -44M-44 -84Q-22 -62 6 -46', mix(body, palette.ink, 0.3), 0.9)
  pen.shape('M-42 -52L-60 -46L-40 -44Z', pen.lit(dark ? 0.35 : 0.76, dark ? 0.02 : 0.15, 70))
  pen.mark(ellipse(-36, -52, 1.7, 1.8), palette.ink)
}

function strutter(pen: Pen): void {
  const { palette, thing } = pen
  const body = pen.own(0, thing.word === 'peacock' ? 0.45 : 0.6, 0.13, thing.word === 'peacock' ? 250 : 45)
  const tail = thing.word === 'peacock' ? pen.lit(0.5, 0.12, 165) : mix(body, pen.lit(0.35, 0.08, 160), 0.7)
  for (let i = 0; i < 7; i++) {
    const [dx, dy] = [34 + i * 5, -30 - i * 9]
    pen.shape(`M16 -36Q${dx * 0.8} ${dy - 18} ${dx + 12} ${dy}Q${dx * 0.9} ${dy + 6} 18 -26Z`, mix(tail, palette.ink, i % 2 ? 0.2 : 0))
    if (thing.word === 'peacock') { pen.mark(ellipse(dx + 4, dy - 4, 3.4, 4), pen.lit(0.75, 0.13, 85)); pen.mark(ellipse(dx + 4, dy - 4, 1.8, 2.2), pen.lit(0.35, 0.14, 265)) }
  }
  pen.line('M-2 -16V0M8 -16V0M-2 0h-7M8 0h-7', pen.lit(0.7, 0.13, 75), 2.2)
  pen.shape('M-24 -42C-28 -60 -20 -84 -12 -90C-4 -92 0 -84 -2 -72C4 -58 24 -54 26 -36C24 -16 -6 -8 -18 -24C-22 -30 -23 -36 -24 -42Z', body)
  pen.shape('M-2 -44C10 -46 24 -40 26 -30C14 -22 0 -26 -2 -44Z', mix(body, palette.ink, 0.3))
  pen.shape('M-19 -90Q-18 -100 -13 -94Q-10 -102 -7 -94Q-2 -98 -3 -88Z', pen.lit(0.58, 0.2, 25))
  pen.shape('M-20 -84L-30 -80L-19 -77Z', pen.lit(0.8, 0.13, 85))
  pen.shape(ellipse(-17, -73, 2.4, 4), pen.lit(0.58, 0.2, 25))
  pen.mark(ellipse(-13, -84, 1.5, 1.6), palette.ink)
}

export const BIRDS: Figure[] = [
  { kind: 'bird', variant: 'heron', words: 'heron, crane, stork, egret, flamingo, ibis, ostrich', height: 0.62, width: 0.8, draw: heron },
  { kind: 'bird', variant: 'songbird', words: 'bird, robin, sparrow, finch, wren, kingfisher, thrush, nightingale, canary, hummingbird, parrot, woodpecker, pigeon, dove, budgie', height: 0.28, width: 1.3, draw: songbird },
  { kind: 'bird', variant: 'owl', words: 'owl, owlet, barn owl, penguin', height: 0.4, width: 0.8, draw: owl },
  { kind: 'bird', variant: 'swan', words: 'swan, duck, goose, geese, duckling, mallard, pelican', height: 0.34, width: 1.3, where: 'water', draw: swimmer },
  { kind: 'bird', variant: 'gull', words: 'gull, seagull, swallow, raven, crow, eagle, hawk, falcon, albatross, vulture, kite in the sky, blackbird, magpie, rook, bat', height: 0.34, width: 1.7, where: 'air', draw: flyer },
  { kind: 'bird', variant: 'cock', words: 'cock, rooster, hen, chicken, peacock, turkey, pheasant, cockerel', height: 0.38, width: 1, draw: strutter },
]
