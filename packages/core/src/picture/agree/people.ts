import { type Judge, verdict } from './verdict.ts'

const NUMBERS: Readonly<Record<string, number>> = { a: 1, an: 1, one: 1, lone: 1, single: 1, solitary: 1, two: 2, couple: 2, pair: 2, three: 3, four: 4, five: 5, six: 6 }
const PERSON = '(?:man|woman|boy|girl|person|figure|child|fisherman|farmer|rider|walker|beekeeper|portrait)'
const PEOPLE = '(?:men|women|boys|girls|people|persons|figures|children|fishermen|farmers|riders|walkers)'
const ONE = new RegExp(`\\b(a|an|one|lone|single|solitary)(?: [\\w-]+){0,3}? ${PERSON}\\b`, 'i')
const SEVERAL = new RegExp(`\\b(two|three|four|five|six|couple|pair)(?: of)?(?: [\\w-]+){0,2}? ${PEOPLE}\\b`, 'i')
const NONE = /\b(?:no|without) (?:people|figures|one)\b|\bdeserted\b|\bunpeopled\b/i
const MANY = /\bcrowds?\b|\bcrowded with people\b|\bthrong\b/i
const A_CROWD = 5

/** How many people there are. */
export const peopleJudge: Judge = ({ text }, { people }) => {
  if (people === null) return undefined
  const found = people === 0 ? 'nobody was found in it' : people === 1 ? 'one person was found in it' : `${people} people were found in it`
  if (NONE.test(text)) return verdict('people', people === 0, found)
  if (MANY.test(text)) return people >= A_CROWD ? verdict('people', true, found) : people === 0 ? verdict('people', false, found) : undefined
  const several = SEVERAL.exec(text)?.[1]?.toLowerCase()
  const said = several ? NUMBERS[several] : ONE.test(text) ? 1 : undefined
  return said === undefined ? undefined : verdict('people', people === said, found)
}
