import type { Turn } from './divide.ts'

/** What each sign of a turn is worth; a scene begins where their sum is above 0. Made by `./idolon train stories`. */
export const WEIGHTS: Turn = {
  paragraph: 0.9,
  line: 0.25,
  inside: -2.39,
  timeFirst: 3.24,
  timeLater: 1.33,
  sameTime: 0.01,
  placeFirst: 2.1,
  reached: 1.84,
  placeLater: 2.02,
  samePlace: 0.43,
  newSubject: -0.03,
  newHead: 0.07,
  allNew: 0.3,
  samePeople: -0.34,
  away: 0.02,
  speech: -1.94,
  back: 0.64,
  short: -3.13,
  carriedOn: -0.69,
  fragment: -0.06,
  together: 0.6,
  ahead: 0.54,
  section: 0.97,
  slug: 0.12,
}
export const BIAS = -1.03
