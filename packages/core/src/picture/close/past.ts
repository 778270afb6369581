import type { ReferenceRole } from '../../draft/shape.ts'
import { hasClosing } from './closing.ts'
import type { Closeness, Closing, RespectName } from '../shape.ts'

/** A try as far as it shows what a change did. */
export interface PastTry {
  promptId: string
  engine: string
  version: number
  text: string
  leaveOut: string[]
  /** The pictures the engine was given, by role. */
  references: readonly { role: ReferenceRole }[]
  reference: string
  by: Closeness['by']
}
export interface Past {
  tried: number
  /** How often the respect came closer by more than chance moves it. */
  closer: number
}
const MOVED = 0.03

/** A change is of a kind: words for one palette tell of words for another. */
export type ClosingKind = 'say' | 'leaveOut' | 'setting' | 'follow'
export const kindOf = (closing: Closing): ClosingKind => ('say' in closing ? 'say' : 'leaveOut' in closing ? 'leaveOut' : 'setting' in closing ? 'setting' : 'follow')

/**
 * What earlier tries say of a kind of change in a respect: of the changes from one tried version to the next, with the same engine
 * and towards the same reference, that brought in what was to close it, how many came closer.
 */
export function pastOf(tries: readonly PastTry[]): (respect: RespectName, closing: Closing) => Past {
  const groups = new Map<string, PastTry[]>()
  for (const one of tries) {
    const key = `${one.reference} ${one.promptId} ${one.engine}`
    groups.set(key, [...(groups.get(key) ?? []), one])
  }
  const close = (all: readonly PastTry[], respect: RespectName) => {
    const found = all.flatMap(({ by }) => by.find((row) => row.respect === respect)?.close ?? [])
    return found.length ? found.reduce((sum, value) => sum + value, 0) / found.length : undefined
  }
  const past = new Map<string, Past>()
  for (const group of groups.values()) {
    const versions = [...new Set(group.map(({ version }) => version))].sort((x, y) => x - y).map((version) => group.filter((one) => one.version === version))
    for (const [i, after] of versions.entries()) {
      const before = versions[i - 1]
      if (!before) continue
      for (const { respect, closing } of before[0]!.by) {
        const brought = new Set(closing.filter((one) => !hasClosing(before[0]!, one) && hasClosing(after[0]!, one)).map(kindOf))
        const [was, is] = [close(before, respect), close(after, respect)]
        if (was === undefined || is === undefined) continue
        for (const kind of brought) {
          const key = `${respect} ${kind}`
          const known = past.get(key) ?? { tried: 0, closer: 0 }
          past.set(key, { tried: known.tried + 1, closer: known.closer + (is > was + MOVED ? 1 : 0) })
        }
      }
    }
  }
  return (respect, closing) => past.get(`${respect} ${kindOf(closing)}`) ?? { tried: 0, closer: 0 }
}
