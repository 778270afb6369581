import { completeProfile } from './complete.ts'
import type { EngineProfile } from './profile.ts'

/** Stands for whatever made a picture of which only the picture is known. It is asked for nothing and costs nothing. */
export const ELSEWHERE: EngineProfile = {
  ...completeProfile({ id: 'elsewhere', name: 'Elsewhere', revision: 'not known', reads: 'either', leaveOut: true, settings: [], notes: 'Pictures of which it is not known what made them.' }),
  sizes: [{ aspectRatio: '3:2', width: 768, height: 512, cost: 0 }],
}
