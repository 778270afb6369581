import { brayer1 } from './brayer.ts'
import { burin1 } from './burin.ts'
import type { EngineProfile } from './profile.ts'
import { tympan1 } from './tympan.ts'

/** The profiles that ship with Idolon, oldest revision first. */
export const SHIPPED_ENGINES: readonly EngineProfile[] = [burin1, brayer1, tympan1]

/** The profile of an engine, of the newest revision when none is named. */
export const findEngine = (
  engines: readonly EngineProfile[],
  id: string,
  revision?: string,
): EngineProfile | undefined => engines.findLast((e) => e.id === id && (revision === undefined || e.revision === revision))
