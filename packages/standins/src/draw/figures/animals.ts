import { type Colour, mix, oklch } from '../colour.ts'
import { ellipse, type Figure, limb, type Pen } from './figure.ts'

interface Beast {
  coat: [number, number, number]
  belly: [number, number, number]
  /** Half the length of the trunk, its depth, and the length of the legs. */
  long: number
  deep: number
  leg: number
  /** Thickness of a leg at the top. */
  stout: number
  /** How far the head lies before the shoulder and above the back, its radius and the length of the muzzle. */
  neck: [number, number]
  head: number
  muzzle: number
  ears: 'pointed' | 'long' | 'round' | 'side' | 'large'
  tail: 'brush' | 'short' | 'long' | 'hair' | 'tuft'
  horns?: 'curved' | 'antlers' | 'short'
  mane?: boolean
  trunk?: boolean
  stripes?: boolean
  fleece?: boolean
  hoof?: boolean
  hump?: boolean
}

function beast(pen: Pen, b: Beast): void {
  const { palette, thing } = pen
  const coat = pen.own(0, ...b.coat)
  const belly = thing.colours.length ? mix(coat, palette.paper, 0.55) : pen.lit(...b.belly)
  const far = mix(coat, palette.ink, 0.3)
  const dark = mix(coat, palette.ink, 0.6)
  const under = -b.leg
  const back = under - b.deep
  const shoulder = -b.long * 0.72
  const rump = b.long * 0.74
  const { pose } = thing
  const lying = pose === 'lying'
  const leg = (x: number, colour: Colour, front: boolean, near: boolean) => {
    if (lying) {
      pen.shape(front ? limb(x, under + 2, x - 17, -3, b.stout, b.stout * 0.7) : limb(x - 2, under + 1, x - 15, -3, b.stout * 1.2, b.stout * 0.7), colour)
      return
    }
    const stride = pose === 'running' ? (front ? (near ? -24 : -14) : near ? 22 : 13) : pose === 'walking' ? (near === front ? -9 : 8) : 0
    const lift = pose === 'running' && near === front ? 7 : 0
    const kneeX = x + stride * 0.35 + (front ? -1 : 3)
    const kneeY = under * 0.48
    pen.shape(limb(x, under - b.deep * 0.25, kneeX, kneeY, b.stout * 1.15, b.stout * 0.66), colour)
    pen.shape(limb(kneeX, kneeY, x + stride, -3 - lift, b.stout * 0.66, b.stout * 0.5), colour)
    pen.shape(`M${x + stride + b.stout * 0.62} ${-lift}H${x + stride - b.stout * 1.1}Q${x + stride - b.stout * 1.1} ${-lift - 3.6} ${x + stride - b.stout * 0.3} ${-lift - 4.4}L${x + stride + b.stout * 0.6} ${-lift - 4}Z`, b.hoof ? dark : colour)
  }
  const tailAt = [rump + b.deep * 0.22, back + b.deep * 0.22] as const
  const [tx, ty] = tailAt
  switch (b.tail) {
    case 'brush':
      pen.shape(`M${tx - 4} ${ty - 3}C${tx + 18} ${ty - 8} ${tx + 30} ${ty + 4} ${tx + 46} ${ty + 12}C${tx + 42} ${ty + 22} ${tx + 16} ${ty + 20} ${tx - 4} ${ty + 6}Z`, coat)
      pen.shape(`M${tx + 46} ${ty + 12}C${tx + 40} ${ty + 6} ${tx + 34} ${ty + 5} ${tx + 31} ${ty + 8}C${tx + 32} ${ty + 15} ${tx + 38} ${ty + 17} ${tx + 46} ${ty + 12}Z`, belly)
      break
    case 'long':
      pen.line(lying ? `M${tx} ${ty + 8}Q${tx + 14} -2 ${tx - 18} -2` : `M${tx - 2} ${ty + 2}C${tx + 20} ${ty + 4} ${tx + 10} ${ty - 26} ${tx + 22} ${ty - 32}`, coat, 4.4)
      break
    case 'hair':
      pen.shape(`M${tx - 4} ${ty}Q${tx + 12} ${ty + 2} ${tx + 14} ${ty + b.leg * 0.9}Q${tx + 4} ${ty + b.leg * 0.7} ${tx - 3} ${ty + 8}Z`, dark)
      break
    case 'tuft':
      pen.line(`M${tx - 2} ${ty}Q${tx + 12} ${ty + 6} ${tx + 10} ${ty + b.leg * 0.7}`, coat, 2.2)
      pen.shape(ellipse(tx + 10, ty + b.leg * 0.78, 3, 5), dark)
      break
    case 'short':
      pen.shape(ellipse(tx, ty + 2, 5.4, 4.4), b.fleece ? coat : belly)
  }
  leg(shoulder + 8, far, true, false)
  leg(rump - 7, far, false, false)
  const [nx, ny] = b.neck
  const [hx, hy] = lying ? [shoulder - nx, under - b.deep * 0.5 - ny * 0.35] : [shoulder - nx, back - ny]
  // Neck behind, trunk, belly, then the near legs.
  pen.shape(`M${shoulder + b.deep * 0.5} ${back + 1}Q${(shoulder + hx) / 2 + 5} ${(back + hy) / 2 - b.head * 0.5} ${hx + b.head * 0.5} ${hy - b.head * 0.7}L${hx - b.head * 0.2} ${hy + b.head * 0.7}Q${shoulder - b.deep * 0.1} ${under - b.deep * 0.35} ${shoulder - 1} ${under - 2}Z`, coat)
  if (b.fleece) {
    for (let i = 0; i < 15; i++) {
      const a = (i / 15) * 6.283
      pen.shape(ellipse((shoulder + rump) / 2 + Math.cos(a) * (b.long * 0.85), under - b.deep * 0.5 + Math.sin(a) * b.deep * 0.44, b.deep * 0.27, b.deep * 0.26), coat)
    }
    pen.shape(ellipse((shoulder + rump) / 2, under - b.deep * 0.5, b.long * 0.92, b.deep * 0.52), coat)
  } else {
    pen.shape(`M${shoulder - b.deep * 0.34} ${under - b.deep * 0.45}C${shoulder - b.deep * 0.3} ${back - 1} ${shoulder + 6} ${back - 2} ${shoulder + 14} ${back}Q0 ${back + b.deep * 0.1} ${rump - 10} ${back - 1}C${rump + b.deep * 0.36} ${back - 1} ${rump + b.deep * 0.42} ${under - b.deep * 0.2} ${rump + 3} ${under + 1}Q${rump * 0.3} ${under - b.deep * 0.1} ${shoulder + 8} ${under + 2}Q${shoulder - b.deep * 0.3} ${under} ${shoulder - b.deep * 0.34} ${under - b.deep * 0.45}Z`, coat)
    pen.shape(`M${shoulder + 2} ${under}Q0 ${under + 3} ${rump - 4} ${under - 2}Q0 ${under - b.deep * 0.26} ${shoulder + 2} ${under}Z`, belly, 0.5)
  }
  if (b.hump) pen.shape(`M${shoulder + 10} ${back + 3}Q${shoulder + 22} ${back - 22} ${shoulder + 34} ${back + 2}Z`, coat)
  if (b.stripes) for (let i = 0; i < 9; i++) pen.line(`M${shoulder + 4 + i * (rump - shoulder - 6) / 8.5} ${back + 1}q${i % 2 ? 3 : -2} ${b.deep * 0.4} ${i % 2 ? -1 : 3} ${b.deep * (0.55 + (i % 3) * 0.1)}`, dark, 2.2)
  leg(shoulder, coat, true, true)
  leg(rump, coat, false, true)
  beastHead(pen, b, hx, hy, { coat, belly, far, dark })
}

function beastHead(pen: Pen, b: Beast, hx: number, hy: number, { coat, belly, far, dark }: Record<'coat' | 'belly' | 'far' | 'dark', Colour>): void {
  const { palette } = pen
  const r = b.head
  const m = b.muzzle
  if (b.mane) {
    if (b.tail === 'tuft') pen.shape(ellipse(hx + r * 0.5, hy + r * 0.2, r * 2, r * 2.1), mix(coat, palette.ink, 0.35))
    else pen.shape(`M${hx - r * 0.4} ${hy - r * 1.5}Q${hx + r * 1.6} ${hy - r * 1.2} ${hx + r * 3} ${hy + r * 2.6}Q${hx + r * 1.4} ${hy + r * 1.2} ${hx + r * 0.4} ${hy - r * 0.4}Z`, dark)
  }
  switch (b.ears) {
    case 'pointed':
      pen.shape(`M${hx + r * 0.2} ${hy - r * 0.6}L${hx + r * 0.5} ${hy - r * 2}L${hx + r * 1.1} ${hy - r * 0.5}Z`, far)
      pen.shape(`M${hx - r * 0.7} ${hy - r * 0.66}L${hx - r * 0.5} ${hy - r * 2.1}L${hx + r * 0.3} ${hy - r * 0.8}Z`, coat)
      break
    case 'long':
      pen.shape(`M${hx + r * 0.3} ${hy - r * 0.7}Q${hx + r * 0.2} ${hy - r * 3.2} ${hx + r * 1} ${hy - r * 3.3}Q${hx + r * 1.3} ${hy - r * 1.8} ${hx + r * 0.9} ${hy - r * 0.5}Z`, far)
      pen.shape(`M${hx - r * 0.5} ${hy - r * 0.7}Q${hx - r * 0.9} ${hy - r * 3.2} ${hx - r * 0.1} ${hy - r * 3.5}Q${hx + r * 0.5} ${hy - r * 1.8} ${hx + r * 0.3} ${hy - r * 0.7}Z`, coat)
      break
    case 'round':
      pen.shape(ellipse(hx + r * 0.75, hy - r * 0.9, r * 0.42, r * 0.42), far)
      pen.shape(ellipse(hx - r * 0.4, hy - r * 1, r * 0.42, r * 0.42), coat)
      break
    case 'large':
      pen.shape(`M${hx + r * 0.3} ${hy - r * 0.9}C${hx + r * 2.6} ${hy - r * 1.6} ${hx + r * 2.6} ${hy + r * 1.6} ${hx + r * 0.9} ${hy + r * 1.2}Z`, far)
      break
    case 'side':
      pen.shape(`M${hx + r * 0.5} ${hy - r * 0.7}Q${hx + r * 1.9} ${hy - r * 1.2} ${hx + r * 1.8} ${hy - r * 0.2}Q${hx + r * 1.1} ${hy + r * 0.1} ${hx + r * 0.5} ${hy - r * 0.2}Z`, far)
  }
  const horn = pen.lit(0.5, 0.04, 65)
  if (b.horns === 'curved') for (const dx of [0, r * 0.5]) pen.line(`M${hx + dx - 1} ${hy - r * 0.9}Q${hx + dx + 1} ${hy - r * 2.8} ${hx + dx + r * 1.7} ${hy - r * 2.6}`, horn, r * 0.3)
  if (b.horns === 'short') for (const s of [-1, 1]) pen.line(`M${hx + s * r * 0.4} ${hy - r * 0.9}Q${hx + s * r * 1.1} ${hy - r * 1.1} ${hx + s * r * 1.1} ${hy - r * 1.9}`, pen.lit(0.85, 0.03, 85), r * 0.24)
  if (b.horns === 'antlers') for (const [dx, s] of [[0, -1], [r * 0.6, 1]] as const) pen.line(`M${hx + dx} ${hy - r * 0.9}Q${hx + dx + s * 4} ${hy - r * 2.4} ${hx + dx + s * r * 1.7} ${hy - r * 4.4}M${hx + dx + s * 2.4} ${hy - r * 2}L${hx + dx - s * r * 0.9} ${hy - r * 3.1}M${hx + dx + s * r * 0.8} ${hy - r * 3}L${hx + dx + s * r * 2.2} ${hy - r * 3.2}`, horn, r * 0.26)
  pen.shape(`M${hx + r} ${hy - r * 0.3}Q${hx + r * 0.7} ${hy - r * 1.1} ${hx - r * 0.3} ${hy - r}Q${hx - r * 1} ${hy - r * 0.8} ${hx - r - m} ${hy + r * 0.24}Q${hx - r * 1.15 - m} ${hy + r * 0.8} ${hx - r * 0.7 - m} ${hy + r * 0.84}Q${hx - r * 0.1} ${hy + r * 1.1} ${hx + r * 0.6} ${hy + r * 0.9}Q${hx + r * 1.2} ${hy + r * 0.4} ${hx + r} ${hy - r * 0.3}Z`, coat)
  pen.shape(`M${hx - r - m} ${hy + r * 0.32}Q${hx - r * 1.1 - m} ${hy + r * 0.8} ${hx - r * 0.7 - m} ${hy + r * 0.84}Q${hx - r * 0.1} ${hy + r * 1.06} ${hx + r * 0.2} ${hy + r * 0.7}Q${hx - r * 0.5} ${hy + r * 0.42} ${hx - r - m} ${hy + r * 0.32}Z`, belly, 0.5)
  if (b.trunk) {
    pen.shape(`M${hx - r * 0.4} ${hy - r * 0.1}Q${hx - r * 1.8} ${hy + r * 0.4} ${hx - r * 1.5} ${hy + r * 2.6}Q${hx - r * 1.5} ${hy + r * 3.5} ${hx - r * 2.3} ${hy + r * 3.2}L${hx - r * 2.4} ${hy + r * 2.7}Q${hx - r * 1.9} ${hy + r * 2.8} ${hx - r * 2} ${hy + r * 2.2}Q${hx - r * 2.2} ${hy + r * 0.3} ${hx - r * 1} ${hy - r * 0.5}Z`, coat)
    pen.shape(`M${hx - r * 0.7} ${hy + r * 0.7}Q${hx - r * 1.3} ${hy + r * 1.6} ${hx - r * 2} ${hy + r * 1.5}Q${hx - r * 1.1} ${hy + r * 1.1} ${hx - r * 0.5} ${hy + r * 0.5}Z`, pen.lit(0.95, 0.02, 90))
  } else pen.mark(ellipse(hx - r * 1.02 - m, hy + r * 0.34, Math.max(1.4, r * 0.2), Math.max(1.2, r * 0.17)), palette.ink)
  if (pen.thing.pose === 'lying') pen.line(`M${hx - r * 0.66} ${hy - r * 0.12}q${r * 0.16} ${r * 0.16} ${r * 0.36} ${r * 0.06}`, palette.ink, 0.8)
  else {
    pen.mark(ellipse(hx - r * 0.48, hy - r * 0.2, r * 0.16, r * 0.19), palette.ink)
    pen.mark(ellipse(hx - r * 0.53, hy - r * 0.28, r * 0.05, r * 0.06), oklch(1, 0, 0))
  }
}

const figure = (variant: string, words: string, height: number, width: number, b: Beast): Figure => ({ kind: 'animal', variant, words, height, width, draw: (pen) => beast(pen, b) })

export const ANIMALS: Figure[] = [
  figure('fox', 'fox, vixen, foxes', 0.4, 1.5, { coat: [0.62, 0.15, 48], belly: [0.94, 0.02, 80], long: 36, deep: 25, leg: 38, stout: 5, neck: [13, 15], head: 12, muzzle: 9, ears: 'pointed', tail: 'brush' }),
  figure('dog', 'dog, wolf, hound, puppy, coyote, terrier, greyhound, sheepdog, wolves, jackal', 0.42, 1.4, { coat: [0.5, 0.05, 65], belly: [0.8, 0.03, 75], long: 36, deep: 28, leg: 40, stout: 5.6, neck: [12, 18], head: 12, muzzle: 9, ears: 'pointed', tail: 'long' }),
  figure('cat', 'cat, kitten, leopard, snow leopard, lynx, panther, puma, cheetah', 0.32, 1.35, { coat: [0.55, 0.05, 65], belly: [0.9, 0.02, 80], long: 38, deep: 27, leg: 34, stout: 5.4, neck: [9, 14], head: 15, muzzle: 0, ears: 'pointed', tail: 'long' }),
  figure('tiger', 'tiger', 0.44, 1.4, { coat: [0.7, 0.16, 60], belly: [0.95, 0.02, 85], long: 42, deep: 32, leg: 34, stout: 7.6, neck: [12, 10], head: 14, muzzle: 2, ears: 'round', tail: 'long', stripes: true }),
  figure('lion', 'lion, lioness', 0.46, 1.4, { coat: [0.72, 0.1, 75], belly: [0.88, 0.05, 80], long: 40, deep: 31, leg: 38, stout: 7, neck: [11, 15], head: 13, muzzle: 3, ears: 'round', tail: 'tuft', mane: true }),
  figure('hare', 'hare, rabbit, bunny, squirrel, mouse, marmot, hedgehog, rat, mole, otter, weasel, badger, beaver, mice', 0.28, 1.2, { coat: [0.6, 0.06, 68], belly: [0.92, 0.02, 85], long: 32, deep: 34, leg: 24, stout: 6, neck: [10, 10], head: 15, muzzle: 1, ears: 'long', tail: 'short' }),
  figure('bear', 'bear, polar bear, panda, wild boar, boar, pig, walrus, gorilla, ape, monkey', 0.5, 1.35, { coat: [0.4, 0.05, 55], belly: [0.56, 0.05, 62], long: 40, deep: 44, leg: 32, stout: 9.4, neck: [13, 6], head: 15, muzzle: 7, ears: 'round', tail: 'short' }),
  figure('goat', 'goat, ibex, chamois, lamb of a goat, kid goat', 0.46, 1.3, { coat: [0.72, 0.03, 70], belly: [0.92, 0.02, 85], long: 35, deep: 31, leg: 40, stout: 4.8, neck: [13, 20], head: 10.5, muzzle: 8, ears: 'side', tail: 'short', horns: 'curved', hoof: true }),
  figure('sheep', 'sheep, lamb, ram, ewe', 0.4, 1.3, { coat: [0.93, 0.015, 90], belly: [0.85, 0.02, 85], long: 32, deep: 38, leg: 26, stout: 4.6, neck: [15, 4], head: 10, muzzle: 5, ears: 'side', tail: 'short', fleece: true, hoof: true }),
  figure('deer', 'deer, stag, roe, elk, moose, reindeer, antelope, fawn, gazelle', 0.58, 1.1, { coat: [0.58, 0.09, 58], belly: [0.88, 0.03, 78], long: 31, deep: 24, leg: 42, stout: 4, neck: [14, 22], head: 8.6, muzzle: 8, ears: 'side', tail: 'short', horns: 'antlers', hoof: true }),
  figure('horse', 'horse, pony, mare, stallion, foal, donkey, mule, zebra, unicorn', 0.6, 1.25, { coat: [0.42, 0.08, 48], belly: [0.55, 0.07, 55], long: 36, deep: 28, leg: 44, stout: 5.6, neck: [17, 22], head: 9.4, muzzle: 13, ears: 'pointed', tail: 'hair', mane: true, hoof: true }),
  figure('cow', 'cow, ox, bull, calf, bison, buffalo, yak, cattle', 0.5, 1.45, { coat: [0.45, 0.07, 48], belly: [0.9, 0.02, 85], long: 43, deep: 38, leg: 34, stout: 6.4, neck: [15, 6], head: 12, muzzle: 9, ears: 'side', tail: 'tuft', horns: 'short', hoof: true }),
  figure('elephant', 'elephant, rhinoceros, hippopotamus, mammoth, rhino', 0.62, 1.3, { coat: [0.58, 0.015, 260], belly: [0.65, 0.015, 260], long: 38, deep: 46, leg: 38, stout: 10, neck: [12, 2], head: 17, muzzle: 0, ears: 'large', tail: 'tuft', trunk: true }),
  figure('camel', 'camel, llama, giraffe, alpaca, dromedary', 0.6, 1.2, { coat: [0.72, 0.08, 72], belly: [0.8, 0.06, 75], long: 32, deep: 28, leg: 46, stout: 4.6, neck: [20, 26], head: 9, muzzle: 9, ears: 'side', tail: 'tuft', hoof: true, hump: true }),
  {
    kind: 'animal', variant: 'dragon', words: 'dragon, serpent, lizard, crocodile, dinosaur, snake, salamander, wyvern, gecko', height: 0.56, width: 1.6,
    draw: (pen) => {
      const skin = pen.own(0, 0.52, 0.12, 150)
      const belly = mix(skin, pen.palette.paper, 0.5)
      const wing = mix(skin, pen.palette.ink, 0.25)
      pen.shape('M6 -44C22 -96 64 -100 84 -84C72 -80 68 -66 72 -56C58 -60 48 -54 44 -42C34 -48 22 -46 14 -36Z', wing)
      pen.line('M8 -42C24 -84 58 -92 82 -84M24 -62L44 -42M40 -76L70 -57', mix(wing, pen.palette.ink, 0.4), 1.2)
      pen.shape('M34 -22C64 -26 72 2 96 -8C88 6 60 8 32 -4Z', skin)
      pen.shape('M-30 -34C-26 -54 20 -56 40 -30C48 -16 34 -4 14 -6C-12 -8 -34 -14 -30 -34Z', skin)
      pen.shape('M-26 -30C-20 -12 4 -8 26 -10C6 -2 -24 -8 -26 -30Z', belly, 0.5)
      for (const [x, c] of [[-14, wing], [24, wing], [-22, skin], [16, skin]] as const) pen.shape(`M${x - 7} -20L${x - 4} -2H${x - 12}Q${x - 12} 0 ${x - 10} 0H${x + 6}L${x + 8} -20Z`, c)
      pen.shape('M-22 -40C-48 -54 -24 -84 -48 -86C-68 -88 -80 -80 -82 -74C-70 -70 -60 -70 -54 -70C-58 -50 -44 -30 -20 -24Z', skin)
      for (const [x, y] of [[-40, -88], [-30, -74], [-30, -60], [-12, -52], [4, -54], [20, -48], [36, -34]] as const) pen.shape(`M${x - 4} ${y + 4}L${x + 2} ${y - 7}L${x + 5} ${y + 5}Z`, wing)
      pen.line('M-48 -86L-38 -100M-42 -86L-30 -96', pen.lit(0.85, 0.03, 85), 2)
      pen.mark(ellipse(-58, -79, 2, 2.2), pen.palette.glow)
      pen.mark(ellipse(-58, -79, 0.8, 1.8), pen.palette.ink)
      pen.mark(ellipse(-78, -76, 0.9, 0.9), pen.palette.ink)
    },
  },
]
