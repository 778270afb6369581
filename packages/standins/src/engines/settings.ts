import { hashText, seededRandom, SHIPPED_ENGINES } from '@idolon/core'
import type { Extra, Scene } from '../scene/scene.ts'

/** What a request's settings come to; every share from 0 to 1. */
export interface Settings {
  /** How literally the text is followed. */
  guidance: number
  /** How far the picture is worked out. */
  finish: number
  spread: number
  /** How many things the engine may add by itself. */
  additions: number
}

const SPREADS: Readonly<Record<string, number>> = { close: 0, apart: 0.45, wide: 1 }
const LATITUDES: Readonly<Record<string, number>> = { none: 0, some: 1, free: 3 }

/** Reads the settings of an engine; what is absent stands at the profile's own default. @throws {RangeError} with a sentence that names the setting and its range. */
export function readSettings(engine: string, revision: string, given: Readonly<Record<string, number | string>>): Settings {
  const profile = SHIPPED_ENGINES.find((one) => one.id === engine && one.revision === revision)
  const known = profile?.settings ?? []
  const share = (key: string, otherwise: number): number => {
    const setting = known.find((one) => one.key === key)
    if (setting?.kind !== 'number') return otherwise
    const value = given[key] ?? setting.default
    if (typeof value !== 'number' || value < setting.min || value > setting.max) throw new RangeError(`settings/${key} must be a number from ${setting.min} to ${setting.max}; this is ${String(value)}.`)
    return (value - setting.min) / (setting.max - setting.min)
  }
  const choice = (key: string, table: Readonly<Record<string, number>>, otherwise: number): number => {
    const setting = known.find((one) => one.key === key)
    if (setting?.kind !== 'choice') return otherwise
    const value = given[key] ?? setting.default
    if (!setting.values.includes(String(value))) throw new RangeError(`settings/${key} must be one of ${setting.values.join(', ')}; this is ${String(value)}.`)
    return table[String(value)] ?? otherwise
  }
  return { guidance: share('guidance', 0.5), finish: share('steps', 0.5), spread: choice('spread', SPREADS, 0.45), additions: choice('latitude', LATITUDES, 0) }
}

const ADDITIONS: readonly Extra[] = ['birds', 'flowers', 'trees', 'clouds', 'path', 'rocks', 'fence', 'houses']

/** The scene as an engine makes it that follows the text so closely and adds so much. */
export function underSettings(scene: Scene, { guidance, additions }: Settings, seed: number): Scene {
  const next = structuredClone(scene)
  next.paletteShare = scene.paletteShare >= 1 ? 1 : Math.min(0.95, scene.paletteShare * (0.45 + 1.1 * guidance))
  // Followed loosely, what is secondary may be forgotten.
  const loose = Math.max(0, 0.35 - guidance) * 2
  const random = seededRandom((hashText('loose') ^ Math.imul(seed + 1, 0x85ebca6b)) >>> 0)
  next.others = next.others.filter(() => random() >= loose)
  next.extras = next.extras.filter(() => random() >= loose)
  const added = seededRandom((hashText('latitude') ^ Math.imul(seed + 1, 0xc2b2ae35)) >>> 0)
  for (let i = 0; i < additions; i++) {
    const extra = ADDITIONS[Math.floor(added() * ADDITIONS.length)]!
    if (!next.extras.includes(extra) && !next.without.includes(extra)) next.extras.push(extra)
  }
  return next
}
