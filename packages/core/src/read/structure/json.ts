import { settingOf } from '../noise/setting.ts'
import { settingKey, isOtherSetting } from '../noise/setting-names.ts'
import { type LabelMeaning, meaningOf, plainLabel } from './label-names.ts'
import type { Structure } from './pieces.ts'

const LOOKS_LIKE_JSON = /^\s*(?:```(?:json)?\s*)?[{[]/
const TOKEN = /"((?:[^"\\\n]|\\.)*)"|(-?\d+(?:\.\d+)?(?:[eE][+-]?\d+)?)|(true|false|null)|([{}[\]:,])/g

/**
 * The values of JSON as pieces, each with what the nearest telling key says of it; whole or broken off,
 * since what a person pastes is often cut short. Undefined when the text is no JSON.
 */
export function jsonPieces(text: string): Structure | undefined {
  if (!LOOKS_LIKE_JSON.test(text) || !/"\s*:/.test(text) && !/^\s*\[\s*"/.test(text)) return undefined
  const structure: Structure = { pieces: [], labels: [], settings: [] }
  /** Keys from the outside in; an array has the key of its place. */
  const path: string[] = []
  let key = ''
  let keyRange: { start: number; end: number } | undefined
  const tokens = [...text.matchAll(TOKEN)]
  const meaning = (): LabelMeaning | undefined => {
    let said: LabelMeaning | undefined
    for (const name of [key, ...[...path].reverse()]) {
      const known = meaningOf(name)
      if (known && known !== 'any') return known
      said ??= known
    }
    return said
  }
  const inSettings = () => path.some((name) => /^(?:settings|parameters|params|options|config)$/.test(plainLabel(name)))
  const value = (start: number, end: number, said: string, isText: boolean) => {
    const plain = plainLabel(key)
    const known = settingKey(plain) !== undefined || isOtherSetting(plain)
    if (known || (key && !isText && meaning() === undefined) || inSettings()) {
      const settings = settingOf(key, said, true)
      if (settings) {
        structure.settings.push({ start: keyRange?.start ?? start, end, settings })
        return
      }
    }
    if (said.trim()) structure.pieces.push({ start, end, meaning: meaning() })
  }
  tokens.forEach((match, i) => {
    const [whole, quoted, number, word, mark] = match
    const start = match.index
    if (quoted !== undefined) {
      if (tokens[i + 1]?.[4] === ':' ) {
        key = quoted
        keyRange = { start, end: start + whole.length }
        structure.labels.push(keyRange)
      } else value(start + 1, start + whole.length - 1, quoted, true)
    } else if (number !== undefined) value(start, start + whole.length, number, false)
    else if (word !== undefined) return
    else if (mark === '{' || mark === '[') path.push(key)
    else if (mark === '}' || mark === ']') key = path.pop() ?? ''
  })
  // A key that stands before a setting belongs to it.
  structure.labels = structure.labels.filter((label) => structure.settings.every((setting) => setting.start !== label.start))
  return structure
}
