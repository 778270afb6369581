import type { Turn } from './divide.ts'

/** What each sign of a turn is worth; a scene begins where their sum is above 0. Made by `./idolon train stories`. */
export const WEIGHTS: Turn = {
  paragraph: 0.85,
  line: 0.12,
  inside: -1.68,
  timeFirst: 3.27,
  timeLater: 1.27,
  sameTime: 0,
  placeFirst: 2.23,
  reached: 1.77,
  placeLater: 1.72,
  samePlace: 0.27,
  newSubject: 0.24,
  newHead: -0.08,
  allNew: 0.27,
  samePeople: -0.37,
  away: 0.01,
  speech: -1.25,
  back: 0.62,
  short: -3.07,
  carriedOn: -0.69,
  fragment: 0.12,
  together: 0.57,
}
export const BIAS = -1.01
