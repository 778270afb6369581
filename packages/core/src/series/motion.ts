import type { CameraMove } from './scene.ts'

/** Where the picture stands in its frame: moved by shares of the frame, scaled, turned by degrees. */
export interface Stand {
  x: number
  y: number
  scale: number
  turn: number
}

const at = (x: number, y: number, scale: number, turn = 0): Stand => ({ x, y, scale, turn })

/** Each camera move as where the picture stands at its beginning and at its end; the frame is always filled. */
export const MOVES: Readonly<Record<CameraMove, readonly [from: Stand, to: Stand]>> = {
  still: [at(0, 0, 1), at(0, 0, 1)],
  'push in': [at(0, 0, 1), at(0, 0, 1.22)],
  'pull back': [at(0, 0, 1.22), at(0, 0, 1)],
  'pan left': [at(-0.07, 0, 1.16), at(0.07, 0, 1.16)],
  'pan right': [at(0.07, 0, 1.16), at(-0.07, 0, 1.16)],
  'tilt up': [at(0, -0.07, 1.16), at(0, 0.07, 1.16)],
  'tilt down': [at(0, 0.07, 1.16), at(0, -0.07, 1.16)],
  follow: [at(0.05, 0, 1.14), at(-0.05, 0.01, 1.2)],
  circle: [at(0.03, 0, 1.2, -1.6), at(-0.03, 0, 1.2, 1.6)],
}

/** A stand as a CSS transform. */
export const transformOf = ({ x, y, scale, turn }: Stand): string => `translate(${(x * 100).toFixed(2)}%, ${(y * 100).toFixed(2)}%) scale(${scale}) rotate(${turn}deg)`

/** A scene as it is played. */
export interface PlayedScene {
  seconds: number
}

/** Which scene is played at a moment of the whole, and how far in it, in seconds; past the end, the last at its end. */
export function sceneAt(scenes: readonly PlayedScene[], seconds: number): { scene: number; into: number } {
  let left = Math.max(0, seconds)
  for (const [scene, { seconds: own }] of scenes.entries()) {
    if (left < own) return { scene, into: left }
    left -= own
  }
  const last = scenes.length - 1
  return { scene: Math.max(0, last), into: scenes[last]?.seconds ?? 0 }
}
/** When each scene begins, in seconds, and at the end of the list how long the whole is. */
export const beginnings = (scenes: readonly PlayedScene[]): number[] => scenes.reduce((all, { seconds }) => [...all, all.at(-1)! + seconds], [0])
