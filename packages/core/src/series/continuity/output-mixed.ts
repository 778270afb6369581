import type { SeenScene, SeenSeries } from './seen.ts'
import type { Slip } from './slip.ts'

/** The value that most scenes have, where more than half do. */
function usual(values: readonly (string | undefined)[]): string | undefined {
  const counts = new Map<string, number>()
  for (const value of values) if (value !== undefined) counts.set(value, (counts.get(value) ?? 0) + 1)
  const [first] = [...counts].sort((a, b) => b[1] - a[1])
  return first && first[1] > values.filter((value) => value !== undefined).length / 2 && counts.size > 1 ? first[0] : undefined
}
const engineOf = ({ draft }: SeenScene) => draft.engines[0]?.engine
const ratioOf = ({ draft }: SeenScene) => (typeof draft.settings['aspectRatio'] === 'string' ? draft.settings['aspectRatio'] : undefined)

/** A scene written for another engine than most. */
export function engine(series: SeenSeries): Slip[] {
  const most = usual(series.scenes.map(engineOf))
  return most === undefined ? [] : series.scenes.flatMap((scene, at): Slip[] => {
    const own = engineOf(scene)
    return own === undefined || own === most ? [] : [{ kind: 'engine', scene: at, reason: `This scene is for ${own}, most are for ${most}: their looks will differ.`, fix: { label: `Use ${most}`, edit: { engines: { at: 0, remove: scene.draft.engines.length, insert: [{ engine: most }] } } } }]
  })
}

/** A scene of another aspect ratio than most. */
export function aspectRatio(series: SeenSeries): Slip[] {
  const most = usual(series.scenes.map(ratioOf))
  return most === undefined ? [] : series.scenes.flatMap((scene, at): Slip[] => {
    const own = ratioOf(scene)
    return own === undefined || own === most ? [] : [{ kind: 'aspect-ratio', scene: at, reason: `This scene is ${own}, most are ${most}.`, fix: { label: `Make it ${most}`, edit: { settings: { aspectRatio: most } } } }]
  })
}
