import { wordSet } from '../../english/word-set.ts'
import type { TextRange } from '../../text-range.ts'

/** Words of somebody who speaks to somebody: they carry an instruction, and say nothing of a picture. */
const ADDRESS = wordSet(`please kindly hi hello hey ok okay can could would will u you i we my your our us me it is be i'd we'd i'm we're let's lets let help try job task role now just so then really very much grateful glad happy possible able to do get have see that
  what pls plz here there's here's there this one following if might may should like love use want wants wanted needs need needed looking after for next today thanks thank dear friend artist designer illustrator professional request idea prompt description brief what's am are as`)
/** What asks for a picture to be made. */
const MAKE = wordSet('create make generate draw paint produce render design illustrate depict show give sketch visualise visualize compose write craft imagine picture remake redo prepare do try put')
const WANT = wordSet("want wants need needs like love grateful looking after i'd we'd get")
/** Of those, words that ask for nothing where a text begins with them. */
const NOT_FIRST = wordSet('like love after looking')
const ARTICLES = wordSet('a an the one some this my our following single new another')
/** What a picture is called where nothing is said of it. */
const PICTURE = wordSet('image images picture pictures pic pics visual visuals scene artwork shot prompt graphic piece')
const PRAISED = wordSet('high quality high-quality high-resolution resolution professional stunning beautiful detailed highly realistic ultra ultra-realistic cute simple nice cool amazing full stock good great lovely super really of art')
/** What leads from the picture to what it shows. */
const LEADS = wordSet('of showing shows show depicting depicts depict featuring features feature captures contains where which with about that in : -> - is has have')
/** Of those, what leads on from a kind of picture as well: “shot with a long lens”. */
const LOOSE = wordSet('with in about on is has have')
/** What begins the naming of a thing. */
const THING_BEGINS = wordSet('a an the one some my our two three four five six seven eight nine ten his her its their')
const SETS_OFF = wordSet('imagine prompt image picture description request')

const TOKEN = /->|[\p{L}\p{N}]+(?:['’-][\p{L}]+)*|[^\s]/gu
/** An instruction is no longer than this, in words. */
const LONGEST = 24
const MARKS = wordSet(', ! . " “ ’ \' ( :')

interface Token extends TextRange {
  lower: string
}

/**
 * How much of a text's beginning only asks for a picture: “Please create an image of”, “Your job is to illustrate”, “I'd be grateful for a
 * picture in which”. Undefined where it asks for nothing. It ends after what leads from the picture to what it shows, or after the
 * verb that asks, whichever comes last before a word that belongs to the picture.
 */
function instruction(tokens: readonly Token[]): number | undefined {
  let cut: number | undefined
  let addressed = false
  let asked = false
  for (let i = 0; i < Math.min(tokens.length, LONGEST); i++) {
    const { lower, end } = tokens[i]!
    const next = tokens[i + 1]?.lower ?? ''
    const isMake = MAKE.has(lower) && !(PICTURE.has(lower) && i > 0 && ARTICLES.has(tokens[i - 1]!.lower))
    if (isMake) {
      asked = true
      if (next === 'me' || next === 'us') {
        const after = tokens[i + 2]?.lower ?? ''
        if (!PICTURE.has(after) && !ARTICLES.has(after) && !PRAISED.has(after) && !ADDRESS.has(after)) cut = tokens[i + 1]!.end
        else if (THING_BEGINS.has(after)) cut = tokens[i + 1]!.end
        continue
      }
      if (addressed ? next !== ',' && next !== '.' : THING_BEGINS.has(next) || /^\d/.test(next) || next === ':') cut = end
    } else if (PICTURE.has(lower)) {
      // “picture of”, “image that shows”: what leads on belongs to it.
      let to = i
      while (LEADS.has(tokens[to + 1]?.lower ?? '') && (asked || addressed || !LOOSE.has(tokens[to + 1]!.lower))) to++
      if (to === i) {
        if (!asked && !addressed) return cut
        continue
      }
      cut = tokens[to]!.end
      i = to
    } else if ((WANT.has(lower) && (i > 0 || !NOT_FIRST.has(lower))) || lower === 'me' || lower === 'us' || lower === 'see' || lower === 'for' || lower === 'please') {
      addressed = true
      if (asked || WANT.has(lower) || tokens.slice(0, i).some((one) => WANT.has(one.lower))) {
        asked = true
        if (THING_BEGINS.has(next)) cut = end
      }
    } else if ((lower === 'how' || lower === 'what') && next === 'about' && i === 0) {
      cut = tokens[++i]!.end
    } else if (lower === 'think' && next === 'of') {
      asked = true
      cut = tokens[++i]!.end
    } else if (i > 0 && (tokens[i - 1]!.lower === 'my' || tokens[i - 1]!.lower === 'our') && WANT.has(next)) {
      // “My daughter wants”.
      addressed = true
    } else if (ADDRESS.has(lower)) addressed = true
    else if (MARKS.has(lower)) {
      if (lower === '.' && asked) return cut
    } else if (!ARTICLES.has(lower) && !PRAISED.has(lower)) return cut
  }
  return cut
}

const THANKS = /(?:^|[.!?]\s*)(?:thank you|thanks|please)(?: (?:so|very) much| in advance)?[.!]*\s*$/iu

/** An instruction to draw, at the start of a stretch of text; and thanks at its end. */
export function findLeadIns(text: string, fromTheStart: boolean): TextRange[] {
  const found: TextRange[] = []
  if (fromTheStart) {
    const head = text.slice(0, LONGEST * 20)
    const tokens = [...head.matchAll(TOKEN)].slice(0, LONGEST + 4).map((match): Token => ({ start: match.index, end: match.index + match[0].length, lower: match[0].toLowerCase().replace('’', "'") }))
    const named = SETS_OFF.has(tokens[0]?.lower ?? '') && ['request', 'prompt', ':', '->', '-'].includes(tokens[1]?.lower ?? '') ? tokens.slice(0, 3).find(({ lower }) => [':', '->', '-'].includes(lower))?.end : undefined
    const end = named ?? instruction(tokens) ?? 0
    if (end > 0 && end < text.length) found.push({ start: tokens[0]!.start, end })
  }
  const thanks = THANKS.exec(text)
  if (thanks && (found[0]?.end ?? 0) <= thanks.index) {
    const start = thanks.index + thanks[0].search(/\p{L}/u)
    found.push({ start, end: thanks.index + thanks[0].trimEnd().length })
  }
  return found
}
