import type { Facet } from '../../facet.ts'
import type { SaidWord } from '../alignment.ts'
import { nounsIn, placesInside, type Side } from './said-nouns.ts'

/** Whether the other text has nothing of a word: not it, nor a kind of it said with the same words beside it. */
const isAlone = ({ words }: Side, noun: SaidWord): boolean => !noun.match && (!noun.close || words.some(({ phrase, match, close }) => phrase === noun.phrase && !match && !close))

/**
 * Whether what the texts are about in a facet was put in the place of something else: each has a noun there that the other has nothing of.
 * One that only one text has is an addition, and replaces nothing.
 */
export const replaced = (a: Side, b: Side, facet: Facet): boolean => [a, b].every((side) => nounsIn(side, facet).some((noun) => isAlone(side, noun)))

/** As `replaced`, of the place; one of the two may have been read as part of what stands there. */
export function placeReplaced(a: Side, b: Side): boolean {
  const [own, theirs] = [a, b].map((side) => ({ said: nounsIn(side, 'setting').some((noun) => isAlone(side, noun)), inside: placesInside(side).some((noun) => isAlone(side, noun)) }))
  return (own!.said && (theirs!.said || theirs!.inside)) || (own!.inside && theirs!.said)
}
