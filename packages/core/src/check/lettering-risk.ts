import { longest } from '../lexicon/matcher.ts'
import { placesOf } from '../lexicon/shown.ts'
import type { Phrase } from '../read/reading.ts'
import type { Check } from './checked.ts'
import { type Finding, inText } from './finding.ts'

/** Facets in which a thing that carries words is in the picture. */
const THINGS: ReadonlySet<string> = new Set(['subject', 'action', 'detail', 'setting', 'light'])

export const letteringRisk: Check = (checked) => {
  const well = checked.engine?.lettering ?? 0
  const found: Finding[] = []
  const covered = (start: number, end: number) => found.some(({ where }) => where?.in === 'text' && where.start < end && where.end > start)
  // Words and what carries them are often two phrases beside one another.
  const groups: Phrase[] = []
  for (const phrase of checked.of('lettering')) {
    const last = groups.at(-1)
    if (last && !/[.;\n]/.test(checked.draft.text.slice(last.end, phrase.start)) && phrase.start - last.end < 60) groups[groups.length - 1] = { ...last, end: phrase.end, text: checked.draft.text.slice(last.start, phrase.end) }
    else groups.push(phrase)
  }
  for (const phrase of groups) {
    const words = phrase.text.match(/[\p{L}\p{N}]+/gu)?.length ?? 0
    if (words <= well || covered(phrase.start, phrase.end)) continue
    found.push({
      kind: 'lettering-risk',
      severity: 'caution',
      where: inText(phrase),
      facet: 'lettering',
      reason: well ? `${checked.engine!.name} spells about ${well} words well; these are ${words}.` : `Engines misspell: “${/["“]([^"”]{2,})/.exec(phrase.text)?.[1] ?? phrase.text}” may come out as almost these letters. Keep it short, or set the words afterwards.`,
    })
  }
  if (well > 0) return found
  for (const { from, to } of longest(placesOf(checked.showings, 'text'))) {
    const carrier = { start: checked.words[from]!.start, end: checked.words[to - 1]!.end }
    const phrase = checked.phraseAt(carrier.start)
    if (!phrase || !THINGS.has(phrase.facet) || covered(carrier.start, carrier.end) || checked.words[to]?.gap === 'hyphen' || (to - from === 1 && checked.namingOthers.has(carrier.start))) continue
    found.push({
      kind: 'lettering-risk',
      severity: 'caution',
      where: inText(carrier),
      facet: phrase.facet,
      reason: `“${checked.said(carrier)}” usually carries words, and the engine will make some up. Say what it reads, or turn it from view.`,
    })
  }
  return found
}
