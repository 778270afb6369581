import { areaOf, type Box, insideOf, overlapOf, type Pose } from './seen.ts'
import type { Thing } from './things.ts'

export interface Person {
  box: Box
  score: number
  pose: Pose | undefined
}
export interface People {
  /** Most of the picture first. */
  all: Person[]
  /** Whether more may be there than were made out. */
  unsure: boolean
}

/** One of the two that find people is believed alone from here on, and by the other's word from there. */
const ALONE = 0.42
/** A small figure, in share of the picture, is taken for one too easily: a tree, a sign. */
const SMALL = 0.04
const SMALL_ALONE = 0.6
const POSE_ALONE = 0.38
const TOGETHER = 0.25
/** A pose whose joints are guessed for the most part is none. */
const SEEN_JOINT = 0.35
const FEWEST_JOINTS = 4

const same = (a: Box, b: Box) => overlapOf(a, b) > 0.35 || insideOf(a, b) > 0.75 || insideOf(b, a) > 0.75
export const jointsSeen = ({ joints }: Pose): number => joints.filter(({ score }) => score > SEEN_JOINT).length

/** Who is in a picture: what the detector takes for a person and what has the joints of one, held against each other. */
export function peopleOf(persons: readonly Thing[], poses: readonly Pose[]): People {
  const left = poses.filter((pose) => jointsSeen(pose) >= FEWEST_JOINTS)
  const all: Person[] = []
  let unsure = false
  for (const { box, score } of persons) {
    const at = left.findIndex((pose) => same(pose.box, box))
    const pose = at >= 0 ? left.splice(at, 1)[0] : undefined
    if (score >= (areaOf(box) < SMALL ? SMALL_ALONE : ALONE) || (pose && pose.score >= TOGETHER)) all.push({ box, score: Math.max(score, pose?.score ?? 0), pose })
    else unsure = true
  }
  for (const pose of left) {
    if (all.some(({ box }) => same(box, pose.box))) continue
    if (pose.score >= POSE_ALONE) all.push({ box: pose.box, score: pose.score, pose })
    else if (pose.score >= TOGETHER) unsure = true
  }
  return { all: all.sort((x, y) => areaOf(y.box) - areaOf(x.box)), unsure }
}
