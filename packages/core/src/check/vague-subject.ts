import type { Phrase } from '../read/reading.ts'
import { TERMS_BY_FACET } from '../glossary/terms-by-facet.ts'
import { isFunctionWord } from '../read/words/function-words.ts'
import type { TextRange } from '../text-range.ts'
import type { Check, Checked } from './checked.ts'
import { type Finding, inText } from './finding.ts'
import { NOUN as NOUN_TAG, PROPN } from '../read/parts-of-speech.ts'
import { namesAThing } from './named-thing.ts'

const VAGUE =
  /\b(?:(?:something|someone|somebody|anything)(?!['’]s)|somewhere nice|(?:some|any) (?:kind|sort|type) of (?:object|thing|creature|scene|place|picture)|(?:an? |some |the |various |many |lots of |several |different |random |other )?(?:\p{L}+ )?(?:things|stuff|thingy|thingies)|an? (?:\p{L}+ )?(?:thing)|(?:an? |some )?(?:nice|cool|beautiful|interesting|pretty|good|great|amazing|lovely|random|generic|awesome|cute|funny|epic|unique|creative|fantastic|wonderful|stunning|perfect|special|catchy|fancy|fresh|modern|stylish|trendy|wow) (?:scene|image|picture|thing|object|place|view|art|artwork|subject|idea|design|creature|landscape|background|photo|character|figure|visual|graphic|concept|composition|illustration|poster|wallpaper|item|someone|something)|(?:the|an?) (?:idea|concept|notion|meaning|essence|feeling|sense|atmosphere|mood|vibe|impression|spirit) of (?:\p{L}+ ?){1,3}|whatever|et cetera|etc|(?:an? |the )?(?:image|picture|scene|artwork|illustration|painting|photo|something|visual) (?:that|which) (?:makes?|feels?|looks?|evokes?|captures?|expresses|shows?|represents?|symboli[sz]es|conveys?|inspires?|gives?|tells?|is|would|will|could)(?: \p{L}+){0,3}|(?:an? )?(?:\p{L}+ )?(?:entity|object|thing|creature|being|figure) of (?:some|any) (?:sort|kind))\b/giu
/** WordNet's files of nouns that nobody can draw: attribute, cognition, feeling, motive, process, relation, state, time. */
const UNSEEN = new Set([7, 9, 12, 16, 22, 24, 26, 28])
/** Its files of acts and what is said, of which only some are to be seen. */
const ACTS = new Set([4, 10])
const ABSTRACT = /\b(?:abstract|allegor\p{L}*|surreal\p{L}*|symbol\p{L}*|typograph\p{L}*|lettering|pattern|logo|poster design)\b/iu

export const vagueSubject: Check = (checked) => {
  const found: Finding[] = []
  const reason = (said: string) => `“${said}” names nothing that can be drawn; say the thing you see.`
  for (const match of checked.shown.matchAll(VAGUE)) {
    const phrase = checked.phraseAt(match.index) ?? checked.phraseAt(match.index + match[0].length - 1)
    const opens = !/\p{L}/u.test(checked.shown.slice(0, match.index))
    if (phrase && !opens && ['lettering', 'framing', 'technique', 'light', 'colour'].includes(phrase.facet)) continue
    // Where something is done by somebody, or a mood is named as such, a thing need not be.
    if (!opens && phrase?.facet === 'mood') continue
    // Somebody who is only spoken of beside a subject is seen by nobody.
    if (!opens && /^some|^any/i.test(match[0]) && checked.of('subject').some(({ start, end }) => !(start <= match.index && match.index < end))) continue
    const start = match.index
    const end = start + match[0].trimEnd().length
    if (goesOn(checked, end) || isDoing(checked, end)) continue
    found.push({ kind: 'vague-subject', severity: 'caution', where: inText({ start, end }), facet: 'subject', reason: reason(match[0].trim()) })
  }
  const unseen = found.length === 0 && (unseenSubject(checked) ?? unseenStretch(checked))
  if (unseen) found.push({ kind: 'vague-subject', severity: 'caution', where: inText(unseen), facet: 'subject', reason: reason(checked.said(unseen)) })
  return found
}

/** Whether a verb follows: “something rattles the lid”, where not to say what is the point. */
function isDoing(checked: Checked, end: number): boolean {
  const next = checked.wordFrom(end)
  return next !== undefined && next.gap === 'space' && (next.lower === 'is' || next.lower.endsWith('ing') || (/[^s]s$/.test(next.lower) && checked.language.words.find(next.lower)?.main === 1))
}

/** Whether what it is follows: “a wallpaper of a wolf”, “environment: a garden”, “a concept tram”. */
function goesOn(checked: Checked, end: number): boolean {
  const after = checked.shown.slice(end)
  const next = checked.wordFrom(end)
  return /^\s*(?:[:|]|(?:of|for|the following|brief|to)\b)/i.test(after) || (next !== undefined && next.gap === 'space' && checked.language.words.find(next.lower)?.main === 0)
}

/** The stretch of the one subject, where nothing in it can be drawn: “our quarterly strategy”, “what hope feels like after a long illness”. */
function unseenStretch(checked: Checked): TextRange | undefined {
  const [subject, another] = checked.of('subject')
  if (!subject || another || ABSTRACT.test(checked.shown)) return undefined
  const clause = checked.clauses.find(({ start, end }) => start <= subject.start && subject.start < end)
  const within = (at: number) => at >= subject.start && at < subject.end
  const nouns = clause?.words.filter(({ tag, start }) => (tag === NOUN_TAG || tag === PROPN) && within(start)).map(({ lemma }) => lemma) ?? []
  return nouns.length > 0 && nouns.every((lemma) => isUnseen(checked, lemma) && checked.language.kin.below(lemma, 'person', true) < 0) && !checked.phrases.some((phrase) => phrase.facet === 'action' && phrase.start < (clause?.end ?? 0) && phrase.start > subject.start) ? subject : undefined
}

/** What stands before a noun and says nothing of it that could be drawn. */
const EMPTY_WORDS = 'an?|the|some|any|random|various|different|several|many|other|certain|nice|cool|beautiful|interesting|pretty|good|great|amazing|awesome|cute|funny|epic|unique|creative|fantastic|wonderful|stunning|perfect|special|mysterious|strange|weird|fantasy|magical|generic|unknown|unusual|lovely|gorgeous|famous|typical|abstract|new|main|single|simple'
/** Nouns that leave open what is to be drawn. */
const OPEN = 'things?|objects?|items?|stuff|places?|characters?|entit(?:y|ies)|beings?|subjects?|elements?|locations?|environments?|designs?|concepts?|ideas?|visuals?|artworks?|content|something'
/** A text that begins with nothing but such a noun; what is said of it afterwards may still make it a thing. */
const OPENING = new RegExp(`^[^\\p{L}]*((?:(?:${EMPTY_WORDS}) )*(?:${OPEN}))(?! (?:with|made|called|named|of|that|which|whose|like|from|shaped|lit|brief|sheet|study|design|turnaround)\\b)\\b`, 'iu')

/** Whether a lower-case noun names nothing that could be seen, by WordNet's files of both its senses. */
function isUnseen(checked: Checked, word: string): boolean {
  if (/^(?:innovation|invention|creation)$/.test(word)) return true
  const facts = checked.language.words.find(word)
  if (!facts || !(facts.classes & NOUN) || TERMS_BY_FACET.moment.includes(word)) return false
  const abstract = (file: number) => UNSEEN.has(file) || (ACTS.has(file) && /(?:tion|sion|ism|ity|ness|ship|hood|ment)$/.test(word))
  return (facts.main === 0 || facts.main >= 4) && abstract(facts.noun1) && (facts.noun2 === NONE || abstract(facts.noun2) || ACTS.has(facts.noun2) || /(?:ity|ness|ty)$/.test(word))
}

/** A subject that is nothing but a thing nobody can see: “creativity”, “the future of humanity”. With no subject read, what the text begins with. */
function unseenSubject(checked: Checked): Phrase | TextRange | undefined {
  const opening = OPENING.exec(checked.shown)
  if (opening && !goesOn(checked, opening[0].length) && !isDoing(checked, opening[0].length)) return { start: opening[0].length - opening[1]!.length, end: opening[0].length }
  const subjects = checked.of('subject')
  const phrase = [...subjects, ...checked.phrases].find(({ facet }) => !['medium', 'framing', 'technique', 'lettering', 'light', 'colour'].includes(facet))
  if (!phrase || subjects.length > 1 || checked.of('action', 'detail').some(({ start }) => start !== phrase.start) || ABSTRACT.test(checked.shown) || namesAThing(checked, (other) => other !== phrase && other.facet !== 'setting')) return undefined
  // A mood or a moment is what the picture is of only where the text begins with it, as a noun.
  if (!['subject', 'action', 'setting', 'detail'].includes(phrase.facet) && /\p{L}{3}/u.test(checked.shown.slice(0, phrase.start))) return undefined
  const words = [...phrase.text.toLowerCase().matchAll(/\p{L}+/gu)].map(([word]) => word).filter((word) => !isFunctionWord(word))
  if (words.length === 0 || words.length > 3 || /\b(?:mood|atmosphere|feeling|tone|day|season|weather)\b/i.test(phrase.text)) return undefined
  // Its last words are what it is; “future of humanity” is of a time.
  return words.every((word) => isUnseen(checked, word) || checked.language.words.find(word)?.main === 2 || /^(?:humanity|mankind|life|time|world|passage|flow|cycle|beginning|end|power|art|nature)$/.test(word)) && words.some((word) => isUnseen(checked, word)) ? phrase : undefined
}
const NOUN = 1
const NONE = 255
