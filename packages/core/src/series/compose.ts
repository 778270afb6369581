import type { Draft } from '../draft/shape.ts'
import { addMark } from '../draft/mark.ts'
import type { Mark } from '../draft/mark-shape.ts'
import { articleFor } from '../english/article.ts'
import { wantsArticle } from '../english/noun.ts'
import { literal } from '../english/whole-word.ts'
import type { WordTable } from '../read/words/word-table.ts'
import { articleOfTime, leadFor } from '../rewrite/lead.ts'
import { type Given, givenBy, type PartBody, type PartKind } from './part.ts'
import type { PartUse, SceneBody } from './scene.ts'

/** A part in the version that is to be used. */
export interface PartNow {
  id: string
  version: number
  body: PartBody
}

/** What a scene is composed from. */
export interface SceneParts {
  cast: { part: PartNow; variants: readonly string[] }[]
  place: { part: PartNow; variants: readonly string[] } | null
  style: PartNow | null
}

/** A stretch of text and the part that says it. */
interface Piece {
  text: string
  from?: { kind: PartKind; part: PartNow; key: string }
}

/** Phrases that are not to be said, as `part key`, for another already says them or the opposite. */
export type LeftOut = ReadonlySet<string>
export const leftOutKey = (part: string, key: string): string => `${part} ${key}`

/** Names by which a scene's words call a part, the longest first; a name of several words may be shortened to its first or last. */
function namesOf({ name, also, kind }: PartBody): string[] {
  const whole = [name, ...also].map((one) => one.trim()).filter(Boolean)
  const titles = /^(?:the|a|an|mr|mrs|ms|miss|dr|doctor|old|young|little|uncle|aunt|captain|king|queen|prince|princess)$/i
  const parts = kind === 'character' ? whole.flatMap((one) => (/^\p{Lu}/u.test(one) ? one.split(/\s+/) : [])).filter((word) => /^\p{Lu}/u.test(word) && word.length > 2 && !titles.test(word)) : []
  return [...new Set([...whole, ...parts])].sort((a, b) => b.length - a.length)
}

/** It says by itself how it is placed: “inside a tower”, “the next morning”. */
const PLACED = /^(?:in|on|at|under|inside|outside|by|near|above|below|beside|behind|over|through|across|along|during|before|after|just|one|next|that)\b/i

/** What a part gives as a text says it: without a stop, what somebody is with the article it wants. */
export function shownBy(body: PartBody, variants: readonly string[], words: WordTable): Given[] {
  return givenBy(body, variants).map(({ key, text }, i) => {
    const said = text.trim().replace(/[.,;]+$/, '')
    return { key, text: i === 0 && body.kind !== 'style' && !PLACED.test(said) && wantsArticle(said, words) ? `${articleFor(said)} ${said}` : said }
  })
}

/** What ties one phrase of a part to those before it: once a comma stands, commas go on. */
const tie = (said: string, before: string, ties: readonly string[]): string => {
  const hangs = /^(?:with|in|wearing|holding|carrying|of|whose|who|that|which)\b/i.test(said)
  const again = /^(?:with|wearing)\b/i.test(said) && /\bwith\b/.test(before)
  return hangs && !again && !ties.includes(', ') ? ' ' : ', '
}

/** All that a part says, as pieces joined to one another. */
function described(kind: PartKind, part: PartNow, variants: readonly string[], leave: LeftOut, words: WordTable): Piece[] {
  const given = shownBy(part.body, variants, words).filter(({ key }) => !leave.has(leftOutKey(part.id, key)))
  const pieces: Piece[] = []
  const ties: string[] = []
  let said = ''
  given.forEach(({ key, text }, i) => {
    if (i > 0) {
      ties.push(kind === 'style' ? ', ' : tie(text, said, ties))
      pieces.push({ text: ties.at(-1)! })
    }
    pieces.push({ text, from: { kind, part, key } })
    said += ` ${text}`
  })
  return pieces
}
const lengthOf = (pieces: readonly Piece[]) => pieces.filter(({ from }) => from).length

/** How a text speaks of a part again: in the writer's words, or “the” and its first phrase. */
export function spokenOfAgain({ again, says, name }: PartBody): string {
  if (again.trim()) return again.trim()
  const first = says[0]?.text.replace(/^(?:an?|the)\s+/i, '').split(/,|\s(?:with|in|of|who|whose|wearing)\s/)[0]
  return first ? `the ${first.trim()}` : name
}

/**
 * A scene's words with the names in them said out: the first time all that a part says, later in short. Who is in the cast
 * and not in the words comes first.
 */
function saidOut(own: string, { cast, place }: SceneParts, leave: LeftOut, words: WordTable): { pieces: Piece[]; placed: boolean } {
  const uses = [...cast.map((use) => ({ ...use, kind: 'character' as const })), ...(place ? [{ ...place, kind: 'place' as const }] : [])]
  const found: { start: number; end: number; use: (typeof uses)[number]; owns: boolean }[] = []
  for (const use of uses) {
    for (const name of namesOf(use.part.body)) {
      const form = new RegExp(`(?<![\\p{L}\\p{N}])(?:the\\s+)?${literal(name)}(['’]s)?(?![\\p{L}\\p{N}])`, use.kind === 'place' ? 'giu' : /^\p{Lu}/u.test(name) ? 'gu' : 'giu')
      for (const match of own.matchAll(form)) {
        const [start, end] = [match.index, match.index + match[0].length]
        if (found.every((other) => other.end <= start || other.start >= end)) found.push({ start, end, use, owns: match[1] !== undefined })
      }
    }
  }
  found.sort((a, b) => a.start - b.start)
  const said = new Set<string>()
  const pieces: Piece[] = []
  // Who is named only as an owner, or not at all, is told before.
  const before = uses.filter((use) => use.kind === 'character' && lengthOf(described('character', use.part, use.variants, leave, words)) > 0 && !found.some((one) => one.use === use && !one.owns))
  before.forEach((use, i) => {
    if (i > 0) pieces.push({ text: i === before.length - 1 ? (before.length > 1 ? ' and ' : '') : ', ' })
    pieces.push(...described('character', use.part, use.variants, leave, words))
    said.add(use.part.id)
  })
  let at = 0
  const rest = own.trim()
  if (before.length && rest) pieces.push({ text: found[0]?.start === 0 ? '. ' : /^(?:\p{Ll}+ing\b|in\b|on\b|at\b|by\b|with\b|beside\b|near\b)/u.test(rest) && before.length === 1 ? ', ' : /^\p{Lu}/u.test(rest) ? '. ' : ', ' })
  for (const { start, end, use, owns } of found) {
    pieces.push({ text: own.slice(at, start) })
    at = end
    const whole = described(use.kind, use.part, use.variants, leave, words)
    if (owns || said.has(use.part.id) || lengthOf(whole) === 0) {
      // Who says nothing yet is called by name, as the words do.
      if (lengthOf(whole) === 0) pieces.push({ text: own.slice(start, end) })
      else pieces.push({ text: spokenOfAgain(use.part.body), from: { kind: use.kind, part: use.part, key: 'again' } }, ...(owns ? [{ text: '’s' }] : []))
    } else {
      pieces.push(...whole)
      said.add(use.part.id)
      // A description with a comma in it is closed by one before the verb.
      if (whole.some(({ text, from }) => !from && text === ', ') && /^\s+\p{L}/u.test(own.slice(end))) pieces.push({ text: ',' })
    }
  }
  pieces.push({ text: own.slice(at) })
  return { pieces: pieces.filter(({ text }) => text !== ''), placed: place !== null && said.has(place.part.id) }
}

const trimmedEnd = (pieces: Piece[]) => {
  const last = pieces.at(-1)
  if (last) last.text = last.text.replace(/[\s.,;]+$/, '')
  return pieces.filter(({ text }) => text !== '')
}

/**
 * The draft of a scene: one readable text from what its parts say and its own words, with a “from” mark on every phrase
 * that a part says. For an engine that reads keywords it is a list; for any other, sentences. What parts must never be
 * goes on the leave-out list; references, seed and settings come along.
 */
export function composeScene(scene: SceneBody, parts: SceneParts, words: WordTable, { keywords = false, leave = new Set<string>() }: { keywords?: boolean; leave?: LeftOut } = {}): Pick<Draft, 'text' | 'marks' | 'leaveOut' | 'references' | 'settings' | 'engines'> {
  const { pieces, placed } = saidOut(scene.words.trim(), parts, leave, words)
  const groups: Piece[][] = []
  const first = trimmedEnd(pieces)
  const add = (more: Piece[]) => {
    if (!more.length) return
    if (first.length) first.push({ text: ', ' })
    first.push(...more)
  }
  const lead = (facet: 'setting' | 'moment', said: string): string => {
    if (keywords || PLACED.test(said)) return ''
    // “dusk, late autumn” is at dusk.
    const word = leadFor(facet, said.split(',')[0]!, words)
    const plain = said.split(',')[0]!
    const bare = facet === 'moment' && word !== '' && !/^(?:the|an?|this|that|one|early|late|every|each)\b/i.test(plain)
    const article = !bare ? '' : word === 'on' && /^\p{Ll}/u.test(plain) && !/s$/.test(plain) ? articleFor(plain) : articleOfTime(plain)
    return word ? `${word} ${article ? `${article} ` : ''}` : ''
  }
  if (parts.place && !placed) {
    const place = described('place', parts.place.part, parts.place.variants, leave, words)
    const said = place[0]?.text ?? ''
    if (said) add([{ text: lead('setting', said) }, ...place].filter(({ text }) => text !== ''))
  } else if (!parts.place && scene.where.trim()) add([{ text: `${lead('setting', scene.where.trim())}${!keywords && !PLACED.test(scene.where.trim()) && wantsArticle(scene.where.trim(), words) ? `${articleFor(scene.where.trim())} ` : ''}${scene.where.trim()}` }])
  if (scene.moment.trim()) add([{ text: `${lead('moment', scene.moment.trim())}${scene.moment.trim()}` }])
  if (first.length) groups.push(first)
  if (scene.framing.trim()) groups.push([{ text: scene.framing.trim().replace(/[.,;]+$/, '') }])
  if (parts.style) {
    const style = described('style', parts.style, [], leave, words)
    if (style.length) groups.push(style)
  }
  let text = ''
  let marks: Mark[] = []
  const put = (piece: Piece, capital: boolean) => {
    const said = capital ? piece.text.replace(/^\p{Ll}/u, (letter) => letter.toUpperCase()) : piece.text
    if (piece.from && said) {
      const { kind, part } = piece.from
      marks = addMark(marks, { from: text.length, to: text.length + said.length, kind: 'from', source: { type: kind, id: part.id, version: part.version } })
    }
    text += said
  }
  groups.forEach((group, g) => {
    if (g > 0) text += keywords ? ', ' : ' '
    group.forEach((piece) => put(piece, !keywords && /(?:^|[.!?]\s+)$/.test(text)))
    if (!keywords) text += '.'
  })
  const used = [...parts.cast.map(({ part }) => part), ...(parts.place ? [parts.place.part] : []), ...(parts.style ? [parts.style] : [])]
  const references = used.flatMap(({ body }) => body.references).filter((one, i, all) => all.findIndex((other) => other.reference === one.reference && other.role === one.role) === i).slice(0, 12)
  const seed = used.find(({ body }) => body.seed !== null)?.body.seed
  return {
    text,
    marks,
    leaveOut: [...new Set(used.flatMap(({ body }) => body.never))],
    references,
    settings: { ...parts.style?.body.settings, ...(seed === undefined || seed === null ? {} : { seed }) },
    engines: parts.style?.body.engines ?? [],
  }
}

/** The uses of a scene with their parts; a part that is gone is left out. */
export function partsOf(scene: SceneBody, style: string | null, byId: ReadonlyMap<string, PartNow>): SceneParts {
  const use = ({ part, variants }: PartUse) => {
    const now = byId.get(part)
    return now ? [{ part: now, variants }] : []
  }
  return { cast: scene.cast.flatMap(use), place: scene.place ? (use(scene.place)[0] ?? null) : null, style: style ? (byId.get(style) ?? null) : null }
}
