import { type Asked, linesOf } from '../asked.ts'
import { heardIn } from '../heard.ts'
import { withSlips } from '../slip.ts'
import { countWords, isSentences, rewritten } from '../write.ts'
import { tightened } from './tighten.ts'

/** A setting as the instruction lists it: “guidance: 1 to 10, usually 6. How literally …”. */
function settingsIn(text: string): { key: string; min?: number; max?: number; usual: string; values: string[] }[] {
  return linesOf(text).flatMap((line) => {
    const number = /^(\w+): (-?[\d.]+) to (-?[\d.]+), usually (-?[\d.]+)/.exec(line)
    if (number) return [{ key: number[1]!, min: Number(number[2]), max: Number(number[3]), usual: number[4]!, values: [] }]
    const choice = /^(\w+): ([^.]+), usually (\w+)/.exec(line)
    return choice ? [{ key: choice[1]!, usual: choice[3]!, values: choice[2]!.split(', ') }] : []
  })
}

/** The draft in an engine's way of reading, with settings and why. */
export function forEngineTask(asked: Asked): { prompt: string; settings: Record<string, number | string>; why: string } {
  const { given, told, instruction } = asked
  const text = given('prompt')
  const locked = linesOf(given('locked'))
  const list = /reads a list of keywords|reads keywords/i.test(instruction)
  const asJson = /reads a json/i.test(instruction)
  const most = told.limit ?? Infinity
  let prompt = list ? (isSentences(text) ? rewritten(text, [], 'list') : text) : asJson || isSentences(text) ? text : rewritten(text, [], 'sentences')
  if (countWords(prompt) > most) prompt = tightened(prompt, most, locked)
  const heard = heardIn(text)
  const exact = heard.has.has('lettering') || /\b(?:two|three|four|five|six|\d)\b/i.test(text)
  const settings: Record<string, number | string> = {}
  const reasons: string[] = []
  for (const { key, min, max, usual, values } of settingsIn(given('engineSettings'))) {
    if (min !== undefined && max !== undefined) {
      const higher = Math.min(max, Math.round((Number(usual) + (max - min) * 0.15) * 2) / 2)
      settings[key] = key === 'guidance' && exact ? higher : Number(usual)
      if (key === 'guidance' && exact) reasons.push(`Guidance goes up to ${higher}, since numbers and lettering must be followed closely.`)
    } else settings[key] = key === 'latitude' && exact && values.includes('none') ? 'none' : usual
  }
  const how = list ? 'It reads keywords, so the sentences are a list now, the subject first.' : asJson ? 'It sorts what it reads by facet, so the words stay as they are.' : 'It reads whole sentences, so that what belongs together stands together.'
  return { prompt: withSlips(prompt, asked, locked), settings, why: [how, ...reasons].join(' ') }
}
