import type { Held } from '../../scene/scene.ts'
import { mix } from '../colour.ts'
import { box, ellipse, glow, limb, type Pen } from './figure.ts'

/** What somebody has in hand, drawn at the hand. */
export function held(pen: Pen, what: Held, x: number, y: number): void {
  const { palette } = pen
  const wood = pen.lit(0.45, 0.07, 55)
  const metal = pen.lit(0.74, 0.02, 250)
  switch (what) {
    case 'lantern': {
      const brass = pen.lit(0.6, 0.1, 80)
      glow(pen, x, y + 11, 46)
      pen.line(`M${x - 3.4} ${y + 5}Q${x} ${y - 4} ${x + 3.4} ${y + 5}`, brass, 0.9)
      pen.shape(`M${x - 5} ${y + 5}H${x + 5}L${x + 3.8} ${y + 7.4}H${x - 3.8}Z`, brass)
      pen.mark(box(x - 3.8, y + 7.4, 7.6, 9.6), palette.glow)
      pen.mark(`M${x} ${y + 9}q2.4 3.6 0 6.4q-2.4 -2.8 0 -6.4z`, pen.lit(0.78, 0.17, 58))
      pen.line(`M${x - 3.8} ${y + 7.4}v9.6M${x} ${y + 7.4}v9.6M${x + 3.8} ${y + 7.4}v9.6`, brass, 0.6)
      pen.shape(`M${x - 5} ${y + 17}H${x + 5}L${x + 4} ${y + 19.6}H${x - 4}Z`, brass)
      break
    }
    case 'book':
      pen.shape(`M${x - 9} ${y - 6}L${x + 1} ${y - 3}L${x + 10} ${y - 8}L${x + 11} ${y + 4}L${x + 1} ${y + 9}L${x - 9} ${y + 6}Z`, pen.lit(0.42, 0.11, 25))
      pen.shape(`M${x - 8} ${y - 8}Q${x - 3} ${y - 8} ${x + 1} ${y - 4}Q${x + 4} ${y - 9} ${x + 9} ${y - 10}V${y + 1}Q${x + 4} ${y + 2} ${x + 1} ${y + 6}Q${x - 3} ${y + 3} ${x - 8} ${y + 3}Z`, palette.paper, 0.5)
      break
    case 'umbrella': {
      const cloth = pen.thing.colours.length > 1 ? pen.own(1, 0.5, 0.16, 25) : palette.accents[2]
      pen.line(`M${x} ${y + 4}L${x + 3} -108`, wood, 1.4)
      pen.shape(`M${x - 30} -102C${x - 24} -128 ${x + 30} -128 ${x + 36} -102Q${x + 25} -108 ${x + 14} -102Q${x + 3} -108 ${x - 8} -102Q${x - 19} -108 ${x - 30} -102Z`, cloth)
      pen.line(`M${x + 3} -122L${x - 8} -102M${x + 3} -122L${x + 14} -102`, mix(cloth, palette.ink, 0.4), 0.7)
      break
    }
    case 'basket':
      pen.line(`M${x - 8} ${y + 10}Q${x} ${y - 12} ${x + 8} ${y + 10}`, wood, 1.5)
      for (const [dx, h] of [[-5, 40], [0, 25], [5, 50]] as const) pen.shape(ellipse(x + dx, y + 9, 4, 4), pen.lit(0.62, 0.17, h))
      pen.shape(`M${x - 10.5} ${y + 10}H${x + 10.5}L${x + 8} ${y + 22}Q${x} ${y + 24} ${x - 8} ${y + 22}Z`, pen.lit(0.66, 0.09, 75))
      pen.line(`M${x - 10} ${y + 14}H${x + 10}M${x - 9} ${y + 18}H${x + 9}M${x - 4} ${y + 10}l1 13M${x + 4} ${y + 10}l-1 13`, pen.lit(0.46, 0.08, 65), 0.6)
      break
    case 'staff':
      pen.shape(limb(x - 2.4, -1, x + 1, -96, 1.1, 0.9), wood)
      break
    case 'sword':
      pen.shape(`M${x - 1.5} ${y - 2}L${x - 15} ${y - 44}L${x - 11.6} ${y - 43}L${x + 1.5} ${y - 3}Z`, metal)
      pen.line(`M${x - 7} ${y - 3}L${x + 5} ${y - 7}`, pen.lit(0.6, 0.1, 80), 2)
      pen.line(`M${x} ${y - 3}L${x + 2.4} ${y + 5}`, wood, 2.2)
      break
    case 'flowers':
      for (const [dx, dy, h] of [[-5, -14, 20], [0, -18, 350], [5, -14, 60], [-2.5, -10, 300], [3, -9, 90]] as const) {
        pen.line(`M${x} ${y + 3}L${x + dx} ${y + dy}`, pen.lit(0.5, 0.11, 140), 0.8)
        pen.shape(ellipse(x + dx, y + dy, 3.2, 3.2), pen.lit(0.72, 0.16, h))
      }
      break
    case 'rod':
      pen.line(`M${x + 2} ${y + 6}L${x - 58} ${y - 42}`, wood, 1.1)
      pen.line(`M${x - 58} ${y - 42}Q${x - 60} -20 ${x - 62} 4`, palette.ink, 0.35)
      break
    case 'cup':
      pen.shape(`M${x - 5} ${y - 6}H${x + 3}Q${x + 3} ${y + 3} ${x - 1} ${y + 4}Q${x - 5} ${y + 3} ${x - 5} ${y - 6}Z`, palette.paper)
      pen.line(`M${x - 2} ${y - 9}q-2 -3 0 -6t0 -6`, palette.paper, 0.9)
      break
    case 'letter':
      pen.shape(`M${x - 8} ${y - 9}L${x + 5} ${y - 12}L${x + 8} ${y + 4}L${x - 5} ${y + 7}Z`, palette.paper, 0.5)
      pen.line(`M${x - 5} ${y - 6}l9 -2M${x - 4.4} ${y - 2.6}l9 -2M${x - 3.8} ${y + 0.8}l6 -1.4`, palette.ink, 0.4)
      break
    case 'balloon': {
      const skin = pen.thing.colours.length > 1 ? pen.own(1, 0.6, 0.2, 25) : pen.lit(0.6, 0.2, 25)
      pen.line(`M${x} ${y}Q${x - 6} ${y - 40} ${x - 3} -112`, palette.ink, 0.4)
      pen.shape(`M${x - 3} -112C${x - 22} -120 ${x - 20} -146 ${x - 3} -146C${x + 14} -146 ${x + 16} -120 ${x - 3} -112Z`, skin)
      pen.mark(ellipse(x - 9, -136, 3, 5), pen.lit(0.98, 0.01, 90), 0.6)
      break
    }
    case 'fiddle': {
      const varnish = pen.lit(0.5, 0.12, 45)
      pen.turned(`translate(${x} ${y - 12}) rotate(38)`, () => {
        pen.shape(box(-1.2, -26, 2.4, 22, 1), pen.lit(0.25, 0.02, 50))
        pen.shape('M0 -8C6 -8 6 -1 4.4 1C7.4 4 8 14 0 14C-8 14 -7.4 4 -4.4 1C-6 -1 -6 -8 0 -8Z', varnish)
        pen.line('M0 -24V10', pen.lit(0.9, 0.01, 90), 0.4)
      })
      pen.line(`M${x - 22} ${y - 22}L${x + 14} ${y + 2}`, wood, 1)
      break
    }
  }
}
