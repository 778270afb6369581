import type { Turn } from './divide.ts'

/** What each sign of a turn is worth; a scene begins where their sum is above 0. Made by `./idolon train stories`. */
export const WEIGHTS: Turn = {
  paragraph: 0.99,
  line: 0.28,
  inside: -2.4,
  timeFirst: 3.26,
  timeLater: 1.35,
  sameTime: 0.01,
  placeFirst: 2.1,
  reached: 1.97,
  placeLater: 2.06,
  samePlace: 0.51,
  newSubject: -0.02,
  newHead: 0.04,
  allNew: 0.26,
  samePeople: -0.36,
  away: 0.02,
  speech: -2.04,
  back: 0.74,
  short: -3.16,
  carriedOn: -0.73,
  fragment: -0.06,
  together: 0.58,
  ahead: 0.55,
  section: 0.86,
  slug: 0.11,
}
export const BIAS = -1.03
