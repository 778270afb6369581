import type { ReferenceWhole } from '@idolon/contract'
import { BLURRED_EDGE, SHARP_EDGE } from '@idolon/core'

type Facts = NonNullable<ReferenceWhole['facts']>
type Reading = NonNullable<ReferenceWhole['reading']>
type Box = readonly number[]

/** What is drawn over a picture to bear a fact out; places are shares of its width and height. */
export type Evidence =
  | { kind: 'boxes'; boxes: { box: Box; name: string }[] }
  | { kind: 'line'; y: number; tilt: number; name: string }
  | { kind: 'point'; x: number; y: number; name: string }
  | { kind: 'cells'; columns: number; sharp: (boolean | undefined)[]; name: string }
  | { kind: 'colours'; hexes: string[]; name: string }
  | { kind: 'tones'; tones: 'dark' | 'light' | 'ends'; name: string }
  | { kind: 'blocks'; tones: number[]; name: string }
  | { kind: 'from'; degrees: number; name: string }
  | { kind: 'thirds'; x: number; y: number; name: string }
  | { kind: 'fold'; name: string }
  | { kind: 'whole'; name: string }

/** Degrees from straight above, clockwise. */
const FROM = { left: -90, 'upper left': -45, above: 0, 'upper right': 45, right: 90 } as const

/** What shows a fact of a reading, by the name of the fact; undefined while it is not read yet. */
export function evidenceOf(fact: string, facts: Facts | null, reading: Reading | null): Evidence | undefined {
  const object = /^object (\d+)$/.exec(fact)
  if (object) {
    const named = reading?.objects[Number(object[1])]?.name
    const boxes = reading?.objects.filter(({ name }) => name === named).map(({ box, name, score }) => ({ box, name: `${name}, ${score.toFixed(2)}` }))
    return boxes?.length ? { kind: 'boxes', boxes } : undefined
  }
  const where = reading?.where ?? facts?.where
  const colour = /^colour (\d+)$/.exec(fact)
  if (colour) {
    const which = Number(colour[1])
    return where && facts?.palette[which] ? { kind: 'cells', columns: where.colours.columns, sharp: where.colours.of.map((one) => one === which), name: `where it is ${facts.palette[which].name}; the rest is dimmed` } : undefined
  }
  switch (fact) {
    case 'shot':
    case 'people':
      return reading ? { kind: 'boxes', boxes: fact === 'people' ? reading.objects.filter(({ name }) => name === 'person').map(({ box }, i) => ({ box, name: `person ${i + 1}` })) : reading.figure ? [{ box: reading.figure, name: 'main figure' }] : [] } : undefined
    case 'side':
      return reading?.figure && reading.side && where?.eye === null ? { kind: 'boxes', boxes: [{ box: reading.figure, name: 'main figure' }] } : where?.eye ? { kind: 'point', ...where.eye, name: 'where the eye goes' } : undefined
    case 'horizon':
      return where?.horizon ? { kind: 'line', ...where.horizon, name: `horizon at ${Math.round(where.horizon.y * 100)} % of the height` } : undefined
    case 'focus':
    case 'busy':
      return where && { kind: 'cells', columns: where.edges.columns, sharp: where.edges.widths.map((width) => (width === null ? undefined : width < SHARP_EDGE ? true : width > BLURRED_EDGE ? false : undefined)), name: fact === 'focus' ? 'sharp edges; what is blurred is dimmed' : 'where there are sharp edges' }
    case 'palette':
    case 'temperature':
    case 'mono':
    case 'saturation':
    case 'cast':
      return facts ? { kind: 'colours', hexes: facts.palette.map(({ hex }) => hex), name: 'its colours, by how much of it they cover' } : undefined
    case 'key':
      return { kind: 'tones', tones: facts?.key === 'high' ? 'light' : 'dark', name: facts?.key === 'high' ? 'light tones; the rest is dimmed' : 'dark tones; the rest is dimmed' }
    case 'contrast':
      return { kind: 'tones', tones: 'ends', name: 'its dark and its light tones; those between are dimmed' }
    case 'lightSide':
      return reading?.lightSide ? { kind: 'from', degrees: FROM[reading.lightSide], name: 'where the light comes from, by which side of things is lighter' } : undefined
    case 'pattern': {
      const step = where?.repeat
      if (!step) return { kind: 'whole', name: 'compared with itself, shifted: nothing repeats at even steps' }
      const [width, height] = [Math.max(Math.abs(step.x), 0.04), Math.max(Math.abs(step.y), 0.04)]
      return { kind: 'boxes', boxes: [0, 1].map((n) => ({ box: [0.4 + n * step.x, 0.4 + n * step.y, 0.4 + n * step.x + width, 0.4 + n * step.y + height], name: n ? 'and again' : 'one' })) }
    }
    case 'space':
      return where?.space ? { kind: 'boxes', boxes: [{ box: where.space, name: 'room for lettering' }] } : undefined
    case 'thirds':
      return where?.eye ? { kind: 'thirds', ...where.eye, name: 'where the eye goes, and the lines at the thirds' } : undefined
    case 'things':
      return reading ? { kind: 'boxes', boxes: reading.objects.map(({ box, name }) => ({ box, name })) } : undefined
    case 'layout':
      return where?.tones.length ? { kind: 'blocks', tones: where.tones, name: 'where light and dark lie' } : undefined
    case 'lightHard':
      return { kind: 'whole', name: 'told from the edges of shadows, over which one surface goes on' }
    case 'grain':
      return { kind: 'whole', name: 'told from its calmest parts' }
    case 'texture':
      return { kind: 'whole', name: 'told from how rough the surface is, place by place' }
    case 'balance':
    case 'symmetric':
      return { kind: 'fold', name: 'the line that its halves are compared across' }
    case 'lettering':
      return reading ? { kind: 'boxes', boxes: reading.lettering.boxes.map((box, i) => ({ box, name: i === 0 ? 'lettering' : '' })) } : undefined
    case 'medium':
      return { kind: 'whole', name: 'told from the whole surface: its edges, grain and strokes' }
    default:
      return undefined
  }
}
