import type { Settings } from '../../draft/shape.ts'
import { plainLabel } from '../structure/label-names.ts'
import { isOtherSetting, SETTING_WORDS, settingKey } from './setting-names.ts'

export interface FoundSetting {
  start: number
  end: number
  settings: Settings
}

const SIZE = /^(\d{2,5})\s*(?:x|×|\*|by)\s*(\d{2,5})$/i
const RATIO = /^(\d{1,2}(?:\.\d+)?)\s*[:/xX×]\s*(\d{1,2}(?:\.\d+)?)$/
const NUMBER = /^-?\d+(?:\.\d+)?$/

/** A name as a setting's key: letters and digits, the first a letter. */
const asTyped = (plain: string): string => plain.replace(/ +(\p{L})/gu, (_, letter: string) => letter.toUpperCase()).replace(/[^A-Za-z0-9]/g, '').slice(0, 40)

/**
 * What a setting's name and value say. Names are matched to our keys by the trade's words;
 * an unknown name is kept as typed. Undefined when they are no setting.
 */
export function settingOf(name: string, value: string, sure: boolean): Settings | undefined {
  const plain = plainLabel(name)
  const key = settingKey(plain)
  const said = value.trim().replace(/^["']|["']$/g, '')
  const size = SIZE.exec(said)
  const ratio = RATIO.exec(said)
  if (key === 'aspectRatio') {
    if (ratio) return { aspectRatio: `${Number(ratio[1])}:${Number(ratio[2])}` }
    if (/^(?:square|landscape|portrait|widescreen)$/i.test(said)) return { aspectRatio: { square: '1:1', landscape: '3:2', portrait: '2:3', widescreen: '16:9' }[said.toLowerCase()] ?? said }
    return undefined
  }
  if (key === 'size') return size ? { width: Number(size[1]), height: Number(size[2]) } : ratio ? { aspectRatio: `${Number(ratio[1])}:${Number(ratio[2])}` } : undefined
  if (key) return NUMBER.test(said) ? { [key]: Number(said) } : undefined
  // Behind any name, two small numbers with a colon are a ratio of sides.
  if (sure && ratio && said.includes(':')) return { aspectRatio: `${Number(ratio[1])}:${Number(ratio[2])}` }
  const typed = asTyped(plain)
  if (!/^[A-Za-z]/.test(typed)) return undefined
  if (!sure && !isOtherSetting(plain)) return undefined
  return { [typed]: NUMBER.test(said) ? Number(said) : said.slice(0, 200) }
}

const escaped = SETTING_WORDS.filter((word) => word.length > 1).map((word) => word.replaceAll(' ', '[ _-]?')).join('|')
const VALUE = String.raw`\d{1,5}\s*[x×]\s*\d{1,5}|\d{1,2}(?:\.\d+)?\s*[:/]\s*\d{1,2}(?:\.\d+)?|-?\d+(?:\.\d+)?`
/** “seed 7”, “--aspect 16:9”, “guidance_scale=6”, “Steps: 30”, “method: smooth”. */
const NAMED = new RegExp(String.raw`(?<![\p{L}\p{N}_])(?:--?)?(${escaped})(?:\s*[:=]\s*|\s+(?:of\s+|is\s+|to\s+)?)(${VALUE})(?!\s*[x×:/]\s*\d)(?!mm\b|[\p{L}%])`, 'giu')
const NAMED_WORD = new RegExp(String.raw`(?<![\p{L}\p{N}_])(?:--?)?(${escaped})\s*[:=]\s*([\p{L}][\p{L}\p{N}_+-]*)`, 'giu')
const SHORT = new RegExp(String.raw`(?<![\p{L}\p{N}_])(w|h|n)\s*=\s*(\d{1,5})`, 'giu')
/** Any name behind two dashes is a setting, whatever it means. */
const DASHED = /(?<![\p{L}\p{N}_-])--([\p{L}][\p{L}\p{N}_-]*)(?:[ =:]+([\p{L}\p{N}.:/]+))?/gu
const BARE_SIZE = /(?<![\p{L}\p{N}_:.-])(\d{3,5}\s*[x×]\s*\d{3,5})(?![\p{L}\p{N}])/giu
const BARE_RATIO = /(?<![\p{L}\p{N}_:.])(\d{1,2}:\d{1,2})(?:\s*(?:aspect(?: ratio)?|ratio|format))?(?=\s*(?:[,.;\n|)\]]|$))/giu
const COUNTED = /(?<![\p{L}\p{N}_])(?:(?:make|generate|give me|create|please)\s+)?(\d{1,2})\s+(?:images|pictures|results|versions|variations|variants|outputs)(?![\p{L}])/giu
const SQUARE = /(?<![\p{L}])(?:in\s+)?(square|portrait|landscape|vertical|horizontal)\s+(?=\d{3,5}\s*[x×])/giu

/** Without any of these there is no setting. */
const SIGNS = /[\p{N}:=]|--/u

/** Settings typed into a stretch of text, in order, never overlapping. */
export function findSettings(text: string): FoundSetting[] {
  if (!SIGNS.test(text)) return []
  const found: FoundSetting[] = []
  const take = (start: number, end: number, settings: Settings | undefined) => {
    if (settings && found.every((other) => other.end <= start || other.start >= end)) found.push({ start, end, settings })
  }
  const sides = /\d\s*[x×]\s*\d/i.test(text)
  for (const match of text.matchAll(NAMED)) take(match.index, match.index + match[0].length, settingOf(match[1] ?? '', match[2] ?? '', false))
  if (/[:=]/.test(text)) for (const match of text.matchAll(NAMED_WORD)) take(match.index, match.index + match[0].length, settingOf(match[1] ?? '', match[2] ?? '', false))
  if (text.includes('=')) for (const match of text.matchAll(SHORT)) take(match.index, match.index + match[0].length, settingOf(match[1] ?? '', match[2] ?? '', false))
  if (text.includes('--')) for (const match of text.matchAll(DASHED)) {
    const [whole, name = '', value = ''] = match
    // What is to be left out is no setting.
    if (/^(?:no|not|neg|negative|exclude|without|avoid|negative[-_]\w+)$/i.test(name)) continue
    if (value === '') take(match.index, match.index + whole.length, { [asTyped(plainLabel(name)) || 'setting']: 1 })
    else take(match.index, match.index + whole.length, settingOf(name, value, true))
  }
  if (sides) for (const match of text.matchAll(BARE_SIZE)) take(match.index, match.index + match[0].length, settingOf('size', match[1] ?? '', true))
  if (text.includes(':')) for (const match of text.matchAll(BARE_RATIO)) take(match.index, match.index + match[0].length, settingOf('ratio', match[1] ?? '', true))
  for (const match of text.matchAll(COUNTED)) take(match.index, match.index + match[0].length, { count: Number(match[1]) })
  if (sides) for (const match of text.matchAll(SQUARE)) take(match.index, match.index + match[0].trimEnd().length, {})
  return found.sort((a, b) => a.start - b.start)
}
