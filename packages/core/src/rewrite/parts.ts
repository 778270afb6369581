import { covered } from '../phrase/marks.ts'
import type { Draft } from '../draft/shape.ts'
import type { Noise, Phrase, Reading } from '../read/reading.ts'
import { ARTICLES, isFunctionWord } from '../read/words/function-words.ts'
import type { TextRange } from '../text-range.ts'

/** A phrase with what ties it to the text before it. */
export interface Said {
  phrase: Phrase
  /** Prepositions and negations that lead to it, in order; “and”, “of” and commas are not kept. */
  lead: string[]
  /** The article that leads to it. */
  article: string
  /** Nothing but spaces and joining words stands between it and the phrase before. */
  tied: boolean
  /** Its words may not be changed. */
  locked: boolean
}

/** What a text is made of: its phrases in order, and ranges that no phrase says. */
export interface Parts {
  said: Said[]
  /** Words that were given no facet and join nothing, each with the number of phrases before it. */
  rest: (TextRange & { after: number })[]
  /** Settings, leave-outs and praise: no part of the picture, kept as they stand. */
  aside: TextRange[]
}

/** Words that only tie phrases together. */
const TIES = new Set(
  `i you he she it they we there here this that these those who which whose what is are was were be been being am has have had having its his her their my your our as while where when
also plus so but then which very just all both seen shown set lit done made taken rendered shot picture image scene view carries shows has depicts mood light words`.split(/\s+/),
)
const NEGATIONS = new Set(['not', 'no', 'never', 'without'])
const DROPPED = new Set(['and', '&', 'or', 'of'])
const WORD = /[\p{L}\p{N}]+(?:[’'-][\p{L}\p{N}]+)*|&/gu

/** What is kept as it stands, the heading of a leave-out list with it. */
const asidesOf = (text: string, noise: readonly Noise[]): TextRange[] =>
  noise.flatMap(({ kind, start, end }, i) => {
    if (kind === 'label' || kind === 'lead-in') return []
    const before = noise[i - 1]
    const heading = before?.kind === 'label' && kind === 'leave-out' && !text.slice(before.end, start).trim()
    return [{ start: heading ? before.start : start, end }]
  })

/** “it is seen”, “the mood is”: a sentence's frame around what a phrase says. */
const FRAME =
  /^(?:(?:(?:it|this|everything|(?:the )?(?:whole )?(?:picture|image|scene|photo(?:graph)?|view|mood|light(?:ing)?|atmosphere|colou?rs?|palette))\s+(?:is|are)\s+|(?:it|this)\s+(?:has|carries|shows)\s+)(?:(?:seen|shown|made|done|taken)\s+)?|(?:seen|shown|done)\s+(?=in |from |with ))(?=\S)/iu

/** A phrase without its frame and the joining words that follow it, which come as its lead. */
function withoutFrame(whole: Phrase): { phrase: Phrase; lead?: string[]; article?: string } {
  const frame = whole.facet === 'action' || whole.facet === 'lettering' ? 0 : (FRAME.exec(whole.text)?.[0].length ?? 0)
  if (frame === 0) return { phrase: whole }
  const ties = /^(?:[\p{L}]+\s+)*/u.exec(whole.text.slice(frame))?.[0].match(/\S+/g) ?? []
  const count = ties.findIndex((word) => !isFunctionWord(word.toLowerCase()))
  const leading = (count < 0 ? ties : ties.slice(0, count)).map((word) => word.toLowerCase())
  const skip = frame + leading.reduce((sum, word) => sum + word.length + 1, 0)
  return {
    phrase: { ...whole, start: whole.start + skip, text: whole.text.slice(skip) },
    lead: leading.filter((word) => !ARTICLES.has(word) && !DROPPED.has(word)),
    article: leading.find((word) => ARTICLES.has(word)) ?? '',
  }
}

/** Takes a text apart along its reading. */
export function partsOf({ text, marks }: Draft, { phrases, noise }: Reading): Parts {
  const parts: Parts = { said: [], rest: [], aside: asidesOf(text, noise) }
  const isNoise = (at: number) => noise.some(({ start, end }) => start <= at && at < end)
  let from = 0
  const between = (to: number): { lead: string[]; article: string; tied: boolean } => {
    let lead: string[] = []
    let article = ''
    let open: TextRange | undefined
    const close = () => {
      if (open) parts.rest.push({ ...open, after: parts.said.length })
      open = undefined
    }
    let before = from
    let tied = parts.said.length > 0
    for (const match of text.slice(from, to).matchAll(WORD)) {
      const [start, end] = [from + match.index, from + match.index + match[0].length]
      const gap = text.slice(before, start)
      before = end
      const word = match[0].toLowerCase()
      if (/[^\s]/.test(gap)) {
        tied = false
        lead = []
        article = ''
        close()
      }
      if (isNoise(start)) {
        lead = []
        tied = false
        close()
      } else if (ARTICLES.has(word)) article = word
      else if (NEGATIONS.has(word)) lead.push(word)
      else if (isFunctionWord(word)) {
        article = ''
        if (!DROPPED.has(word)) lead.push(word)
        else if (word === 'of') lead = []
      } else {
        lead = []
        article = ''
        if (TIES.has(word)) continue
        // Words beside one another are kept together.
        if (open && /^\s*$/.test(text.slice(open.end, start))) open = { start: open.start, end }
        else {
          close()
          open = { start, end }
        }
      }
    }
    close()
    if (/[^\s]/.test(text.slice(before, to))) tied = false
    return { lead, article, tied }
  }
  for (const whole of phrases) {
    // A frame that was read as a phrase of its own: “it is”.
    if ((whole.text.match(WORD) ?? []).every((word) => TIES.has(word.toLowerCase()) || ARTICLES.has(word.toLowerCase()))) continue
    const tie = between(whole.start)
    const { phrase, ...own } = withoutFrame(whole)
    // Words without a facet that follow a phrase directly stay with it.
    const last = parts.said.at(-1)
    const loose = parts.rest.at(-1)
    if (last && loose?.after === parts.said.length && !text.slice(last.phrase.end, loose.start).trim()) {
      parts.rest.pop()
      last.phrase = { ...last.phrase, end: loose.end, text: text.slice(last.phrase.start, loose.end) }
    }
    parts.said.push({ phrase, ...tie, ...own, locked: covered(text, marks, 'locked', phrase) })
    from = phrase.end
  }
  between(text.length)
  return parts
}
