import { mix, oklch } from '../colour.ts'
import { box, ellipse, type Figure, glow, limb, type Pen, wheel } from './figure.ts'

export function steam(pen: Pen, x: number, y: number, size: number): void {
  const white = pen.dark ? pen.lit(0.86, 0.01, 260) : oklch(0.98, 0.005, 90)
  for (let i = 0; i < 6; i++) pen.mark(ellipse(x + i * size * 0.75 + pen.random() * size * 0.3, y - i * size * 0.42, size * (0.42 + i * 0.13), size * (0.36 + i * 0.1)), white, 0.62 - i * 0.075)
}
const pane = (pen: Pen) => (pen.dark ? pen.palette.glow : pen.lit(0.86, 0.05, 225))

function train(pen: Pen): void {
  const { palette } = pen
  const body = pen.own(0, 0.5, 0.17, 25)
  const trim = pen.thing.colours.length > 1 ? pen.own(1, 0.78, 0.12, 85) : pen.lit(0.78, 0.12, 85)
  const iron = pen.lit(0.3, 0.02, 265)
  const tram = /tram|funicular|railcar|trolley|subway|metro/.test(pen.thing.word ?? '')
  pen.line('M-240 2H240', iron, 3)
  for (let x = -236; x < 240; x += 12) pen.mark(`M${x} 3h7v4h-7z`, pen.lit(0.42, 0.05, 55))
  const bogie = (x: number, r: number) => {
    pen.shape(ellipse(x, -r, r, r), iron)
    pen.mark(ellipse(x, -r, r * 0.55, r * 0.55), mix(iron, body, 0.5))
    pen.mark(ellipse(x, -r, r * 0.18, r * 0.18), trim)
  }
  const carriage = (x: number, w: number) => {
    pen.shape(`M${x} -14H${x + w}V-66Q${x + w} -71 ${x + w - 5} -71H${x + 5}Q${x} -71 ${x} -66Z`, body)
    pen.mark(`M${x} -36H${x + w}V-32H${x}Z`, trim)
    pen.shape(`M${x - 4} -71Q${x + w / 2} -85 ${x + w + 4} -71L${x + w + 2} -67H${x - 2}Z`, mix(palette.paper, palette.ink, 0.3))
    const count = Math.floor((w - 8) / 17)
    for (let i = 0; i < count; i++) pen.shape(box(x + 6 + i * ((w - 8) / count), -63, 11, 21, 1.5), pane(pen), 0.5)
    bogie(x + 16, 9)
    bogie(x + w - 16, 9)
  }
  if (tram) {
    carriage(-112, 112)
    carriage(6, 104)
    pen.shape('M-112 -66Q-124 -62 -124 -44V-16H-110V-71Z', body)
    pen.shape(box(-122, -60, 10, 20, 2), pane(pen), 0.5)
    pen.mark(ellipse(-120, -27, 3.4, 3.4), palette.glow)
    if (pen.dark) glow(pen, -122, -27, 34, 0.8)
    pen.line('M-60 -84L-44 -98H-70', iron, 1.6)
    pen.line('M-240 -99H240', iron, 0.7)
    return
  }
  carriage(6, 92)
  carriage(106, 92)
  pen.shape('M-100 -14H-4V-58H-100Z', mix(body, palette.ink, 0.1))
  pen.shape('M-108 -62Q-114 -44 -108 -24H-40V-62Z', body)
  for (const x of [-88, -66]) pen.mark(box(x, -62, 4, 38), trim)
  pen.shape('M-44 -20H-2V-84H-44Z', body)
  pen.shape('M-50 -84H4V-90Q-22 -98 -50 -90Z', iron)
  pen.shape(box(-38, -76, 14, 20, 1.5), pane(pen), 0.5)
  pen.shape(box(-20, -76, 13, 20, 1.5), pane(pen), 0.5)
  pen.shape('M-98 -62L-101 -86H-87L-90 -62Z', iron)
  pen.shape('M-104 -86H-84V-92H-104Z', iron)
  pen.shape('M-76 -62Q-76 -75 -69 -75Q-62 -75 -62 -62Z', trim)
  pen.mark(ellipse(-111, -44, 4, 5), palette.glow)
  if (pen.dark) glow(pen, -114, -44, 42)
  pen.shape('M-114 -18H-96V-6L-122 -3Z', iron)
  for (const x of [-88, -62, -22]) wheel(pen, x, -13, 13, mix(body, palette.ink, 0.3), trim, 8)
  pen.line('M-88 -13H-22', pen.lit(0.75, 0.03, 80), 2.4)
  steam(pen, -94, -100, 17)
}

function car(pen: Pen): void {
  const body = pen.own(0, 0.56, 0.15, 200)
  const dark = pen.lit(0.24, 0.02, 270)
  const van = /van|truck|lorry|bus|ambulance|camper|tank|tractor/.test(pen.thing.word ?? '')
  if (van) {
    pen.shape('M-92 -16V-62Q-90 -88 -66 -92H88Q94 -92 94 -86V-16Z', body)
    pen.mark('M-92 -46H94V-40H-92Z', pen.palette.paper, 0.8)
    pen.shape('M-86 -56Q-84 -82 -66 -84H-52V-54H-86Z', pane(pen), 0.5)
    for (let i = 0; i < 4; i++) pen.shape(box(-42 + i * 33, -84, 26, 28, 3), pane(pen), 0.5)
  } else {
    pen.shape('M-100 -18C-102 -42 -88 -48 -60 -52C-44 -82 -24 -88 8 -88C44 -88 58 -74 66 -54C90 -52 100 -44 100 -18Z', body)
    pen.shape('M-50 -54C-38 -76 -24 -80 -6 -80V-54Z', pane(pen), 0.5)
    pen.shape('M2 -80C34 -80 46 -72 56 -54H2Z', pane(pen), 0.5)
    pen.line('M-2 -84V-22M-20 -46h10', mix(body, pen.palette.ink, 0.4), 1.4)
    pen.mark('M-100 -26H100V-21H-100Z', mix(body, pen.palette.ink, 0.35))
  }
  pen.mark(ellipse(-94, -34, 4, 6), pen.palette.glow)
  if (pen.dark) glow(pen, -98, -34, 50)
  pen.mark(ellipse(96, -36, 3, 6), pen.lit(0.55, 0.2, 25))
  for (const x of [-58, 60]) {
    pen.shape(ellipse(x, -18, 18, 18), dark)
    pen.shape(ellipse(x, -18, 9.5, 9.5), pen.lit(0.78, 0.01, 260))
    pen.mark(ellipse(x, -18, 3, 3), dark)
  }
}

function bicycle(pen: Pen): void {
  const frame = pen.own(0, 0.5, 0.17, 25)
  const dark = pen.lit(0.24, 0.02, 270)
  for (const x of [-48, 48]) {
    pen.canvas.add(`<circle cx="${x}" cy="-32" r="31" fill="none" stroke="#27232b" stroke-width="3.4"/>`)
    for (let i = 0; i < 12; i++) pen.line(`M${x} -32L${(x + Math.cos((i / 12) * 6.283) * 30).toFixed(1)} ${(-32 + Math.sin((i / 12) * 6.283) * 30).toFixed(1)}`, pen.lit(0.66, 0.01, 260), 0.5)
  }
  pen.line('M48 -32L26 -72L-30 -74L4 -32ZM26 -72L4 -32M-30 -74L-48 -32M26 -72L22 -84M-30 -74L-34 -92', frame, 4)
  pen.line('M-34 -92Q-48 -98 -52 -86M-34 -92L-28 -96', dark, 3.4)
  pen.shape('M8 -84H34Q38 -88 32 -90H14Z', dark)
  pen.mark(ellipse(4, -32, 7, 7), dark)
  pen.line('M4 -32L12 -18M8 -17h9M4 -32L-4 -46M-8 -47h9', pen.lit(0.6, 0.02, 260), 2)
  pen.line('M-58 -64L-70 -76M-70 -76q2 -14 22 -14', pen.lit(0.6, 0.08, 70), 1.4)
}

function cart(pen: Pen): void {
  const wood = pen.own(0, 0.52, 0.09, 58)
  pen.shape('M-70 -62H64L52 -26H-60Z', wood)
  pen.line('M-66 -50H60M-63 -38H56M-30 -62L-26 -26M10 -62V-26M40 -62L34 -26', mix(wood, pen.palette.ink, 0.4), 1.4)
  pen.shape(limb(-58, -32, -122, -16, 3, 2), wood)
  for (let i = 0; i < 18; i++) pen.shape(ellipse(-58 + i * 6.6, -66 - pen.random() * 14, 12, 9), pen.lit(0.8, 0.11, 85))
  for (const x of [-30, 34]) wheel(pen, x, -22, 22, pen.lit(0.34, 0.05, 50), pen.lit(0.45, 0.07, 55), 10)
}

function aeroplane(pen: Pen): void {
  const body = pen.own(0, 0.58, 0.17, 28)
  const wood = pen.lit(0.5, 0.07, 60)
  pen.shape('M-20 -78H52Q58 -78 58 -73H-14Z', mix(body, pen.palette.ink, 0.22))
  pen.shape('M-86 -52C-86 -66 -60 -68 -30 -66L80 -56L96 -82L106 -80L102 -50L80 -44C20 -34 -40 -32 -70 -38C-82 -40 -86 -46 -86 -52Z', body)
  pen.line('M-16 -76V-40M40 -76V-42', wood, 2)
  pen.shape('M-34 -38H46Q54 -38 54 -32H-26Z', mix(body, pen.palette.paper, 0.3))
  pen.shape(ellipse(-14, -66, 8, 6), pen.lit(0.32, 0.04, 60))
  pen.shape(ellipse(-14, -74, 6, 6.4), pen.lit(0.78, 0.06, 55))
  pen.shape(limb(-88, -88, -90, -16, 1.6, 1.6), wood)
  pen.mark(ellipse(-88, -52, 4, 4), pen.lit(0.3, 0.02, 270))
  pen.line('M-46 -34L-40 -18M-24 -33L-36 -18', wood, 2)
  pen.shape(ellipse(-38, -14, 8, 8), pen.lit(0.26, 0.02, 270))
}

function balloon(pen: Pen): void {
  const cloth = pen.own(0, 0.6, 0.19, 30)
  const second = pen.thing.colours.length > 1 ? pen.own(1, 0.85, 0.1, 88) : pen.lit(0.88, 0.09, 88)
  pen.line('M-22 -34L-8 -16M22 -34L8 -16M-8 -30V-16M8 -30V-16', pen.lit(0.4, 0.05, 55), 0.7)
  pen.shape('M-40 -66C-42 -100 42 -100 40 -66C38 -50 24 -40 18 -32H-18C-24 -40 -38 -50 -40 -66Z', cloth)
  for (const [a, b] of [[-24, -12], [2, 14]] as const) pen.shape(`M${a * 0.3} -91C${a * 1.3} -84 ${a * 1.2} -56 ${a * 0.5} -32H${b * 0.5}C${b * 1.2} -56 ${b * 1.3} -84 ${b * 0.3} -91Z`, second, 0.7)
  pen.shape('M26 -84C42 -74 36 -54 16 -32H13C26 -54 32 -70 26 -84Z', second, 0.7)
  pen.shape(box(-9, -16, 18, 14, 2), pen.lit(0.58, 0.09, 68))
  pen.line('M-9 -12h18M-9 -7h18', pen.lit(0.4, 0.07, 60), 0.7)
}

export const VEHICLES: Figure[] = [
  { kind: 'vehicle', variant: 'train', words: 'train, railway, locomotive, tram, funicular, cogwheel train, steam engine, railcar, streetcar, steam train, subway train, metro', height: 0.36, width: 2.5, draw: train },
  { kind: 'vehicle', variant: 'car', words: 'car, van, bus, truck, lorry, taxi, jeep, limousine, automobile, tractor, convertible, sports car, ambulance, fire engine, tank, camper van, racing car, vintage car, delivery van', height: 0.34, width: 2.05, draw: car },
  { kind: 'vehicle', variant: 'bicycle', words: 'bicycle, bike, motorcycle, scooter, tricycle, motorbike, moped', height: 0.42, width: 1.65, draw: bicycle },
  { kind: 'vehicle', variant: 'cart', words: 'cart, wagon, carriage, sledge, coach, hay cart, wheelbarrow, pram, sleigh, chariot, caravan, stagecoach', height: 0.36, width: 1.9, draw: cart },
  { kind: 'vehicle', variant: 'aeroplane', words: 'aeroplane, airplane, plane, biplane, jet, aircraft, helicopter, glider, spaceship, rocket', height: 0.36, width: 2, where: 'air', draw: aeroplane },
  { kind: 'vehicle', variant: 'balloon', words: 'hot air balloon, hot-air balloon, airship, zeppelin', height: 0.62, width: 0.86, where: 'air', draw: balloon },
]

function hullLines(pen: Pen): void {
  pen.line('M-70 5q14 -5 28 0t28 0t28 0t28 0t28 0', mix(pen.palette.paper, pen.palette.sky[1], 0.4), 1.6)
}

function sailboat(pen: Pen): void {
  const hull = pen.own(0, 0.5, 0.15, 25)
  const sail = pen.thing.colours.length > 1 ? pen.own(1, 0.95, 0.02, 90) : pen.lit(0.95, 0.02, 90)
  pen.line('M-2 -14V-100', pen.lit(0.45, 0.06, 58), 2.4)
  pen.shape('M0 -98Q50 -62 46 -22H0Z', sail)
  pen.shape('M-4 -92Q-34 -54 -40 -22H-4Z', mix(sail, pen.palette.ink, 0.1))
  pen.line('M4 -76Q22 -66 34 -58M4 -54Q26 -46 42 -42M4 -34H46', mix(sail, pen.palette.ink, 0.3), 0.7)
  pen.shape('M-2 -100L16 -96L-2 -92Z', hull)
  pen.shape('M-58 -16H60Q52 0 36 3H-34Q-54 0 -58 -16Z', hull)
  pen.mark('M-57 -16H59L58 -12H-56Z', pen.palette.paper)
  hullLines(pen)
}

function rowboat(pen: Pen): void {
  const hull = pen.own(0, 0.55, 0.09, 55)
  pen.line('M-20 -34L-78 6', pen.lit(0.5, 0.07, 60), 3)
  pen.shape('M-86 -46C-70 -36 60 -36 88 -48C84 -10 60 2 40 3H-44C-64 2 -80 -14 -86 -46Z', hull)
  pen.shape('M-78 -40C-60 -32 56 -32 80 -42C60 -26 -56 -26 -78 -40Z', mix(hull, pen.palette.ink, 0.45))
  pen.line('M-82 -30Q0 -14 84 -32M-76 -16Q0 -4 78 -18', mix(hull, pen.palette.ink, 0.35), 1)
  pen.line('M20 -34L84 4', pen.lit(0.5, 0.07, 60), 3)
  hullLines(pen)
}

function ship(pen: Pen): void {
  const hull = pen.own(0, 0.34, 0.06, 255)
  const red = pen.lit(0.5, 0.17, 28)
  steam(pen, -2, -92, 14)
  for (const x of [-14, 12]) { pen.shape(`M${x - 7} -52L${x - 5} -84H${x + 7}L${x + 8} -52Z`, red); pen.mark(`M${x - 5} -84H${x + 7}V-77H${x - 5}Z`, pen.palette.ink) }
  pen.shape(box(-52, -50, 100, 16, 2), pen.lit(0.94, 0.015, 90))
  pen.shape(box(-34, -62, 66, 13, 2), pen.lit(0.9, 0.015, 90))
  for (let i = 0; i < 9; i++) pen.mark(ellipse(-45 + i * 10.6, -42, 2.6, 2.6), pane(pen))
  pen.line('M-74 -34L-66 -88M72 -34V-78M-66 -86L72 -78', pen.lit(0.4, 0.04, 60), 1.2)
  pen.shape('M-104 -38L104 -34Q98 -6 84 3H-78Q-98 -8 -104 -38Z', hull)
  pen.mark('M-92 -6H94L86 3H-80Z', red)
  pen.line('M-102 -30L102 -27', pen.palette.paper, 1.4)
  hullLines(pen)
}

function galleon(pen: Pen): void {
  const wood = pen.own(0, 0.42, 0.07, 55)
  const sail = pen.lit(0.93, 0.03, 88)
  for (const [x, h] of [[-34, 82], [6, 98], [42, 76]] as const) {
    pen.line(`M${x} -20V-${h + 3}`, mix(wood, pen.palette.ink, 0.2), 2.4)
    for (const [y, w] of [[h - 4, 15], [h * 0.68, 20], [h * 0.42, 18]] as const) pen.shape(`M${x - w} ${-y}H${x + w}Q${x + w + 6} ${-y + 10} ${x + w} ${-y + 20}Q${x} ${-y + 15} ${x - w} ${-y + 20}Q${x - w + 6} ${-y + 10} ${x - w} ${-y}Z`, sail)
  }
  pen.shape('M6 -101L24 -97L6 -93Z', pen.lit(0.55, 0.2, 25))
  pen.line('M-62 -26L-92 -44M-34 -84L-88 -42', mix(wood, pen.palette.ink, 0.2), 1.4)
  pen.shape('M-70 -28C-50 -22 40 -22 54 -34V-44H76V-26Q72 -4 56 3H-46Q-64 -6 -70 -28Z', wood)
  pen.line('M-66 -18Q0 -10 72 -20', pen.lit(0.72, 0.1, 80), 2)
  for (let i = 0; i < 6; i++) pen.mark(box(-42 + i * 17, -13, 6, 5), pen.palette.ink)
  hullLines(pen)
}

export const VESSELS: Figure[] = [
  { kind: 'vessel', variant: 'sailboat', words: 'sailboat, boat, yacht, dinghy, fishing boat, sailing boat, trawler, catamaran', height: 0.56, width: 1.2, where: 'water', draw: sailboat },
  { kind: 'vessel', variant: 'rowboat', words: 'rowing boat, rowboat, canoe, gondola, kayak, raft, punt, skiff, barge', height: 0.28, width: 1.8, where: 'water', draw: rowboat },
  { kind: 'vessel', variant: 'ship', words: 'ship, ferry, steamer, steamship, ocean liner, tugboat, freighter, paddle steamer, cargo ship, tanker', height: 0.42, width: 2, where: 'water', draw: ship },
  { kind: 'vessel', variant: 'galleon', words: 'galleon, sailing ship, tall ship, pirate ship, frigate, longship, caravel, clipper, ghost ship', height: 0.62, width: 1.6, where: 'water', draw: galleon },
]
