import type { WordTable } from '../../read/words/word-table.ts'
import type { TextRange } from '../../text-range.ts'
import { labelOf, type NounPhrase } from '../../structure/noun-phrases.ts'
import { ADP, AUX, VERB } from '../../read/parts-of-speech.ts'
import { isNoPlace, isPartOf, placeWorth } from './place-words.ts'
import type { Word } from '../../structure/word.ts'
import type { Sentence } from './sentences.ts'
import type { Names } from './names.ts'

/** A place that a sentence says somebody is at or goes to. */
export interface PlaceMention extends TextRange {
  text: string
  /** The noun that names it, in lower case: what tells whether two mentions are of one place. */
  head: string
  /** How surely what is told happens there, 0 to 1. */
  weight: number
  /** It opens the sentence. */
  fronted: boolean
  /** Somebody comes there in this sentence. */
  reached: boolean
  /** Only named, with nothing that says somebody is there. */
  named: boolean
  /** A table, a door, the ground: it says where within a place. */
  spot: boolean
  /** “The counter”: one that is known to be there. */
  known?: boolean
}

const AT = new Set('in inside at on within aboard beneath under underneath behind beside by near outside above below beyond between among amid before upon atop opposite alongside against'.split(' '))
const TO = new Set('to into onto toward towards up down back home'.split(' '))
const ALONG = new Set('through across along over around past'.split(' '))
const FROM = new Set('from off out'.split(' '))
const REACH = /^(?:found|finds?|reach|enter|open|unlock|climb|cross|arriv|visit|approach|board|search|leav|left|clos|fill|occup|explor)(?:e|ed|es|s|ing|y|ied)?$|^(?:left|leaves|leaving|reached|reaches|enters|entered|climbs|climbed|crossed|crosses|visits|visited|boards|boarded)$/
const LEAVE = /^(?:leave|leaves|left|leaving|flee|fled|quit)$/
const GO = /^(?:go|goes|went|gone|going|come|comes|came|coming|walk\w*|r[au]n(?:s|ning)?|rode|rides?|drove|drives?|hurr(?:y|ies|ied)|return\w*|arriv\w*|climb\w*|travel\w*|sail\w*|fl(?:y|ies|ew)|rush\w*|crept|creeps?|march\w*|head(?:s|ed)|carr(?:y|ies|ied)|brought|brings?|took|takes?|led|leads?|mov(?:e|es|ed)|slip(?:s|ped)|step(?:s|ped)|jump(?:s|ed)|f(?:a|e)ll(?:s)?|land(?:s|ed)|follow(?:s|ed)|wander(?:s|ed)|dash(?:es|ed)|swam|swims?|row(?:s|ed)|made|makes?|set|got|gets?|reach\w*|enter\w*|crawl\w*|sank|sinks?|dived?|dives|dragg?\w*|push\w*|pull\w*|sent|sends?|drift\w*|float\w*|roll\w*|escap\w*|race[ds]?|gather\w*|met|meet|meets|lowered|called|invited|summoned|drop\w*|sneak\w*|snuck|tiptoe\w*|bring|moved|transferred|flown|lifted|shipped|trot(?:s|ted)|stroll(?:s|ed)|stumbl(?:e|es|ed)|skip(?:s|ped)|hop(?:s|ped)|gallop(?:s|ed)|stagger(?:s|ed)|limp(?:s|ed)|dart(?:s|ed)|scurr(?:y|ies|ied)|sprint(?:s|ed)|jog(?:s|ged)|bolt(?:s|ed)|tramp(?:s|ed)|trudg(?:e|es|ed)|hik(?:e|es|ed)|cycl(?:e|es|ed)|pedal(?:s|led|ed)|skat(?:e|es|ed)|skis?|skied|slid|slides?|glid(?:e|es|ed)|steer(?:s|ed)|squeez(?:e|es|ed)|burst|pour(?:s|ed)|stream(?:s|ed)|crowd(?:s|ed)|scrambl(?:e|es|ed)|wad(?:e|es|ed)|leap(?:s|ed|t)|emerg(?:e|es|ed)|retreat(?:s|ed)|withdrew|disappear(?:s|ed)|vanish(?:es|ed)|deliver(?:s|ed)|escort(?:s|ed)|guid(?:e|es|ed)|usher(?:s|ed)|chas(?:e|es|ed))$/
/** Said of what is thought, spoken or made, not of where one is. */
const NOT_THERE = /^(?:dream\w*|thought|think\w*|know\w*|knew|believ\w*|speak\w*|spoke|told|heard|hear|remember\w*|wish\w*|long(?:ed|s)?|look(?:s|ed|ing)?|star(?:e|ed|es|ing)|point\w*|gaz\w*|glanc\w*|wav\w*|listen\w*|belong\w*|marked|written|painted|kept|saw|see|sees|known|famous|called)$/

/** What carries people: where they are only while nothing better is said. */
const VEHICLE = /^(?:car|bus|train|tram|taxi|lorry|lorries|truck|van|boat|boats|barge|barges|ship|ships|helicopter|plane|ferry|coach|wagon|carriage|raft|canoe|balloon|sledge|sleigh|tents?)$/
/** What leads to a place. */
const WAY = /^(?:stairs|steps|staircase|stairway|ladder|path|road|track|lane|corridor|trail|street|way|bridge|slope|tunnel)$/
/** What carries people over water or farther: where it is, they are, when nothing else is said. */
const CARRIES = /^(?:ships?|boats?|raft|ferry|submarine|spaceship|spacecraft|trawler|schooner|caravan|balloon)$/
/** What is over or around every place. */
const BEYOND = /^(?:sky|skies|world|earth|heaven|moon|planet|space|clouds?|sea|land|country)$/
/** What is done from where one is. */
const WATCH = /^(?:watch|look|star|gaz|wav|call|shout|lean|listen|observ|see|saw|peer|speak|spoke)(?:e|ed|es|s|ing)?$/

const OPENINGS = /^(?:doors?|gates?|windows?|tables?|floor|walls?|roof|stairs|steps|bench|benches|sink|counter|corner|fence|entrance|ceiling|lights?|lamps?|clock|tap)$/

const nearestVerb = (tokens: readonly Word[], before: number): string => {
  for (let i = before - 1; i >= 0 && before - i < 9; i--) if ((tokens[i]!.tag === VERB || tokens[i]!.tag === AUX) && !tokens[i]!.quoted) return tokens[i]!.lower
  return ''
}
/** “We were going to the sea”: not there yet. */
const intends = (tokens: readonly Word[], before: number): boolean => tokens.slice(Math.max(0, before - 4), before).some(({ lower }, k, near) => /^(?:going|headed|bound)$/.test(lower) && (near[k - 1] ?? tokens[Math.max(0, before - 4) + k - 1])?.tag === AUX)
/** Where words of comparison, condition or wish stand before, nothing is said to be so. */
const unreal = (tokens: readonly Word[], before: number): boolean => {
  for (let i = before - 1; i >= 0 && before - i < 8; i--) {
    const { lower, text } = tokens[i]!
    // “as far as the inn” is there.
    if (lower === 'as' && (tokens[i - 1]?.lower === 'far' || tokens[i + 1]?.lower === 'far')) continue
    if (/[.;:]/.test(text)) return false
    if (/^(?:like|as|than|if|without|instead|except)$/.test(lower)) return before - i < 5
  }
  return false
}

/** Places of a sentence, told by the story itself, in order. In `instructions` what one works at is a place. */
export function placesIn(story: string, { tokens }: Sentence, phrases: readonly NounPhrase[], words: WordTable, names: Names, instructions = false): PlaceMention[] {
  const found: PlaceMention[] = []
  const hasVerb = tokens.some(({ tag, quoted }) => (tag === VERB || tag === AUX) && !quoted)
  const worthOf = (phrase: NounPhrase): number => {
    const head = tokens[phrase.head]!
    const lower = head.lower.replace(/['’]s$/, '')
    if (phrase.name) return placeWorth(lower, words) >= 0.5 || names.isPlace(head) ? 1 : 0
    // “start line”, “engine room”: two words that are a place together.
    const pair = phrase.head > phrase.from ? placeWorth(`${tokens[phrase.head - 1]!.lower}-${lower}`, words, true) : 0
    // “the kitchen door”, “a park bench”: a spot that says which place it is in.
    const within = phrase.head > phrase.from && OPENINGS.test(lower) ? placeWorth(tokens[phrase.head - 1]!.lower, words) : 0
    return Math.max(pair, within === 1 ? 1 : 0, placeWorth(lower, words))
  }
  /** What tells one place from another: the edge of a forest is not the forest, its middle is. */
  const identity = (phrase: NounPhrase, inner: NounPhrase | undefined): string => {
    const own = tokens[phrase.head]!.lower.replace(/['’]s$/, '')
    if (inner && isPartOf(own) && worthOf(inner) > 0 && !/^(?:edge|foot|outskirts|border|rim)$/.test(own)) return tokens[inner.head]!.lower
    return OPENINGS.test(own) && phrase.head > phrase.from && placeWorth(tokens[phrase.head - 1]!.lower, words) === 1 ? tokens[phrase.head - 1]!.lower : own
  }
  const take = (phrase: NounPhrase, given: number, reached: boolean, fronted: boolean, named = false) => {
    const inner = phrase.of && (isPartOf(tokens[phrase.head]!.lower) || worthOf(phrase.of) > 0) ? phrase.of : undefined
    const own = worthOf(phrase)
    // “the edge of the forest” is as much of a place as the forest.
    // A room no list has is a place by the house it is of: “the scriptorium of the monastery”.
    const part = inner && (isPartOf(tokens[phrase.head]!.lower) || own === 0.3)
    // Clouds are over every place.
    const over = /^(?:sky|skies|clouds?|heaven|heavens|world|earth|air)$/.test(tokens[phrase.head]!.lower) ? 0.3 : 1
    const worth = over * (part ? Math.max(own, worthOf(inner)) : own || (inner && phrase.determiner === 'the' && worthOf(inner) === 1 && !isNoPlace(tokens[phrase.head]!.lower) ? 0.6 : 0))
    if (worth === 0 || tokens[phrase.head]!.quoted || /^(?:no|any|every|each|another's)$/.test(phrase.determiner)) return
    const last = inner ?? phrase
    // “On the stove, warm the honey”: what is set apart at the head of a sentence is where it is done.
    const spot = worth < 0.5 && !named
    const weight = spot && ((fronted && tokens[last.to]?.text === ',') || instructions) ? given * 2.5 : given
    found.push({
      start: tokens[phrase.from]!.start,
      end: tokens[last.to - 1]!.end,
      // “the last straw hive of the apiary” is at the apiary.
      text: inner && own === 0.3 && worthOf(inner) === 1 && !isPartOf(tokens[phrase.head]!.lower) ? labelOf(story, tokens, inner) : labelOf(story, tokens, phrase, inner !== undefined),
      head: identity(phrase, inner),
      weight: weight * worth,
      fronted,
      reached,
      named,
      spot: worth < 0.5 && !instructions && !(fronted && tokens[last.to]?.text === ','),
      known: phrase.determiner === 'the',
    })
  }
  // “TARROW – It took …”: where a report was written.
  const dash = tokens.findIndex(({ text }) => /^[–—-]$/.test(text))
  if (dash > 0 && dash <= 4 && tokens.slice(0, dash).every(({ text, kind }) => kind === 'word' && text.length > 1 && text === text.toUpperCase())) found.push({ start: tokens[0]!.start, end: tokens[dash - 1]!.end, text: story.slice(tokens[0]!.start, tokens[dash - 1]!.end), head: tokens[dash - 1]!.lower, weight: 0.9, fronted: true, reached: false, named: false, spot: false })
  for (const phrase of phrases) {
    if (tokens[phrase.from]!.quoted) continue
    const before = tokens[phrase.from - 1]
    const earlier = tokens[phrase.from - 2]
    const fronted = phrase.from <= 6 && !tokens.slice(0, phrase.from).some(({ tag, quoted }) => (tag === VERB || tag === AUX) && !quoted)
    const verb = nearestVerb(tokens, phrase.from)
    const lead = before?.lower ?? ''
    if (unreal(tokens, phrase.from) && !fronted) continue
    // “in front of the house” is by the house.
    if (phrase.of && /^(?:front|spite|case|charge|search|need|honour|honor|memory|view)$/.test(tokens[phrase.head]!.lower) && (lead === 'in' || lead === 'at')) {
      if (tokens[phrase.head]!.lower === 'front') take(phrase.of, 0.6, false, fronted)
      continue
    }
    if (lead === 'of' && earlier && FROM.has(earlier.lower)) {
      // “carried the press out of his workshop”: where it was until then.
      if (worthOf(phrase) === 1) take(phrase, 0.3, false, false, true)
      continue
    }
    const host = phrases.find((other) => (other.of ?? other).to === phrase.from - 1 && AT.has(lead) && (other.from === 0 || AT.has(tokens[other.from - 1]?.lower ?? '')))
    // “the clinic in the upper valley”: which clinic, not where it happens.
    if (host && worthOf(host) === 1) {
      take(phrase, 0.45, false, false)
      continue
    }
    if (lead === 'of' && earlier?.lower === 'inside') take(phrase, 0.9, false, fronted)
    else if (lead === 'to' && earlier?.lower === 'next') take(phrase, 0.5, false, fronted)
    else if (AT.has(lead)) {
      const close = lead === 'in' || lead === 'inside' || lead === 'at' || lead === 'on' || lead === 'aboard' || lead === 'within'
      take(phrase, (close ? (VEHICLE.test(tokens[phrase.head]!.lower) && GO.test(verb) && !fronted ? 0.55 : 1) : 0.6) * (NOT_THERE.test(verb) && !fronted && !/^(?:in|on|inside)$/.test(lead) ? 0.5 : 1), /^(?:back|down|up|arriv\w*|land\w*)$/.test(earlier?.lower ?? '') || GO.test(verb), fronted)
    } else if (TO.has(lead)) take(phrase, intends(tokens, phrase.from) ? 0.1 : NOT_THERE.test(verb) ? 0.3 : GO.test(verb) || lead === 'into' || lead === 'onto' ? 0.95 : 0.5, true, fronted)
    else if (ALONG.has(lead)) take(phrase, 0.7, false, fronted)
    else if (FROM.has(lead)) {
      if (lead === 'from' && WATCH.test(verb)) take(phrase, 0.6, false, fronted)
      else take(phrase, 0.3, false, false, true)
    }
    // “as far as the inn”
    else if (lead === 'as' && earlier?.lower === 'far' && GO.test(verb)) take(phrase, 0.9, true, false)
    // “climbed the stairs to the dome”: on the way there.
    else if (before && REACH.test(lead) && WAY.test(tokens[phrase.head]!.lower) && tokens[phrase.to]?.lower === 'to') take(phrase, 0.3, true, false)
    else if (before && (before.tag === VERB || REACH.test(lead)) && REACH.test(lead) && !(/^f(?:ou|i)nds?$/.test(lead) && VEHICLE.test(tokens[phrase.head]!.lower))) take(phrase, LEAVE.test(lead) ? 0.4 : 0.8, true, false)
    else if (!hasVerb && phrase.from <= 8) take(phrase, 0.9, false, true)
    else if (phrase.from === 0 && tokens[phrase.to] && tokens[phrase.to]!.lower.match(/^(?:is|was|smelled|smelt|lay|stood|looked|felt)$/) && worthOf(phrase) === 1 && !VEHICLE.test(tokens[phrase.head]!.lower) && !BEYOND.test(tokens[phrase.head]!.lower)) take(phrase, 0.8, false, true)
    else if (worthOf(phrase) === 1 && !phrase.name && before?.tag !== ADP && !VEHICLE.test(tokens[phrase.head]!.lower) && !BEYOND.test(tokens[phrase.head]!.lower)) take(phrase, phrase.from === 0 ? 0.5 : 0.35, false, false, true)
  }
  for (const phrase of phrases) if (!phrase.name && CARRIES.test(tokens[phrase.head]!.lower) && !found.length && [VERB, AUX].includes(tokens[phrase.to]?.tag ?? 0) && /^(?:the|their|his|her|our)$/.test(phrase.determiner)) take(phrase, 0.25, false, false, true)
  // “the bell of their grandmother's house”
  for (const { of } of phrases) if (of && worthOf(of) === 1 && !of.name && !found.some(({ start, end }) => start <= tokens[of.head]!.start && tokens[of.head]!.end <= end)) take(of, 0.35, false, false, true)
  tokens.forEach((token, i) => {
    if (token.quoted || token.kind !== 'word') return
    const next = tokens[i + 1]
    const bare = !next || next.kind === 'mark' || i === 0
    if (/^(?:outside|upstairs|downstairs|indoors|outdoors|overhead|underwater|underground|ashore|backstage)$/.test(token.lower) && bare && (i === 0 || GO.test(nearestVerb(tokens, i)) || !next || next.kind === 'mark')) {
      if (found.some((other) => other.fronted)) return
      found.push({ start: token.start, end: token.end, text: token.lower, head: token.lower, weight: 0.6, fronted: i <= 1, reached: true, named: false, spot: false })
    } else if (token.lower === 'home' && !found.some(({ weight, named }) => weight >= 0.6 && !named) && !found.some(({ start, end }) => start <= token.start && token.end <= end) && (GO.test(nearestVerb(tokens, i)) || tokens[i - 1]?.lower === 'at')) {
      found.push({ start: token.start, end: token.end, text: 'home', head: 'home', weight: 0.6, fronted: i <= 4, reached: true, named: false, spot: false })
    }
  })
  return found.sort((a, b) => a.start - b.start)
}
