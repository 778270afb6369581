import type { TextChange } from '../draft/text-change.ts'
import { wordDiff } from '../draft/word-diff.ts'
import type { TextRange } from '../text-range.ts'
import { plainWords } from './plain-words.ts'

/** A stretch of the first text that goes, or a stretch of the second that comes, at a place of the first. */
export interface Piece {
  /** In the first text; both the same for what comes. */
  from: number
  to: number
  /** In the second text, for what comes. */
  insert?: TextRange
  /** The text that goes or comes. */
  text: string
}

/** Pieces of which each belongs to one unit; a unit has the phrases, by place in either list, that it is about. */
export interface TextUnit {
  pieces: Piece[]
  a: number[]
  b: number[]
}

/** Runs that both texts share, and what lies between them. */
interface Run {
  same: boolean
  aFrom: number
  aTo: number
  bFrom: number
  bTo: number
}

function runsOf(before: string, after: string): Run[] {
  const runs: Run[] = []
  let [a, b] = [0, 0]
  for (const { change, text } of wordDiff(before, after)) {
    const [aTo, bTo] = [change === 'added' ? a : a + text.length, change === 'removed' ? b : b + text.length]
    const last = runs.at(-1)
    if (last && !last.same && change !== 'same') Object.assign(last, { aTo, bTo })
    else runs.push({ same: change === 'same', aFrom: a, aTo, bFrom: b, bTo })
    ;[a, b] = [aTo, bTo]
  }
  return runs
}

/** Which phrase a place belongs to: the one it is in, else the one before, else the first; -1 where there are none. */
function phraseAt(phrases: readonly TextRange[], place: number): number {
  let found = phrases.length ? 0 : -1
  phrases.forEach(({ start }, i) => {
    if (start <= place) found = i
  })
  return found
}

/** A range cut where phrases begin. What comes before the first phrase that begins in it goes with that phrase, when it is only a gap. */
function cut(text: string, phrases: readonly TextRange[], start: number, end: number): { range: TextRange; phrase: number }[] {
  if (start === end) return []
  const inside = phrases.map((phrase, i) => ({ ...phrase, i })).filter((phrase) => phrase.start > start && phrase.start < end)
  const cuts = [...new Set([start, ...inside.map((phrase) => phrase.start), end])]
  const parts = cuts.slice(1).map((to, k) => ({ range: { start: cuts[k]!, end: to }, phrase: phraseAt(phrases, cuts[k]!) }))
  const [first, second] = parts
  const holds = first && phrases[first.phrase]
  if (first && second && !(holds && holds.start < first.range.end && holds.end > first.range.start && plainWords(text.slice(Math.max(first.range.start, holds.start), Math.min(first.range.end, holds.end))).length)) {
    parts.splice(0, 2, { range: { start: first.range.start, end: second.range.end }, phrase: second.phrase })
  }
  return parts
}

/** Sets that are joined one with another. */
class Groups {
  readonly #over = new Map<string, string>()
  of(key: string): string {
    const over = this.#over.get(key)
    return over === undefined ? key : this.of(over)
  }
  join(a: string, b: string): void {
    const [x, y] = [this.of(a), this.of(b)]
    if (x !== y) this.#over.set(x, y)
  }
}

/**
 * How one text becomes another, in units about a phrase each: phrases of the two texts that share words are one unit, and
 * `pairs` says which others are. All pieces together, at their places, make the second text exactly.
 */
export function textUnits(before: string, after: string, phrasesA: readonly TextRange[], phrasesB: readonly TextRange[], pairs: readonly (readonly [a: number, b: number])[]): TextUnit[] {
  const groups = new Groups()
  const [keyA, keyB] = [(i: number) => `a${i}`, (j: number) => `b${j}`]
  for (const [i, j] of pairs) groups.join(keyA(i), keyB(j))
  const runs = runsOf(before, after)
  for (const { same, aFrom, aTo, bFrom } of runs) {
    if (!same) continue
    // Words that stand in both keep their phrases together.
    for (const { start } of plainWords(before.slice(aFrom, aTo))) {
      const [i, j] = [phraseAt(phrasesA, aFrom + start), phraseAt(phrasesB, bFrom + start)]
      if (i >= 0 && j >= 0) groups.join(keyA(i), keyB(j))
    }
  }
  const units = new Map<string, TextUnit>()
  const put = (key: string, piece: Piece) => {
    const own = units.get(key) ?? { pieces: [], a: [], b: [] }
    own.pieces.push(piece)
    units.set(key, own)
  }
  for (const { same, aFrom, aTo, bFrom, bTo } of runs) {
    if (same) continue
    const gone = cut(before, phrasesA, aFrom, aTo).map(({ range, phrase }) => ({ range, key: groups.of(keyA(phrase)) }))
    for (const { range, key } of gone) put(key, { from: range.start, to: range.end, text: before.slice(range.start, range.end) })
    let at = aFrom
    for (const { range, phrase } of cut(after, phrasesB, bFrom, bTo)) {
      const key = groups.of(keyB(phrase))
      // Beside what it takes the place of, and never before what comes earlier.
      at = Math.max(at, gone.find((other) => other.key === key)?.range.start ?? at)
      put(key, { from: at, to: at, insert: range, text: after.slice(range.start, range.end) })
    }
  }
  phrasesA.forEach((_, i) => units.get(groups.of(keyA(i)))?.a.push(i))
  phrasesB.forEach((_, j) => units.get(groups.of(keyB(j)))?.b.push(j))
  return [...units.values()]
}

/** The changes that some of the pieces make of the first text. */
export function changesOf(pieces: readonly Piece[]): TextChange[] {
  const changes: TextChange[] = []
  // What comes stands before what goes at the same place.
  const order = [...pieces].sort((p, q) => p.from - q.from || p.to - q.to || (p.insert?.start ?? 0) - (q.insert?.start ?? 0))
  for (const { from, to, insert, text } of order) {
    const last = changes.at(-1)
    if (last && last.to === from) Object.assign(last, { to, insert: last.insert + (insert ? text : '') })
    else changes.push({ from, to, insert: insert ? text : '' })
  }
  return changes
}

/** The changes of the second text that undo the pieces: what had come goes, what had gone comes back. All pieces of the two texts are wanted, and which of them to undo. */
export function changesBack(all: readonly Piece[], undone: (piece: Piece) => boolean): TextChange[] {
  const order = [...all].sort((p, q) => p.from - q.from || p.to - q.to || (p.insert?.start ?? 0) - (q.insert?.start ?? 0))
  let shift = 0
  const changes: TextChange[] = []
  for (const piece of order) {
    const place = piece.from + shift
    const length = piece.insert ? piece.insert.end - piece.insert.start : 0
    if (undone(piece)) {
      const change = { from: place, to: place + length, insert: piece.insert ? '' : piece.text }
      const last = changes.at(-1)
      if (last && last.to === change.from) Object.assign(last, { to: change.to, insert: last.insert + change.insert })
      else changes.push(change)
    }
    shift += length - (piece.to - piece.from)
  }
  return changes
}
