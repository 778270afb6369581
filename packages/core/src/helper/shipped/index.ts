import { anotherLight } from './another-light.ts'
import { anotherMedium } from './another-medium.ts'
import { anotherViewpoint } from './another-viewpoint.ts'
import { askMe } from './ask-me.ts'
import { byFacets } from './by-facets.ts'
import { changeThroughout } from './change-throughout.ts'
import { describePicture } from './describe-picture.ts'
import { explain } from './explain.ts'
import { fillOut } from './fill-out.ts'
import { forThisEngine } from './for-this-engine.ts'
import { inAStyle } from './in-a-style.ts'
import { ideas } from './ideas.ts'
import { leaveOutList } from './leave-out-list.ts'
import { moreLikeThis } from './more-like-this.ts'
import { rephrase } from './rephrase.ts'
import type { ShippedHelper } from './shipped-helper.ts'
import { MOST_SPLIT, splitStory } from './split-story.ts'
import { tighten } from './tighten.ts'

export { MOST_SPLIT }
export type { ShippedHelper }
/** The helpers that ship with Idolon, in the order of the work. */
export const SHIPPED_HELPERS: readonly ShippedHelper[] = [fillOut, inAStyle, askMe, ideas, moreLikeThis, tighten, rephrase, changeThroughout, anotherMedium, anotherLight, anotherViewpoint, forThisEngine, byFacets, leaveOutList, explain, describePicture, splitStory]
