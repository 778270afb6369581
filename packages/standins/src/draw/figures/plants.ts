import { type Colour, mix } from '../colour.ts'
import { ellipse, type Figure, limb, type Pen } from './figure.ts'

const PETALS: Record<string, { l: number; c: number; h: number; petals: number; shape: string; eye: [number, number, number] }> = {
  rose: { l: 0.55, c: 0.2, h: 18, petals: 0, shape: '', eye: [0.5, 0.18, 18] },
  tulip: { l: 0.6, c: 0.2, h: 25, petals: 0, shape: '', eye: [0.5, 0.18, 25] },
  sunflower: { l: 0.83, c: 0.17, h: 88, petals: 18, shape: 'M0 -7C-5 -13 -4 -28 0 -32C4 -28 5 -13 0 -7Z', eye: [0.36, 0.07, 50] },
  lavender: { l: 0.62, c: 0.13, h: 300, petals: 0, shape: '', eye: [0.6, 0.1, 300] },
  thistle: { l: 0.6, c: 0.17, h: 325, petals: 22, shape: 'M0 -4L-1.6 -20L1.6 -20Z', eye: [0.5, 0.1, 140] },
}

function flower(pen: Pen): void {
  const { random, palette, thing } = pen
  const kind = PETALS[thing.word ?? ''] ?? { l: 0.64, c: 0.19, h: 20, petals: 7, shape: 'M0 -4C-9 -12 -8 -26 0 -27C8 -26 9 -12 0 -4Z', eye: [0.82, 0.15, 85] }
  const petal = pen.own(0, kind.l, kind.c, kind.h)
  const stem = pen.lit(0.5, 0.11, 140)
  const lean = (random() - 0.5) * 12
  pen.line(`M0 0Q${lean * 0.2} -30 ${lean} -66`, stem, 2.6)
  pen.shape('M0 -10C-20 -16 -30 -32 -28 -46C-12 -42 0 -28 0 -10Z', stem)
  pen.line('M-1 -12Q-16 -24 -26 -42', mix(stem, palette.ink, 0.35), 0.8)
  pen.shape('M1 -22C18 -26 28 -40 28 -54C12 -50 1 -38 1 -22Z', mix(stem, palette.sun, 0.12))
  pen.turned(`translate(${lean} -74)`, () => {
    if (thing.word === 'tulip') {
      pen.shape('M-15 -18C-16 2 -8 12 0 12C8 12 16 2 15 -18L8 -8L0 -22L-8 -8Z', petal)
      pen.shape('M-8 -8L0 -22L8 -8Q7 6 0 11Q-7 6 -8 -8Z', mix(petal, palette.ink, 0.16))
    } else if (thing.word === 'lavender') {
      for (let i = 0; i < 22; i++) pen.shape(ellipse((i % 2 ? 4 : -4) + (random() - 0.5) * 3, 12 - i * 2.1, 3.6, 3), i % 3 ? petal : mix(petal, palette.ink, 0.2))
    } else if (kind.petals === 0) {
      for (const [r, shade] of [[17, 0.25], [13.5, 0.12], [10, 0], [6.6, 0.16], [3.6, 0.3]] as const) {
        pen.shape(`M${-r} 0C${-r} ${-r * 1.2} ${r * 0.2} ${-r * 1.3} ${r * 0.8} ${-r * 0.6}C${r * 1.3} ${r * 0.2} ${r * 0.7} ${r} 0 ${r}C${-r * 0.7} ${r} ${-r} ${r * 0.5} ${-r} 0Z`, mix(petal, palette.ink, shade))
      }
    } else {
      for (let i = 0; i < kind.petals; i++) pen.turned(`rotate(${(i / kind.petals) * 360 + lean})`, () => pen.shape(kind.shape, i % 2 ? petal : mix(petal, palette.ink, 0.1)))
      pen.shape(ellipse(0, 0, kind.petals > 10 ? 11 : 7, kind.petals > 10 ? 11 : 7), pen.lit(...kind.eye))
      for (let i = 0; i < 10; i++) pen.mark(ellipse((random() - 0.5) * 9, (random() - 0.5) * 9, 0.9, 0.9), mix(pen.lit(...kind.eye), palette.ink, 0.4))
    }
  })
}

const leafOf = (pen: Pen): Colour => {
  const { season } = pen.scene
  if (pen.thing.colours.length) return pen.own(0, 0.5, 0.12, 140)
  return season === 'autumn' ? pen.lit(0.64, 0.15, 55) : season === 'spring' ? pen.lit(0.85, 0.08, 0) : season === 'winter' ? pen.lit(0.93, 0.012, 240) : mix(pen.palette.near, pen.lit(0.58, 0.14, 132), 0.5)
}

function bough(pen: Pen, x0: number, y0: number, angle: number, length: number, width: number, depth: number, bark: Colour, tips: [number, number][]): void {
  const [x1, y1] = [x0 + Math.cos(angle) * length, y0 + Math.sin(angle) * length]
  pen.shape(limb(x0, y0, x1, y1, width, width * 0.66), bark)
  if (depth === 0) {
    tips.push([x1, y1])
    return
  }
  const spread = 0.5 + pen.random() * 0.2
  bough(pen, x1, y1, angle - spread, length * 0.76, width * 0.6, depth - 1, bark, tips)
  bough(pen, x1, y1, angle + spread * 0.9, length * 0.72, width * 0.58, depth - 1, bark, tips)
  if (depth > 1) tips.push([x1, y1])
}

function broadleaf(pen: Pen): void {
  const bark = pen.lit(0.4, 0.05, 55)
  const leaf = leafOf(pen)
  const tips: [number, number][] = []
  pen.shape('M-9 0Q-4 -6 -4.6 -24H4.6Q4 -6 10 0Q0 -4 -9 0Z', bark)
  bough(pen, 0, -20, -1.57, 22, 4.4, 3, bark, tips)
  const bare = /bare|leafless|dead/.test(pen.thing.word ?? '') || pen.scene.season === 'winter'
  if (bare) {
    for (const [x, y] of tips) pen.line(`M${x} ${y}l${(pen.random() - 0.5) * 12} ${-8 - pen.random() * 6}M${x} ${y}l${(pen.random() - 0.5) * 16} -5`, bark, 1)
    if (pen.scene.season === 'winter') for (const [x, y] of tips) pen.mark(ellipse(x, y - 2, 5, 2), pen.lit(0.97, 0.01, 240))
    return
  }
  const blobs = [...tips, [0, -62], [-14, -56], [15, -58], [-22, -48], [22, -50]] as [number, number][]
  for (const [pass, shade] of [[0, 0.3], [1, 0.1], [2, -0.12]] as const) {
    for (const [x, y] of blobs) {
      const r = (13 - pass * 2.4) * (0.85 + pen.random() * 0.3)
      const colour = shade < 0 ? mix(leaf, pen.palette.sun, 0.22) : mix(leaf, pen.palette.ink, shade)
      pen.mark(ellipse(x - pass * 2.4 * (pen.scene.light.from === 'right' ? -1 : 1), y - pass * 2.6, r, r * 0.86), colour)
    }
  }
  for (let i = 0; i < 46; i++) {
    const [x, y] = blobs[Math.floor(pen.random() * blobs.length)]!
    pen.mark(ellipse(x + (pen.random() - 0.5) * 24, y + (pen.random() - 0.5) * 20, 1.9, 1.5), i % 3 ? mix(leaf, pen.palette.sun, 0.4) : mix(leaf, pen.palette.ink, 0.25), 0.9)
  }
  if (/apple|cherry|orange|lemon/.test(pen.thing.word ?? '')) for (let i = 0; i < 14; i++) { const [x, y] = blobs[i % blobs.length]!; pen.shape(ellipse(x + (pen.random() - 0.5) * 16, y + pen.random() * 8, 2.6, 2.6), pen.lit(0.58, 0.2, 25)) }
}

function conifer(pen: Pen): void {
  const green = pen.thing.colours.length ? pen.own(0, 0.42, 0.09, 155) : pen.lit(0.42, 0.085, 155)
  pen.shape('M-3 0V-16H3V0Z', pen.lit(0.38, 0.05, 50))
  for (let i = 0; i < 6; i++) {
    const [y, w] = [-12 - i * 14.5, 34 - i * 5.2]
    const colour = mix(green, pen.palette.ink, 0.26 - i * 0.04)
    let d = `M0 ${y - 24}`
    for (let k = 1; k <= 4; k++) d += `L${(w * k) / 4 + (k % 2 ? 1.5 : -1)} ${y - 24 + (24 * k) / 4 + (k % 2 ? 3 : 0)}`
    d += `Q0 ${y + 5} ${-w} ${y}`
    for (let k = 3; k >= 1; k--) d += `L${(-w * k) / 4 - (k % 2 ? 1.5 : -1)} ${y - 24 + (24 * k) / 4 + (k % 2 ? 3 : 0)}`
    pen.shape(`${d}Z`, colour)
    if (pen.scene.season === 'winter') pen.mark(`M0 ${y - 25}L${w * 0.5} ${y - 9}Q${w * 0.2} ${y - 12} 0 ${y - 9}Q${-w * 0.3} ${y - 13} ${-w * 0.55} ${y - 8}Z`, pen.lit(0.97, 0.01, 240))
  }
}

function palm(pen: Pen): void {
  const leaf = pen.own(0, 0.52, 0.12, 142)
  const bark = pen.lit(0.52, 0.06, 60)
  pen.shape('M-5 0Q2 -40 6 -72L11 -71Q8 -38 6 0Z', bark)
  for (let i = 0; i < 9; i++) pen.line(`M${-3 + i} ${-6 - i * 7.6}h7`, mix(bark, pen.palette.ink, 0.35), 0.8)
  for (const [angle, length] of [[-160, 40], [-120, 34], [-95, 26], [-60, 32], [-25, 40], [10, 34], [170, 34]] as const) pen.turned(`translate(8 -72) rotate(${angle})`, () => pen.shape(`M0 0Q${length * 0.5} -12 ${length} ${length * 0.2}Q${length * 0.5} -2 0 3Z`, angle % 2 ? mix(leaf, pen.palette.ink, 0.22) : leaf))
  for (const x of [4, 10]) pen.shape(ellipse(x, -69, 3.2, 3.4), pen.lit(0.4, 0.06, 50))
}

function mushroom(pen: Pen): void {
  const cap = pen.own(0, 0.55, 0.2, 28)
  for (const [x, s] of [[26, 0.5], [-28, 0.42], [0, 1]] as const) pen.turned(`translate(${x} 0) scale(${s})`, () => {
    pen.shape('M-10 0C-8 -20 -8 -36 -9 -52H9C8 -36 8 -20 11 0Q0 4 -10 0Z', pen.lit(0.93, 0.02, 85))
    pen.shape('M-14 -44Q0 -38 14 -44L11 -52H-11Z', pen.lit(0.86, 0.03, 80))
    pen.shape('M-46 -52C-44 -96 44 -96 46 -52Q0 -40 -46 -52Z', cap)
    for (const [dx, dy, r] of [[-22, -66, 6], [4, -78, 7], [26, -64, 5], [-4, -60, 4], [-34, -56, 3]] as const) pen.mark(ellipse(dx, dy, r, r * 0.8), pen.palette.paper)
  })
}

function potted(pen: Pen): void {
  const leaf = pen.lit(0.5, 0.11, 148)
  for (const [angle, length] of [[-150, 44], [-125, 56], [-100, 62], [-78, 60], [-52, 54], [-28, 42]] as const) pen.turned(`translate(0 -34) rotate(${angle})`, () => {
    pen.shape(`M0 0Q${length * 0.45} -11 ${length} 0Q${length * 0.45} 11 0 0Z`, angle % 4 ? leaf : mix(leaf, pen.palette.ink, 0.2))
    pen.line(`M2 0H${length * 0.9}`, mix(leaf, pen.palette.ink, 0.35), 0.8)
  })
  const clay = pen.own(0, 0.6, 0.12, 42)
  pen.shape('M-22 -34H22L16 0H-16Z', clay)
  pen.shape('M-25 -38H25V-29H-25Z', mix(clay, pen.palette.sun, 0.1))
}

export const PLANTS: Figure[] = [
  { kind: 'plant', variant: 'flower', words: 'flower, blossom, rose, tulip, gentian, edelweiss, lavender, poppy, thistle, sunflower, daisy, iris, peony, lily, orchid, snowdrop, dahlia, daffodil, poppies, anemone', height: 0.52, width: 0.62, draw: flower },
  { kind: 'plant', variant: 'tree', words: 'tree, oak, apple tree, birch, willow, maple, cherry tree, orange tree, olive tree, elm, beech, bare tree, dead tree, chestnut tree, sapling, bonsai, lemon tree', height: 0.78, width: 0.86, draw: broadleaf },
  { kind: 'plant', variant: 'fir', words: 'pine, fir, spruce, larch, cypress, christmas tree, cedar, conifer, redwood', height: 0.78, width: 0.6, draw: conifer },
  { kind: 'plant', variant: 'palm', words: 'palm, palm tree, coconut palm, date palm', height: 0.78, width: 0.7, draw: palm },
  { kind: 'plant', variant: 'mushroom', words: 'mushroom, toadstool, fungus, mushrooms, fungi', height: 0.4, width: 1.1, draw: mushroom },
  { kind: 'plant', variant: 'potted', words: 'fern, cactus, potted plant, houseplant, ivy, seedling, succulent, herb, pot plant, monstera', height: 0.46, width: 0.9, draw: potted },
]
