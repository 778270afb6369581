/** JSON found in a text that may hold more than it, or less. */
export interface JsonFound {
  value: unknown
  /** There was other text around it. */
  prose: boolean
  /** It broke off; what was whole of it is here. */
  cut: boolean
}

/** Places tried as the beginning of JSON in prose. */
const MOST_PLACES = 40

/** What is read of JSON up to where it ends or breaks off. */
interface Scan {
  /** One past its last character, when it ends. */
  end: number | undefined
  /** The text closed up, when it breaks off. */
  closed: string
}

/** Walks JSON from an opening bracket. Knows strings and brackets; whether it is JSON is for the parser to say. */
function walk(text: string, from: number, keepCutText: boolean): Scan {
  const open: ('}' | ']')[] = []
  /** Up to here all is whole: after a value, or after an opening bracket. */
  let whole = from
  let openAtWhole = 0
  /** Whether the string being read, or read last, is a key. */
  let key = false
  let inString = false
  const mark = (at: number) => {
    whole = at
    openAtWhole = open.length
  }
  for (let i = from; i < text.length; i++) {
    const sign = text[i]!
    if (inString) {
      if (sign === '\\') i++
      else if (sign === '"') {
        inString = false
        if (!key) mark(i + 1)
      }
      continue
    }
    if (sign === '"') {
      inString = true
      key = open.at(-1) === '}' && /[{,]\s*$/.test(text.slice(Math.max(from, i - 40), i))
    } else if (sign === '{' || sign === '[') {
      open.push(sign === '{' ? '}' : ']')
      mark(i + 1)
    } else if (sign === '}' || sign === ']') {
      if (open.pop() !== sign) return { end: undefined, closed: '' }
      mark(i + 1)
      if (open.length === 0) return { end: i + 1, closed: text.slice(from, i + 1) }
    } else if (sign === ',') mark(i)
  }
  const closing = (count: number) => open.slice(0, count).reverse().join('')
  // A value's text that broke off may still be worth having; an entry of a list that did is not.
  if (inString && keepCutText && !key && open.at(-1) === '}') return { end: undefined, closed: `${text.slice(from).replace(/\\(?:u[0-9a-f]{0,3})?$/i, '')}"${closing(open.length)}` }
  return { end: undefined, closed: text.slice(from, whole).replace(/[,:\s]+$/, '') + closing(openAtWhole) }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown
  } catch {
    return undefined
  }
}
const isHolder = (value: unknown): value is object => typeof value === 'object' && value !== null

/**
 * The first JSON object or list in a text: by itself, in a code fence, with prose around it, or broken off. Undefined where
 * there is none. With `keepCutText`, a property whose text broke off is kept as far as it goes.
 */
export function jsonIn(text: string, keepCutText = true): JsonFound | undefined {
  const bare = text.replace(/^\uFEFF/, '').trim()
  const whole = parsed(bare)
  if (whole !== undefined) return { value: whole, prose: false, cut: false }
  let tried = 0
  for (let from = bare.search(/[{[]/); from >= 0 && tried < MOST_PLACES; tried++) {
    const scan = walk(bare, from, keepCutText)
    const value = parsed(scan.end === undefined ? scan.closed : bare.slice(from, scan.end))
    if (isHolder(value) && Object.keys(value).length > 0) {
      if (scan.end !== undefined) return { value, prose: from > 0 || scan.end < bare.length, cut: false }
      // It goes on to the end, so whatever begins later is inside it.
      return { value, prose: from > 0, cut: true }
    }
    const next = bare.slice(from + 1).search(/[{[]/)
    from = next < 0 ? -1 : from + 1 + next
  }
  return undefined
}
