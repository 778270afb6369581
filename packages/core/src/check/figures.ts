import { isFunctionWord } from '../read/words/function-words.ts'
import type { Checked } from './checked.ts'
import { formsOf } from '../lexicon/forms.ts'
import { company } from '../lexicon/dimensions/index.ts'
import type { TextRange } from '../text-range.ts'

const NUMBERS: Record<string, number> = {
  two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9, ten: 10, eleven: 11, twelve: 12, thirteen: 13, fourteen: 14, fifteen: 15, sixteen: 16, seventeen: 17, eighteen: 18, nineteen: 19, twenty: 20, thirty: 30, forty: 40, fifty: 50, sixty: 60, seventy: 70, eighty: 80, ninety: 90, dozen: 12, hundred: 100, thousand: 1000,
}
const NUMBER = `(?:${Object.keys(NUMBERS).join('|')}|\\d{1,5})`
const MANY = /\b(?:(?:dozens|scores|tens|hundreds|thousands|crowds?|masses|hordes|swarms?|throngs?|legions?|army|armies|mob|sea|host) of (?:\p{L}+[ -]){0,2}\p{L}+|(?:an? )?(?:army|armies|crowds?|throng|audience|choir|orchestra|procession|congregation|(?:carnival |military |street )?parade(?! ground)|mob|regiment|battalion|football team|team of \p{L}+|packed (?:\p{L}+ ){0,2}(?:audience|hall|stands|stadium|tram|train|bus|carriage|ferry|market|street|bar|pub|room|church|theatre|platform|dance floor|square)|marching band|multitude|wedding guests|battle scene|(?:stadium|arena|hall|square|street|room|theatre|theater|church|carriage|bus|bar|boat|stand|market|station|concourse|platform|beach|park|bridge|deck|court|plaza|fair|field|road|train|tram|ferry|gallery|shop|pub|pool|lobby|bazaar|quay|harbou?r|courtyard|garden)s? (?:full|packed|crammed|filled|crowded|teeming|swarming|heaving|thronged|thronging|bustling|jammed|overflowing|crawling) (?:of|with) (?:\p{L}+ ){0,2}\p{L}+|(?:full|packed|crammed|filled|crowded|teeming|swarming|heaving|thronged|bustling|jammed) (?:of|with) (?:\p{L}+ ){0,2}\p{L}+|hordes|gathering of (?:\p{L}+ )?\p{L}+|legion|swarm of (?:\p{L}+ )?\p{L}+|riot|rally|rush[- ]hour crowd|protest march|demonstration|packed (?:stadium|arena))(?: of (?:\p{L}+ )?\p{L}+)?)\b/giu

/** “two hundred and forty”, “twenty-four”, “12” as a number. */
function numberOf(said: string): number {
  let [all, last] = [0, 0]
  for (const word of said.toLowerCase().split(/[ -]+/)) {
    const one = NUMBERS[word] ?? Number(word)
    if (Number.isNaN(one)) continue
    if (one >= 100 || word === 'dozen') [all, last] = [all + Math.max(1, last) * one, 0]
    else last += one
  }
  return all + last
}
const GROUP = new RegExp(`\\b(?:crew|team|band|group|party|gang|squad|troupe|family|choir|class|company|line|row|circle) of (?:about )?(${NUMBER}(?:[ -]${NUMBER})*)\\b`, 'giu')

const NOT_ALIVE = /\b(?:toy|tin|stone|bronze|clay|paper|wooden|plastic|painted|carved|terracotta|chess|statues?|dolls?|puppets?|figurines?)\b/i

/** Living figures of a draft: how many a place names, and where. */
export interface Figures extends TextRange {
  number: number
}

/** Whoever does what a verb says: “hagglers”, “rowers”, though no dictionary lists them. */
const isDoer = ({ language: { words } }: Checked, lower: string): boolean => {
  const stem = /^(.{3,}?)([^aeiou])?\2?(?:er|or)s$/.exec(lower)
  return stem !== null && [lower.slice(0, -3), lower.slice(0, -2), lower.slice(0, -4)].some((verb) => ((words.find(verb)?.classes ?? 0) & 2) !== 0)
}

const isFigure = (checked: Checked, word: string): boolean => {
  const lower = word.toLowerCase()
  return formsOf(lower).some((form) => checked.isKind(form, 'person') || checked.isKind(form, 'animal')) || (isDoer(checked, lower) && !checked.isKind(lower.slice(0, -1), 'artifact')) || /(?:people|faces|heads|children|cousins|men|women|folk|guests|kids|refugees|supporters|onlookers|spectators|passers-by|commuters|pilgrims|mourners|dwarves|dwarfs|elves|players|fans|couples|girls|boys)$/.test(lower)
}

/** Words that may stand between a number and what is counted: “forty Morris dancers”. */
const BETWEEN = 3

/** Figures after a number: “two hundred dinghy sailors”. */
function countedFigures(checked: Checked): Figures[] {
  const { words } = checked
  const found: Figures[] = []
  for (let i = 0; i < words.length; i++) {
    let to = i
    while (to < words.length && (to === i || words[to]!.gap !== 'mark') && (NUMBERS[words[to]!.lower] !== undefined || words[to]!.number !== undefined || (to > i && words[to]!.lower === 'and' && NUMBERS[words[to + 1]?.lower ?? ''] !== undefined))) to++
    // “1920s” and “12th” count nothing.
    if (to === i || words[to]?.start === words[to - 1]!.end) continue
    for (let at = to; at < Math.min(words.length, to + BETWEEN) && words[at]!.gap !== 'mark' && !isFunctionWord(words[at]!.lower); at++) {
      if (!isFigure(checked, words[at]!.lower)) continue
      const range = { start: words[i]!.start, end: words[at]!.end }
      const number = numberOf(checked.said({ start: words[i]!.start, end: words[to - 1]!.end }))
      if (number > 1 && !NOT_ALIVE.test(checked.said(range))) found.push({ ...range, number })
      break
    }
    i = to - 1
  }
  return found
}

/** Places that name many figures at once. */
export function numbersOfFigures(checked: Checked): Figures[] {
  const found: Figures[] = []
  const inPicture = (at: number) => ['subject', 'action', 'detail', 'setting'].includes(checked.phraseAt(at)?.facet ?? '')
  for (const match of checked.shown.matchAll(MANY)) {
    const counted = / (?:of|with) /.test(match[0])
    // “hundreds of lanterns” are no figures; “a crowd” is.
    const thing = / (?:of|with) (.*)$/.exec(match[0])?.[1] ?? ''
    if (counted && !(thing.match(/\p{L}+/gu) ?? []).some((word) => isFigure(checked, word))) continue
    if (checked.namingOthers.has(match.index + match[0].lastIndexOf(' ') + 1) || NOT_ALIVE.test(match[0]) || /^\s*(?:has|have|had|is|are)?\s*(?:gone|left|departed|dispersed)\b/i.test(checked.shown.slice(match.index + match[0].length))) continue
    const last = counted ? (thing.match(/\p{L}+/gu) ?? []).findLast((word) => isFigure(checked, word)) : undefined
    const words = (last ? match[0].slice(0, match[0].lastIndexOf(last) + last.length) : match[0]).replace(/\s+(?:with|in|on|at|of|by|and|for|from|to)$/i, '')
    if (inPicture(match.index + words.length - 1)) found.push({ start: match.index, end: match.index + words.length, number: 100 })
  }
  for (const match of checked.shown.matchAll(GROUP)) {
    if (inPicture(match.index)) found.push({ start: match.index, end: match.index + match[0].length, number: numberOf(match[1]!) })
  }
  for (const one of countedFigures(checked)) if (inPicture(one.end - 1) && !found.some((other) => other.start < one.end && other.end > one.start)) found.push(one)
  // What the lexicon knows for a throng: “rush hour”, “packed stands”, “the whole school lined up”.
  for (const { start, end, value, names, from, to } of checked.saidOf(company)) if (names && value === 'crowd' && (to - from > 1 || !checked.namingOthers.has(start)) && !found.some((other) => other.start < end && other.end > start)) found.push({ start, end, number: 100 })
  return found.sort((a, b) => a.start - b.start)
}

/** Figures that are named one by one: each subject or detail phrase whose head is a person or an animal. */
export function namedFigures(checked: Checked): TextRange[] {
  const found: TextRange[] = []
  for (const phrase of checked.of('subject', 'detail')) {
    for (const match of phrase.text.matchAll(/(?:^|,\s*|\band\s+)(?:(?:an?|the|her|his)\s+)?((?:\p{L}+[ -]){0,3}?)(\p{L}+)(?=\s*(?:,|$|\band\b|\bwith\b|\bin\b|\bof\b|\baround\b))/giu)) {
      if (isFigure(checked, match[2]!)) found.push({ start: phrase.start + match.index, end: phrase.start + match.index + match[0].length })
    }
  }
  return found
}
