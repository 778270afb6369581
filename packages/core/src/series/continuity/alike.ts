import { contentOf } from '../content.ts'
import type { SeenSeries } from './seen.ts'
import type { Slip } from './slip.ts'

/** Two characters of a series whose descriptions share so much that a picture will not tell them apart. */
const SHARED = 0.6

export function alike(series: SeenSeries): Slip[] {
  const people = [...series.parts.values()].filter(({ body }) => body.kind === 'character' && body.says.some(({ text }) => text.trim()))
  const told = people.map((part) => ({ part, words: new Set(part.body.says.flatMap(({ text }) => contentOf(text))) }))
  return told.flatMap(({ part, words }, i) =>
    told.slice(i + 1).flatMap((other): Slip[] => {
      const at = series.scenes.findIndex(({ body }) => [part.id, other.part.id].every((id) => body.cast.some((use) => use.part === id)))
      if (at < 0 || !words.size || !other.words.size) return []
      const shared = [...words].filter((word) => other.words.has(word)).length
      const all = new Set([...words, ...other.words]).size
      if (shared / all < SHARED) return []
      return [{ kind: 'alike', scene: at, part: other.part.id, reason: `${part.body.name} and ${other.part.body.name} are described so much alike that a picture will not tell them apart. Give one of them hair, a build or a dress of its own.` }]
    }),
  )
}
