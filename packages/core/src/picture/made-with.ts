import type { Settings } from '../draft/shape.ts'

/** One field of a picture's metadata, whatever it is called. */
export interface MetadataField {
  name: string
  value: string
}
/** What a picture's metadata tells of how it was made. */
export interface MadeWith {
  /** The longest prose under a name that speaks of a description. */
  text?: string
  seed?: number
  /** By the keys asked for. */
  settings: Settings
}

/** Metadata is a stranger's: no more than this of it is looked at. */
const MOST_FIELDS = 400
const LONGEST = 100_000
const DEEPEST = 8
const bare = (name: string) => name.toLowerCase().replace(/[^a-z0-9]+/g, '')
const PROSE = /(?:prompt|description|caption|text|comment|title|parameters|subject)/i
const NOT_WANTED = /(?:negative|exclude|leaveout|avoid|unwanted)/i

/** Names with their values, as far as a text holds any: a JSON object, or “name: value” and “name=value” pairs. */
function pairsIn(text: string, depth = 0): MetadataField[] {
  const trimmed = text.trim()
  if (/^[[{]/.test(trimmed)) {
    try {
      return pairsOf(JSON.parse(trimmed), '', depth)
    } catch {
      // Not JSON after all.
    }
  }
  return [...trimmed.matchAll(/(?:^|[\n,;|])[ \t]*([A-Za-z][A-Za-z0-9 _-]{0,38}?)[ \t]*[:=][ \t]*("[^"\n]*"|[^\n,;|]+)/g)].map(([, name = '', value = '']) => ({ name, value: value.trim().replace(/^"|"$/g, '') }))
}
function pairsOf(value: unknown, name: string, depth: number): MetadataField[] {
  if (depth > DEEPEST) return []
  if (typeof value === 'string' || typeof value === 'number') return [{ name, value: String(value) }, ...(typeof value === 'string' && /^\s*[[{]/.test(value) ? pairsIn(value, depth + 1) : [])]
  if (value === null || typeof value !== 'object') return []
  return Object.entries(value).slice(0, MOST_FIELDS).flatMap(([key, one]) => pairsOf(one, Array.isArray(value) ? name : key, depth + 1))
}

const isProse = (value: string) => /\p{L}{2,}[^\n]*\s[^\n]*\p{L}{2,}/u.test(value) && !/^\s*[[{<]/.test(value)

/**
 * What metadata says of how a picture was made. Nothing is known of any program: fields are told by what their names mean,
 * and `known` gives the settings to look for, by key and the word for it. Never throws.
 */
export function madeWith(fields: readonly MetadataField[], known: readonly { key: string; label: string }[] = []): MadeWith {
  const own = fields.slice(0, MOST_FIELDS).map(({ name, value }) => ({ name, value: value.slice(0, LONGEST) }))
  const all = [...own, ...own.flatMap(({ value }) => pairsIn(value))].slice(0, 4 * MOST_FIELDS)
  const found: MadeWith = { settings: {} }
  const named = (word: string) => all.find(({ name, value }) => bare(name).endsWith(bare(word)) && value.trim() !== '' && value.length < 200)?.value.trim()
  const seed = named('seed')
  if (seed && /^\d{1,16}$/.test(seed) && Number.isSafeInteger(Number(seed))) found.seed = Number(seed)
  for (const { key, label } of known) {
    const value = named(key) ?? named(label)
    if (value !== undefined) found.settings[key] = /^-?\d+(?:\.\d+)?$/.test(value) ? Number(value) : value
  }
  // A line of pairs is no prose, but what stands before it is.
  const prose = all
    .filter(({ name }) => PROSE.test(name) && !NOT_WANTED.test(bare(name)))
    .map(({ name, value }) => ({ name, value: value.split(/\n(?=[^\n]{0,60}[:=])/)[0]!.trim() }))
    .filter(({ value }) => isProse(value))
  const best = prose.sort((a, b) => Number(/prompt/i.test(b.name)) - Number(/prompt/i.test(a.name)) || b.value.length - a.value.length)[0]
  if (best) found.text = best.value
  return found
}
