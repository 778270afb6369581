import { mix, oklch } from '../colour.ts'
import { ellipse, type Figure, limb } from './figure.ts'

export const INSECTS: Figure[] = [
  {
    kind: 'insect', variant: 'bee', words: 'bee, bumblebee, wasp, fly, hornet, honeybee', height: 0.34, width: 1.4, where: 'air',
    draw(pen) {
      const gold = pen.own(0, 0.8, 0.15, 80)
      const dark = pen.lit(0.25, 0.03, 60)
      pen.line('M-20 -30q-6 12 -14 14M0 -28q0 14 -6 20M20 -30q6 12 10 18', dark, 2)
      pen.canvas.group('opacity="0.72"', () => {
        pen.shape('M-6 -62C10 -100 46 -104 52 -88C54 -72 22 -58 -6 -60Z', pen.lit(0.93, 0.03, 220), 0.4)
        pen.shape('M-10 -62C-10 -98 18 -108 26 -96C32 -82 12 -64 -8 -60Z', pen.lit(0.96, 0.02, 220), 0.4)
      })
      pen.line('M0 -62Q26 -78 48 -90M-6 -64Q10 -84 22 -96', pen.lit(0.6, 0.03, 220), 0.7)
      pen.shape('M-10 -46C-6 -66 30 -70 50 -52C58 -44 60 -38 62 -34C54 -24 16 -20 0 -28C-8 -32 -12 -38 -10 -46Z', gold)
      for (const x of [12, 26, 40]) pen.shape(`M${x} ${-62 + (x - 12) * 0.22}q8 18 1 37h7q8 -18 0 -35z`, dark)
      pen.shape(ellipse(-18, -46, 17, 16), mix(gold, pen.lit(0.5, 0.09, 60), 0.4))
      for (let i = 0; i < 12; i++) pen.line(`M${(-18 + Math.cos(i * 0.52) * 14).toFixed(1)} ${(-46 + Math.sin(i * 0.52) * 13).toFixed(1)}l${(Math.cos(i * 0.52) * 5).toFixed(1)} ${(Math.sin(i * 0.52) * 5).toFixed(1)}`, mix(gold, pen.palette.ink, 0.3), 0.9)
      pen.shape(ellipse(-38, -44, 11, 11.5), dark)
      pen.mark(ellipse(-42, -47, 3.6, 5), pen.lit(0.6, 0.04, 60))
      pen.line('M-44 -53Q-52 -68 -60 -66M-38 -55Q-44 -72 -52 -74', dark, 1.8)
    },
  },
  {
    kind: 'insect', variant: 'butterfly', words: 'butterfly, moth', height: 0.36, width: 1.5, where: 'air',
    draw(pen) {
      const wing = pen.own(0, 0.7, 0.17, 55)
      const spot = pen.thing.colours.length > 1 ? pen.own(1, 0.4, 0.1, 260) : mix(wing, pen.palette.ink, 0.55)
      for (const s of [-1, 1]) {
        pen.shape(`M0 -52C${s * 20} -108 ${s * 72} -106 ${s * 70} -74C${s * 68} -52 ${s * 30} -44 0 -48Z`, wing)
        pen.shape(`M0 -46C${s * 34} -50 ${s * 56} -34 ${s * 46} -14C${s * 34} 0 ${s * 8} -16 0 -42Z`, mix(wing, spot, 0.3))
        pen.shape(`M${s * 30} -97C${s * 60} -104 ${s * 73} -92 ${s * 69} -70C${s * 62} -84 ${s * 50} -92 ${s * 30} -97Z`, spot)
        pen.mark(ellipse(s * 46, -76, 7, 7), spot)
        pen.mark(ellipse(s * 46, -76, 3, 3), pen.palette.paper)
        pen.mark(ellipse(s * 28, -24, 4.4, 4.4), pen.palette.paper)
        pen.line(`M0 -50Q${s * 30} -70 ${s * 62} -84M0 -46Q${s * 24} -34 ${s * 40} -20`, spot, 0.9)
      }
      pen.shape('M-3 -66Q0 -72 3 -66L2.4 -22Q0 -14 -2.4 -22Z', pen.palette.ink)
      pen.line('M-1 -68Q-8 -86 -15 -88M1 -68Q8 -86 15 -88', pen.palette.ink, 1.3)
    },
  },
  {
    kind: 'insect', variant: 'beetle', words: 'beetle, ladybird, ladybug, ant, spider, scarab, snail, cricket, grasshopper, caterpillar, crab', height: 0.28, width: 1.5,
    draw(pen) {
      const shell = pen.own(0, 0.55, 0.2, 28)
      const dark = pen.lit(0.24, 0.02, 270)
      for (const x of [-26, 0, 28]) pen.line(`M${x} -26L${x - 14} -14L${x - 20} 0M${x + 4} -26L${x + 18} -14L${x + 22} 0`, dark, 3)
      pen.shape('M-52 -42C-56 -62 -34 -68 -28 -50L-30 -26C-44 -24 -52 -32 -52 -42Z', dark)
      pen.shape('M-34 -24C-40 -78 6 -98 40 -70C62 -52 64 -26 54 -20H-30Z', shell)
      pen.line('M-34 -44Q10 -58 58 -34', mix(shell, pen.palette.ink, 0.6), 1.8)
      for (const [x, y, r] of [[-10, -66, 7], [20, -72, 6], [40, -52, 6], [8, -40, 5], [-22, -46, 4]] as const) pen.mark(ellipse(x, y, r, r * 0.9), dark)
      pen.line('M-48 -58Q-58 -72 -66 -70M-42 -62Q-46 -78 -54 -80', dark, 1.8)
      pen.mark(ellipse(-46, -46, 3, 3.4), pen.palette.paper)
      pen.mark(ellipse(-46.6, -46, 1.4, 1.7), pen.palette.ink)
    },
  },
  {
    kind: 'insect', variant: 'dragonfly', words: 'dragonfly, damselfly, firefly, mosquito', height: 0.3, width: 1.9, where: 'air',
    draw(pen) {
      const body = pen.own(0, 0.6, 0.13, 200)
      pen.canvas.group('opacity="0.75"', () => {
        for (const [angle, length] of [[-64, 78], [-112, 74], [-30, 60], [-146, 58]] as const) pen.turned(`translate(-14 -52) rotate(${angle})`, () => {
          pen.shape(`M0 0C${length * 0.3} -12 ${length * 0.9} -12 ${length} -2C${length * 0.9} 8 ${length * 0.3} 7 0 0Z`, pen.lit(0.92, 0.04, 210), 0.4)
          pen.line(`M0 0L${length} -2M${length * 0.3} -6L${length * 0.8} 4`, pen.lit(0.55, 0.05, 220), 0.6)
        })
      })
      for (let i = 0; i < 7; i++) pen.shape(limb(-4 + i * 13, -50 + i * 1.4, 8 + i * 13, -48.6 + i * 1.4, 4.4 - i * 0.3, 4 - i * 0.3), i % 2 ? mix(body, pen.palette.ink, 0.3) : body)
      pen.shape(ellipse(-16, -52, 13, 9), body)
      pen.shape(ellipse(-32, -52, 8, 8), mix(body, pen.palette.ink, 0.2))
      for (const y of [-56, -48]) pen.mark(ellipse(-36, y, 4, 4.4), pen.lit(0.5, 0.18, 25))
    },
  },
]

export const FISH: Figure[] = [
  {
    kind: 'fish', variant: 'fish', words: 'fish, trout, salmon, carp, goldfish, koi, pike, herring, perch, cod, angelfish, seahorse', height: 0.34, width: 1.7, where: 'water',
    draw(pen) {
      const body = pen.own(0, 0.7, 0.16, 50)
      const fin = mix(body, pen.palette.ink, 0.22)
      pen.shape('M40 -48C60 -60 74 -84 90 -82C82 -66 80 -56 82 -48C80 -40 84 -28 90 -14C74 -14 58 -36 40 -46Z', fin)
      pen.shape('M-10 -78C4 -100 30 -94 40 -70Z', fin)
      pen.shape('M-70 -48C-56 -88 20 -90 52 -50C20 -8 -54 -8 -70 -48Z', body)
      pen.shape('M-62 -40C-40 -10 12 -12 44 -42C12 -26 -34 -24 -62 -40Z', mix(body, pen.palette.paper, 0.6), 0.5)
      pen.line('M-40 -74Q-28 -50 -42 -24', mix(body, pen.palette.ink, 0.4), 1.6)
      for (let row = 0; row < 3; row++) for (let i = 0; i < 6; i++) pen.line(`M${-26 + i * 12 + row * 4} ${-66 + row * 13}q6 6 0 12`, mix(body, pen.palette.ink, 0.28), 0.9)
      pen.shape('M-18 -40C-6 -30 -4 -18 -12 -10C-20 -18 -26 -30 -18 -40Z', fin)
      pen.mark(ellipse(-52, -54, 5, 5.4), pen.palette.paper)
      pen.mark(ellipse(-53, -54, 2.8, 3), pen.palette.ink)
      pen.line('M-70 -46q6 5 12 3', mix(body, pen.palette.ink, 0.5), 1)
    },
  },
  {
    kind: 'fish', variant: 'whale', words: 'whale, dolphin, shark, orca, narwhal, porpoise, submarine', height: 0.44, width: 1.9, where: 'water',
    draw(pen) {
      const body = pen.own(0, 0.45, 0.06, 245)
      const belly = mix(body, pen.palette.paper, 0.65)
      pen.shape('M60 -46C78 -54 86 -76 98 -84C98 -66 96 -56 92 -48C98 -42 100 -34 98 -24C84 -28 72 -36 58 -40Z', body)
      pen.shape('M-84 -44C-84 -80 -30 -90 10 -74C36 -64 54 -52 66 -42C40 -22 -10 -10 -50 -16C-76 -20 -84 -32 -84 -44Z', body)
      pen.shape('M-82 -36C-60 -30 -20 -28 20 -38C-8 -14 -50 -12 -66 -20C-76 -24 -82 -30 -82 -36Z', belly, 0.5)
      for (let i = 0; i < 5; i++) pen.line(`M${-72 + i * 3} ${-31 + i * 2.6}Q-40 ${-24 + i * 2} ${-6 - i * 5} ${-27 + i * 2.4}`, mix(belly, pen.palette.ink, 0.25), 0.8)
      pen.shape('M-26 -24C-22 -10 -8 -2 2 -2C0 -12 -8 -22 -14 -27Z', mix(body, pen.palette.ink, 0.2))
      pen.mark(ellipse(-62, -42, 2.4, 2.6), pen.palette.paper)
      pen.mark(ellipse(-62.4, -42, 1.4, 1.6), pen.palette.ink)
      if (pen.scene.setting !== 'underwater') pen.line('M-40 -82Q-42 -98 -54 -100M-40 -82Q-38 -100 -26 -102M-40 -82V-104', pen.palette.paper, 2)
    },
  },
  {
    kind: 'fish', variant: 'octopus', words: 'octopus, squid, jellyfish, kraken, cuttlefish, starfish, lobster', height: 0.48, width: 1.1, where: 'water',
    draw(pen) {
      const body = pen.own(0, 0.58, 0.17, 15)
      for (let i = 0; i < 8; i++) {
        const x = -30 + i * 8.6
        const sway = (pen.random() - 0.5) * 30
        const [ex, ey] = [x * 1.7 + sway, -2 - pen.random() * 14]
        pen.line(`M${x} -48C${x} -30 ${ex - sway} -34 ${ex} ${ey}q${sway > 0 ? 6 : -6} 4 ${sway > 0 ? 8 : -8} -4`, i % 2 ? mix(body, pen.palette.ink, 0.2) : body, 6.4)
      }
      pen.shape('M-34 -46C-46 -104 46 -104 34 -46C26 -36 -26 -36 -34 -46Z', body)
      for (const [x, y, r] of [[-12, -84, 4], [8, -90, 3], [18, -76, 3.6]] as const) pen.mark(ellipse(x, y, r, r), mix(body, pen.palette.paper, 0.35), 0.7)
      for (const x of [-12, 12]) { pen.mark(ellipse(x, -58, 6, 6.6), pen.palette.paper); pen.mark(ellipse(x - 1, -58, 3, 3.6), pen.palette.ink); pen.mark(ellipse(x - 2, -60, 1, 1), oklch(1, 0, 0)) }
    },
  },
]
