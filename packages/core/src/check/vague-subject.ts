import type { Check } from './checked.ts'
import { type Finding, inText } from './finding.ts'

const VAGUE =
  /\b(?:(?:something|someone|somebody|anything)(?!['’]s)|somewhere nice|(?:some|any) (?:kind|sort|type) of (?:object|thing|creature|scene|place|picture)|(?:an? |some |the |various |many |lots of |several |different |random |other )?(?:\p{L}+ )?(?:things|stuff|thingy|thingies)|an? (?:\p{L}+ )?(?:thing)|(?:an? |some )?(?:nice|cool|beautiful|interesting|pretty|good|great|amazing|lovely|random|generic|awesome|cute|funny) (?:scene|image|picture|thing|object|place|view|art|artwork|subject|idea|design|creature|landscape|background|photo|portrait)|the (?:idea|concept|notion|meaning|essence|feeling|sense) of (?:\p{L}+ ?){1,3}|whatever|et cetera|etc)\b/giu
/** WordNet's files of nouns that nobody can draw: attribute, cognition, feeling, motive, state, relation, quantity. */
const UNSEEN = new Set([7, 9, 12, 16, 24, 26])
const ABSTRACT = /\b(?:abstract|allegor\p{L}*|surreal\p{L}*|symbol\p{L}*|typograph\p{L}*|lettering|pattern|logo|poster design)\b/iu

export const vagueSubject: Check = (checked) => {
  const found: Finding[] = []
  const reason = (said: string) => `“${said}” names nothing that can be drawn; say the thing you see.`
  for (const match of checked.shown.matchAll(VAGUE)) {
    const phrase = checked.phraseAt(match.index) ?? checked.phraseAt(match.index + match[0].length - 1)
    if (phrase && ['lettering', 'medium', 'framing', 'technique', 'light', 'colour'].includes(phrase.facet)) continue
    const start = match.index
    found.push({ kind: 'vague-subject', severity: 'caution', where: inText({ start, end: start + match[0].trimEnd().length }), facet: 'subject', reason: reason(match[0].trim()) })
  }
  const subjects = checked.of('subject')
  if (found.length === 0 && subjects.length === 1 && checked.of('action').length === 0 && checked.of('detail').length === 0 && !ABSTRACT.test(checked.shown)) {
    const [subject] = subjects
    const words = subject!.text.toLowerCase().match(/\p{L}+/gu) ?? []
    const nouns = words.flatMap((word) => checked.language.words.find(word) ?? []).filter(({ classes }) => classes & 1)
    if (words.length <= 2 && nouns.length > 0 && nouns.every(({ noun1, noun2, main }) => main === 0 && UNSEEN.has(noun1) && (noun2 === 255 || UNSEEN.has(noun2)))) {
      found.push({ kind: 'vague-subject', severity: 'caution', where: inText(subject!), facet: 'subject', reason: reason(subject!.text) })
    }
  }
  return found
}
