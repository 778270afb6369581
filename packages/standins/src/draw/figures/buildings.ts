import { mix } from '../colour.ts'
import { box, ellipse, type Figure, glow, type Pen, poly } from './figure.ts'

const pane = (pen: Pen, wall = pen.palette.paper) => (pen.dark ? pen.palette.glow : mix(wall, pen.palette.ink, 0.6))

function cottage(pen: Pen): void {
  const wall = pen.own(0, 0.9, 0.03, 85)
  const roof = pen.thing.colours.length > 1 ? pen.own(1, 0.46, 0.12, 35) : pen.lit(0.46, 0.12, 35)
  const wood = pen.lit(0.4, 0.06, 50)
  pen.shape(poly(28, -50, 28, -92, 40, -92, 40, -44), mix(wall, pen.palette.ink, 0.35))
  pen.shape(poly(-52, 0, -52, -48, 0, -86, 52, -48, 52, 0), wall)
  pen.shape('M-66 -40L0 -92L66 -40L60 -33L0 -79L-60 -33Z', roof)
  for (let i = 0; i < 5; i++) pen.line(`M${-56 + i * 10} ${-40 - i * 7.6}l7 6M${56 - i * 10} ${-40 - i * 7.6}l-7 6`, mix(roof, pen.palette.ink, 0.35), 0.9)
  for (const x of [-38, 18]) {
    pen.shape(box(x, -42, 20, 18), wood)
    pen.mark(box(x + 2, -40, 16, 14), pane(pen, wall))
    pen.line(`M${x + 10} -40v14M${x + 2} -33h16`, wood, 1.4)
    pen.shape(box(x - 2, -24, 24, 4), pen.lit(0.5, 0.12, 140))
    for (let i = 0; i < 5; i++) pen.mark(ellipse(x + i * 5, -25, 2, 2), pen.lit(0.62, 0.19, 20))
  }
  if (pen.dark) glow(pen, 28, -33, 40, 0.6)
  pen.shape('M-9 0V-24Q0 -33 9 -24V0Z', wood)
  pen.mark(ellipse(5, -12, 1.2, 1.2), pen.lit(0.8, 0.12, 85))
  pen.shape(ellipse(0, -60, 6, 6), wood)
  pen.mark(ellipse(0, -60, 4, 4), pane(pen, wall))
}

function lighthouse(pen: Pen): void {
  const wall = pen.lit(0.95, 0.01, 90)
  const band = pen.own(0, 0.54, 0.19, 27)
  pen.shape('M-34 0C-26 -10 26 -10 36 0Z', pen.lit(0.48, 0.02, 260))
  pen.shape(poly(-17, -4, -10, -72, 10, -72, 17, -4), wall)
  for (const [y0, y1] of [[-20, -36], [-52, -66]] as const) {
    const w = (y: number) => 17 + ((y + 4) / 68) * 7
    pen.shape(poly(-w(y0), y0, -w(y1), y1, w(y1), y1, w(y0), y0), band)
  }
  pen.shape(box(-14, -76, 28, 4), pen.lit(0.3, 0.02, 260))
  pen.line('M-14 -76v-5M14 -76v-5M-14 -81H14M-7 -76v-5M0 -76v-5M7 -76v-5', pen.lit(0.3, 0.02, 260), 1)
  pen.shape(box(-8, -90, 16, 14), pen.dark ? pen.palette.glow : pen.lit(0.85, 0.06, 220))
  pen.line('M0 -90v14', pen.lit(0.3, 0.02, 260), 1)
  pen.shape('M-11 -90Q0 -104 11 -90Z', band)
  pen.line('M0 -98v-6', pen.palette.ink, 1)
  if (pen.dark || pen.scene.weather === 'storm' || pen.scene.weather === 'mist') {
    const id = pen.canvas.define('beam', (name) => `<linearGradient id="${name}" x1="1" y1="0" x2="0" y2="0"><stop offset="0" stop-color="#fff0c0" stop-opacity="0.75"/><stop offset="1" stop-color="#fff0c0" stop-opacity="0"/></linearGradient>`)
    pen.canvas.add(`<path d="M-6 -86L-190 -118V-58L-6 -80Z" fill="url(#${id})"/>`)
    glow(pen, 0, -83, 34)
  }
  for (const y of [-44, -14]) pen.mark(`M-2.6 ${y}q2.6 -6 5.2 0v5h-5.2z`, pane(pen, wall))
}

function castle(pen: Pen): void {
  const stone = pen.own(0, 0.68, 0.025, 75)
  const roof = pen.thing.colours.length > 1 ? pen.own(1, 0.44, 0.1, 255) : pen.lit(0.44, 0.1, 255)
  const tower = (x: number, w: number, h: number, shade: number, pointed: boolean) => {
    const wall = mix(stone, pen.palette.ink, shade)
    pen.shape(poly(x - w, 0, x - w, -h, x + w, -h, x + w, 0), wall)
    if (pointed) pen.shape(poly(x - w - 3, -h, x, -h - w * 2.1, x + w + 3, -h), roof)
    else for (let i = 0; i < 4; i++) pen.shape(box(x - w + (i * w * 2) / 3.5, -h - 5, w * 0.32, 6), wall)
    for (const y of [h * 0.75, h * 0.45]) pen.mark(`M${x - 2} ${-y}q2 -5 4 0v6h-4z`, pane(pen, wall))
    if (pointed) { pen.line(`M${x} ${-h - w * 2.1}v-9`, pen.palette.ink, 0.9); pen.shape(`M${x} ${-h - w * 2.1 - 9}l9 2.5l-9 2.5z`, pen.lit(0.56, 0.2, 25)) }
  }
  tower(-12, 10, 78, 0.16, true)
  tower(30, 9, 64, 0.2, true)
  pen.shape(poly(-62, 0, -62, -36, 62, -36, 62, 0), stone)
  for (let i = 0; i < 12; i++) pen.shape(box(-62 + i * 10.6, -41, 6, 6), stone)
  for (let i = 0; i < 26; i++) pen.line(`M${-56 + pen.random() * 108} ${-4 - pen.random() * 28}h6`, mix(stone, pen.palette.ink, 0.22), 0.8)
  tower(-56, 12, 56, 0.04, true)
  tower(56, 12, 52, 0.12, false)
  pen.shape('M-13 0V-18Q0 -32 13 -18V0Z', pen.lit(0.28, 0.04, 50))
  pen.line('M-8 0v-21M-2.6 0v-24M2.6 0v-24M8 0v-21M-12 -8h24M-12 -15h24', pen.lit(0.45, 0.03, 60), 0.9)
}

function church(pen: Pen): void {
  const wall = pen.own(0, 0.86, 0.025, 80)
  const roof = pen.lit(0.42, 0.05, 40)
  pen.shape(poly(-12, 0, -12, -40, 20, -58, 52, -40, 52, 0), wall)
  pen.shape('M-12 -40L20 -62L58 -40L54 -34L20 -54Z', roof)
  pen.shape(poly(-36, 0, -36, -66, -8, -66, -8, 0), mix(wall, pen.palette.sun, 0.1))
  pen.shape(poly(-40, -66, -22, -100, -4, -66), roof)
  pen.line('M-22 -100v-8M-25.5 -104.5h7', pen.palette.ink, 1.2)
  pen.mark(ellipse(-22, -52, 6, 6), pen.palette.paper)
  pen.line('M-22 -52v-4M-22 -52l3 1', pen.palette.ink, 0.9)
  for (const x of [6, 22, 38]) pen.mark(`M${x - 4} -8v-18q4 -8 8 0v18z`, pane(pen, wall))
  pen.shape('M-29 0V-18Q-22 -27 -15 -18V0Z', pen.lit(0.36, 0.06, 50))
  pen.mark('M-26 -32q4 -7 8 0v6h-8z', pane(pen, wall))
}

function windmill(pen: Pen): void {
  const wall = pen.own(0, 0.84, 0.03, 80)
  const wood = pen.lit(0.4, 0.06, 50)
  pen.shape(poly(-26, 0, -16, -58, 16, -58, 26, 0), wall)
  pen.shape('M-19 -58C-18 -78 18 -78 19 -58Z', pen.lit(0.46, 0.1, 35))
  for (const y of [-44, -26]) pen.mark(box(-4, y, 8, 9), pane(pen, wall))
  pen.shape('M-7 0V-13Q0 -20 7 -13V0Z', wood)
  const turn = pen.random() * 60 + 15
  for (let i = 0; i < 4; i++) pen.turned(`translate(0 -62) rotate(${turn + i * 90})`, () => {
    pen.line('M0 0V-46', wood, 2)
    pen.shape(box(1, -46, 12, 36), pen.lit(0.95, 0.02, 88))
    pen.line('M1 -36h12M1 -26h12M1 -17h12M7 -46v36', wood, 0.7)
  })
  pen.mark(ellipse(0, -62, 3.6, 3.6), wood)
}

function block(pen: Pen): void {
  const wall = pen.own(0, 0.6, 0.06, 40)
  const storeys = 7
  pen.shape(poly(-38, 0, -38, -84, 6, -84, 6, 0), wall)
  pen.shape(poly(6, 0, 6, -100, 40, -100, 40, 0), mix(wall, pen.palette.ink, 0.2))
  pen.shape(box(-41, -88, 50, 5), mix(wall, pen.palette.paper, 0.3))
  for (let row = 0; row < storeys; row++) {
    for (let i = 0; i < 4; i++) pen.mark(box(-33 + i * 10, -78 + row * 10.6, 6, 7), pen.dark && pen.random() < 0.55 ? pen.palette.glow : mix(wall, pen.palette.ink, 0.55))
    for (let i = 0; i < 3; i++) pen.mark(box(10 + i * 10, -94 + row * 12, 6, 8), pen.dark && pen.random() < 0.55 ? pen.palette.glow : mix(wall, pen.palette.ink, 0.6))
  }
  pen.shape(box(-30, -13, 28, 13), pen.dark ? pen.palette.glow : pen.lit(0.8, 0.05, 220))
  pen.shape('M-34 -13H2L6 -21H-38Z', pen.lit(0.55, 0.18, 25))
  for (const x of [-32, -22, -12, -2]) pen.mark(`M${x} -21h5l-0.6 8h-5z`, pen.palette.paper, 0.85)
}

function bridge(pen: Pen): void {
  const stone = pen.own(0, 0.66, 0.03, 70)
  let d = 'M-140 0V-58Q0 -84 140 -58V0Z'
  for (const x of [-90, 0, 90]) d += `M${x - 34} 0V-18A34 32 0 0 1 ${x + 34} -18V0Z`
  pen.canvas.path(d, pen.canvas.solid(stone), `fill-rule="evenodd" ${pen.canvas.edge(pen.scale)}`)
  pen.line('M-142 -64Q0 -92 142 -64', mix(stone, pen.palette.ink, 0.3), 5)
  for (let i = 0; i < 40; i++) pen.line(`M${-134 + pen.random() * 262} ${-52 + pen.random() * 16}h8`, mix(stone, pen.palette.ink, 0.25), 0.9)
}

function tent(pen: Pen): void {
  const cloth = pen.own(0, 0.6, 0.18, 28)
  const pale = pen.lit(0.94, 0.02, 88)
  const big = /circus|marquee|big top/.test(pen.thing.word ?? '')
  const n = big ? 7 : 4
  const half = big ? 66 : 52
  for (let i = 0; i < n; i++) {
    const [x0, x1] = [-half + (i * 2 * half) / n, -half + ((i + 1) * 2 * half) / n]
    pen.shape(poly(x0, big ? -46 : 0, x1, big ? -46 : 0, 0, -96), i % 2 ? pale : cloth)
    if (big) pen.shape(poly(x0, 0, x1, 0, x1, -46, x0, -46), i % 2 ? pale : cloth)
  }
  pen.shape('M-12 0L0 -40L12 0Z', pen.lit(0.26, 0.04, 50))
  pen.line('M0 -96v-9', pen.palette.ink, 1)
  pen.shape('M0 -105l12 3l-12 3z', cloth)
  if (pen.dark) glow(pen, 0, -14, 50, 0.8)
}

export const BUILDINGS: Figure[] = [
  { kind: 'building', variant: 'cottage', words: 'house, cottage, chalet, cabin, hut, farmhouse, inn, barn, refuge, lodge, mill house, bungalow, shack, villa, mansion, shop, bakery front, teahouse, bookshop, gatehouse', height: 0.6, width: 1.35, draw: cottage },
  { kind: 'building', variant: 'lighthouse', words: 'lighthouse, beacon', height: 0.8, width: 0.7, draw: lighthouse },
  { kind: 'building', variant: 'castle', words: 'castle, palace, fortress, fort, ruin, ruins, temple, citadel, monastery, pagoda, abbey, tower, watchtower, observatory, pyramid', height: 0.7, width: 1.35, draw: castle },
  { kind: 'building', variant: 'church', words: 'church, chapel, cathedral, chapel tower, church tower, bell tower, clock tower, station building, town hall, mosque, schoolhouse, village church', height: 0.72, width: 1, draw: church },
  { kind: 'building', variant: 'windmill', words: 'windmill, watermill, wind turbine', height: 0.74, width: 1, draw: windmill },
  { kind: 'building', variant: 'block', words: 'apartment block, skyscraper, hotel, office block, tower block, department store, cinema, theatre front, warehouse, café front, kiosk, townhouse, tenement', height: 0.78, width: 0.84, draw: block },
  { kind: 'building', variant: 'bridge', words: 'stone bridge, bridge, aqueduct, dam', height: 0.34, width: 2.8, draw: bridge },
  { kind: 'building', variant: 'tent', words: 'tent, circus tent, marquee, big top, yurt, market stall, pavilion', height: 0.56, width: 1.3, draw: tent },
]
