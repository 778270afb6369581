import type { Being } from './cast-memory.ts'
import { isWithin } from './place-words.ts'
import type { ToldSentence } from './scenes.ts'
import { BIAS, WEIGHTS } from './turn-weights.ts'

/** What speaks for a scene beginning at a sentence, and against it. */
export interface Turn {
  paragraph: number
  line: number
  /** In a story of long paragraphs, one that begins inside a paragraph. */
  inside: number
  timeFirst: number
  timeLater: number
  sameTime: number
  placeFirst: number
  reached: number
  placeLater: number
  samePlace: number
  newSubject: number
  newHead: number
  allNew: number
  samePeople: number
  away: number
  speech: number
  back: number
  short: number
  carriedOn: number
  fragment: number
  together: number
  /** It opens a paragraph of which a next sentence begins with another time or place. */
  ahead: number
  /** In a story of long paragraphs, one that begins one. */
  section: number
  /** A line that only sets the scene: “An office.” */
  slug: number
}

/** What holds in the scene so far. */
export interface Held {
  since: number
  place: string | undefined
  moment: string
  /** The scene itself has said where it is. */
  placed: boolean
  cast: Set<Being>
}

const fresh = (since: number): Held => ({ since, place: undefined, moment: '', placed: false, cast: new Set() })

function take(held: Held, sentence: ToldSentence): void {
  for (const { being } of sentence.present) held.cast.add(being)
  if (sentence.places.some(({ weight }) => weight >= 0.5)) held.placed = true
  const place = [...sentence.places].sort((a, b) => b.weight - a.weight)[0]
  if (place && place.weight >= 0.3 && (held.place === undefined || place.weight >= 0.9)) held.place = place.head
  const moment = sentence.moments.find(({ moves }) => moves > 0.4)
  if (moment) held.moment = moment.text.toLowerCase()
}

export function turnAt(sentences: readonly ToldSentence[], index: number, held: Held, longParagraphs: boolean): Turn {
  const sentence = sentences[index]!
  const { tokens, moments, places, present } = sentence
  const told = tokens.filter(({ quoted }) => !quoted)
  const first = told[0]?.start ?? sentence.start
  const isFirst = (start: number) => start - first <= 2 || told.filter((token) => token.start < start).length <= 3
  const quoteFirst = tokens[0]?.quoted === true
  const verbs = told.some(({ tag }) => tag === 16 || tag === 4)
  const live = moments.filter(({ habitual, text }) => !habitual && !/^(?:once upon a time|at last|for a long time|in those days)$/i.test(text))
  const timeFirst = Math.max(0, ...live.filter(({ start }) => isFirst(start)).map(({ moves }) => moves))
  const timeLater = Math.max(0, ...live.filter(({ start }) => !isFirst(start)).map(({ moves }) => moves))
  // The first time and place of a story are told, not changed.
  const known = held.place !== undefined || held.moment !== '' ? 1 : 0.2
  const relative = live.some(({ kind, text }) => kind === 'elapsed' || /^(?:next|following|that|same)\b/i.test(text))
  const away = live.some(({ text }) => /^(?:meanwhile|in the meantime)/i.test(text))
  const real = places.filter(({ named }) => !named)
  const other = real.filter(({ head, fronted }) => head !== held.place && !(held.place !== undefined && !fronted && isWithin(head, held.place)))
  // Where a scene has not said yet where it is, a place is told, not changed.
  const worth = held.placed ? 1 : held.place === undefined ? 0.3 : 0.75
  const subjects = present.filter(({ subject }) => subject)
  // A smell that reaches the church takes nobody there.
  const moved = subjects.length > 0 || !verbs ? 1 : 0.5
  const fresh = subjects.filter(({ being }) => !held.cast.has(being))
  const met = present.some(({ being }) => held.cast.has(being))
  const lead = told[0]?.lower ?? ''
  // “It was a night full of satellites” tells of the time it already is.
  const describes = sentence.opening === 'none' && /^it$/.test(lead) && /^(?:was|is)$/.test(told[1]?.lower ?? '') ? 0.4 : 1
  const previous = sentences[index - 1]!
  return {
    paragraph: sentence.opening === 'paragraph' ? 1 : 0,
    line: sentence.opening === 'line' ? 1 : 0,
    inside: longParagraphs && sentence.opening === 'none' ? 1 : 0,
    timeFirst: describes * (sentence.opening === 'paragraph' || relative ? 1 : known) * (quoteFirst ? timeFirst * 0.4 : timeFirst),
    timeLater: quoteFirst ? timeLater * 0.5 : timeLater,
    sameTime: live.length > 0 && held.moment !== '' && live.every(({ text }) => text.toLowerCase() === held.moment || held.moment.includes(text.toLowerCase())) ? 1 : 0,
    placeFirst: worth * Math.max(0, ...other.filter(({ fronted }) => fronted).map(({ weight }) => weight)),
    reached: worth * moved * Math.max(0, ...other.filter(({ reached, fronted }) => reached && !fronted).map(({ weight }) => weight)),
    placeLater: worth * moved * Math.max(0, ...other.filter(({ reached, fronted }) => !reached && !fronted).map(({ weight }) => weight)),
    samePlace: real.length > other.length ? 1 : 0,
    newSubject: held.cast.size === 0 ? 0 : Math.min(2, new Set(fresh.map(({ being }) => being)).size),
    newHead: held.cast.size > 0 && subjects[0] && !held.cast.has(subjects[0].being) ? 1 : 0,
    allNew: present.length > 0 && held.cast.size > 0 && !met ? 1 : 0,
    samePeople: present.length > 0 && fresh.length === 0 && met ? 1 : 0,
    away: away ? 1 : 0,
    speech: quoteFirst || (sentence.speaker !== undefined && previous.speaker !== undefined) ? 1 : 0,
    back: /^(?:back|then|suddenly|finally)$/.test(lead) || /^(?:one day|once)$/i.test(told.slice(0, 2).map(({ lower }) => lower).join(' ')) ? (lead === 'back' ? 1 : 0.4) : 0,
    // One sentence that says where and who is a scene of its own.
    short: index - held.since < 2 ? (timeFirst >= 0.8 || (held.placed && (held.cast.size > 0 || held.moment !== '')) ? 0.4 : 1) : 0,
    carriedOn: !live.some(({ start }) => isFirst(start)) && !other.some(({ start, fronted }) => fronted && start === first) && /^(?:it|its|he|she|they|his|her|their|this|that|these|there|and|but|so|for)$/.test(lead) ? 1 : 0,
    fragment: !verbs && !quoteFirst && (places.length > 0 || live.length > 0) ? 1 : 0,
    together: /^(?:they|we)$/.test(lead) && places.some(({ reached }) => reached) ? 1 : 0,
    section: longParagraphs && sentence.opening === 'paragraph' ? 1 : 0,
    slug: sentence.opening !== 'none' && !verbs && !quoteFirst && told.length <= 9 && (places.length > 0 || live.length > 0) ? 1 : 0,
    ahead: longParagraphs && sentence.opening === 'paragraph' && timeFirst < 0.5 ? aheadOf(sentences, index, held) : 0,
  }
}

/** How surely the sentences after one, in its paragraph, begin with another time or place, 0 to 1. */
function aheadOf(sentences: readonly ToldSentence[], index: number, held: Held): number {
  let most = 0
  for (let i = index + 1; i < sentences.length && i <= index + 2 && sentences[i]!.opening === 'none'; i++) {
    const { tokens, moments, places } = sentences[i]!
    const first = tokens.find(({ quoted }) => !quoted)?.start
    if (first === undefined || tokens[0]!.quoted) continue
    for (const { start, moves, habitual } of moments) if (!habitual && start - first <= 2) most = Math.max(most, moves)
    for (const { head, fronted, start, weight, spot } of places) if (fronted && !spot && start - first <= 8 && head !== held.place) most = Math.max(most, weight * 0.7)
  }
  return most
}

/** How the turns are weighed; only their fitting gives others. */
export interface Weighing {
  weights: Turn
  bias: number
}
const OWN: Weighing = { weights: WEIGHTS, bias: BIAS }

const scoreOf = (turn: Turn, { weights, bias }: Weighing): number => bias + (Object.keys(weights) as (keyof Turn)[]).reduce((sum, key) => sum + weights[key] * turn[key], 0)

/** What holds after a sentence; with `begins`, it begins a scene at that index. */
export function heldAfter(held: Held | undefined, begins: number | undefined, sentence: ToldSentence): Held {
  const next: Held = begins === undefined && held ? { ...held, cast: new Set(held.cast) } : { ...fresh(begins ?? 0), ...(held ? { place: held.place, moment: held.moment } : {}) }
  take(next, sentence)
  return next
}

/** Most scenes that one story is split into. */
export const MAX_SCENES = 400

/**
 * Where a scene begins that turns out to be a new one at a sentence: speech that opens its paragraph belongs to it, and so
 * does a sentence before it that already speaks only of those who are new.
 */
function openingOf(sentences: readonly ToldSentence[], index: number, after: number): number {
  let at = index
  while (at > after + 1 && sentences[at]!.opening === 'none') at--
  const first = sentences[at]!
  if (at < index && index - at <= 2 && first.opening !== 'none' && first.tokens[0]?.quoted === true && first.speaker === undefined) return at
  const before = sentences[index - 1]!
  if (index - 1 > after && sentences[index]!.opening === 'none' && !before.spoken && sentences[index]!.moments.length === 0 && sentences[index]!.places.some(({ fronted }) => fronted)) {
    const earlier = new Set(sentences.slice(after, index - 1).flatMap(({ present }) => present.map(({ being }) => being)))
    const here = new Set(sentences[index]!.present.map(({ being }) => being))
    const own = before.present.filter(({ subject }) => subject)
    if (earlier.size > 0 && own.length > 0 && before.places.length === 0 && before.present.every(({ being }) => !earlier.has(being)) && own.some(({ being }) => here.has(being))) return index - 1
  }
  return index
}

/** The sentences that begin a scene, by index; 0 is always among them. Empty for no sentences. */
export function divide(sentences: readonly ToldSentence[], weighing: Weighing = OWN): number[] {
  if (!sentences.length) return []
  const starts = [0]
  let held = heldAfter(undefined, 0, sentences[0]!)
  const longParagraphs = longIn(sentences)
  // What is numbered scene by scene is divided there and nowhere else.
  const staged = sentences[0]!.staged && sentences.filter((one) => one.staged).length > 1
  for (let i = 1; i < sentences.length; i++) {
    const sentence = sentences[i]!
    const previous = sentences[i - 1]!
    const fixed = sentence.opening === 'mark' && !previous.heading
    const barred = staged || sentence.spoken || (previous.heading && sentence.opening !== 'mark')
    const begins = fixed || (!barred && starts.length < MAX_SCENES && scoreOf(turnAt(sentences, i, held, longParagraphs), weighing) > 0)
    if (begins) starts.push(fixed ? i : openingOf(sentences, i, starts.at(-1)!))
    held = heldAfter(held, begins ? i : undefined, sentence)
  }
  return starts
}

/** Whether a story is told in paragraphs of several sentences, so that a new one says something. */
export function longIn(sentences: readonly ToldSentence[]): boolean {
  const paragraphs = sentences.filter(({ opening }) => opening === 'paragraph').length
  return paragraphs >= 2 && sentences.length / (paragraphs + 1) >= 1.8
}
