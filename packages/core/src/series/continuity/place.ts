import { contradictionIn } from '../said.ts'
import type { SeenSeries } from './seen.ts'
import type { Slip } from './slip.ts'
import { fixed } from './trait.ts'

/** A place described two ways: a scene lacks or contradicts what is always said of it, or two scenes at one place named in words say opposite things of it. */
export function place(series: SeenSeries): Slip[] {
  const byPart = series.scenes.flatMap((scene, at) => (scene.body.place ? fixed(series, scene, at, scene.body.place, 'place') : []))
  const inWords = series.scenes.flatMap((scene, at): Slip[] => {
    if (scene.body.place || !scene.body.where.trim()) return []
    const head = headOf(scene.body.where)
    const first = series.scenes.findIndex((other, i) => i < at && !other.body.place && headOf(other.body.where) === head)
    if (first < 0) return []
    const before = series.scenes[first]!.body.where
    const other = contradictionIn(scene.body.where, before)
    return other ? [{ kind: 'place', scene: at, against: first, words: scene.body.where, reason: `The ${head} is “${before}” in scene ${first + 1} and “${scene.body.where}” here.`, fix: { label: `Say “${before}”`, body: { ...scene.body, where: before } } }] : []
  })
  return [...byPart, ...inWords]
}
const headOf = (where: string): string => where.toLowerCase().split(/,|\s(?:with|of|in|on|at|above|below|under|by|full|near)\s/)[0]!.trim().split(/\s+/).at(-1) ?? ''
