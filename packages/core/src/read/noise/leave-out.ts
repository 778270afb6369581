import { namesAFault } from './faults.ts'

export interface FoundLeaveOut {
  start: number
  end: number
  entries: string[]
}

/** Words that ask for something to be left out, with or without a colon. */
const ASKING = String.raw`leave[ -]out|exclude|excluding|avoid|avoiding|do(?: not|n['’]t) (?:include|add|show|draw|use|put)(?: any)?|please (?:do not|don['’]t) (?:include|add|show|draw|use)(?: any)?|must not (?:contain|include|show|have)(?: any)?|should not (?:contain|include|show|have)(?: any)?|(?:there )?(?:should|must) be no`
/** Names of a list, which mean it only before a colon: “negative space” is composition. */
const NAMES = String.raw`negatives?(?:[ _-]+(?!space)\p{L}+)?|neg|exclusions?|unwanted|no|without`
/** A heading with a colon or equals sign: everything to the end of the line is its list. */
const BLOCK = new RegExp(String.raw`(?<![\p{L}\p{N}])(?:\(?\[?)(?:${NAMES}|${ASKING})\)?\]?\s*[:=]\s*([^\n]*)`, 'giu')
/** The same without one: to the end of the sentence. */
const CLAUSE = new RegExp(String.raw`(?<=^\s{0,3}|[,.;:!?\n(|[]\s{0,3}|\band\s|\bbut\s)(?:please\s+)?(?:it\s+|the (?:picture|image)\s+)?(?:${ASKING})\s+([^.!?;\n]*)`, 'giu')
/** A word for leaving out behind two dashes: “--without people, text”. */
const DASHED = /(?<![\p{L}\p{N}-])--(?:no|not|neg|negative|exclude|without|avoid)\s+([^\n]*?)(?=\s+--|\n|$)/giu
/** “no people” as a phrase of its own: after punctuation, or at the start. */
const PHRASE = /(?<=^\s{0,3}|[,.;:!?\n(|[]\s{0,3}|\band\s|\bwith\s)(?:no|without(?: any)?|zero)\s+((?:[\p{L}\p{N}'’-]+)(?:\s+(?!and\b|or\b|no\b)[\p{L}\p{N}'’-]+){0,4}(?:\s+or\s+[\p{L}'’-]+(?:\s+(?!and\b|or\b|no\b)[\p{L}'’-]+){0,3}){0,3})(?=\s*(?:[,.;:!?)\n|\]]|$|\band\b|--))/giu

/** The same behind the marks of a heading within a line: “### Leave out colour, blur ### Settings”. */
const HEADING = /#{1,6}\s*(?:negatives?(?:[ _-]+(?!space)\p{L}+)??|exclusions?|exclude|leave[ -]out|avoid)\b\s*:?\s*([^\n#]*)/giu
/** Brackets and numbers by which some emphasise. */
const WEIGHTS = /[()[\]{}]|:\d+(?:\.\d+)?/g
const LONGEST_FAULT = 40
const SEGMENT = /[^,;.\n|]+/gu

/** Words that only introduce what is left out. */
const EMPTY = /^(?:any|the|a|an|all|no|not|and|or|other|of|include|please|without|avoid)\s+/i

/** The entries of a list as bare words. */
export function entriesOf(list: string): string[] {
  return list
    .replace(/[()[\]{}"]+/g, ' ')
    .split(/[,;\n|]|\.(?=\s|$)|\s(?:and|or|nor)\s/i)
    .map((entry) => {
      let said = entry.replace(/:\d+(?:\.\d+)?/g, ' ').replace(/\s+/g, ' ').trim()
      for (let before = ''; before !== said; ) {
        before = said
        said = said.replace(EMPTY, '')
      }
      return said.replace(/^[-–•*'’\s]+|[.'’\s]+$/g, '')
    })
    .filter((entry) => /\p{L}/u.test(entry) && entry.length <= 300)
}

/** Where a list ends before the line does: where settings begin. */
const SETTINGS_FOLLOW = /(?:[.;,|#]{0,3}\s+)(?:--\p{L}|(?:steps|seed|size|guidance|method|aspect|width|height|ratio)\b[ _\w]*[:=]?\s*\d)/iu

/** How much of a list is leave-outs; settings may follow. */
export const listLength = (list: string): number => SETTINGS_FOLLOW.exec(list)?.index ?? list.length

/** Without any of these nothing is left out, but for faults. */
const SIGNS = /(?<![a-z])(?:not?|without|zero|unwanted|leave[ -]out|(?:exclu|avoid|neg)\w*)(?![a-z])|n['’]t/i

/** What is said by a negation, and leaves nothing out: “no longer”, “with no name”. */
export const IDIOM = /^(?:(?:there (?:is|are) )?no (?:longer|doubt|matter|wonder|name|one knows|bigger than|more than|other than|less than|idea|end|hurry|rush|time)|not (?:only|a soul|a word|quite|yet|far|long|alone|unlike)|nothing but|without (?:end|a word|warning|hurry|pause|looking|thinking|effort)|never mind|nobody but)\b/i

/** What a stretch of text says is not to be shown, in order, never overlapping; entries are bare words. */
export function findLeaveOuts(text: string): FoundLeaveOut[] {
  const found: FoundLeaveOut[] = []
  const take = (start: number, end: number, entries: string[]) => {
    if (entries.length && found.every((other) => other.end <= start || other.start >= end)) found.push({ start, end, entries })
  }
  const bounded = (match: RegExpMatchArray) => {
    const list = match[1] ?? ''
    const cut = list.slice(0, listLength(list))
    const start = match.index ?? 0
    take(start, start + match[0].length - (list.length - cut.trimEnd().length), entriesOf(cut))
  }
  if (SIGNS.test(text)) {
    for (const pattern of [DASHED, HEADING, BLOCK, CLAUSE]) for (const match of text.matchAll(pattern)) bounded(match)
    for (const match of text.matchAll(PHRASE)) if (!IDIOM.test(match[0])) take(match.index, match.index + match[0].length, entriesOf(match[1] ?? ''))
  }
  for (const match of text.matchAll(SEGMENT)) {
    const [segment] = match
    if (segment.length > LONGEST_FAULT || !namesAFault(segment.replace(WEIGHTS, ''))) continue
    const start = match.index + segment.length - segment.trimStart().length
    take(start, start + segment.trim().length, entriesOf(segment))
  }
  return found.sort((a, b) => a.start - b.start)
}
