import type { EngineProfile } from '../../engine/profile.ts'
import type { Advice, Closeness, Closing, RespectName } from '../shape.ts'
import { WEIGHTS } from './closeness.ts'
import { nearestRatio, ratioOf } from './format.ts'
import { type ClosingKind, kindOf, type Past } from './past.ts'

/** What is as close as this is left alone. */
const CLOSE_ENOUGH = 0.88
/**
 * How often a respect came closer when such a change was made, measured on the simulated engines (bench/closing-in.ts; docs/pictures.md):
 * what is believed before there are tries, worth so many of them. What was tried too seldom to say is believed in the middle.
 */
const BELIEVED: Readonly<Partial<Record<`${RespectName} ${ClosingKind}`, number>>> = { 'medium say': 0.85, 'format setting': 1, 'temperature say': 0.8, 'key say': 0.6, 'things say': 0.6, 'palette say': 0.35, 'palette follow': 0.6, 'layout follow': 0.15, 'layout say': 0.1, 'saturation say': 0.15, 'contrast say': 0.15 }
const MIDDLE = 0.4
/** What is left of a difference after one change for it yields to another only so much. */
const SECOND = 0.5
const WORTH = 2

/** A closing as an engine can take it; undefined where it cannot. */
function takenBy(closing: Closing, profile: Pick<EngineProfile, 'leaveOut' | 'references' | 'sizes' | 'lettering'>, respect: RespectName): Closing | undefined {
  if ('leaveOut' in closing) return profile.leaveOut ? closing : undefined
  if ('follow' in closing) return profile.references?.includes(closing.follow) ? closing : undefined
  if ('setting' in closing) {
    const value = closing.setting === 'aspectRatio' ? nearestRatio(ratioOf(closing.value), profile.sizes.map(({ aspectRatio }) => aspectRatio)) : closing.value
    return value === undefined ? undefined : { ...closing, value }
  }
  return respect === 'lettering' && profile.lettering === 0 ? undefined : closing
}
const keyOf = (closing: Closing) => ('say' in closing ? closing.say : 'leaveOut' in closing ? `-${closing.leaveOut}` : 'setting' in closing ? `${closing.setting}=${closing.value}` : closing.follow).toLowerCase()

/**
 * What to change next, the most promising first: by how much of the whole a difference costs, how often closing it worked before,
 * and what the engine takes. What the draft has already, told by `has`, is not said again; each change is said once.
 */
export function adviceOf(closeness: Closeness, profile: Parameters<typeof takenBy>[1], past: (respect: RespectName, closing: Closing) => Past, has: (closing: Closing) => boolean): Advice[] {
  const ranked = closeness.by
    .filter(({ close }) => close < CLOSE_ENOUGH)
    .flatMap(({ respect, close, closing }) => {
      const again = closing.some(has) ? SECOND : 1
      return closing.flatMap((one) => {
        const taken = takenBy(one, profile, respect)
        if (!taken || has(taken)) return []
        const before = past(respect, taken)
        const rate = (before.closer + WORTH * (BELIEVED[`${respect} ${kindOf(taken)}`] ?? MIDDLE)) / (before.tried + WORTH)
        return [{ advice: { respect, closing: taken, past: before }, gain: (1 - close) * WEIGHTS[respect] * rate * again }]
      })
    })
    .sort((x, y) => y.gain - x.gain)
    .map(({ advice }) => advice)
  return ranked.filter((one, i) => ranked.findIndex((other) => keyOf(other.closing) === keyOf(one.closing)) === i)
}
