import type { Analyser } from '../../read/analyser.ts'
import { scan } from '../../read/scan.ts'
import type { Word } from '../../structure/word.ts'
import type { TextRange } from '../../text-range.ts'

/** How a sentence's beginning is set apart from what stands before it. */
export type Opening = 'none' | 'line' | 'paragraph' | 'mark'

/** A sentence of a story, or a line that stands as one. Ranges are UTF-16 code units of the story. */
export interface Sentence extends TextRange {
  opening: Opening
  /** It begins inside somebody's speech. */
  spoken: boolean
  /** Who speaks it, where the line says so as a play does: “HEDDA: Come in.” */
  speaker?: string
  /** A heading that names a scene and tells nothing: “Scene 2”, “Chapter 3: The bridge”. */
  heading: boolean
  /** It is numbered as one scene or page of many. */
  staged: boolean
  /** Words, numbers and marks, in order. */
  tokens: Word[]
}

const BREAK_LINE = /^[\s*#~_=–—·•-]{1,40}$/
const HEADING = /^\s*(?:#+\s*)?(?:scene|chapter|part|act|page|panel|spread|picture|shot)\s+(?:\d{1,3}|[ivxlc]{1,7}|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)\b[\s.:–—-]*/i
const STAGED = /^\s*(?:#+\s*)?(?:scene|page|panel|spread|picture|shot)\b/i
/** How a script goes to its next scene. */
const CUT = /^\s*(?:(?:smash |hard |jump )?(?:cut|fade|dissolve|switch)(?:s|es)? (?:back )?to\b|(?:int|ext)\.(?=\s)|(?:interior|exterior)[.,:–—])/i
const SPEAKER = /^\s*(\p{Lu}[\p{L}'’.-]*(?: \p{Lu}[\p{L}'’.-]*){0,2})(?:\s*\([^)\n]{1,40}\))?:\s+(?=\S)/u
/** Sentences end here, unless the words before are one of the short forms. */
const END = /[.!?…]+["”’')\]]*(?=\s+["“‘'([–—-]?\s*[\p{Lu}\p{N}])|[.!?…]+["”’')\]]*\s*$/gu
const SHORT_FORM = /(?:^|[\s("“])(?:mr|mrs|ms|dr|st|no|vs|prof|sgt|capt|lt|col|gen|rev|fr|sr|jr|mt|approx|etc|e\.g|i\.e|\p{Lu})\.$/iu

/** A story's lines with what divides them; a paragraph that was broken to a width is one line again. */
function blocks(story: string): (TextRange & { opening: Opening })[] {
  const lines: (TextRange & { text: string })[] = []
  let at = 0
  for (const text of story.split('\n')) {
    lines.push({ start: at, end: at + text.length, text })
    at += text.length + 1
  }
  const full = lines.filter(({ text }) => text.trim())
  // Text broken to a width: most lines are nearly as long as the longest and do not end a sentence.
  const longest = full.reduce((most, { text }) => Math.max(most, text.length), 0)
  const long = full.filter(({ text }) => text.length > longest * 0.75)
  const broken = full.length > 3 && longest < 110 && longest > 45 && long.length > full.length * 0.5 && long.filter(({ text }) => !/[.!?:…"”]\s*$/.test(text)).length > long.length * 0.6
  const found: (TextRange & { opening: Opening })[] = []
  let opening: Opening = 'none'
  let joined = false
  for (const { start, end, text } of lines) {
    if (!text.trim()) {
      if (opening !== 'mark') opening = 'paragraph'
      joined = false
    } else if (BREAK_LINE.test(text)) {
      opening = 'mark'
      joined = false
    } else {
      const last = found.at(-1)
      if (joined && broken && last) last.end = end
      else found.push({ start, end, opening: found.length === 0 ? 'none' : opening === 'none' ? 'line' : opening })
      opening = 'none'
      joined = true
    }
  }
  return found
}

function ends(said: string): number[] {
  const list: number[] = []
  END.lastIndex = 0
  for (let match = END.exec(said); match; match = END.exec(said)) {
    const before = said.slice(0, match.index + match[0].length)
    if (/^\.["”’')\]]*$/.test(match[0]) && SHORT_FORM.test(before.trimEnd())) continue
    list.push(match.index + match[0].length)
  }
  if (list.at(-1) !== said.length) list.push(said.length)
  return list
}

/** Where the sentences of a story begin, in UTF-16 code units; a line that is no sentence counts as one. */
export const sentenceStarts = (story: string): number[] =>
  blocks(story).flatMap(({ start, end }) => {
    const said = story.slice(start, end)
    return [0, ...ends(said)].slice(0, -1).flatMap((from, i, all) => {
      const own = said.slice(from, all[i + 1] ?? said.length)
      return own.trim() ? [start + from + own.length - own.trimStart().length] : []
    })
  })

/** Which characters of a block are somebody's speech: between quotation marks, a mark left open ends with the block. */
function speech(said: string): Uint8Array {
  const spoken = new Uint8Array(said.length)
  let close = ''
  for (let i = 0; i < said.length; i++) {
    const letter = said[i]!
    const before = said[i - 1] ?? ' '
    const after = said[i + 1] ?? ' '
    if (close) {
      spoken[i] = 1
      if (letter === close && (close !== "'" && close !== '’' ? true : !/[\p{L}\p{N}]/u.test(after) && /[.,!?…–—-]/.test(before))) close = ''
    } else if (/[\s(–—]/.test(before) && /\S/.test(after)) {
      close = { '"': '"', '“': '”', '„': '“', '«': '»', '»': '«', '‘': '’', "'": "'" }[letter] ?? ''
      // A single mark may be an apostrophe: it opens speech only where one closes it.
      if (letter === "'" && !/[.,!?…]'(?![\p{L}\p{N}])/u.test(said.slice(i + 1))) close = ''
      if (close) spoken[i] = 1
    }
  }
  return spoken
}

/** Who speaks in a story written as a play: names in capitals, or that open more than one line. */
function speakersOf(lines: readonly string[]): Set<string> {
  const seen = new Map<string, number>()
  for (const line of lines) {
    const name = SPEAKER.exec(line)?.[1]
    if (name) seen.set(name, (seen.get(name) ?? 0) + 1)
  }
  return new Set([...seen].filter(([name, times]) => times > 1 || (name.length > 1 && name === name.toUpperCase())).map(([name]) => name))
}

/** A story's sentences in order. */
export function sentencesOf(story: string, analyse: Analyser): Sentence[] {
  const tokens = scan(story)
  const facts = analyse(story, tokens)
  let next = 0
  const found: Sentence[] = []
  const all = blocks(story)
  const speakers = speakersOf(all.map(({ start, end }) => story.slice(start, end)))
  for (const block of all) {
    const said = story.slice(block.start, block.end)
    const heading = HEADING.exec(said)?.[0].length ?? 0
    // A heading is a mark; what follows it on the line is told like anything else when it is a sentence.
    const headingOnly = heading > 0 && !/[.!?]\s*$/.test(said.slice(heading)) && said.length < 90
    const named = heading ? undefined : (SPEAKER.exec(said) ?? undefined)
    const speaker = named && speakers.has(named[1]!) ? named : undefined
    const spoken = speech(said)
    if (speaker) spoken.fill(1, speaker[0].length)
    let from = 0
    ends(said).forEach((end, i) => {
      const start = from + (/^\s*/.exec(said.slice(from, end))?.[0].length ?? 0)
      from = end
      if (start >= end) return
      const trimmed = start + said.slice(start, end).trimEnd().length
      const sentence: Sentence = {
        start: block.start + start,
        end: block.start + trimmed,
        opening: (i === 0 && heading) || CUT.test(said.slice(start, trimmed)) ? 'mark' : i === 0 ? block.opening : 'none',
        spoken: i > 0 && spoken[start] === 1 && spoken[start - 1] === 1 && !/["“„«‘']/.test(said[start]!),
        heading: i === 0 && headingOnly,
        staged: i === 0 && heading > 0 && STAGED.test(said),
        tokens: [],
        ...(speaker ? { speaker: speaker[1]! } : {}),
      }
      for (; next < tokens.length && tokens[next]!.start < sentence.end; next++) {
        const token = tokens[next]!
        if (token.start < sentence.start) continue
        const at = token.start - block.start
        const aside = speaker !== undefined && i === 0 && at < speaker[0].length
        sentence.tokens.push({ ...token, tag: facts[next]?.tag ?? 0, quoted: spoken[at] === 1 || aside })
      }
      found.push(sentence)
    })
  }
  return found
}
