import { type EngineChoice, type EngineProfile, type Facet, type Factor, freeName, type SettingValue, sizeFor, sumByUnit, takenApart, type TrialBody, type Way } from '@idolon/core'

/** A stretch of the draft whose words vary: what stands there is the first option. */
export interface VariedWords {
  kind: 'words'
  start: number
  end: number
  facet: Facet
  name: string
  options: string[]
}
export type Varied = VariedWords | { kind: 'engine'; options: EngineChoice[] } | { kind: 'setting'; key: string; options: SettingValue[] }
/** Two options that are never tried together, by the places of what varies. */
export interface Never {
  a: [varied: number, option: number]
  b: [varied: number, option: number]
}
export interface TrialSetup {
  varied: Varied[]
  way: Way
  never: Never[]
  count: number
}

export const nameOf = (one: Varied): string => (one.kind === 'words' ? one.name : one.kind === 'engine' ? 'engine' : one.key)

/** A name for words that vary which nothing else has. */
export const freeNameFor = (facet: string, varied: readonly Varied[]): string => freeName(facet, varied.map((one) => ({ name: nameOf(one) })))

/** The plan as it is sent: the text with a slot for each stretch of words that varies. */
export function planOf(name: string, text: string, { varied, way, never, count }: TrialSetup, seed: number | undefined): TrialBody {
  const words = varied.filter((one) => one.kind === 'words')
  const { text: frame, slots, values } = takenApart(text, words.map(({ start, end, facet, name: slot }) => ({ start, end, facet, name: slot })))
  const own = new Set(words.map(({ name: slot }) => slot))
  return {
    name: name.slice(0, 120) || 'Trial plan',
    frame,
    slots: slots.map((slot) => ({ ...slot, options: [] })),
    // What looks like a slot in the text stands for itself.
    values: Object.fromEntries(Object.entries(values).filter(([slot]) => !own.has(slot))),
    factors: varied.map((one): Factor => (one.kind === 'words' ? { kind: 'words', slot: one.name, options: one.options } : one)),
    way,
    skip: never.map(({ a, b }) => [a, b].map(([factor, option]) => ({ factor, option }))),
    count,
    ...(seed === undefined ? {} : { seed }),
  }
}

/** What varies without one of its things; rules that named it go, the others keep to what they named. */
export function withoutVaried(setup: TrialSetup, place: number): TrialSetup {
  const moved = ([varied, option]: [number, number]): [number, number] => [varied > place ? varied - 1 : varied, option]
  return { ...setup, varied: setup.varied.filter((_, i) => i !== place), never: setup.never.filter(({ a, b }) => a[0] !== place && b[0] !== place).map(({ a, b }) => ({ a: moved(a), b: moved(b) })) }
}

/** Other options for one of its things; rules that named one which is gone go, the others follow their option. */
export function withOptions(setup: TrialSetup, place: number, options: readonly (string | number | EngineChoice)[]): TrialSetup {
  const key = (value: unknown) => JSON.stringify(value)
  const before = setup.varied[place]!.options.map(key)
  const after = options.map(key)
  const follow = ([varied, option]: [number, number]): [number, number] => (varied === place ? [varied, after.indexOf(before[option]!)] : [varied, option])
  return {
    ...setup,
    varied: setup.varied.with(place, { ...setup.varied[place]!, options } as Varied),
    never: setup.never.map(({ a, b }) => ({ a: follow(a), b: follow(b) })).filter(({ a, b }) => a[1] >= 0 && b[1] >= 0),
  }
}

/** Pictures of a plan by engine, what they cost, and about how long they take (ms) from what each engine took before. */
export function priceOf(rows: readonly (readonly number[])[], body: TrialBody, draft: { engines: readonly EngineChoice[]; settings: Record<string, SettingValue> }, find: (choice: EngineChoice) => EngineProfile | undefined, took: (profile: EngineProfile) => { ms: number; atOnce: number }) {
  const counts = new Map<EngineProfile, number>()
  const costs: { unit: string; amount: number }[] = []
  for (const row of rows) {
    const settings: Record<string, SettingValue> = { ...draft.settings }
    let engines = draft.engines
    body.factors.forEach((factor, f) => {
      const option = factor.options[row[f]!]
      if (factor.kind === 'engine') engines = [option as EngineChoice]
      else if (factor.kind === 'setting') settings[factor.key] = option as SettingValue
    })
    for (const choice of engines) {
      const profile = find(choice)
      if (!profile) continue
      counts.set(profile, (counts.get(profile) ?? 0) + body.count)
      costs.push({ unit: profile.costUnit, amount: body.count * sizeFor(profile, { ...settings, ...choice.settings }).cost })
    }
  }
  // Engines work beside each other; the slowest is waited for.
  const ms = Math.max(0, ...[...counts].map(([profile, count]) => (count * took(profile).ms) / took(profile).atOnce))
  return { pictures: [...counts.values()].reduce((sum, count) => sum + count, 0), cost: sumByUnit(costs), ms }
}
