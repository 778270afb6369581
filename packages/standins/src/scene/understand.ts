import type { Scene, SubjectKind } from './scene.ts'
import { COLOURS, EXTRAS, MEDIA, MOMENTS, NUMBERS, SEASONS, SETTINGS, SHOTS, SUBJECTS, WEATHERS } from './words.ts'

const escape = (word: string) => word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
const patterns = new Map<string, RegExp>()
function place(text: string, word: string): number {
  let pattern = patterns.get(word)
  if (!pattern) patterns.set(word, (pattern = new RegExp(`(?<![\\w-])${escape(word)}(?![\\w-])`)))
  return text.search(pattern)
}

interface Found<T> {
  value: T
  word: string
  at: number
}

/** Every value whose words stand in the text, first mention first; of words at one place the longest. */
function find<T extends string>(text: string, words: readonly [string, T][]): Found<T>[] {
  const found = words.map(([word, value]) => ({ value, word, at: place(text, word) })).filter(({ at }) => at >= 0)
  return found.sort((a, b) => a.at - b.at || b.word.length - a.word.length)
}

const CLOTHES = 'scarf|coat|hat|cap|shawl|dress|jacket|apron|gloves|cloak|jumper|boots|veil|lid|label|roof|door|jar|cup|teapot|tin|locomotive|train|carriage|boat|balloon|umbrella|house|flowers?'

/** What a colour word may stand before without being said of the picture or its subject. */
const PARTS = 'beard|hair|page|background|paper|frame|frames|hives?|skeps?|straw|light|bread|tea'

/** Reads the words of a prompt, as this engine reads them: by the nearest word it knows. */
export function understand(prompt: string): Scene {
  const lettering = /["“]([^"”]{1,40})["”]/.exec(prompt)?.[1]?.trim() ?? null
  const text = prompt.replace(/["“][^"”]*["”]/g, ' ').toLowerCase().replace(/\s+/g, ' ')
  const media = find(text, MEDIA)
  const subjects = find(text, SUBJECTS)
  // A thing named as what is being pictured wins over the place it stands in.
  const drawable = subjects.find(({ value }) => !value.startsWith('landscape')) ?? subjects[0]
  const [kind = 'abstract', variant = 'discs'] = (drawable?.value.split('/') ?? []) as [SubjectKind?, string?]
  const setting = find(text, SETTINGS)
  const studio = setting.find(({ value }) => value === 'studio' || value === 'interior')
  const place_ = (kind === 'food' ? studio : undefined) ?? setting[0]
  const weather = find(text, WEATHERS)[0]?.value
  const season = find(text, SEASONS)[0]?.value ?? 'summer'
  const palette: string[] = []
  const ownColours: string[] = []
  for (const { word } of find(text, Object.keys(COLOURS).map((name) => [name, name] as [string, string]))) {
    const own = new RegExp(`\\b${word}(?:[ -]\\w+)? (?:${CLOTHES}|${escape(drawable?.word ?? 'coat')})\\b`).test(text)
    const part = new RegExp(`\\b${word}(?:[ -]\\w+)? (?:${PARTS})\\b`).test(text)
    if (!part || own) (own ? ownColours : palette).push(word)
  }
  return {
    subject: { kind, variant, count: drawable ? countBefore(text, drawable) : 1, word: drawable?.word ?? null },
    setting: place_?.value ?? (kind === 'food' ? 'interior' : 'mountains'),
    moment: find(text, MOMENTS)[0]?.value ?? 'day',
    season,
    weather: weather ?? (season === 'winter' && /snow(ing|fall|flakes)/.test(text) ? 'snow' : 'clear'),
    shot: find(text, SHOTS)[0]?.value ?? 'medium',
    light: /back-?lit|from behind|contre-jour|rim light/.test(text) ? 'behind' : /\bright\b/.test(text) && /light|lit|sun|window/.test(text) ? 'right' : 'left',
    palette,
    ownColours,
    medium: media.at(-1)?.value ?? 'gouache',
    lettering,
    extras: [...new Set(find(text, EXTRAS).map(({ value }) => value))],
  }
}

function countBefore(text: string, subject: Found<string>): number {
  const before = text.slice(Math.max(0, subject.at - 40), subject.at).match(/[\w'-]+/g) ?? []
  for (const word of before.slice(-4).reverse()) {
    const digits = /^\d{1,2}$/.test(word) ? Number(word) : NUMBERS[word]
    if (digits !== undefined) return Math.min(Math.max(digits, 1), 12)
  }
  const plural = /(?:people|children|figures|villagers|passengers|hikers|travellers|skiers|birds|swallows|bees|foxes|goats|bears|cats|dogs|horses|cows|flowers|trees|jars|cups|boats|houses|butterflies|moths)$/.test(subject.word)
  return plural ? 3 : 1
}
