import type { ModelProfile } from './profile.ts'

/** Quoin: the simulated model that is terse and does as it is told. */
const quoin: ModelProfile = {
  id: 'quoin',
  name: 'Quoin',
  simulated: true,
  model: 'quoin-1',
  sees: true,
  costUnit: 'token',
  cost: { request: 0, thousandIn: 1_000, thousandOut: 1_000 },
  temperature: { least: 0, most: 1 },
  mostOut: 2_000,
  notes: 'Terse and obedient. Says what was asked for in few words, and leaves out what nobody asked for.',
}

/** Flourish: the simulated model that is florid and goes its own way. */
const flourish: ModelProfile = {
  ...quoin,
  id: 'flourish',
  name: 'Flourish',
  model: 'flourish-1',
  cost: { request: 0, thousandIn: 2_000, thousandOut: 3_000 },
  notes: 'Florid and wayward. Writes long, likes praise and lead-ins, and forgets what it was told unless it is told plainly.',
}

/** The models that ship with Idolon. */
export const SHIPPED_MODELS: readonly ModelProfile[] = [quoin, flourish]
