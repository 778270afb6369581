import { type Static, Type } from '@sinclair/typebox'
import { burin1 } from './burin.ts'
import { EngineProfile } from './profile.ts'

/** What must be said of an engine to write for it; the rest is taken to be usual. */
export const PartialProfile = Type.Composite([Type.Partial(EngineProfile), Type.Pick(EngineProfile, ['reads', 'leaveOut'])], { title: 'PartialProfile', additionalProperties: false })
export type PartialProfile = Static<typeof PartialProfile>

/** A profile with what was not said filled in: an engine that takes the usual settings and sizes and carries emphasis by weights. */
export const completeProfile = (given: PartialProfile): EngineProfile => ({
  id: 'given',
  name: 'This engine',
  revision: '1',
  simulated: false,
  emphasis: 'weights',
  settings: burin1.settings,
  sizes: burin1.sizes,
  costUnit: 'credit',
  honoursIdempotencyKey: false,
  notes: '',
  ...given,
})
