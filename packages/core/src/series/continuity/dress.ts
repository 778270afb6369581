import type { SeenScene, SeenSeries } from './seen.ts'
import { variantsNamed } from './variants.ts'
import type { Slip } from './slip.ts'
import { isAnotherDay } from './when.ts'

const CHANGES = /\b(?:put(?:s|ting)? on|took off|takes? off|chang(?:e|es|ed|ing)|dress(?:es|ed)?|undress\w*|wore|wears|wearing|slipp(?:ed|s) (?:on|into)|pull(?:ed|s) on|threw off|disguis\w*|coat|cloak|dress|uniform|clothes|costume|wrapped|soaked|wet)\b/i

/** Dress that changes within a day though the story says nothing of it. */
export function dress(series: SeenSeries): Slip[] {
  const slips: Slip[] = []
  const last = new Map<string, { at: number; variant: string }>()
  series.scenes.forEach((scene, at) => {
    for (const use of scene.body.cast) {
      const variant = variantsNamed(series, use, 'dress')
      if (!variant) continue
      const before = last.get(use.part)
      last.set(use.part, { at, variant: variant.key })
      if (!before || before.variant === variant.key) continue
      const between = series.scenes.slice(before.at + 1, at + 1)
      if (between.some((one, i) => CHANGES.test(storyOf(one)) || isAnotherDay(series.scenes[before.at + i]!, one))) continue
      const body = series.parts.get(use.part)!.body
      const was = body.variants.find(({ key }) => key === before.variant)
      slips.push({ kind: 'dress', scene: at, against: before.at, part: use.part, words: variant.text, reason: `${body.name} has “${was?.name ?? 'something else'}” in scene ${before.at + 1} and “${variant.name}” here on the same day, and the story does not say that it was changed.`, ...(was ? { fix: { label: `Keep “${was.name}”`, body: { ...scene.body, cast: scene.body.cast.map((one) => (one.part === use.part ? { ...one, variants: [...one.variants.filter((key) => key !== variant.key), was.key] } : one)) } } } : {}) })
    }
  })
  return slips
}
const storyOf = ({ story, body }: SeenScene) => `${story?.text ?? ''} ${body.beat}`
