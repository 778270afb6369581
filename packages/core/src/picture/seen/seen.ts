/** Corners as shares of a picture's width and height, from the left and the top: x0, y0, x1, y1. */
export type Box = readonly [x0: number, y0: number, x1: number, y1: number]

/** What a detector takes a place for, the number of the kind in `KINDS`; several may be said of one place. */
export interface Sighting {
  kind: number
  /** 0 to 1. */
  score: number
  box: Box
}
/** A person by the joints that are seen or guessed, in the order of `JOINTS`. */
export interface Pose {
  score: number
  box: Box
  joints: { x: number; y: number; score: number }[]
}
/** A word that a reader of lettering made out. */
export interface WordSeen {
  text: string
  /** 0 to 1. */
  confidence: number
  box: Box
}

/** The joints of a pose, as COCO's keypoints have them (Lin et al. 2014). */
export const JOINTS = ['nose', 'left eye', 'right eye', 'left ear', 'right ear', 'left shoulder', 'right shoulder', 'left elbow', 'right elbow', 'left wrist', 'right wrist', 'left hip', 'right hip', 'left knee', 'right knee', 'left ankle', 'right ankle'] as const

export const areaOf = ([x0, y0, x1, y1]: Box): number => Math.max(0, x1 - x0) * Math.max(0, y1 - y0)

/** What two boxes share, of what they cover together. */
export function overlapOf(a: Box, b: Box): number {
  const both = areaOf([Math.max(a[0], b[0]), Math.max(a[1], b[1]), Math.min(a[2], b[2]), Math.min(a[3], b[3])])
  const all = areaOf(a) + areaOf(b) - both
  return all > 0 ? both / all : 0
}
/** How much of the first box lies in the second. */
export function insideOf(a: Box, b: Box): number {
  const area = areaOf(a)
  return area > 0 ? areaOf([Math.max(a[0], b[0]), Math.max(a[1], b[1]), Math.min(a[2], b[2]), Math.min(a[3], b[3])]) / area : 0
}
