import type { Facet, Random } from '@idolon/core'
import { choose, shuffle } from './asked.ts'
import { knowledge } from './tables.ts'
import { type Heard, heardIn } from './heard.ts'
import { type Subject, subjectOf } from './kinds.ts'
import type { Told } from './told.ts'
import { HOURS, lightsOf, STUDIO_LIGHTS, WEATHERS } from './words/hours.ts'
import { MEDIA, PLAIN_TECHNIQUES, USUAL } from './words/media.ts'
import { MORE, MORE_DETAILS, MORE_PLACES } from './words/more.ts'
import { ACTIONS, DETAILS, FRAMINGS, type Part, type Place, SETTINGS } from './words/scenes.ts'
import { asList, asSentences, capital, countWords, furtherSentences, hourSaid, isSentences, rewritten, type Said, withArticle } from './write.ts'

const PARTS = ['dawn', 'morning', 'afternoon', 'dusk', 'noon', 'night'] as const
/** What a short prompt says first. */
const FIRST: readonly Facet[] = ['setting', 'light', 'medium', 'action', 'framing', 'moment', 'colour', 'mood', 'technique', 'detail']

/** What a text is about: its first subject, else its first phrase. */
export function aboutOf(text: string, heard: Heard): { phrase: string; subject: Subject } {
  const phrase = (heard.phrases.find(({ facet }) => facet === 'subject') ?? heard.phrases[0])?.text ?? text.trim()
  return { phrase, subject: subjectOf(phrase) }
}

/** As it is said of more than one. */
const ofMany = (said: string): string =>
  said
    .replace(/\bits ((?:own )?)(head|flank|shoulder|reflection|shadow)\b/g, 'their $1$2s')
    .replace(/\bits\b/g, 'their')
    .replace(/^an? ((?:\p{L}+ )+(?:flank|breast|coat|bill|satchel|scarf))$/u, '$1s')

/** Phrases for every facet of a few that goes with what a text says already, and where it then plays. */
export function phrasesFor(text: string, facets: ReadonlySet<Facet>, random: Random, unwanted: readonly string[] = []): { said: Said[]; place: Place | undefined } {
  const heard = heardIn(text)
  const { subject } = aboutOf(text, heard)
  const allowed = (said: string) => !unwanted.some((word) => said.toLowerCase().includes(word))
  const from = (list: readonly string[]) => {
    const left = list.filter(allowed)
    return left.length ? choose(left, random) : undefined
  }
  const settings = SETTINGS[subject.kind].filter(({ said, place }) => allowed(said) && (!heard.place || place === heard.place))
  const setting = heard.has.has('setting') ? undefined : choose(settings.length ? settings : SETTINGS[subject.kind], random)
  const place: Place = heard.place ?? setting?.place ?? (subject.kind === 'fish' ? 'water' : 'out')
  const part: Part = heard.part ?? choose(PARTS, random)
  const weather = heard.weather ? WEATHERS[heard.weather] : undefined
  const lights = heard.studio ? STUDIO_LIGHTS : weather && place === 'out' ? (part === 'night' ? weather.night : weather.day) : lightsOf(heard.part || !heard.has.has('moment') ? part : undefined, place)
  const usual = from(USUAL)
  const medium = heard.medium ?? MEDIA.find(({ said }) => said === usual)
  const values: Partial<Record<Facet, string | undefined>> = {
    action: from(ACTIONS[subject.kind]),
    detail: from(DETAILS[subject.kind]),
    setting: setting?.said,
    // Under water or in a studio there is no hour, but a picture may still be told one.
    moment: from(HOURS[part].said),
    framing: from(FRAMINGS[subject.kind]),
    light: from(lights),
    colour: from(weather && place === 'out' ? weather.colours : HOURS[part].colours),
    medium: medium?.said,
    technique: heard.has.has('medium') && !heard.medium ? from(PLAIN_TECHNIQUES) : medium && from(medium.techniques),
    mood: from(HOURS[part].moods),
  }
  const number = (facet: Facet, words: string) => (subject.many && (facet === 'action' || facet === 'detail') ? ofMany(words) : words)
  return {
    said: FIRST.flatMap((facet): Said[] => (facets.has(facet) && values[facet] !== undefined ? [{ facet, text: number(facet, values[facet]) }] : [])),
    // A place that is said and not known is neither in nor out.
    place: heard.place ?? (heard.has.has('setting') || heard.studio ? undefined : place),
  }
}

/** Further phrases, each facet in turn, for a prompt that is to be longer. */
function furtherPhrases(text: string, said: readonly Said[], place: Place | undefined, random: Random): Said[] {
  const heard = heardIn(asList([text, ...said.map((one) => one.text)]))
  const { subject } = aboutOf(text, heard)
  const medium = heard.medium
  const pools: [Facet, readonly string[]][] = [
    ['detail', shuffle([...DETAILS[subject.kind], ...MORE_DETAILS[subject.kind]], random)],
    ['setting', place ? shuffle(MORE_PLACES[place], random) : []],
    ['technique', medium ? shuffle(medium.techniques, random) : []],
    ['light', shuffle(MORE.light ?? [], random)],
    ['framing', shuffle(MORE.framing ?? [], random)],
    ['mood', said.some(({ facet, text: mood }) => facet === 'mood' && mood.includes(' and ')) ? [] : shuffle(MORE.mood ?? [], random)],
    ['colour', shuffle(MORE.colour ?? [], random)],
  ]
  const known = new Set([...said.map((one) => one.text), ...heard.phrases.map((one) => one.text)])
  const rounds = Math.max(...pools.map(([, list]) => list.length))
  const all = Array.from({ length: rounds }, (_, round) => pools.flatMap(([facet, list]): Said[] => (list[round] === undefined ? [] : [{ facet, text: subject.many && facet === 'detail' ? ofMany(list[round]) : list[round], further: true }])))
  return all.flat().filter((one) => !known.has(one.text))
}

/** Words that phrases come to, with what ties them together. */
const lengthOf = (base: string, said: readonly Said[], style: 'list' | 'sentences') => countWords(base) + said.reduce((sum, { text }) => sum + countWords(text), 0) + (style === 'sentences' ? Math.round(said.length * 1.4) : 0)

export interface Filled {
  text: string
  /** What was added, in the order of writing. */
  added: readonly Said[]
}

export interface Filling {
  random: Random
  way: number
  terse: boolean
  unwanted: readonly string[]
  /** Words that must stand in the text as they are. */
  locked?: readonly string[]
}
/** Ways of writing that are tried, and how many facets are enough. */
const TRIES = 3
const ENOUGH = 10

/** A full prompt of a word or a line, read over once it is written: what must stand is there, and it says enough. */
export function fillOut(base: string, told: Told, filling: Filling): Filled {
  let best: { filled: Filled; score: number } | undefined
  for (let i = 0; i < TRIES; i++) {
    const filled = filledOnce(base, i === TRIES - 1 && filling.locked?.length ? { ...told, style: 'list' } : told, { ...filling, way: filling.way + i * 5 })
    const kept = (filling.locked ?? []).every((words) => filled.text.toLowerCase().includes(words.toLowerCase()))
    const score = (kept ? 100 : 0) + new Set(knowledge().reader.read(filled.text).phrases.map(({ facet }) => facet)).size
    if (!best || score > best.score) best = { filled, score }
    if (score >= 100 + ENOUGH) break
  }
  return best!.filled
}

/** What it says stays, what is missing is added, at about the length that was asked for. */
function filledOnce(base: string, told: Told, { random, way, terse, unwanted }: Filling): Filled {
  const text = base.trim()
  const heard = heardIn(text)
  const { phrase, subject } = aboutOf(text, heard)
  const bare = isBare(text, heard)
  const style = told.style ?? (isSentences(text) ? 'sentences' : 'list')
  const target = Math.min(told.words ?? (terse ? 45 : 90), told.limit === undefined ? Infinity : Math.floor(told.limit * 0.92))
  const missing = new Set(FIRST.filter((facet) => (bare ? facet !== 'detail' || !heard.has.has(facet) : !heard.has.has(facet)) && (told.everyFacet || !terse || (facet !== 'mood' && facet !== 'technique'))))
  const first = phrasesFor(text, missing, random, unwanted)
  let { said } = first
  while (said.length > 1 && lengthOf(text, said, style) > target + 3) said = said.slice(0, -1)
  // Further places are only told of a picture that is told from the beginning: nothing is known of a place that the writer says.
  for (const one of furtherPhrases(text, said, heard.has.has('setting') ? undefined : first.place, random)) {
    if (lengthOf(text, said, style) >= target - 2) break
    if (!unwanted.some((word) => one.text.toLowerCase().includes(word))) said = [...said, one]
  }
  return { text: written(text, said, { style, bare, phrase, subject, way }), added: said }
}

/** The text and its additions in one of the two ways of writing. */
function written(text: string, said: readonly Said[], { style, bare, phrase, subject, way }: { style: 'list' | 'sentences'; bare: boolean; phrase: string; subject: Subject; way: number }): string {
  if (style === 'list') {
    if (isSentences(text)) return rewritten(text, said, 'list')
    const first = bare ? named(text, subject) : text
    const order: readonly Facet[] = way % 3 === 1 ? ['medium', 'framing'] : way % 3 === 2 ? ['framing', 'medium'] : []
    const at = (facet: Facet) => (order.includes(facet) ? order.indexOf(facet) - 10 : FACET_ORDER.indexOf(facet))
    const ordered = [...said].sort((a, b) => at(a.facet) - at(b.facet))
    const before = ordered.filter(({ facet }) => facet === order[0]).slice(0, 1)
    const after = ordered.filter((one) => !before.includes(one))
    return asList([...before.map((one) => one.text), first, ...after.map(({ text: words }) => words)])
  }
  if (bare) return asSentences(named(text, subject), subject.kind === 'idea' ? { ...subject, many: false } : subject, said, way)
  // Several subjects may be one and what it is called: then the words stay as they stand.
  const one = knowledge().reader.read(text).phrases.filter(({ facet }) => facet === 'subject').length <= 1
  if (!isSentences(text) && one) return rewritten(text, said.filter(({ facet, further }) => facet !== 'setting' || !further), 'sentences')
  const of = (facet: Facet) => said.filter((one) => one.facet === facet).map((one) => one.text)
  const [action] = of('action')
  const setting = said.find(({ facet, further }) => facet === 'setting' && !further)?.text
  const places = said.filter(({ facet, further }) => facet === 'setting' && further).map((one) => one.text)
  const [hour] = of('moment')
  const them = `the ${phrase.replace(/^(?:an?|the)\s+/i, '')}`
  const first = [action ? `${capital(them)} ${subject.many ? 'are' : 'is'} ${action}` : '', setting ? (action ? setting : `All of it lies ${setting}`) : '', hour ? (action || setting ? hourSaid(hour) : `It is ${hour}`) : ''].filter(Boolean).join(' ')
  const details = of('detail')
  const more = details.length ? [`One sees ${details.join(', ').replace(/, ([^,]*)$/, ' and $1')}.`] : []
  return [text.replace(/[\s,;]*$/, '').replace(/([^.!?])$/, '$1.'), ...(first ? [`${first}.`] : []), ...more, ...furtherSentences(subject, { said, places, way })].join(' ')
}
/** A subject by itself, of which nothing else is said. */
const isBare = (text: string, { phrases }: Heard): boolean => !isSentences(text) && !text.includes(',') && (phrases.length <= 1 || phrases.every(({ facet }) => facet === 'subject' || facet === 'detail'))
/** A subject with its article; an idea is given a figure. */
const named = (text: string, { kind }: Subject): string => (kind === 'idea' ? `a figure personifying ${text.replace(/^an?\s+/i, '')}` : withArticle(text))
const FACET_ORDER: readonly Facet[] = ['subject', 'action', 'detail', 'setting', 'moment', 'framing', 'light', 'colour', 'medium', 'technique', 'mood', 'lettering']
