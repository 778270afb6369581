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

const LETTER = /^[\p{L}\p{M}_]/u
const isLatin = (code: number) => (code >= 97 && code <= 122) || (code >= 65 && code <= 90)

function kindOf(found: string): Token['kind'] {
  const first = found.charCodeAt(0)
  if ((first >= 48 && first <= 57) || (found.charCodeAt(1) === SLASH && found.length > 2)) return 'number'
  return isLatin(first) || LETTER.test(found) ? 'word' : 'mark'
}
const SLASH = 47

export function scan(text: string): Token[] {
  const tokens: Token[] = []
  TOKEN.lastIndex = 0
  for (let match = TOKEN.exec(text); match; match = TOKEN.exec(text)) {
    const [found] = match
    tokens.push({ start: match.index, end: match.index + found.length, text: found, lower: found.toLowerCase(), kind: kindOf(found) })
  }
  return tokens
}
