import type { Respect } from './closeness.ts'

/** One so many times as wide for its height is another format. */
const APART = Math.log(2.2)
const SAME = Math.log(1.06)
const RATIOS = ['1:1', '5:4', '4:3', '3:2', '16:10', '16:9', '2:1', '4:5', '3:4', '2:3', '10:16', '9:16', '1:2'] as const
/** Width by height of a ratio as engines name it, “3:2”. */
export const ratioOf = (name: string) => {
  const [width = 1, height = 1] = name.split(':').map(Number)
  return width / height
}
const off = (aspect: number, name: string) => Math.abs(Math.log(aspect / ratioOf(name)))

/** The aspect ratio of a list that is nearest to a width by height; undefined of none. */
export const nearestRatio = (aspect: number, names: readonly string[]): string | undefined => names.reduce<string | undefined>((best, name) => (best === undefined || off(aspect, name) < off(aspect, best) ? name : best), undefined)

/** How wide it is for its height. */
export const formatCloseness: Respect = (reference, proof) => {
  const apart = Math.log(proof.aspect / reference.aspect)
  if (Math.abs(apart) < SAME) return { close: 1, says: 'the same format', closing: [] }
  return { close: 1 - Math.abs(apart) / APART, says: apart > 0 ? 'wider for its height' : 'narrower for its height', closing: [{ setting: 'aspectRatio', value: nearestRatio(reference.aspect, RATIOS)! }] }
}
