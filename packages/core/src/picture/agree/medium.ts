import { media } from '../../lexicon/dimensions/index.ts'
import type { Medium } from '../shape.ts'
import { valuesIn } from '../../lexicon/lexicon.ts'
import { type Judge, verdict } from './verdict.ts'

/** What each way of making may look like, as far as measures tell kinds of picture apart. */
const LOOKS: Readonly<Record<string, readonly Medium[]>> = { photograph: ['photo'], paint: ['painting'], water: ['painting', 'flat'], drawing: ['drawing'], print: ['flat', 'drawing'], flat: ['flat', 'graphic'] }
const BARE: readonly (readonly [RegExp, readonly Medium[]])[] = [
  [/\bpaint(?:ing|ed|erly)\b|\bbrush ?(?:strokes|work)\b/i, ['painting']],
  [/\b(?:line )?(?:drawing|sketch)\b/i, ['drawing']],
  [/\bposter\b|\bscreen ?print\b|\bpaper ?cut\b/i, ['flat', 'graphic']],
  [/\bphoto\w*\b/i, ['photo']],
]
const CALLED: Readonly<Record<Medium, string>> = { photo: 'a photograph', flat: 'a flat print', painting: 'a painting', drawing: 'a drawing', graphic: 'a graphic' }

export const mediumJudge: Judge = ({ facet, text }, { medium }) => {
  if (medium === null || (facet !== 'medium' && facet !== 'technique')) return undefined
  const looks = valuesIn(text, media).flatMap((value) => LOOKS[value] ?? [])
  const any = looks.length ? looks : (BARE.find(([pattern]) => pattern.test(text))?.[1] ?? [])
  return any.length ? verdict('medium', any.includes(medium), `its surface is that of ${CALLED[medium]}`) : undefined
}
