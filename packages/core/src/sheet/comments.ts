/** A comment on one picture of a numbered sheet. */
export interface NumberedComment {
  number: number
  comment: string
}

const LEAD = /^[\s#*•-]*(?:no\.?\s*|number\s+|picture\s+|image\s+)?(\d{1,4}(?:\s*(?:,|and|&|\+|to|–|-)\s*\d{1,4})*)\s*(?:[:.)\]–—-]|\s)\s*(?=\S)/i

function numbersIn(said: string): number[] {
  return said.split(/\s*(?:,|and|&|\+)\s*/i).flatMap((part) => {
    const [from = 0, to = from] = part.split(/\s*(?:to|–|-)\s*/i).map(Number)
    return to >= from && to - from < 200 ? Array.from({ length: to - from + 1 }, (_, i) => from + i) : []
  })
}

/**
 * Comments by number, as people type or send them: a line each, “3: darker”, “2 and 4. lose the fence”, “5-7 fine”; a line
 * without a number goes on with the one before. What has no number, or one that is not from 1 to `last`, is given back.
 */
export function readComments(text: string, last: number): { comments: NumberedComment[]; unplaced: string[] } {
  const comments: NumberedComment[] = []
  const unplaced: string[] = []
  let open: NumberedComment[] = []
  for (const line of text.split(/\r?\n/)) {
    const said = line.trim()
    if (said === '') {
      open = []
      continue
    }
    const lead = LEAD.exec(line)
    const numbers = lead ? numbersIn(lead[1]!) : []
    if (lead && numbers.length > 0 && numbers.every((number) => number >= 1 && number <= last)) {
      open = numbers.map((number) => ({ number, comment: line.slice(lead[0].length).trim() }))
      comments.push(...open)
    } else if (!lead && open.length) for (const one of open) one.comment += ` ${said}`
    else {
      unplaced.push(said)
      open = []
    }
  }
  return { comments, unplaced }
}
