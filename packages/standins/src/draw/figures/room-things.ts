import { mix, oklch } from '../colour.ts'
import { box, ellipse, type Figure, glow, limb, type Pen } from './figure.ts'

const white = oklch(1, 0, 0)

function chair(pen: Pen): void {
  const wood = pen.own(0, 0.48, 0.08, 55)
  for (const x of [-22, 24]) pen.shape(limb(x * 0.9, -44, x * 1.05, 0, 3, 2.2), mix(wood, pen.palette.ink, 0.25))
  pen.shape(limb(26, -42, 32, -98, 3.4, 2.6), wood)
  pen.shape(limb(-8, -50, -4, -100, 3.4, 2.6), mix(wood, pen.palette.ink, 0.15))
  for (const y of [-92, -78, -64]) pen.shape(`M-5 ${y}L31 ${y + 2}L30 ${y + 8}L-6 ${y + 6}Z`, wood)
  pen.shape('M-34 -44L-8 -50L34 -44L8 -36Z', mix(wood, pen.palette.sun, 0.1))
  pen.shape('M-34 -44L8 -36V-31L-34 -39ZM8 -36L34 -44V-39L8 -31Z', mix(wood, pen.palette.ink, 0.2))
  for (const x of [-30, 6]) pen.shape(limb(x, -38, x - 2, 1, 3, 2.2), wood)
  pen.line('M-30 -16L6 -12', wood, 2)
}

function armchair(pen: Pen): void {
  const cloth = pen.own(0, 0.48, 0.13, 25)
  const dark = mix(cloth, pen.palette.ink, 0.22)
  for (const x of [-40, 40]) pen.shape(box(x - 4, -8, 8, 8), pen.lit(0.36, 0.06, 50))
  pen.shape('M-40 -40C-46 -104 46 -104 40 -40V-16H-40Z', cloth)
  for (const [x, y] of [[-16, -74], [16, -74], [0, -62], [-18, -52], [18, -52]] as const) pen.mark(ellipse(x, y, 1.8, 1.8), dark)
  pen.shape('M-36 -40Q0 -50 36 -40V-24H-36Z', mix(cloth, white, 0.12))
  pen.shape(box(-36, -26, 72, 18, 3), dark)
  for (const s of [-1, 1]) pen.shape(`M${s * 34} -8V-44Q${s * 34} -54 ${s * 46} -54Q${s * 58} -54 ${s * 56} -42L${s * 52} -8Z`, cloth)
}

function table(pen: Pen): void {
  const wood = pen.own(0, 0.52, 0.08, 58)
  for (const [x, shade] of [[-56, 0.25], [60, 0.25], [-72, 0], [74, 0]] as const) pen.shape(limb(x, -56, x * 1.02, shade ? -6 : 0, 5, 3), mix(wood, pen.palette.ink, shade))
  pen.shape('M-88 -62L-70 -74H72L90 -62Z', mix(wood, pen.palette.sun, 0.14))
  pen.shape(box(-88, -62, 178, 8), wood)
  pen.shape('M-14 -74C-24 -92 24 -92 14 -74Z', pen.lit(0.6, 0.12, 200))
  for (const [x, h] of [[-7, 25], [2, 55], [9, 110]] as const) pen.shape(ellipse(x, -86, 6, 6), pen.lit(0.68, 0.16, h))
}

function bed(pen: Pen): void {
  const cover = pen.own(0, 0.58, 0.1, 255)
  const wood = pen.lit(0.42, 0.07, 52)
  pen.shape('M-98 0V-84Q-92 -96 -86 -84V0Z', wood)
  pen.shape(box(-92, -34, 190, 24, 4), pen.lit(0.95, 0.01, 90))
  pen.shape('M-84 -34Q-86 -54 -62 -54Q-38 -54 -38 -34Z', pen.lit(0.97, 0.01, 90))
  pen.shape('M-48 -36Q0 -52 96 -38L98 -8Q20 0 -50 -8Z', cover)
  pen.line('M-30 -42Q-24 -24 -32 -8M6 -46Q12 -26 4 -4M46 -44Q52 -24 44 -4', mix(cover, pen.palette.ink, 0.28), 1.2)
  pen.shape('M92 0V-54Q97 -62 102 -54V0Z', wood)
}

function clock(pen: Pen): void {
  const wood = pen.own(0, 0.42, 0.08, 48)
  pen.shape('M-22 0V-12H-16V-66H-22V-92Q0 -108 22 -92V-66H16V-12H22V0Z', wood)
  pen.shape(ellipse(0, -80, 15, 15), pen.lit(0.95, 0.02, 88))
  for (let i = 0; i < 12; i++) pen.line(`M${(Math.cos((i / 12) * 6.283) * 12).toFixed(1)} ${(-80 + Math.sin((i / 12) * 6.283) * 12).toFixed(1)}l${(Math.cos((i / 12) * 6.283) * 2).toFixed(1)} ${(Math.sin((i / 12) * 6.283) * 2).toFixed(1)}`, pen.palette.ink, 0.9)
  pen.line('M0 -80V-90M0 -80L7 -76', pen.palette.ink, 1.6)
  pen.mark(box(-10, -60, 20, 44, 2), pen.lit(0.24, 0.03, 50))
  pen.line('M0 -60V-30', pen.lit(0.8, 0.12, 85), 1)
  pen.shape(ellipse(0, -28, 6, 6), pen.lit(0.8, 0.12, 85))
}

export const FURNITURE: Figure[] = [
  { kind: 'furniture', variant: 'chair', words: 'chair, stool, bench, rocking chair, deckchair, throne, wheelchair', height: 0.5, width: 0.8, draw: chair },
  { kind: 'furniture', variant: 'armchair', words: 'armchair, sofa, couch, settee', height: 0.5, width: 1.15, draw: armchair },
  { kind: 'furniture', variant: 'table', words: 'table, desk, chest, cupboard, dresser, piano, cabinet, altar, wardrobe', height: 0.44, width: 1.9, draw: table },
  { kind: 'furniture', variant: 'bed', words: 'bed, cradle, hammock, mattress', height: 0.42, width: 2.1, draw: bed },
  { kind: 'furniture', variant: 'clock', words: 'clock, grandfather clock, mirror, picture frame, alarm clock, cuckoo clock', height: 0.7, width: 0.5, draw: clock },
]

function robot(pen: Pen): void {
  const metal = pen.own(0, 0.66, 0.05, 230)
  const dark = mix(metal, pen.palette.ink, 0.4)
  for (const x of [-12, 12]) { pen.shape(box(x - 5, -28, 10, 24), dark); pen.shape(box(x - 9, -6, 18, 6, 2), metal) }
  for (const s of [-1, 1]) { pen.shape(limb(s * 28, -58, s * 40, -38, 5, 4), dark); pen.shape(limb(s * 40, -38, s * 36, -20, 4, 4), metal); pen.line(`M${s * 36} -18l${s * 5} 6M${s * 36} -18l${s * -4} 6`, dark, 2.4) }
  pen.shape(box(-27, -66, 54, 40, 5), metal)
  pen.mark(box(-18, -58, 22, 16, 2), pen.lit(0.24, 0.03, 260))
  pen.line('M-15 -48l4 -5l4 7l5 -6l3 4', pen.lit(0.8, 0.17, 150), 1)
  for (const [x, h] of [[12, 25], [19, 85]] as const) pen.mark(ellipse(x, -52, 3, 3), pen.lit(0.68, 0.19, h))
  pen.line('M8 -40h14M8 -35h14', dark, 1.4)
  pen.shape(box(-5, -71, 10, 6), dark)
  pen.shape(box(-20, -95, 40, 25, 6), metal)
  for (const x of [-9, 9]) { pen.mark(ellipse(x, -84, 6, 6), pen.lit(0.24, 0.03, 260)); pen.mark(ellipse(x, -84, 3.4, 3.4), pen.palette.glow) }
  if (pen.dark) glow(pen, 0, -84, 26, 0.7)
  pen.line('M-9 -75h18', dark, 1.6)
  pen.line('M0 -95v-7', dark, 1.6)
  pen.mark(ellipse(0, -104, 3, 3), pen.lit(0.6, 0.2, 25))
}

function gramophone(pen: Pen): void {
  const brass = pen.own(0, 0.74, 0.12, 85)
  const wood = pen.lit(0.42, 0.08, 48)
  pen.shape(box(-44, -24, 88, 24, 3), wood)
  pen.shape(box(-50, -4, 100, 5, 2), mix(wood, pen.palette.ink, 0.3))
  pen.shape(ellipse(4, -26, 38, 7), pen.lit(0.22, 0.02, 270))
  pen.mark(ellipse(4, -26, 10, 2), pen.lit(0.55, 0.17, 25))
  pen.line('M40 -26Q52 -34 44 -50Q34 -58 24 -56', brass, 5)
  pen.shape('M26 -54C4 -52 -20 -44 -46 -42C-70 -52 -70 -92 -42 -100C-20 -92 6 -72 28 -62Z', brass)
  pen.shape('M-46 -42C-66 -50 -66 -92 -42 -100C-34 -84 -34 -58 -46 -42Z', mix(brass, pen.palette.ink, 0.35))
  pen.line('M-40 -98C-14 -86 6 -72 26 -62M-48 -44C-20 -48 6 -54 26 -56M-30 -72L26 -59', mix(brass, pen.palette.ink, 0.3), 0.9)
}

function gears(pen: Pen): void {
  const cog = (x: number, y: number, r: number, teeth: number, l: number, h: number) => {
    const metal = pen.thing.colours.length ? mix(pen.own(0, l, 0.1, h), pen.palette.ink, (teeth % 3) * 0.08) : pen.lit(l, 0.09, h)
    let d = ''
    for (let i = 0; i < teeth * 2; i++) {
      const [a, b] = [(i / (teeth * 2)) * 6.283, ((i + 0.8) / (teeth * 2)) * 6.283]
      const rr = i % 2 ? r : r * 1.17
      d += `${i ? 'L' : 'M'}${(x + Math.cos(a) * rr).toFixed(1)} ${(y + Math.sin(a) * rr).toFixed(1)}L${(x + Math.cos(b) * rr).toFixed(1)} ${(y + Math.sin(b) * rr).toFixed(1)}`
    }
    pen.shape(`${d}Z`, metal)
    pen.mark(ellipse(x, y, r * 0.66, r * 0.66), mix(metal, pen.palette.ink, 0.35))
    for (let i = 0; i < 5; i++) pen.line(`M${x} ${y}L${(x + Math.cos((i / 5) * 6.283) * r * 0.8).toFixed(1)} ${(y + Math.sin((i / 5) * 6.283) * r * 0.8).toFixed(1)}`, metal, r * 0.16)
    pen.shape(ellipse(x, y, r * 0.22, r * 0.22), mix(metal, white, 0.2))
  }
  cog(30, -62, 24, 12, 0.6, 60)
  cog(-20, -34, 28, 14, 0.74, 85)
  cog(34, -18, 14, 9, 0.68, 240)
  cog(-40, -84, 13, 8, 0.55, 40)
}

function telescope(pen: Pen): void {
  const brass = pen.own(0, 0.7, 0.11, 80)
  const wood = pen.lit(0.42, 0.07, 50)
  for (const [x, s] of [[-30, 0.2], [32, 0.2], [4, 0]] as const) pen.shape(limb(0, -56, x, 0, 3, 2.4), mix(wood, pen.palette.ink, s))
  pen.turned('rotate(28 0 -62)', () => {
    pen.shape(box(-62, -72, 54, 22, 3), brass)
    pen.shape(box(-70, -75, 10, 28, 3), mix(brass, pen.palette.ink, 0.2))
    pen.shape(box(-8, -69, 36, 16, 2), mix(wood, brass, 0.3))
    pen.shape(box(28, -66, 18, 10, 2), brass)
    pen.line('M-56 -68H40', mix(brass, white, 0.55), 1.4)
  })
  pen.shape(ellipse(0, -58, 6, 6), mix(brass, pen.palette.ink, 0.25))
}

function typewriter(pen: Pen): void {
  const body = pen.own(0, 0.34, 0.04, 200)
  pen.shape('M-30 -62L-24 -100H30L28 -62Z', pen.palette.paper)
  pen.line('M-18 -92H22M-19 -85H14M-20 -78H20', pen.palette.ink, 1)
  pen.shape(box(-58, -68, 116, 13, 6), pen.lit(0.22, 0.02, 270))
  for (const x of [-64, 58]) pen.shape(box(x, -66, 7, 9, 3), pen.lit(0.7, 0.02, 250))
  pen.shape('M-50 -56H50L60 -30L66 -4Q66 0 60 0H-60Q-66 0 -66 -4L-60 -30Z', body)
  pen.mark('M-44 -36H44L56 -6H-56Z', mix(body, pen.palette.ink, 0.5))
  for (let row = 0; row < 4; row++) for (let i = 0; i < 9; i++) pen.shape(ellipse(-40 - row * 2.4 + i * (10 + row * 0.6), -31 + row * 7.6, 3.4, 2.6), pen.lit(0.92, 0.015, 88))
}

export const MACHINES: Figure[] = [
  { kind: 'machine', variant: 'robot', words: 'robot, android, tin robot, automaton, cyborg', height: 0.6, width: 0.86, draw: robot },
  { kind: 'machine', variant: 'gramophone', words: 'gramophone, record player, phonograph, radio, jukebox, trumpet, music box, loudspeaker', height: 0.5, width: 1.2, draw: gramophone },
  { kind: 'machine', variant: 'gears', words: 'gears, clockwork, engine, machine, cogwheel, mechanism, printing press, loom, pump, turbine', height: 0.5, width: 1.2, draw: gears },
  { kind: 'machine', variant: 'telescope', words: 'telescope, microscope, camera, spyglass, projector', height: 0.56, width: 1, draw: telescope },
  { kind: 'machine', variant: 'typewriter', words: 'typewriter, computer, sewing machine, cash register, laptop, telephone, accordion, keyboard', height: 0.44, width: 1.4, draw: typewriter },
]

function discs(pen: Pen): void {
  const { accents } = pen.palette
  const paint = (i: number) => (pen.thing.colours.length ? pen.own(i % pen.thing.colours.length, 0.6, 0.1, 30) : accents[i % 3]!)
  for (let i = 0; i < 9; i++) {
    const [a, d, r] = [pen.random() * 6.283, pen.random() * 34, 8 + pen.random() * 22]
    pen.shape(ellipse(Math.cos(a) * d, -50 + Math.sin(a) * d, r, r), paint(i))
  }
}

function bands(pen: Pen): void {
  const { accents } = pen.palette
  for (let i = 0; i < 7; i++) {
    const y = -96 + i * 15
    const sway = 10 + pen.random() * 14
    pen.shape(`M-80 ${y}C-40 ${y - sway} -10 ${y + sway} 20 ${y}S60 ${y - sway} 80 ${y}V${y + 12}C40 ${y + 12 + sway} 0 ${y + 12 - sway} -30 ${y + 12}S-70 ${y + 12 + sway} -80 ${y + 12}Z`, mix(accents[i % 3]!, pen.palette.paper, (i % 2) * 0.3))
  }
}

function facets(pen: Pen): void {
  const { accents } = pen.palette
  const points = Array.from({ length: 9 }, (_, i) => [Math.cos((i / 9) * 6.283) * (34 + pen.random() * 16), -50 + Math.sin((i / 9) * 6.283) * (34 + pen.random() * 14)] as const)
  const [cx, cy] = [(pen.random() - 0.5) * 16, -50 + (pen.random() - 0.5) * 16]
  points.forEach(([x, y], i) => {
    const [nx, ny] = points[(i + 1) % points.length]!
    pen.shape(`M${cx.toFixed(1)} ${cy.toFixed(1)}L${x.toFixed(1)} ${y.toFixed(1)}L${nx.toFixed(1)} ${ny.toFixed(1)}Z`, mix(accents[i % 3]!, i % 2 ? pen.palette.ink : pen.palette.paper, 0.12 + (i % 3) * 0.1))
  })
}

/** Drawn where the words name nothing this engine knows. */
export const ABSTRACTS: Figure[] = [
  { kind: 'abstract', variant: 'discs', words: 'abstract, circles, discs, bubbles, spheres', height: 0.7, width: 1, draw: discs },
  { kind: 'abstract', variant: 'bands', words: 'waves of colour, bands, stripes, ribbons', height: 0.7, width: 1.5, draw: bands },
  { kind: 'abstract', variant: 'facets', words: 'crystal, geometric shapes, triangles, polygons, gem, prism', height: 0.7, width: 1, draw: facets },
]
