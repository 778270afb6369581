import { singularOf } from '../english/noun.ts'
import type { Checked } from './checked.ts'
import { type Finding, inText } from './finding.ts'
import { isMeant } from './meant.ts'

const NUMBERS = 'one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|twenty|a dozen|a single|a lone|a solitary|an only'
const COUNTED = new RegExp(`(?<![\\p{L}-])(${NUMBERS}) (?:\\p{L}+[ -]){0,2}?(\\p{L}+)(?=\\s*(?:[,.;:!?\\n]|$|in|on|at|by|with|and|of|under|over|beside|near|behind|sit|stand|lie|sleep))`, 'giu')
const valueOf = (said: string) => (/single|lone|solitary|only|^one$/i.test(said) ? 'one' : said.toLowerCase())
/** Numbers that go with several groups of the same kind. */
const GROUPS = /\b(?:other|another|more|pair|pairs|each|every|first|second|third|front|back|left|right|row|rows|of the|of them)\b/i

/** The same things in two numbers: “three kittens in a basket, a single kitten”. */
export function twoNumbers(checked: Checked): Finding[] {
  const counted = [...checked.shown.matchAll(COUNTED)].flatMap((match) => {
    const phrase = checked.phraseAt(match.index + match[0].length - 1)
    return phrase && ['subject', 'detail', 'action', 'setting'].includes(phrase.facet) ? [{ start: match.index, end: match.index + match[0].length, number: valueOf(match[1]!), noun: singularOf(match[2]!.toLowerCase()) }] : []
  })
  for (const [i, b] of counted.entries()) {
    const a = counted.slice(0, i).find((one) => one.noun === b.noun && one.number !== b.number)
    if (!a || isMeant(checked.shown, a, b) || GROUPS.test(checked.shown.slice(a.start, b.end)) || /\b(?:and|then)\b/i.test(checked.shown.slice(a.end, b.start))) continue
    return [
      {
        kind: 'contradiction',
        severity: 'stop',
        where: inText(a),
        with: inText(b),
        facet: 'subject',
        reason: `“${checked.said(a)}” and “${checked.said(b)}” are two numbers of the same things; the engine will draw either, or both.`,
      },
    ]
  }
  return []
}
