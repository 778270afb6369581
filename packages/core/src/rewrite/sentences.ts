import type { TextChange } from '../draft/text-change.ts'
import { articleFor } from '../english/article.ts'
import { headOf, isPlural, wantsArticle } from '../english/noun.ts'
import { clauseVerb, followsVerb, ingOf, openingVerb, thirdPersonOf } from '../english/verb.ts'
import type { Facet } from '../facet.ts'
import type { WordTable } from '../read/words/word-table.ts'
import type { Composer } from './composer.ts'
import { articleOfTime, isLevel, leadFor } from './lead.ts'
import type { Parts, Said } from './parts.ts'

const AUXILIARY = /^(?:(?:who|which|that)\s+)?(?:is|are|was|were|has|have)\s/i
const PARTICIPLE = /^(?:\p{Ll}+ly\s+)?\p{L}{2,}(?:ing|ed)(?![\p{L}-])\s*(\S*)/iu
/** Opens with a participle that is at work: “wearing a hat”, “covered in moss”; not “patched coat”. */
const isParticipial = (said: string): boolean => {
  const next = PARTICIPLE.exec(said)?.[1]
  return next !== undefined && (next === '' || followsVerb(next))
}
/** Participles and adjectives of posture that end otherwise. */
const POSTURE = /^(?:\p{Ll}+ly\s+)?(?:asleep|awake|afloat|aloft|alone|bent|caught|hidden|hung|held|kept|knelt|laid|lit|lost|sunk|sat|spread|stuck|stretched|frozen|drawn|worn|torn|woven|swept|thrown|in|on|at|about to|ready to|up|down|mid)\b/iu
const OWN_LEAD = /^(?:from|in|on|at|under|above|below|behind|beneath|beside|between|against|with|without|by|through|over|near|inside|outside|after|before|during|along|across|around|among|amid|towards?|into|seen|shot|viewed)\b/i
/** Kinds of picture that are a thing: “a linocut”; all others are what it is done in: “in gouache”. */
const THING =
  /(?:photo(?:graph)?|print|painting|illustration|drawing|sketch|poster|render(?:ing)?|engraving|etching|(?:lino|wood|paper)[ -]?cut|lithograph|collage|portrait|still(?: life)?|pattern|icon|logo|emblem|diagram|map|mural|fresco|cartoon|comic|cover|card|shot|image|picture|sculpture|model|diorama|tapestry|page|storyboard|mosaic|relief|silhouette|snapshot|frame|negative|banner|label|sticker|stamp|blueprint|plate|panel|screenprint|cyanotype|daguerreotype|infographic|chart|scene)s?$/i
const MOOD_NOUN = /(?:mood|atmosphere|feeling|feel|tone|vibe)$/i

const LIGHT_THING = /(?:glow|beam|shaft|ray|lamp|lantern|candle|bulb|spot|halo|flash|fire|flame|sun|moon|window|gradient|silhouette)$/i
/** Colours by themselves take no article; a palette of them does. */
const COLOUR_THING = /(?:palette|scheme|range|tone|wash|tint|hue|accent|gradient|splash|touch|cast|background|ground|harmony|combination)$/i
const HOLDS_CLAUSES = new Set<Facet>(['detail', 'setting', 'moment', 'light'])
/** Facets whose phrases are one thing unless they are plural. */
const ALWAYS_COUNTED = new Set<Facet>(['medium', 'framing', 'mood'])

/** Writes sentences from parts; each clause takes its phrases once. */
class SentenceWriter {
  #opens = true

  constructor(
    private readonly words: WordTable,
    private readonly to: Composer,
  ) {}

  say(words: string): void {
    if (!words) return
    this.to.say(this.#opens ? words.charAt(0).toUpperCase() + words.slice(1) : words)
    this.#opens = false
  }

  /** Words that lead to the phrase that comes next. */
  lead(words: string): void {
    this.to.lead(this.#opens ? words.charAt(0).toUpperCase() + words.slice(1) : words)
    this.#opens = false
  }

  stop(): void {
    this.to.text = this.to.text.trimEnd()
    this.to.say(/[.!?]["”’]?$/.test(this.to.text) ? ' ' : '. ')
    this.#opens = true
  }

  /** A phrase with the changes its place asks for. */
  take({ phrase, locked }: Said, changes: TextChange[] = []): void {
    const { text, start } = phrase
    const own = locked ? [] : changes
    const first = text.charAt(0)
    const touched = own.some(({ from }) => from === start)
    if (this.#opens && first !== first.toUpperCase() && !touched) own.unshift({ from: start, to: start + 1, insert: first.toUpperCase() })
    // A capital that only stood at the beginning of a field or sentence.
    const opener = /^\p{Lu}\p{Ll}+/u.exec(text)?.[0]
    if (!this.#opens && !locked && !touched && phrase.facet !== 'lettering' && opener && this.words.find(opener.toLowerCase())) own.unshift({ from: start, to: start + 1, insert: first.toLowerCase() })
    this.#opens = false
    this.to.take(phrase, own, phrase.facet)
  }

  /** The verb of a small clause that a sentence takes as an -ing form: “gulls circle above him”. */
  clause({ phrase: { facet, text }, locked }: Said) {
    return locked || !HOLDS_CLAUSES.has(facet) ? undefined : clauseVerb(text, this.words)
  }

  /** The word that ties a phrase to what stands before: its own, or its facet's. */
  leadOf(one: Said): string {
    const { phrase, lead } = one
    if (lead.length) return lead.join(' ')
    // A small clause goes by its noun.
    return OWN_LEAD.test(phrase.text) ? '' : leadFor(phrase.facet, phrase.text.slice(0, this.clause(one)?.at).trimEnd(), this.words)
  }

  /** A noun phrase with its article: its own, or the one it wants. */
  noun(one: Said, changes: TextChange[] = []): void {
    const { text, facet } = one.phrase
    const clause = this.clause(one)
    if (clause) changes = [...changes, { from: one.phrase.start + clause.at, to: one.phrase.start + clause.at + clause.word.length, insert: ingOf(clause.plain) }]
    const thing = text.slice(0, clause?.at).trimEnd()
    const counted = (ALWAYS_COUNTED.has(facet) && !isLevel(text)) || (facet === 'moment' && leadFor(facet, text, this.words) === 'on') || /^an?$/.test(one.article)
    // Light is no thing that is counted, but a lamp or a glow is.
    const light = (facet === 'light' && !counted && !LIGHT_THING.test(thing)) || (facet === 'colour' && !COLOUR_THING.test(headOf(thing)))
    const article = one.article === 'the' || (facet === 'moment' && articleOfTime(text)) ? 'the' : !light && wantsArticle(thing, this.words, counted) ? articleFor(text) : ''
    if (article && !/^(?:an?|the)\s/i.test(text)) this.lead(`${article} `)
    this.take(one, changes)
  }

  /** Phrases with commas and “and” between them. */
  each(list: readonly Said[], write: (one: Said) => void): void {
    list.forEach((one, i) => {
      if (i > 0) this.say(i < list.length - 1 ? ', ' : list.length > 2 ? ', and ' : ' and ')
      write(one)
    })
  }

  /** Phrases each with their own leading word, one after another; the same word is said once. */
  ties(list: readonly Said[], between: string): void {
    let i = 0
    while (i < list.length) {
      const lead = this.leadOf(list[i]!)
      let end = i + 1
      while (lead && end < list.length && this.leadOf(list[end]!) === lead && list[end]!.phrase.facet === list[i]!.phrase.facet) end++
      if (!this.#opens) this.say(/\s$/.test(this.to.text) ? '' : i === 0 ? ' ' : between)
      if (lead) {
        this.lead(`${lead} `)
        this.each(list.slice(i, end), (one) => this.noun(one))
      } else this.take(list[i]!)
      i = end
    }
  }
}

/** What an action is as a part of speech, which decides how a sentence takes it. */
function actionKind({ phrase: { text } }: Said, words: WordTable): 'auxiliary' | 'participle' | 'finite' | 'noun' {
  if (AUXILIARY.test(text)) return 'auxiliary'
  if (isParticipial(text) || /^(?:\p{Ll}+ly\s+)?\p{L}{2,}ing\s/iu.test(text) || POSTURE.test(text)) return 'participle'
  return openingVerb(text, words) ? 'finite' : 'noun'
}

/** The changes that give a finite verb its form for one or for more, or make it an -ing form. */
function inflected({ phrase: { text, start } }: Said, words: WordTable, form: 'one' | 'more' | 'ing'): TextChange[] {
  const verb = openingVerb(text, words)
  if (!verb) return []
  const from = start + text.indexOf(verb.word)
  const insert = form === 'ing' ? ingOf(verb.plain) : form === 'one' ? thirdPersonOf(verb.plain) : verb.plain
  return insert === verb.word ? [] : [{ from, to: from + verb.word.length, insert }]
}

/** All phrases in whole sentences: who does what, where and when; how it is seen; how it is made and feels; what can be read in it; what has no facet. */
export function writeSentences(parts: Parts, words: WordTable, to: Composer): void {
  const of = (...facets: Facet[]) => parts.said.filter(({ phrase }) => facets.includes(phrase.facet)).sort((a, b) => facets.indexOf(a.phrase.facet) - facets.indexOf(b.phrase.facet))
  const writer = new SentenceWriter(words, to)
  const subjects = of('subject')
  const actions = of('action')
  const details = of('detail')
  const places = of('setting', 'moment')
  const many = subjects.length > 1 || (subjects.length === 1 && isPlural(subjects[0]!.phrase.text, words))
  const doing = actions.filter((one) => actionKind(one, words) !== 'noun')
  const bearing = [...actions.filter((one) => actionKind(one, words) === 'noun'), ...details.filter(({ phrase }) => !isParticipial(phrase.text))]
  const trailing = details.filter(({ phrase }) => isParticipial(phrase.text))

  const withThem = () => {
    const worn = bearing.filter((one) => one.lead.length > 0 || leadFor('detail', one.phrase.text, words) === 'in')
    const had = bearing.filter((one) => !worn.includes(one))
    writer.ties(worn, ' ')
    if (had.length) {
      writer.say(' with ')
      writer.each(had, (one) => writer.noun(one))
    }
  }
  const wherever = () => {
    writer.ties(places, ' ')
    for (const one of trailing) {
      writer.say(', ')
      writer.take(one)
    }
  }
  if (subjects.length && doing.length) {
    writer.each(subjects, (one) => writer.noun(one))
    withThem()
    const kinds = doing.map((one) => actionKind(one, words))
    const allFinite = kinds.every((kind) => kind === 'finite' || kind === 'auxiliary')
    if (!allFinite && kinds[0] !== 'auxiliary') writer.say(many ? ' are' : ' is')
    writer.say(' ')
    writer.each(doing, (one) => writer.take(one, actionKind(one, words) === 'finite' ? inflected(one, words, allFinite ? (many ? 'more' : 'one') : 'ing') : []))
    wherever()
    writer.stop()
  } else if (subjects.length + bearing.length + places.length + trailing.length + doing.length) {
    const shown = subjects.length ? subjects : bearing.splice(0, bearing.length)
    // Without a verb: an engine needs nobody to tell it that this is in the picture.
    if (shown.length) writer.each(shown, (one) => writer.noun(one))
    else if (doing.length) writer.each(doing.splice(0), (one) => writer.take(one))
    else if (places.length) writer.noun(places.shift()!)
    else writer.take(trailing.shift()!)
    withThem()
    if (doing.length) {
      writer.say(' ')
      writer.each(doing, (one) => writer.take(one))
    }
    wherever()
    writer.stop()
  }
  const seen = of('framing', 'light', 'colour')
  if (seen.length) {
    writer.say(seen.some(({ phrase }) => phrase.facet === 'framing') ? 'It is seen' : 'It is shown')
    writer.ties(seen, ', ')
    writer.stop()
  }
  const media = of('medium')
  const techniques = of('technique')
  if (media.length) {
    writer.say('It is ')
    writer.each(media, (one) => {
      const substance = !THING.test(headOf(one.phrase.text))
      if (substance) writer.say(one === media[0] ? 'done in ' : 'in ')
      if (substance) writer.take(one)
      else writer.noun(one)
    })
    writer.ties(techniques, ', ')
    writer.stop()
  } else if (techniques.length) {
    writer.say('It is done')
    writer.ties(techniques, ', ')
    writer.stop()
  }
  const moods = of('mood')
  if (moods.length) {
    const [nouns, others] = [moods.filter(({ phrase }) => MOOD_NOUN.test(phrase.text)), moods.filter(({ phrase }) => !MOOD_NOUN.test(phrase.text))]
    if (others.length) {
      writer.say('The mood is ')
      writer.each(others, (one) => writer.take(one))
      writer.stop()
    }
    if (nouns.length) {
      writer.say('It has ')
      writer.each(nouns, (one) => writer.noun(one))
      writer.stop()
    }
  }
  for (const one of of('lettering')) {
    const { text } = one.phrase
    if (/\b(?:reads?|says?|spells?|bears?|carries|is|are)\b/i.test(text)) writer.noun(one)
    else {
      writer.say(/^["“‘'«]/.test(text) ? 'The words to be read are ' : 'It carries ')
      if (/^["“‘'«]/.test(text)) writer.take(one)
      else writer.noun(one)
    }
    writer.stop()
  }
  // Words without a facet follow, each as it stands.
  to.text = to.text.trimEnd()
  for (const range of parts.rest) {
    if (to.text) to.say(' ')
    to.take(range)
    to.say('.')
  }
}
