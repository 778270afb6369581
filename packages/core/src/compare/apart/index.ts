import { mediumDiffers } from './medium.ts'
import { numberDiffers } from './number.ts'
import { placeReplaced, replaced } from './replaced.ts'
import type { Side } from './said-nouns.ts'

/** What makes two prompts two, however much else they share: another subject, number, place or medium. */
const APART: readonly ((a: Side, b: Side) => boolean)[] = [(a, b) => replaced(a, b, 'subject'), numberDiffers, placeReplaced, mediumDiffers]

export const areApart = (a: Side, b: Side): boolean => APART.some((differs) => differs(a, b))
