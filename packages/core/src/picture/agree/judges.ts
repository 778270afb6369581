import { colourJudge } from './colour.ts'
import { contrastJudge } from './contrast.ts'
import { focusJudge } from './focus.ts'
import { horizonJudge } from './horizon.ts'
import { hourJudge } from './hour.ts'
import { huesJudge } from './hues.ts'
import { keyJudge } from './key.ts'
import { layoutJudge } from './layout.ts'
import { letteringJudge } from './lettering.ts'
import { lightSideJudge } from './light-side.ts'
import { mediumJudge } from './medium.ts'
import { peopleJudge } from './people.ts'
import { shadowsJudge } from './shadows.ts'
import { shotJudge } from './shot.ts'
import { surfaceJudge } from './surface.ts'
import { thingsJudge } from './things.ts'
import type { Claim, Judge, Verdict } from './verdict.ts'
import type { PictureReading } from '../shape.ts'

const JUDGES: readonly Judge[] = [hourJudge, lightSideJudge, keyJudge, shadowsJudge, contrastJudge, huesJudge, colourJudge, mediumJudge, shotJudge, focusJudge, layoutJudge, horizonJudge, peopleJudge, thingsJudge, letteringJudge, surfaceJudge]

/** All that measures say of a claim. What contradicts it comes first. */
export const verdictsOn = (claim: Claim, reading: PictureReading): Verdict[] => JUDGES.flatMap((judge) => judge(claim, reading) ?? []).sort((x, y) => Number(x.holds) - Number(y.holds))
