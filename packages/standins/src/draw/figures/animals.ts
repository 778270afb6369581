import { type Colour, mix, oklch } from '../colour.ts'
import { ellipse, type Figure, type Pen } from './figure.ts'

interface Beast {
  coat: Colour
  belly: Colour
  /** Thickness of the body and of the legs. */
  body: number
  leg: number
  /** Length of the legs as a share of the height. */
  stand: number
  snout: number
  ears: 'pointed' | 'long' | 'round' | 'side'
  tail: 'brush' | 'short' | 'long'
  horns: boolean
}

function beast(pen: Pen, b: Beast): void {
  const { palette, scene } = pen.canvas
  const own = scene.ownColours.length ? palette.accents[0] : palette.lit(b.coat)
  const belly = palette.lit(b.belly)
  const far = mix(own, palette.ink, 0.28)
  const under = -100 * b.stand
  const back = under - b.body
  const leg = (x: number, colour: Colour, bend: number) => {
    pen.shape(`M${x - b.leg} ${under - 8}L${x - b.leg * 0.62 + bend} ${under * 0.45}L${x - b.leg * 0.62} -2Q${x - b.leg} 0 ${x} 0H${x + b.leg * 1.1}Q${x + b.leg * 1.2} -3 ${x + b.leg * 0.6} -3L${x + b.leg * 0.6 + bend} ${under * 0.45}L${x + b.leg} ${under - 8}Z`, colour)
  }
  if (b.tail === 'brush') {
    pen.shape(`M34 ${back + 8}C58 ${back + 4} 66 ${under + 8} 82 ${under + 4}C80 ${under - 10} 66 ${back - 4} 40 ${back + 2}Z`, own)
    pen.shape(`M82 ${under + 4}C79 ${under - 4} 74 ${under - 8} 70 ${under - 6}C72 ${under} 75 ${under + 5} 82 ${under + 4}Z`, belly)
  } else if (b.tail === 'long') pen.line(`M36 ${back + 8}C56 ${back + 2} 54 ${back - 34} 64 ${back - 40}`, own, 5)
  else pen.shape(ellipse(40, back + 7, 6, 4.5), own)
  leg(-16, far, 1)
  leg(27, far, -2)
  pen.shape(`M-34 ${under - b.body * 0.4}Q-34 ${back - 1} -16 ${back}Q10 ${back + 5} 30 ${back + 1}Q43 ${back + 5} 41 ${under - 6}Q36 ${under + 5} 14 ${under + 1}Q-8 ${under + 4} -24 ${under + 1}Q-34 ${under - 2} -34 ${under - b.body * 0.4}Z`, own)
  pen.shape(`M-30 ${under - 1}Q-6 ${under + 4} 20 ${under}Q0 ${under - 7} -30 ${under - 1}Z`, belly, 0.5)
  leg(-24, own, 1)
  leg(33, own, -2)
  // Neck and head, turned to the left.
  const [hx, hy] = [-40, Math.max(-84, back - 22)]
  pen.shape(`M-18 ${back + 2}Q-30 ${hy + 6} ${hx + 4} ${hy - 6}L${hx - 2} ${hy + 12}Q-34 ${under - 8} -28 ${under - 6}Z`, own)
  if (b.ears === 'pointed') {
    pen.shape(`M${hx + 1} ${hy - 8}L${hx + 5} ${hy - 24}L${hx + 12} ${hy - 7}Z`, far)
    pen.shape(`M${hx - 9} ${hy - 8}L${hx - 7} ${hy - 25}L${hx + 3} ${hy - 10}Z`, own)
  } else if (b.ears === 'long') {
    pen.shape(`M${hx + 3} ${hy - 8}Q${hx + 2} ${hy - 34} ${hx + 10} ${hy - 36}Q${hx + 13} ${hy - 20} ${hx + 9} ${hy - 6}Z`, far)
    pen.shape(`M${hx - 5} ${hy - 8}Q${hx - 9} ${hy - 34} ${hx - 1} ${hy - 38}Q${hx + 4} ${hy - 20} ${hx + 3} ${hy - 8}Z`, own)
  } else if (b.ears === 'round') {
    pen.shape(ellipse(hx + 9, hy - 11, 5, 5), far)
    pen.shape(ellipse(hx - 5, hy - 12, 5, 5), own)
  } else pen.shape(`M${hx + 6} ${hy - 7}Q${hx + 20} ${hy - 12} ${hx + 18} ${hy - 2}Q${hx + 12} ${hy + 1} ${hx + 6} ${hy - 2}Z`, far)
  if (b.horns) for (const dx of [0, 6]) pen.line(`M${hx + dx - 1} ${hy - 10}Q${hx + dx + 2} ${hy - 26} ${hx + dx + 15} ${hy - 25}`, palette.lit(oklch(0.48, 0.04, 65)), 3)
  pen.shape(`M${hx + 12} ${hy - 5}Q${hx + 6} ${hy - 14} ${hx - 7} ${hy - 12}Q${hx - 14} ${hy - 8} ${hx - 15 - b.snout} ${hy + 3}Q${hx - 17 - b.snout} ${hy + 8} ${hx - 11 - b.snout} ${hy + 8}Q${hx - 2} ${hy + 12} ${hx + 8} ${hy + 9}Q${hx + 15} ${hy + 4} ${hx + 12} ${hy - 5}Z`, own)
  pen.shape(`M${hx - 15 - b.snout} ${hy + 4}Q${hx - 16 - b.snout} ${hy + 8} ${hx - 10 - b.snout} ${hy + 8}Q${hx - 2} ${hy + 11} ${hx + 3} ${hy + 7}Q${hx - 8} ${hy + 5} ${hx - 15 - b.snout} ${hy + 4}Z`, belly, 0.5)
  pen.mark(ellipse(hx - 15 - b.snout, hy + 3.4, 2.2, 1.9), palette.ink)
  pen.mark(ellipse(hx - 5, hy - 2.4, 1.7, 2), palette.ink)
  pen.mark(ellipse(hx - 5.6, hy - 3.2, 0.5, 0.6), oklch(1, 0, 0))
}

const quadruped = (height: number, b: Beast): Figure => ({ height, width: 1.35, draw: (pen) => beast(pen, b) })

export const fox = quadruped(0.34, { coat: oklch(0.62, 0.15, 48), belly: oklch(0.94, 0.02, 80), body: 27, leg: 4, stand: 0.36, snout: 10, ears: 'pointed', tail: 'brush', horns: false })
export const goat = quadruped(0.42, { coat: oklch(0.72, 0.03, 70), belly: oklch(0.92, 0.02, 85), body: 32, leg: 3.6, stand: 0.4, snout: 8, ears: 'side', tail: 'short', horns: true })
export const cat = quadruped(0.26, { coat: oklch(0.55, 0.05, 65), belly: oklch(0.9, 0.02, 80), body: 26, leg: 4, stand: 0.34, snout: 1, ears: 'pointed', tail: 'long', horns: false })
export const bear = quadruped(0.46, { coat: oklch(0.4, 0.05, 55), belly: oklch(0.56, 0.05, 62), body: 40, leg: 7.4, stand: 0.3, snout: 7, ears: 'round', tail: 'short', horns: false })
