import { singularOf } from '../english/noun.ts'
import type { Checked } from './checked.ts'
import { type Finding, inText } from './finding.ts'
import { isMeant } from './meant.ts'

const NUMBERS = 'one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|twenty|a dozen|a single|a lone|a solitary|an only'
const COUNTED = new RegExp(`(?<![\\p{L}-])(${NUMBERS}) (?:\\p{L}+[ -]){0,2}?(\\p{L}+)(?=\\s*(?:[,.;:!?\\n]|$|in|on|at|by|with|and|of|under|over|beside|near|behind|sit|stand|lie|sleep|\\p{L}+ing\\b|is\\b|are\\b|\\p{L}+(?:s|ed)\\b))`, 'giu')
const valueOf = (said: string) => (/single|lone|solitary|only|^one$/i.test(said) ? 'one' : said.toLowerCase())
/** Numbers that go with several groups of the same kind. */
const GROUPS = /\b(?:other|another|more|pair|pairs|each|every|first|second|third|front|back|left|right|row|rows|of the|of them)\b/i

const COLLECTIVE: Record<string, string> = { pair: 'two', couple: 'two', duo: 'two', trio: 'three', quartet: 'four', quintet: 'five' }
const WORDS = 'two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|twenty'
/** “A trio of four”, and a group taken up again by a number: “three sisters, the four of them”. */
const MISCOUNTED = new RegExp(`\\b(${Object.keys(COLLECTIVE).join('|')}) of (${WORDS})\\b`, 'giu')
const TAKEN_UP = new RegExp(`\\b(${WORDS}|${Object.keys(COLLECTIVE).join('|')}|twins|triplets)\\b[^.;:!?\\n]{0,80}?,? (?:all|the) (${WORDS})(?: of them)?(?=\\s*(?:[,.;:!?\\n]|$|in|on|at|shar|sit|stand|hold|walk|wear|look|of them|hand))`, 'giu')
const inWords = (said: string) => ({ ...COLLECTIVE, twins: 'two', triplets: 'three' })[said.toLowerCase()] ?? said.toLowerCase()

function miscounted(checked: Checked): Finding[] {
  return [...checked.shown.matchAll(MISCOUNTED), ...checked.shown.matchAll(TAKEN_UP)].flatMap((match) => {
    const [all, first = '', second = ''] = match
    const b = match.index + all.toLowerCase().lastIndexOf(second.toLowerCase())
    // Where a third number stands between, nobody knows which is taken up.
    if (inWords(first) === inWords(second) || new RegExp(`\\b(?:${WORDS}|and)\\b`, 'i').test(all.slice(first.length, b - match.index)) || checked.phraseAt(match.index)?.facet === 'lettering') return []
    return [{ kind: 'contradiction' as const, severity: 'stop' as const, where: inText({ start: match.index, end: match.index + first.length }), with: inText({ start: b, end: b + second.length }), facet: 'subject' as const, reason: `“${first}” and “${second}” are two numbers of the same things; the engine will draw either, or neither.` }]
  })
}

/** The same things in two numbers: “three kittens in a basket, a single kitten”. */
export function twoNumbers(checked: Checked): Finding[] {
  const counted = [...checked.shown.matchAll(COUNTED)].flatMap((match) => {
    const phrase = checked.phraseAt(match.index + match[0].length - 1)
    return phrase && ['subject', 'detail', 'action', 'setting'].includes(phrase.facet) ? [{ start: match.index, end: match.index + match[0].length, number: valueOf(match[1]!), noun: singularOf(match[2]!.toLowerCase()) }] : []
  })
  const wrong = miscounted(checked).slice(0, 1)
  if (wrong.length) return wrong
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
