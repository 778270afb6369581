import { FACETS } from '../facets.ts'
import type { Settings } from '../draft/shape.ts'
import { findLeadIns } from './noise/lead-in.ts'
import { entriesOf, findLeaveOuts, listLength } from './noise/leave-out.ts'
import type { TextRange } from '../text-range.ts'
import { findPraise } from './noise/praise.ts'
import { findSettings } from './noise/setting.ts'
import type { Noise } from './reading.ts'
import { type Piece, structureOf } from './structure/pieces.ts'

/** A sentence or field to be read by itself: the same text, mask, hint and place give the same reading. */
export interface Unit extends TextRange {
  /** Ranges within it that are noise, in its own offsets. */
  masks: TextRange[]
  /** Facet that a label gives it, from 1; 13 for a label that says nothing; 0 for no label. */
  hint: number
  /** 0 for the first of its piece, 1 for the second, 2 for later ones. */
  place: number
}

/** A text with everything found that rules are certain of. */
export interface Prepared {
  units: Unit[]
  noise: Noise[]
  leaveOut: string[]
  settings: Settings
}

const ANY_HINT = FACETS.length + 1
const hintOf = ({ meaning }: Piece): number => (meaning === undefined || meaning === 'leave-out' ? 0 : meaning === 'any' ? ANY_HINT : FACETS.indexOf(meaning) + 1)

/** Where one sentence ends and another begins: a stop before a capital, quote or digit, a semicolon, or a line end. */
const UNIT_END = /[.!?]+["”’)]*(?=\s+["“‘'(\p{Lu}\p{N}])|;|\n+/uy
/** What a unit's end begins with: looked for first, since that is several times as quick. */
const MAY_END = /[.!?;\n]/g

/** No sentence is read in stretches longer than this, in UTF-16 code units; a longer one is cut after a comma, or else a space. */
const LONGEST = 1_500

function sentences(text: string, { start, end }: TextRange): TextRange[] {
  const found: TextRange[] = []
  const said = text.slice(start, end)
  let at = 0
  MAY_END.lastIndex = 0
  for (let match = MAY_END.exec(said); match; match = MAY_END.exec(said)) {
    UNIT_END.lastIndex = match.index
    const stop = UNIT_END.exec(said)
    if (!stop) continue
    const next = stop.index + stop[0].length
    found.push(...stretches(text, start + at, start + next))
    at = MAY_END.lastIndex = next
  }
  if (start + at < end) found.push(...stretches(text, start + at, end))
  return found
}

function* stretches(text: string, start: number, end: number): Generator<TextRange> {
  let at = start
  while (end - at > LONGEST) {
    const said = text.slice(at, at + LONGEST)
    // Not between the two halves of one character.
    const whole = /[\uD800-\uDBFF]$/.test(said) ? LONGEST - 1 : LONGEST
    const length = said.lastIndexOf(',') + 1 || said.lastIndexOf(' ') + 1 || whole
    yield { start: at, end: at + length }
    at += length
  }
  yield { start: at, end }
}

export function prepare(text: string): Prepared {
  const structure = structureOf(text)
  const noise: Noise[] = []
  const leaveOut: string[] = []
  const settings: Settings = {}
  const free = (start: number, end: number) => noise.every((other) => other.end <= start || other.start >= end)
  const add = (start: number, end: number, kind: Noise['kind']): boolean => {
    if (start >= end || !free(start, end)) return false
    noise.push({ start, end, kind })
    return true
  }
  const set = (found: Settings) => {
    for (const [key, value] of Object.entries(found)) settings[key] ??= value
  }
  for (const label of structure.labels) add(label.start, label.end, 'label')
  for (const found of structure.settings) {
    if (add(found.start, found.end, 'setting')) set(found.settings)
  }
  const units: Unit[] = []
  structure.pieces.forEach((piece, i) => {
    const said = text.slice(piece.start, piece.end)
    if (piece.meaning === 'leave-out') {
      const list = said.slice(0, listLength(said))
      if (add(piece.start + list.length - list.trimStart().length, piece.start + list.trimEnd().length, 'leave-out')) leaveOut.push(...entriesOf(list))
      for (const found of findSettings(said.slice(list.length))) {
        if (add(piece.start + list.length + found.start, piece.start + list.length + found.end, 'setting')) set(found.settings)
      }
      return
    }
    for (const found of findLeaveOuts(said)) {
      if (add(piece.start + found.start, piece.start + found.end, 'leave-out')) leaveOut.push(...found.entries)
    }
    for (const found of findSettings(said)) {
      if (add(piece.start + found.start, piece.start + found.end, 'setting')) set(found.settings)
    }
    for (const found of findLeadIns(said, i === 0 || piece.meaning === 'any')) add(piece.start + found.start, piece.start + found.end, 'lead-in')
    if (piece.meaning !== 'lettering') for (const found of findPraise(said)) add(piece.start + found.start, piece.start + found.end, 'praise')
    let place = 0
    for (const range of sentences(text, piece)) {
      const masks = noise.filter((one) => one.start < range.end && one.end > range.start).map((one) => ({ start: Math.max(one.start, range.start) - range.start, end: Math.min(one.end, range.end) - range.start }))
      units.push({ ...range, masks: masks.sort((a, b) => a.start - b.start), hint: hintOf(piece), place: Math.min(place, 2) })
      place++
    }
  })
  noise.sort((a, b) => a.start - b.start)
  return { units, noise, leaveOut: [...new Set(leaveOut)], settings }
}
