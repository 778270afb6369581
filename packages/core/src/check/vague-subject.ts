import type { Phrase } from '../read/reading.ts'
import { ARTICLES } from '../read/words/function-words.ts'
import type { Check, Checked } from './checked.ts'
import { type Finding, inText } from './finding.ts'

const VAGUE =
  /\b(?:(?:something|someone|somebody|anything)(?!['’]s)|somewhere nice|(?:some|any) (?:kind|sort|type) of (?:object|thing|creature|scene|place|picture)|(?:an? |some |the |various |many |lots of |several |different |random |other )?(?:\p{L}+ )?(?:things|stuff|thingy|thingies)|an? (?:\p{L}+ )?(?:thing)|(?:an? |some )?(?:nice|cool|beautiful|interesting|pretty|good|great|amazing|lovely|random|generic|awesome|cute|funny|epic|unique|creative|fantastic|wonderful|stunning|perfect|special|catchy|fancy|fresh|modern|stylish|trendy|wow) (?:scene|image|picture|thing|object|place|view|art|artwork|subject|idea|design|creature|landscape|background|photo|character|figure|visual|graphic|concept|composition|illustration|poster|wallpaper|item|someone|something)|(?:the|an?) (?:idea|concept|notion|meaning|essence|feeling|sense|atmosphere|mood|vibe|impression|spirit) of (?:\p{L}+ ?){1,3}|whatever|et cetera|etc|(?:an? )?(?:\p{L}+ )?(?:entity|object|thing|creature|being|figure) of (?:some|any) (?:sort|kind))\b/giu
/** WordNet's files of nouns that nobody can draw: attribute, cognition, feeling, motive, state, relation, quantity. */
const UNSEEN = new Set([7, 9, 12, 16, 24, 26])
const ABSTRACT = /\b(?:abstract|allegor\p{L}*|surreal\p{L}*|symbol\p{L}*|typograph\p{L}*|lettering|pattern|logo|poster design)\b/iu

export const vagueSubject: Check = (checked) => {
  const found: Finding[] = []
  const reason = (said: string) => `“${said}” names nothing that can be drawn; say the thing you see.`
  for (const match of checked.shown.matchAll(VAGUE)) {
    const phrase = checked.phraseAt(match.index) ?? checked.phraseAt(match.index + match[0].length - 1)
    const opens = !/\p{L}/u.test(checked.shown.slice(0, match.index))
    if (phrase && !opens && ['lettering', 'framing', 'technique', 'light', 'colour'].includes(phrase.facet)) continue
    const start = match.index
    found.push({ kind: 'vague-subject', severity: 'caution', where: inText({ start, end: start + match[0].trimEnd().length }), facet: 'subject', reason: reason(match[0].trim()) })
  }
  const unseen = found.length === 0 && unseenSubject(checked)
  if (unseen) found.push({ kind: 'vague-subject', severity: 'caution', where: inText(unseen), facet: 'subject', reason: reason(unseen.text) })
  return found
}

/** A subject that is nothing but a thing nobody can see: “creativity”, “an object”. With no subject read, what the text begins with. */
function unseenSubject(checked: Checked): Phrase | undefined {
  const subjects = checked.of('subject')
  if (subjects.length > 1 || checked.of('action', 'detail').length > 0 || ABSTRACT.test(checked.shown)) return undefined
  const first = checked.phrases[0]
  const subject = subjects[0] ?? (first && /^[^\p{L}]*(?:an?|the)?\s*$/iu.test(checked.shown.slice(0, first.start)) && !['medium', 'framing', 'lettering'].includes(first.facet) ? first : undefined)
  const words = (subject?.text.toLowerCase().match(/\p{L}+/gu) ?? []).filter((word) => !ARTICLES.has(word))
  if (words.length === 0 || words.length > 2) return undefined
  if (/^(?:object|thing|entity|being|item|subject)s?$/.test(words.at(-1)!) && words.length === 1) return subject
  const nouns = words.flatMap((word) => checked.language.words.find(word) ?? []).filter(({ classes }) => classes & NOUN)
  return nouns.length > 0 && nouns.every(({ noun1, noun2, main }) => main === 0 && UNSEEN.has(noun1) && (noun2 === NONE || UNSEEN.has(noun2))) ? subject : undefined
}
const NOUN = 1
const NONE = 255
