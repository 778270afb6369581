import type { Turn } from './divide.ts'

/** What each sign of a turn is worth; a scene begins where their sum is above 0. Made by `./idolon train stories`. */
export const WEIGHTS: Turn = {
  paragraph: 1.22,
  line: 0.28,
  inside: -2.43,
  timeFirst: 3.25,
  timeLater: 1.38,
  sameTime: 0.01,
  placeFirst: 2.11,
  reached: 2.09,
  placeLater: 2.19,
  samePlace: 0.5,
  newSubject: -0.06,
  newHead: 0.05,
  allNew: 0.21,
  samePeople: -0.38,
  away: 0.02,
  speech: -1.93,
  back: 0.74,
  short: -3.13,
  carriedOn: -0.76,
  fragment: -0.06,
  together: 0.55,
  ahead: 0.5,
  section: 0.83,
  slug: 0.13,
}
export const BIAS = -1.04
