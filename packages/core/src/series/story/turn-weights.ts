import type { Turn } from './divide.ts'

/** What each sign of a turn is worth; a scene begins where their sum is above 0. Made by `./idolon train stories`. */
export const WEIGHTS: Turn = {
  paragraph: 1.22,
  line: 0.28,
  inside: -2.43,
  timeFirst: 3.24,
  timeLater: 1.38,
  sameTime: 0.01,
  placeFirst: 2.12,
  reached: 2.1,
  placeLater: 2.2,
  samePlace: 0.5,
  newSubject: -0.06,
  newHead: 0.04,
  allNew: 0.19,
  samePeople: -0.39,
  away: 0.02,
  speech: -1.93,
  back: 0.74,
  short: -3.12,
  carriedOn: -0.76,
  fragment: -0.06,
  together: 0.55,
  ahead: 0.5,
  section: 0.84,
  slug: 0.13,
}
export const BIAS = -1.03
