import type { WordTable } from '../../read/words/word-table.ts'
import type { Analyser } from '../../read/analyser.ts'
import type { TextRange } from '../../text-range.ts'
import { animatedNouns } from './animated.ts'
import { CastFinder } from './cast.ts'
import type { Appearance, Being } from './cast-memory.ts'
import { beatOf } from './beat.ts'
import { divide } from './divide.ts'
import { type MomentMention, momentsIn } from './moments.ts'
import { Names } from './names.ts'
import { nounPhrasesOf } from '../../structure/noun-phrases.ts'
import { type PlaceMention, placesIn } from './places.ts'
import { retag } from './retag.ts'
import { VERB } from '../../read/parts-of-speech.ts'
import type { Word } from '../../structure/word.ts'
import { type Sentence, sentencesOf } from './sentences.ts'

/** Longest story that is divided, in UTF-16 code units: some hundred pages. */
export const MAX_STORY = 200_000

/** Something a scene is said to have, where the story says it, and whether it was said in an earlier scene and still holds. */
export interface Told extends TextRange {
  text: string
  carried: boolean
}

export interface StoryScene extends TextRange {
  text: string
  /** What happens, in one line. */
  beat: string
  /** Names and roles of who is there, in the order in which the story brings them in. */
  cast: string[]
  place: Told | null
  moment: Told | null
}

export interface StoryScenes {
  scenes: StoryScene[]
  /** Everybody of the story by the name they are listed by, with what else they are called and the scenes they are in. */
  cast: { name: string; also: string[]; scenes: number[] }[]
}

/** One sentence with all that was found in it. */
export interface ToldSentence extends Sentence {
  moments: MomentMention[]
  places: PlaceMention[]
  present: Appearance[]
}

/** The sentence with speech blanked out, so that what people say is not taken for what happens. */
function narrated(story: string, sentence: Sentence): string {
  const letters = story.slice(sentence.start, sentence.end).split('')
  for (const token of sentence.tokens) if (token.quoted) for (let i = token.start; i < token.end; i++) letters[i - sentence.start] = '\u00a4'
  return letters.join('')
}

/** Whether most sentences tell somebody what to do: “Cover it with a cloth.” “In the shed, fill the pots.” */
function areInstructions(sentences: readonly Sentence[]): boolean {
  const orders = sentences.filter(({ tokens }) => {
    const comma = tokens.findIndex(({ text }) => text === ',')
    const plain = (token: Word | undefined) => token?.tag === VERB && !token.quoted && !/(?:ed|ing|[^s]s)$/.test(token.lower)
    return plain(tokens[0]) || (comma > 0 && comma < 9 && plain(tokens[comma + 1]))
  })
  return orders.length >= 2 && orders.length >= sentences.length * 0.4
}

/** All that a story says, sentence by sentence. */
export function toldSentences(story: string, words: WordTable, analyse: Analyser): { sentences: ToldSentence[]; beings: Being[] } {
  const sentences = sentencesOf(story, analyse)
  for (const { tokens } of sentences) retag(tokens, words)
  const names = new Names(sentences, words)
  const parsed = sentences.map((sentence) => {
    const moments = sentence.heading ? [] : momentsIn(narrated(story, sentence)).map((found) => ({ ...found, start: found.start + sentence.start, end: found.end + sentence.start }))
    const ofTime = sentence.tokens.map((token) => moments.some(({ start, end }) => start <= token.start && token.end <= end))
    const phrases = nounPhrasesOf(sentence.tokens, words, (i) => !ofTime[i] && names.isName(sentence.tokens[i]!), (i) => ofTime[i]!)
    return { ...sentence, moments, phrases }
  })
  const instructions = areInstructions(parsed)
  const cast = new CastFinder(story, words, names, animatedNouns(parsed, words))
  const told = parsed.map(({ phrases, ...sentence }, index): ToldSentence => {
    cast.read(sentence, index, phrases)
    const { moments } = sentence
    const places = sentence.heading ? [] : placesIn(story, sentence, phrases, words, names, instructions).filter((place) => !moments.some(({ start, end }) => place.start < end && start < place.end))
    return { ...sentence, places, present: [] }
  })
  const acting = actingIn(cast.memory.appearances)
  for (const being of cast.addressed) acting.add(being)
  for (const appearance of cast.memory.appearances) if (acting.has(appearance.being)) told[appearance.sentence]!.present.push(appearance)
  return { sentences: told, beings: cast.memory.beings }
}

/** Those who are in the story, not only in its words: an animal or a bare name must do something, or be told of twice. */
function actingIn(appearances: readonly Appearance[]): Set<Being> {
  const acting = new Set<Being>()
  const told = new Map<Being, Set<number>>()
  for (const { being, subject, meant, sentence } of appearances) {
    if ((subject && (!meant || being.named)) || (!being.thing && (!being.named || being.labels.length > 1 || being.name.includes(' ')))) acting.add(being)
    else if (!meant) {
      const list = told.get(being) ?? new Set()
      told.set(being, list.add(sentence))
      if (list.size > 1) acting.add(being)
    }
  }
  return acting
}

/** The place a scene is set in: what opens it, or else what it says most surely. */
export function placeOf(sentences: readonly ToldSentence[]): PlaceMention | undefined {
  const all = sentences.flatMap(({ places }) => places)
  const best = Math.max(0, ...all.map(({ weight }) => weight))
  return all.find(({ weight, fronted, reached }) => weight >= best - (fronted || reached ? 0.35 : 0.05) && weight > 0.15)
}

/** Kinds of time from the widest to the finest; clock and time of day are of one fineness. */
const ORDER: readonly MomentMention['kind'][] = ['vague', 'elapsed', 'date', 'season', 'day', 'daypart']

/** When a scene is: the first time it gives, and the hour where that was a day or longer. */
export function momentOf(sentences: readonly ToldSentence[]): { text: string; start: number; end: number; habitual: boolean } | undefined {
  const all = sentences.flatMap(({ moments }) => moments).filter(({ text, kind, limit }) => !limit && !/^(?:once|last|afterwards?|once upon a time|long ago|in those days|at that time|at last|meanwhile|in the meantime|eventually|at the same time|by then|until now|for a long time|one day|another day|that day|same day)$/i.test(text) && kind !== 'vague')
  const vague = sentences.flatMap(({ moments }) => moments).find(({ text }) => /^(?:today|nowadays|now|tonight|tomorrow|yesterday|these days)$/i.test(text))
  const first = all.find(({ moves, kind }) => moves >= 0.6 && !(kind === 'elapsed' && moves < 0.5)) ?? vague ?? all[0]
  if (!first) return undefined
  const finer = (kind: MomentMention['kind']) => ORDER.indexOf(kind)
  const hour = all.find((other) => other.start > first.start && finer(other.kind) > finer(first.kind) && !other.habitual)
  return { habitual: first.habitual, text: hour && !first.text.toLowerCase().includes(hour.text.toLowerCase()) ? `${first.text}, ${hour.text}` : first.text, start: first.start, end: first.end }
}

/**
 * A story split into scenes: where place, time, cast or action turn, who is there, where and when. What a scene does not
 * say holds on from the one before, and is told as carried; a place is not carried to people who were not there.
 * With `starts`, scenes begin at those places of the story instead, moved to the sentences they are in.
 * Ranges are UTF-16 code units of the story, in order, without overlap. Never throws; an empty story has no scenes.
 */
export function scenesOf(story: string, words: WordTable, analyse: Analyser, starts?: readonly number[]): StoryScenes {
  const { sentences, beings } = toldSentences(story, words, analyse)
  return scenesBetween(story, sentences, beings, starts && sentences.length ? sentencesAt(sentences, starts) : divide(sentences))
}

/** The sentences that begin at places of the story, or hold them; the first is always among them. */
function sentencesAt(sentences: readonly ToldSentence[], starts: readonly number[]): number[] {
  const found = starts.map((start) => Math.max(0, sentences.findLastIndex((sentence) => sentence.start <= start)))
  return [...new Set([0, ...found])].sort((a, b) => a - b)
}

const ARRIVES = /^(?:came|comes|arrived?|arrives|appeared|appears|entered|enters|joined|joins|knocked|knocks|returned|returns)$/

/** The scenes of a story whose boundaries are given: the indices of the sentences that begin one, 0 among them. */
export function scenesBetween(story: string, sentences: readonly ToldSentence[], beings: readonly Being[], starts: readonly number[]): StoryScenes {
  let place: Told | null = null
  let moment: Told | null = null
  let habitual = false
  let before = new Set<Being>()
  const inScenes = new Map<Being, number[]>()
  const scenes = starts.map((from, n): StoryScene => {
    const own = sentences.slice(from, starts[n + 1] ?? sentences.length)
    const here = new Set(own.flatMap(({ present }) => present.map(({ being }) => being)))
    for (const being of here) inScenes.set(being, [...(inScenes.get(being) ?? []), n])
    const saidPlace = placeOf(own)
    const saidMoment = momentOf(own)
    // Whoever comes, comes to where the others are.
    const shared = [...here].some((being) => before.has(being)) || here.size === 0 || own.some(({ tokens }) => tokens.some(({ lower, quoted }) => !quoted && ARRIVES.test(lower)))
    const elsewhere = own.some(({ moments }) => moments.some(({ text }) => /^(?:meanwhile|in the meantime|at the same time)$/i.test(text)))
    // A spot within a place does not say that the place was left: “she sat on the bench”.
    const held = saidPlace?.spot === true && place !== null && (shared || saidPlace.known === true) && !elsewhere
    place = saidPlace && !held ? { text: saidPlace.text, start: saidPlace.start, end: saidPlace.end, carried: false } : place && (shared || held) && !elsewhere ? { ...(place as Told), carried: true } : null
    // What was done every evening does not date what comes after.
    moment = saidMoment ? { text: saidMoment.text, start: saidMoment.start, end: saidMoment.end, carried: false } : moment && !habitual ? { ...(moment as Told), carried: true } : null
    habitual = saidMoment ? saidMoment.habitual : habitual
    before = here
    const [start, end] = [own[0]!.start, own.at(-1)!.end]
    return { start, end, text: story.slice(start, end), beat: beatOf(story, own), cast: beings.filter((being) => here.has(being)).map(({ name }) => name), place, moment }
  })
  return {
    scenes,
    cast: beings.filter((being) => inScenes.has(being)).map((being) => ({ name: being.name, also: being.labels.filter((label) => label !== being.name), scenes: inScenes.get(being)! })),
  }
}
