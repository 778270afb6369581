import type { Settings } from '../../draft/shape.ts'
import { settingOf } from '../noise/setting.ts'
import { isOtherSetting, settingKey } from '../noise/setting-names.ts'
import type { TextRange } from '../../text-range.ts'
import { jsonPieces } from './json.ts'
import { type LabelMeaning, meaningOf, plainLabel } from './label-names.ts'

/** A stretch of text to be read on its own, with what its label says of it. */
export interface Piece extends TextRange {
  meaning: LabelMeaning | undefined
}

/** A text taken apart by its labels: what is to be read, and what is labels or settings. */
export interface Structure {
  pieces: Piece[]
  labels: TextRange[]
  settings: (TextRange & { settings: Settings })[]
}

/** A label at the start of a line, perhaps numbered or in bold. */
const LINE_LABEL = /(?<=^|\n)[ \t]*(?:\d+[.)][ \t]*|[-*•#]+[ \t]*)?\*{0,2}([\p{L}][\p{L}\p{N} _/'’-]{0,28}?)[ \t]*\*{0,2}[ \t]*(?::|=|->|→|[ \t][-–—][ \t])\*{0,2}[ \t]*/gu
/** A label within a line, after the end of something. */
const INLINE_LABEL = /(?<=[.;,|!?)\]][ \t]{1,3}|^[ \t]{0,3}|[|])([\p{L}][\p{L} _-]{0,22}?)[ \t]*:[ \t]*(?=\S)/gu

/** Without any of these there is no label, and no label within a line without a colon. */
const SIGNS = /[:=→>]|[ \t][-–—][ \t]/

interface Label extends TextRange {
  name: string
  /** “parameter” for a setting's name; “setting” is the facet. */
  meaning: LabelMeaning | 'parameter'
  ownLine: boolean
}

function findLabels(text: string): Label[] {
  if (!SIGNS.test(text)) return []
  const found: Label[] = []
  const unknown: Label[] = []
  for (const match of text.matchAll(LINE_LABEL)) {
    const name = match[1] ?? ''
    const start = match.index + match[0].length - match[0].trimStart().length
    const range = { start, end: match.index + match[0].length, name, ownLine: true }
    const plain = plainLabel(name)
    const meaning = settingKey(plain) ? 'parameter' : (meaningOf(name) ?? (isOtherSetting(plain) ? 'parameter' : undefined))
    // A dash after a plain word is more often punctuation than a label.
    if (meaning) found.push({ ...range, meaning })
    else if (match[0].includes(':') && name.split(/\s+/).length <= 3) unknown.push({ ...range, meaning: 'any' })
  }
  const lines = found.filter(({ meaning }) => meaning !== 'parameter').length
  if (lines >= 2) found.push(...unknown)
  if (text.includes(':')) for (const match of text.matchAll(INLINE_LABEL)) {
    const name = match[1] ?? ''
    const meaning = meaningOf(name)
    const range = { start: match.index, end: match.index + match[0].length, name, ownLine: false }
    if (meaning && found.every((other) => other.end <= range.start || other.start >= range.end)) found.push({ ...range, meaning })
  }
  return found.sort((a, b) => a.start - b.start)
}

const SENTENCE_END = /[.!?](?=\s|$)/

/** Takes a text apart: JSON by its keys, labelled fields by their labels, anything else as one piece. Ranges are exact in the text. */
export function structureOf(text: string): Structure {
  const json = jsonPieces(text)
  if (json) return json
  const labels = findLabels(text)
  const structure: Structure = { pieces: [], labels: [], settings: [] }
  let at = 0
  const plain = (end: number) => {
    if (text.slice(at, end).trim()) structure.pieces.push({ start: at, end, meaning: undefined })
  }
  labels.forEach((label, i) => {
    plain(label.start)
    const next = labels[i + 1]?.start ?? text.length
    const line = text.indexOf('\n', label.end)
    let end = Math.min(next, line < 0 ? text.length : line)
    if (!label.ownLine && label.meaning !== 'leave-out' && label.meaning !== 'any') {
      const stop = SENTENCE_END.exec(text.slice(label.end, end))
      if (stop) end = label.end + stop.index + 1
    }
    at = end
    if (label.meaning === 'parameter') {
      const value = text.slice(label.end, end).replace(/[.,;]\s*$/, '')
      const settings = /\p{L}\s+\p{L}/u.test(value) ? undefined : settingOf(label.name, value, true)
      if (settings) structure.settings.push({ start: label.start, end: label.end + value.trimEnd().length, settings })
      else structure.pieces.push({ start: label.start, end, meaning: undefined })
      return
    }
    structure.labels.push({ start: label.start, end: label.end })
    structure.pieces.push({ start: label.end, end, meaning: label.meaning })
  })
  plain(text.length)
  return structure
}
