import { countOf, type Draft, draftFor, type EngineChoice, type EngineProfile, MAX_SEED, type Output, outputFor, type ReadDraft, type Settings, type SettingValue, sizeFor } from '@idolon/core'
import { ProblemError } from '../http/problem.ts'

/** So many seeds there are; after the largest comes 0. Each stays exact in JSON and in every engine’s 31-bit field. */
export const SEEDS = MAX_SEED + 1
/** Most pictures of one run. */
const MOST = 200

/** One setting at several values, everything else alike. */
export interface Sweep {
  key: string
  values: SettingValue[]
}
/** One proof that is to be asked for. */
export interface PlannedProof {
  profile: EngineProfile
  output: Output
  place: number
  seed: number
  cost: number
}

/**
 * The proofs of a run: of each engine as many as its own settings say, at each value of a sweep. The seeds of all engines
 * and of all values begin with the same one, so that what differs is what was meant to.
 */
export function planRun(draft: Draft, engines: readonly { choice: EngineChoice; profile: EngineProfile }[], read: ReadDraft, seed: number, sweep: Sweep | undefined): PlannedProof[] {
  for (const { profile } of sweep ? engines : []) {
    const ratios = profile.sizes.map(({ aspectRatio }) => aspectRatio)
    const setting = sweep!.key === 'aspectRatio' ? { label: 'The aspect ratio', kind: 'choice' as const, values: ratios } : profile.settings.find(({ key }) => key === sweep!.key)
    if (!setting) throw new ProblemError('nothing-to-try', `${profile.name} has no setting “${sweep!.key}” to go through. Choose another setting, or leave that engine out; nothing was spent.`)
    const outside = sweep!.values.find((value) => (setting.kind === 'choice' ? !(setting.values as readonly string[]).includes(String(value)) : typeof value !== 'number' || value < setting.min || value > setting.max))
    if (outside !== undefined) throw new ProblemError('nothing-to-try', `${setting.label} of ${profile.name} cannot be ${String(outside)}${setting.kind === 'number' ? `; it goes from ${setting.min} to ${setting.max}` : `; it is one of ${setting.values.join(', ')}`}. Nothing was spent.`)
  }
  const plan = engines.flatMap(({ choice, profile }) => {
    const steps: Settings[] = sweep ? sweep.values.map((value) => ({ [sweep.key]: value })) : [{}]
    return steps.flatMap((step, s) => {
      const tried = draftFor(draft, choice)
      const own: Draft = { ...tried, settings: { ...tried.settings, ...step } }
      const output = outputFor(own, profile, read)
      const count = countOf(own.settings)
      return Array.from({ length: count }, (_, i) => ({ profile, output, place: s * count + i, seed: (seed + i) % SEEDS, cost: sizeFor(profile, own.settings).cost }))
    })
  })
  if (plan.length > MOST) throw new ProblemError('nothing-to-try', `That would be ${plan.length} pictures; a run makes at most ${MOST}. Ask for fewer results or fewer steps; nothing was spent.`)
  return plan
}
