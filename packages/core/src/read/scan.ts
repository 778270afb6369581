/** A word or number of a text, or a single mark of punctuation. */
export interface Token {
  /** UTF-16 code units. */
  start: number
  end: number
  text: string
  lower: string
  kind: 'word' | 'number' | 'mark'
}

/**
 * Words keep their inner hyphens and apostrophes; numbers keep their points,
 * ratios and units: “wet-on-wet”, “f/2.8”, “16:9”, “85mm”, “1/1000”, “1920s”.
 */
const TOKEN = /[fƒ]\/\d+(?:\.\d+)?|\d+(?:[.,:/×x–-]\d+)*[\p{L}%°]*(?:-\p{L}+)*|[\p{L}\p{M}_][\p{L}\p{M}\p{N}_]*(?:[-'’&][\p{L}\p{M}\p{N}_]+)*|[^\s\p{L}\p{N}]/gu

export function scan(text: string): Token[] {
  const tokens: Token[] = []
  for (const match of text.matchAll(TOKEN)) {
    const [found] = match
    const first = found.charCodeAt(0)
    const digit = (first >= 48 && first <= 57) || /^[fƒ]\/\d/.test(found)
    const kind = digit ? 'number' : /^[\p{L}\p{M}_]/u.test(found) ? 'word' : 'mark'
    tokens.push({ start: match.index, end: match.index + found.length, text: found, lower: found.toLowerCase(), kind })
  }
  return tokens
}
