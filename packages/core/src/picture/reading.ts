import { mediumOf, type MediumTable, nearOrFar } from './medium/medium.ts'
import { mediumConfidence } from './say/confidence.ts'
import { phrasesOf } from './say/phrases.ts'
import { letteringOf } from './seen/lettering.ts'
import { peopleOf } from './seen/people.ts'
import { areaOf, type Box, type Pose, type Sighting, type WordSeen } from './seen/seen.ts'
import { shotOf } from './seen/shot.ts'
import { type Thing, thingsOf } from './seen/things.ts'
import type { Facts, PictureReading } from './shape.ts'

/** What the networks made of a picture. */
export interface Seen {
  sightings: readonly Sighting[]
  style: readonly number[]
  poses: readonly Pose[]
  words: readonly WordSeen[]
}

/** A figure as sure as this draws the eye more than any contrast does. */
const DRAWS_THE_EYE = 0.45
/** Of things the detector must be surer, before where one stands is where the eye goes. */
const STANDS = 0.6

/** Light that falls on bodies, and what lies over a surface, are told of photographs and paintings: in what is drawn or laid out flat, tones mean something else. */
const NO_SURFACE = { lightSide: null, lightHard: null, cast: null } as const

/** The detector was trained on photographs; of what is drawn it must be surer. */
const SURE_OF_DRAWN = 0.45

/** Where a figure stands; one that fills most of the width stands nowhere in particular, and its face draws the eye. */
function sideOf(figure: Box | null): Facts['side'] {
  if (!figure || areaOf(figure) < 0.02 || figure[2] - figure[0] > 0.6) return null
  const middle = (figure[0] + figure[2]) / 2
  if (middle < 0.36) return 'left'
  if (middle > 0.64) return 'right'
  return middle > 0.4 && middle < 0.6 ? 'centre' : null
}

const largest = (things: readonly Thing[]): Box | null => [...things].sort((x, y) => areaOf(y.box) - areaOf(x.box))[0]?.box ?? null

/** Measures and what the networks saw, held against each other; `aspect` is width by height. */
export function readingOf(facts: Facts, seen: Seen, table: MediumTable, aspect: number): PictureReading {
  const kind = mediumOf(seen.style, table)
  const medium = kind?.medium ?? null
  const all = thingsOf(seen.sightings)
  const things = medium === null || medium === 'photo' ? all : all.filter(({ name, score }) => name === 'person' || score >= SURE_OF_DRAWN)
  const who = peopleOf(things.filter(({ name }) => name === 'person'), seen.poses)
  // What was taken for a person and is none is no thing either.
  const objects = [...who.all.map(({ box, score }): Thing => ({ name: 'person', broader: 'person', score: Math.round(score * 100) / 100, box })), ...things.filter(({ name }) => name !== 'person')].sort((x, y) => y.score - x.score)
  const figure = largest(objects.filter(({ score }) => score >= DRAWS_THE_EYE))
  const stands = largest(objects.filter(({ name, score }) => score >= (name === 'person' ? DRAWS_THE_EYE : STANDS)))
  const lettering = letteringOf(seen.words)
  const nobody = who.all.length === 0 && !who.unsure
  const reading = {
    ...facts,
    aspect: Math.round(aspect * 1000) / 1000,
    medium,
    // Depth of field is a lens's; a print that is sharp all over is not deep.
    focus: medium === 'photo' ? facts.focus : null,
    ...(medium === 'photo' || medium === 'painting' ? {} : NO_SURFACE),
    // A brush leaves what is measured as grain.
    grain: medium === 'photo' ? facts.grain : null,
    // Lines of text come again and again, and are no pattern.
    pattern: lettering.present && facts.pattern ? null : facts.pattern,
    side: sideOf(stands) ?? facts.side,
    shot: shotOf(who, objects, aspect, facts.horizon !== null) ?? (nobody && (medium === 'photo' || medium === 'painting') ? (nearOrFar(seen.style, table) ?? null) : null),
    people: who.all.length === 0 && who.unsure ? null : who.all.length,
    objects: objects.map((thing) => ({ ...thing, box: [...thing.box] })),
    lettering,
    figure: figure && [...figure],
  }
  return { ...reading, phrases: phrasesOf(reading, kind && mediumConfidence(kind.sure)) }
}
