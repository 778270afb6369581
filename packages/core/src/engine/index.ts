import { brayer1, brayer2 } from './brayer.ts'
import { burin1, burin2 } from './burin.ts'
import type { EngineProfile } from './profile.ts'
import { tympan1, tympan2 } from './tympan.ts'

/** The profiles that ship with Idolon, oldest revision first. */
export const SHIPPED_ENGINES: readonly EngineProfile[] = [burin1, burin2, brayer1, brayer2, tympan1, tympan2]

/** The profile of an engine, of the newest revision when none is named. */
export const findEngine = (
  engines: readonly EngineProfile[],
  id: string,
  revision?: string,
): EngineProfile | undefined => engines.findLast((e) => e.id === id && (revision === undefined || e.revision === revision))
