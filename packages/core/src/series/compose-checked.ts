import { emptyDraft } from '../draft/draft.ts'
import type { Draft } from '../draft/shape.ts'
import { CHECKS } from '../check/index.ts'
import { Checked } from '../check/checked.ts'
import type { Finding } from '../check/finding.ts'
import type { Language } from '../check/language.ts'
import type { Reading } from '../read/reading.ts'
import { composeScene, leftOutKey, type PartNow, type SceneParts } from './compose.ts'
import { givenBy } from './part.ts'
import type { SceneBody } from './scene.ts'

/** A phrase of a part that a composed text does not say, and why. */
export interface PhraseLeft {
  part: string
  key: string
  text: string
  reason: string
}

const CLASHES = ['repeated', 'contradiction', 'mixed-medium'] as const
/** Whose phrase gives way where two clash: the style's before the place's, the place's before a character's; the scene's own words never. */
const GIVES_WAY = ['style', 'place', 'character'] as const
const MOST_ROUNDS = 16

/**
 * A scene's draft in which nothing is said twice and nothing contradicts: a phrase of a part that clashes with another
 * gives way, and is told with the reason. `read` reads a draft's text as the Desk does.
 */
export function composeChecked(scene: SceneBody, parts: SceneParts, language: Language, read: (text: string) => Reading, { keywords = false } = {}): { draft: Draft; left: PhraseLeft[] } {
  const leave = new Set<string>()
  const left: PhraseLeft[] = []
  const byId = new Map<string, { part: PartNow; variants: readonly string[] }>()
  for (const use of [...parts.cast, ...(parts.place ? [parts.place] : []), ...(parts.style ? [{ part: parts.style, variants: [] }] : [])]) byId.set(use.part.id, use)
  for (let round = 0; ; round++) {
    const draft = { ...emptyDraft(), ...composeScene(scene, parts, language.words, { keywords, leave }) }
    if (round >= MOST_ROUNDS) return { draft, left }
    const checked = new Checked(draft, read(draft.text), language)
    const clash = CLASHES.flatMap((kind) => CHECKS[kind](checked)).map((finding) => ({ finding, gives: givesWay(draft, finding) })).find(({ gives }) => gives)
    if (!clash?.gives) return { draft, left }
    const { id, said } = clash.gives
    const use = byId.get(id)!
    const lower = (text: string) => text.toLowerCase()
    const phrase = givenBy(use.part.body, use.variants).filter(({ key }) => !leave.has(leftOutKey(id, key))).find(({ text }) => lower(said).includes(lower(text)) || lower(text).includes(lower(said)))
    // What a part is cannot give way, only what is said of it besides.
    if (!phrase || (use.part.body.kind !== 'style' && phrase.key === use.part.body.says[0]?.key)) return { draft, left }
    leave.add(leftOutKey(id, phrase.key))
    left.push({ part: id, key: phrase.key, text: phrase.text, reason: clash.finding.reason })
  }
}

/** The phrase of a part that a finding is about, of two the one that gives way. */
function givesWay({ text, marks }: Draft, { where, with: other }: Finding): { id: string; said: string } | undefined {
  const at = [where, other].flatMap((place) => {
    if (place?.in !== 'text') return []
    const mark = marks.find((one) => one.kind === 'from' && one.from < place.end && one.to > place.start)
    return mark?.kind === 'from' && mark.source.type !== 'slot' && mark.source.type !== 'reference' && mark.source.type !== 'helper' ? [{ id: mark.source.id, type: mark.source.type, said: text.slice(mark.from, mark.to) }] : []
  })
  for (const type of GIVES_WAY) {
    const found = at.find((one) => one.type === type)
    if (found) return found
  }
  return undefined
}
