import { singularOf } from '@idolon/core/reader'
import { type Asked, linesOf, shuffle } from '../asked.ts'
import { aboutOf } from '../fill.ts'
import { heardIn } from '../heard.ts'
import { knowledge } from '../tables.ts'

/** What engines commonly spoil or add. */
const FAULTS = { person: ['extra fingers', 'spare limbs', 'blank eyes'], creature: ['extra legs', 'double tail'], any: ['lettering', 'watermark', 'picture frame', 'motion blur', 'clutter'] } as const

/** What words of a prompt commonly bring along unasked, then what engines commonly spoil; nothing that the prompt asks for. */
export function leaveOutsTask({ given, told, random, habits }: Asked): { leaveOut: string[] } {
  const text = given('prompt')
  const { associations } = knowledge()
  const heard = heardIn(text)
  const { subject } = aboutOf(text, heard)
  const asked = new Set((text.toLowerCase().match(/\p{L}{3,}/gu) ?? []).map(singularOf))
  const known = new Set([...linesOf(given('leaveOut')), ...linesOf(given('takes'))].map((entry) => entry.toLowerCase()))
  const brought = heard.phrases
    .flatMap((phrase) => associations.termsIn(phrase.text).flatMap(({ term }) => associations.companions(term)))
    .sort((a, b) => b.strength - a.strength)
    .map(({ what }) => what)
  const faults = [...(subject.kind === 'person' ? FAULTS.person : ['animal', 'bird', 'insect'].includes(subject.kind) ? FAULTS.creature : []), ...shuffle(FAULTS.any, random)]
  const fits = (entry: string) => !known.has(entry.toLowerCase()) && !(entry.toLowerCase().match(/\p{L}{3,}/gu) ?? []).some((word) => asked.has(singularOf(word))) && !(heard.has.has('lettering') && entry === 'lettering')
  const most = told.count ?? (habits.terse ? 5 : 9)
  return { leaveOut: [...new Set([...brought.slice(0, most - 2), ...faults])].filter(fits).slice(0, most) }
}
