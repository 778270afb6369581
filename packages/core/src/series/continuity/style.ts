import { TERMS_BY_FACET } from '../../glossary/terms-by-facet.ts'
import { TermFinder } from '../../glossary/term-finder.ts'
import { contradictionIn, isSaid } from '../said.ts'
import { isBehind, type SeenSeries } from './seen.ts'
import type { Slip } from './slip.ts'
import { sayIt } from './trait.ts'

const MEDIA = new TermFinder(TERMS_BY_FACET.medium.map((term) => [term, term] as const))

/** A scene that says another medium than the style of its series, contradicts it, or lacks what it always says. */
export function style(series: SeenSeries): Slip[] {
  const part = series.style ? series.parts.get(series.style) : undefined
  if (!part) return []
  const look = part.body.says.map(({ text }) => text).join(', ')
  const own = new Set(MEDIA.find(look).map(({ value }) => value))
  return series.scenes.flatMap((scene, at): Slip[] => {
    if (!scene.shown.trim()) return []
    const other = own.size ? MEDIA.find(scene.shown).find(({ value, start, end }) => !own.has(value) && !look.toLowerCase().includes(scene.shown.slice(start, end).toLowerCase()) && ![...own].some((one) => one.includes(value) || value.includes(one))) : undefined
    const slips: Slip[] = []
    if (other && !IN_PICTURE.test(scene.shown.slice(0, other.start))) slips.push({ kind: 'style', scene: at, part: part.id, words: scene.shown.slice(other.start, other.end), reason: `The series is “${look}”, but this scene says “${scene.shown.slice(other.start, other.end)}”.` })
    for (const { text } of isBehind(scene.draft, part) ? [] : part.body.says) {
      if (isSaid(scene.shown, text)) continue
      const opposite = contradictionIn(scene.shown, text)
      if (slips.length && !opposite) continue
      slips.push({ kind: 'style', scene: at, part: part.id, ...(opposite ? { words: opposite } : {}), reason: opposite ? `The style is “${text}”, but here the text says “${opposite}”.` : `The style of the series says “${text}”; this scene does not.`, ...(opposite ? {} : { fix: { label: `Say “${text}”`, edit: { text: sayIt(scene, part.id, text) } } }) })
    }
    return slips.slice(0, 1)
  })
}
/** A picture within the picture: “a painting on the wall”. */
const IN_PICTURE = /\b(?:holding|beside|before|under|looks? at|reads?|of) (?:an?|the|her|his) (?:\w+ )?$/i
