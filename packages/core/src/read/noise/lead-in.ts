import type { TextRange } from '../../text-range.ts'

const ASK = String.raw`(?:please|kindly|hi|hello|hey|ok|okay|can you|could you|would you|will you|i want you to|i['’]d like you to|i would like you to|help me|let['’]s|now|just|task|imagine)[\s,!.:]*(?:please\s+)?`
const MAKE = String.raw`(?:create|make|generate|draw|paint|produce|render|design|illustrate|depict|show|give|sketch|visuali[sz]e|compose|write|craft|imagine|picture)(?:\s+me)?`
const WANT = String.raw`(?:(?:i|we)\s+(?:really\s+)?(?:want|need|would like|would love|['’]d like|['’]d love)|(?:i|we)['’]d\s+(?:like|love)|(?:i am|we are) looking for|(?:i['’]m|we['’]re) looking for|looking for)(?:\s+to\s+(?:see|have|get))?`
const SOME = String.raw`(?:(?:a|an|the|one|some|this|my|following)\s+)*`
const PRAISED = String.raw`(?:(?:high[- ]quality|high[- ]resolution|professional|stunning|beautiful|detailed|highly detailed|realistic|ultra[- ]realistic|cute|simple|nice|new|cool|amazing|full|single)\s+)*`
const THING = String.raw`(?:image|picture|pic|visual|scene|artwork|piece of art|shot|prompt|graphic)s?`
const OF = String.raw`(?:\s*(?:of|showing|that shows|which shows|depicting|that depicts|featuring|where|in which|with|about|for my blog|:|->|-))+`

/** “Please create an image of”, “I'd like a picture that shows”, “The image shows”. */
const PATTERNS = [
  new RegExp(String.raw`^["“'(\s]*(?:${ASK})*(?:${MAKE}|${WANT})\s+${SOME}${PRAISED}${THING}\b${OF}`, 'iu'),
  new RegExp(String.raw`^["“'(\s]*(?:${ASK})*(?:${MAKE}|${WANT})(?:\s+to\s+see)?(?=\s+(?:an?|the|one|some|my|this|two|three|four|five|six|\d+)\s)`, 'iu'),
  new RegExp(String.raw`^["“'(\s]*(?:please\s+|can you\s+|could you\s+|i want\s+)(?:please\s+)?(?:${MAKE})\s+(?=\p{L})`, 'iu'),
  new RegExp(String.raw`^["“'(\s]*${SOME}${PRAISED}(?:image|picture|visual|pic)s?\b${OF}`, 'iu'),
  new RegExp(String.raw`^["“'(\s]*(?:the|this)\s+(?:image|picture|scene|illustration|photo)\s+(?:should\s+)?(?:shows?|depicts?|features?|captures?|is of|contains?|have|look like)\s+`, 'iu'),
  new RegExp(String.raw`^\s*(?:we see|here is|here['’]s|there (?:is|are))\s+(?:my idea:?\s*)?`, 'iu'),
  /^\s*\/\p{L}+\s+(?:prompt:\s*)?/iu,
  /^\s*(?:imagine|prompt|image request|image prompt|description|request|product shot)\s*(?::|->|-)\s*/iu,
]
const THANKS = /(?:^|[.!?]\s*)(?:thank you|thanks|please)(?: (?:so|very) much| in advance)?[.!]*\s*$/iu

/** An instruction to draw, at the start of a stretch of text; and thanks at its end. */
export function findLeadIns(text: string, fromTheStart: boolean): TextRange[] {
  const found: TextRange[] = []
  if (fromTheStart) {
    for (const pattern of PATTERNS) {
      const match = pattern.exec(text)
      const end = match ? match[0].trimEnd().length : 0
      if (end > 0 && end < text.length) {
        found.push({ start: match![0].length - match![0].trimStart().length, end })
        break
      }
    }
  }
  const thanks = THANKS.exec(text)
  if (thanks && (found[0]?.end ?? 0) <= thanks.index) {
    const start = thanks.index + thanks[0].search(/\p{L}/u)
    found.push({ start, end: thanks.index + thanks[0].trimEnd().length })
  }
  return found
}
