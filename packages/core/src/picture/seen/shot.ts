import type { People, Person } from './people.ts'
import { areaOf, type Pose } from './seen.ts'
import type { Thing } from './things.ts'
import type { Shot } from '../shape.ts'

const SEEN = 0.35
const NOSE = 0
const EARS = [3, 4] as const
const SHOULDERS = [5, 6] as const
const HIPS = [11, 12] as const
/** A standing figure is so many times as tall as what is seen of it: the trunk, the width of the shoulders, from ear to ear (Drillis & Contini 1966). */
const TRUNK = 3.5
const SHOULDER_WIDTH = 4
const EAR_TO_EAR = 11

/** How tall a figure stands, or would if all of it were in the picture, as a share of the picture's height; `aspect` is width by height. */
function statureOf({ joints }: Pose, aspect: number): number | undefined {
  const pair = ([left, right]: readonly [number, number]) => {
    const [a, b] = [joints[left]!, joints[right]!]
    return a.score > SEEN && b.score > SEEN ? { x: ((a.x + b.x) / 2) * aspect, y: (a.y + b.y) / 2, apart: Math.hypot((a.x - b.x) * aspect, a.y - b.y) } : undefined
  }
  const [shoulders, hips, ears] = [pair(SHOULDERS), pair(HIPS), pair(EARS)]
  const guesses = [
    ...(shoulders && hips ? [TRUNK * Math.hypot(shoulders.x - hips.x, shoulders.y - hips.y)] : []),
    ...(shoulders ? [SHOULDER_WIDTH * shoulders.apart] : []),
    ...(ears ? [EAR_TO_EAR * ears.apart] : []),
  ]
  // Turned to the side, shoulders and ears come together: the largest is the least wrong.
  return guesses.length ? Math.max(...guesses) : undefined
}

function byStature(share: number): Shot | undefined {
  if (share > 2.9) return 'close-up'
  if (share > 1.35 && share < 2.6) return 'medium'
  if (share > 0.55 && share < 1.2) return 'full'
  return share < 0.45 ? 'wide' : undefined
}

function ofPerson({ box, pose }: Person, aspect: number): Shot | undefined {
  const stature = pose && statureOf(pose, aspect)
  if (stature !== undefined) return byStature(Math.max(stature, box[3] - box[1]))
  // Without joints, a figure that the lower edge does not cut is all there.
  const height = box[3] - box[1]
  if (box[3] < 0.97) return byStature(height)
  return pose && pose.joints[NOSE]!.score > SEEN && height > 0.85 ? 'medium' : undefined
}

/** A thing less sure than this is no figure to go by. */
const SURE = 0.45

/**
 * How near the main figure is seen: a person, or else a thing or an animal that the detector is sure of. A wide view is also one
 * under a horizon in which nothing stands out. Undefined where it is not settled.
 */
export function shotOf(people: People, things: readonly Thing[], aspect: number, underHorizon: boolean): Shot | undefined {
  const [person] = people.all
  const main = things.filter(({ score, name }) => score > SURE && name !== 'person').sort((x, y) => areaOf(y.box) - areaOf(x.box))[0]
  if (person && (!main || areaOf(person.box) > 0.4 * areaOf(main.box))) return ofPerson(person, aspect)
  if (people.unsure) return undefined
  if (!main) return underHorizon && things.every(({ box }) => areaOf(box) < 0.05) ? 'wide' : undefined
  const area = areaOf(main.box)
  return area > 0.55 ? 'close-up' : area < 0.02 && underHorizon ? 'wide' : undefined
}
