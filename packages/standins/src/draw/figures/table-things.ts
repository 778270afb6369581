import { mix, oklch } from '../colour.ts'
import { box, ellipse, type Figure, glow, limb, type Pen } from './figure.ts'

const white = oklch(1, 0, 0)
const shine = (pen: Pen, d: string) => { pen.mark(d, white, 0.38) }

function fruit(pen: Pen): void {
  const { thing } = pen
  const word = thing.word ?? 'apple'
  const [l, c, h] = /lemon/.test(word) ? [0.88, 0.16, 100] : /orange|tangerine|clementine/.test(word) ? [0.74, 0.17, 58] : /pear|lime/.test(word) ? [0.76, 0.14, 118] : /plum|grape|fig|aubergine/.test(word) ? [0.42, 0.12, 320] : /peach|apricot/.test(word) ? [0.8, 0.12, 48] : /pumpkin/.test(word) ? [0.68, 0.17, 55] : /melon/.test(word) ? [0.6, 0.12, 140] : [0.57, 0.2, 27]
  const skin = pen.own(0, l, c, h)
  if (/grape|berr|cherr/.test(word)) {
    for (let row = 0; row < 5; row++) for (let i = 0; i <= 5 - row; i++) pen.shape(ellipse((i - (5 - row) / 2) * 17, -70 + row * 15, 10, 10), (i + row) % 2 ? skin : mix(skin, pen.palette.ink, 0.15))
    pen.line('M0 -78Q4 -92 16 -100', pen.lit(0.42, 0.07, 60), 3)
    return
  }
  pen.line('M2 -78Q4 -90 12 -99', pen.lit(0.38, 0.06, 55), 4)
  if (/pear/.test(word)) pen.shape('M0 -84C18 -84 16 -60 28 -46C44 -24 28 -1 0 -1C-28 -1 -44 -24 -28 -46C-16 -60 -18 -84 0 -84Z', skin)
  else if (/pumpkin/.test(word)) for (const [x, r] of [[-30, 26], [30, 26], [-14, 30], [14, 30], [0, 28]] as const) pen.shape(ellipse(x, -40, r, 40), x === 0 ? skin : mix(skin, pen.palette.ink, 0.12))
  else if (/lemon/.test(word)) pen.shape('M-58 -40C-50 -46 -44 -74 0 -74C40 -74 46 -48 58 -42C48 -34 42 -4 0 -4C-42 -4 -50 -34 -58 -40Z', skin)
  else pen.shape('M0 -74C-14 -84 -48 -78 -46 -42C-44 -10 -20 0 0 -5C20 0 44 -10 46 -42C48 -78 14 -84 0 -74Z', skin)
  shine(pen, 'M-30 -60Q-40 -44 -32 -26Q-26 -44 -20 -62Z')
  pen.shape('M10 -92C24 -104 42 -96 46 -86C34 -78 18 -82 10 -92Z', pen.lit(0.54, 0.13, 138))
}

function loaf(pen: Pen): void {
  const crust = pen.own(0, 0.6, 0.11, 58)
  pen.shape(box(-98, -9, 196, 9, 3), pen.lit(0.5, 0.06, 50))
  pen.shape('M-76 -10C-88 -54 -60 -88 0 -88C60 -88 88 -54 76 -10Z', crust)
  for (const x of [-42, -12, 18]) pen.shape(`M${x} -72Q${x + 20} -62 ${x + 28} -28Q${x + 8} -50 ${x} -72Z`, mix(crust, pen.palette.paper, 0.6))
  for (let i = 0; i < 18; i++) pen.mark(ellipse(-60 + pen.random() * 120, -20 - pen.random() * 54, 1.2, 0.8), pen.palette.paper, 0.7)
}

function cake(pen: Pen): void {
  const icing = pen.own(0, 0.9, 0.05, 0)
  const sponge = pen.lit(0.72, 0.1, 70)
  pen.shape(ellipse(0, -6, 74, 7), pen.lit(0.9, 0.015, 220))
  pen.shape('M-56 -8V-46H56V-8Q0 2 -56 -8Z', sponge)
  pen.mark('M-56 -30H56V-24Q0 -18 -56 -24Z', pen.lit(0.55, 0.17, 20))
  pen.shape('M-56 -46Q-58 -60 0 -62Q58 -60 56 -46Q52 -34 46 -42Q40 -28 32 -40Q24 -26 14 -40Q4 -28 -6 -40Q-16 -26 -26 -40Q-36 -28 -44 -42Q-50 -34 -56 -46Z', icing)
  const candles = Math.max(3, Math.min(7, pen.thing.count))
  for (let i = 0; i < candles; i++) {
    const x = (i - (candles - 1) / 2) * (80 / candles)
    pen.shape(box(x - 1.6, -78, 3.2, 20), pen.lit(0.78, 0.1, (i * 70) % 360))
    glow(pen, x, -83, 12)
    pen.mark(`M${x} -90q3.4 6 0 11q-3.4 -5 0 -11z`, pen.lit(0.84, 0.16, 75))
  }
  for (let i = 0; i < 7; i++) pen.shape(ellipse(-45 + i * 15, -57 + Math.abs(i - 3) * 1.4, 4, 4), pen.lit(0.55, 0.2, 20))
}

function cheese(pen: Pen): void {
  const body = pen.own(0, 0.84, 0.13, 88)
  pen.shape(box(-90, -8, 180, 8, 3), pen.lit(0.5, 0.06, 50))
  pen.shape('M-70 -8L64 -8V-40L-70 -40Z', body)
  pen.shape('M-70 -40L10 -76Q60 -66 64 -40Z', mix(body, pen.palette.paper, 0.35))
  for (const [x, y, r] of [[-40, -24, 8], [-6, -16, 5], [26, -26, 9], [50, -16, 4], [-58, -14, 3]] as const) pen.mark(ellipse(x, y, r, r * 0.9), mix(body, pen.palette.ink, 0.28))
}

function jar(pen: Pen): void {
  const { palette } = pen
  const filling = pen.own(0, 0.72, 0.15, 70)
  pen.shape('M-30 -78Q-38 -72 -38 -60V-8Q-38 0 -29 0H29Q38 0 38 -8V-60Q38 -72 30 -78Z', mix(palette.paper, filling, 0.35))
  pen.shape('M-34 -62Q0 -58 34 -62V-9Q34 -3.5 27 -3.5H-27Q-34 -3.5 -34 -9Z', filling)
  shine(pen, 'M-29 -58Q-24 -56 -24 -50V-12Q-24 -8 -27 -8Q-30 -9 -30 -14Z')
  pen.shape('M-32 -80H32V-96Q32 -100 27 -100H-27Q-32 -100 -32 -96Z', pen.thing.colours.length > 1 ? pen.own(1, 0.5, 0.08, 255) : mix(palette.accents[2], palette.ink, 0.05))
  pen.mark('M-32 -84H32V-81H-32Z', palette.ink, 0.25)
  pen.shape('M-26 -48H26V-18H-26Z', palette.paper)
  pen.line('M-22 -45H22M-22 -21H22', palette.accents[1], 1)
  for (const [x, y] of [[0, -37], [-8, -32.4], [8, -32.4]] as const) {
    const points = Array.from({ length: 6 }, (_, i) => `${(x + 4.6 * Math.cos((i / 6 + 1 / 12) * 6.2832)).toFixed(1)} ${(y + 4.6 * Math.sin((i / 6 + 1 / 12) * 6.2832)).toFixed(1)}`)
    pen.shape(`M${points.join('L')}Z`, palette.accents[1])
  }
}

export const FOOD: Figure[] = [
  { kind: 'food', variant: 'fruit', words: 'apple, fruit, pear, lemon, orange, peach, plum, grapes, cherry, pumpkin, melon, fig, apricot, tomato, strawberry, pomegranate, lime, onion, egg, tangerine, berries', height: 0.36, width: 1.05, draw: fruit },
  { kind: 'food', variant: 'loaf', words: 'bread, loaf, bun, baguette, pastry, pie, croissant, dough, sandwich, burger, pizza', height: 0.32, width: 1.8, draw: loaf },
  { kind: 'food', variant: 'cake', words: 'cake, birthday cake, tart, cupcake, pudding, dessert, ice cream, muffin', height: 0.42, width: 1.5, draw: cake },
  { kind: 'food', variant: 'cheese', words: 'cheese, butter, ham, wedge of cheese', height: 0.34, width: 1.7, draw: cheese },
  { kind: 'food', variant: 'jar', words: 'jar, honey, jam, marmalade, honeycomb, preserves, pickles, spice', height: 0.46, width: 0.8, draw: jar },
]

function vapour(pen: Pen): void {
  for (const x of [-14, 2, 18]) pen.canvas.add(`<path d="M${x} -88q-7 -12 0 -22t0 -20" fill="none" stroke="#ffffff" stroke-width="3" stroke-linecap="round" opacity="0.5"/>`)
}

function cup(pen: Pen): void {
  const glaze = pen.own(0, 0.6, 0.1, 200)
  pen.shape(ellipse(0, -3, 66, 8), mix(glaze, pen.palette.paper, 0.3))
  pen.canvas.add(`<path d="M40 -66q34 -6 30 18q-4 20 -36 22" fill="none" stroke="${pen.canvas.solid(glaze)}" stroke-width="8"/>`)
  pen.shape('M-46 -80H46Q46 -24 22 -8H-22Q-46 -24 -46 -80Z', glaze)
  pen.shape(ellipse(0, -80, 46, 9), mix(glaze, pen.palette.paper, 0.4))
  pen.mark(ellipse(0, -79, 40, 7), pen.lit(0.42, 0.09, 50))
  shine(pen, 'M-38 -70Q-34 -30 -20 -16Q-24 -44 -28 -70Z')
  pen.line('M-43 -60Q0 -52 43 -60', mix(glaze, pen.palette.paper, 0.6), 2)
  vapour(pen)
}

function teapot(pen: Pen): void {
  const glaze = pen.own(0, 0.52, 0.13, 255)
  const trim = pen.thing.colours.length > 1 ? pen.own(1, 0.85, 0.08, 88) : pen.lit(0.85, 0.08, 88)
  pen.shape('M-40 -44Q-66 -46 -74 -74L-84 -78L-78 -84Q-60 -86 -52 -62Q-46 -58 -36 -60Z', glaze)
  pen.canvas.add(`<path d="M40 -66q36 -8 34 20q-4 22 -38 24" fill="none" stroke="${pen.canvas.solid(glaze)}" stroke-width="8"/>`)
  pen.shape('M-44 -46C-44 -78 44 -78 46 -46C46 -18 30 -2 0 -2C-30 -2 -44 -18 -44 -46Z', glaze)
  pen.shape('M-26 -70Q0 -86 26 -70Q0 -64 -26 -70Z', mix(glaze, pen.palette.ink, 0.12))
  pen.shape(ellipse(0, -83, 5.5, 5.5), trim)
  shine(pen, 'M-34 -56Q-36 -30 -22 -14Q-28 -36 -24 -60Z')
  pen.line('M-42 -40Q0 -32 44 -40', trim, 2.4)
  for (let i = 0; i < 5; i++) pen.mark(ellipse(-26 + i * 13, -25 + Math.abs(i - 2), 3.4, 3.4), trim, 0.8)
}

function bottle(pen: Pen): void {
  const glass = pen.own(0, 0.42, 0.09, 150)
  pen.shape('M-7 -100H7V-72C7 -62 22 -62 22 -44V-6Q22 0 16 0H-16Q-22 0 -22 -6V-44C-22 -62 -7 -62 -7 -72Z', glass)
  pen.shape(box(-8.5, -100, 17, 12, 2), pen.lit(0.5, 0.17, 25))
  pen.shape(box(-20, -40, 40, 26), pen.palette.paper)
  pen.line('M-14 -33H14M-14 -27H8M-14 -21H11', mix(glass, pen.palette.ink, 0.2), 1.4)
  shine(pen, 'M-16 -50Q-18 -44 -18 -36V-10Q-14 -10 -14 -14V-40Q-14 -48 -10 -54Z')
}

function glassOf(pen: Pen): void {
  const wine = pen.own(0, 0.4, 0.15, 18)
  pen.canvas.group('opacity="0.85"', () => {
    pen.shape('M-26 -100H26C30 -66 18 -46 4 -44V-8Q22 -6 24 0H-24Q-22 -6 -4 -8V-44C-18 -46 -30 -66 -26 -100Z', pen.lit(0.93, 0.015, 220), 0.6)
    pen.shape('M-25 -78H25C25 -60 14 -49 0 -49C-14 -49 -25 -60 -25 -78Z', wine)
  })
  shine(pen, 'M-20 -92Q-22 -70 -12 -56Q-14 -76 -13 -92Z')
}

export const DRINKS: Figure[] = [
  { kind: 'drink', variant: 'cup', words: 'cup, tea, mug, teacup, coffee, cocoa, bowl, soup', height: 0.34, width: 1.5, draw: cup },
  { kind: 'drink', variant: 'teapot', words: 'teapot, kettle, pot, samovar, coffee pot, jug, pitcher, caddy, urn, vase', height: 0.42, width: 1.5, draw: teapot },
  { kind: 'drink', variant: 'bottle', words: 'bottle, wine bottle, perfume, perfume bottle, potion, medicine bottle, vial', height: 0.6, width: 0.5, draw: bottle },
  { kind: 'drink', variant: 'glass', words: 'glass, wine, goblet, cocktail, beer, glass of wine, lemonade, chalice, tumbler', height: 0.5, width: 0.62, draw: glassOf },
]

function hammer(pen: Pen): void {
  const wood = pen.lit(0.58, 0.09, 62)
  const head = pen.own(0, 0.5, 0.015, 255)
  pen.turned('rotate(24 0 -50)', () => {
    pen.shape(limb(0, -2, 0, -84, 5, 4.4), wood)
    pen.shape('M-34 -82Q-34 -98 -20 -98H16Q30 -98 40 -84L34 -80Q20 -84 12 -80H-22Q-34 -78 -34 -82Z', head)
    pen.line('M-24 -94H12', mix(head, white, 0.5), 1.4)
  })
}

function lantern(pen: Pen): void {
  const metal = pen.own(0, 0.5, 0.06, 70)
  glow(pen, 0, -44, 78)
  pen.canvas.add(`<path d="M-22 -84C-22 -106 22 -106 22 -84" fill="none" stroke="${pen.canvas.solid(metal)}" stroke-width="3"/>`)
  pen.shape('M-14 -88H14L24 -72H-24Z', metal)
  pen.mark(box(-22, -72, 44, 52), pen.palette.glow)
  pen.mark('M0 -64C12 -48 10 -32 0 -30C-10 -32 -12 -48 0 -64Z', pen.lit(0.8, 0.17, 62))
  pen.mark('M0 -52C5 -44 4 -36 0 -35C-4 -36 -5 -44 0 -52Z', white, 0.8)
  pen.line('M-22 -72V-20M-8 -72V-20M8 -72V-20M22 -72V-20', metal, 2.4)
  pen.shape('M-27 -20H27L22 -2H-22Z', metal)
}

function key(pen: Pen): void {
  const brass = pen.own(0, 0.7, 0.12, 85)
  pen.turned('rotate(-52 0 -48)', () => {
    pen.canvas.add(`<circle cx="0" cy="-80" r="14" fill="none" stroke="${pen.canvas.solid(brass)}" stroke-width="8"/>`)
    pen.shape(box(-4, -66, 8, 64, 2), brass)
    pen.shape('M4 -20H20V-12H12V-8H20V0H4Z', brass)
    pen.shape(ellipse(0, -62, 7, 4), brass)
  })
}

function shears(pen: Pen): void {
  const steel = pen.own(0, 0.75, 0.012, 250)
  const grip = pen.lit(0.48, 0.16, 25)
  for (const s of [-1, 1]) pen.turned(`rotate(${s * 15} 0 -40)`, () => {
    pen.shape(`M${s * -3} -40L${s * 4} -100L${s * 7} -40Z`, steel)
    pen.canvas.add(`<ellipse cx="${s * 8}" cy="-17" rx="11" ry="15" fill="none" stroke="${pen.canvas.solid(grip)}" stroke-width="6"/>`)
  })
  pen.mark(ellipse(0, -41, 3.4, 3.4), pen.palette.ink)
}

function candle(pen: Pen): void {
  const wax = pen.own(0, 0.93, 0.04, 88)
  glow(pen, 0, -90, 70)
  pen.shape(ellipse(0, -5, 38, 6), pen.lit(0.6, 0.1, 80))
  pen.shape('M-13 -8V-70Q0 -76 13 -70V-8Q0 -3 -13 -8Z', wax)
  pen.shape('M-13 -66Q-14 -46 -10 -46Q-7 -46 -8 -62Z', mix(wax, white, 0.4))
  pen.line('M0 -72V-79', pen.palette.ink, 1.2)
  pen.mark('M0 -100C8 -88 7 -78 0 -76C-7 -78 -8 -88 0 -100Z', pen.lit(0.84, 0.17, 72))
  pen.mark('M0 -90C3 -84 3 -79 0 -78C-3 -79 -3 -84 0 -90Z', white, 0.85)
}

function bookPile(pen: Pen): void {
  const hues = [25, 250, 150, 80, 320]
  for (let i = 0; i < 5; i++) {
    const x = (pen.random() - 0.5) * 14
    const colour = i === 0 && pen.thing.colours.length ? pen.own(0, 0.5, 0.12, 25) : pen.lit(0.46 + (i % 3) * 0.08, 0.11, hues[i]!)
    pen.shape(box(-44 + x, -18 - i * 16, 88, 15, 2), colour)
    pen.mark(box(-40 + x, -16 - i * 16, 80, 3), pen.palette.paper, 0.9)
    pen.line(`M${-30 + x} ${-9 - i * 16}h26`, pen.lit(0.85, 0.1, 88), 1.6)
  }
  pen.shape('M-40 -84Q-20 -96 0 -86Q20 -96 42 -84V-80Q20 -90 0 -81Q-20 -90 -40 -80Z', pen.palette.paper)
}

export const TOOLS: Figure[] = [
  { kind: 'tool', variant: 'hammer', words: 'hammer, axe, mallet, pickaxe, spade, shovel, anvil, sword, knife, dagger, spear, bow', height: 0.5, width: 0.9, draw: hammer },
  { kind: 'tool', variant: 'lantern', words: 'lantern, lamp, oil lamp, storm lantern, street lamp, paper lantern, lightbulb', height: 0.48, width: 0.62, draw: lantern },
  { kind: 'tool', variant: 'key', words: 'key, padlock, lock, ring, coin, medal, locket', height: 0.44, width: 0.8, draw: key },
  { kind: 'tool', variant: 'shears', words: 'scissors, shears, pliers, needle, comb, brush, pencil, paintbrush, pen, spoon, fork', height: 0.5, width: 0.6, draw: shears },
  { kind: 'tool', variant: 'candle', words: 'candle, candlestick, torch, candelabra, match', height: 0.5, width: 0.6, draw: candle },
  { kind: 'tool', variant: 'books', words: 'book, books, pile of books, bookshelf, letter, map, newspaper, scroll, typewriter page, diary, notebook', height: 0.4, width: 1.1, draw: bookPile },
]
