import { media } from '../lexicon/dimensions/index.ts'
import type { Check, Checked, Said } from './checked.ts'
import { type Finding, inText } from './finding.ts'
import { removing } from './fixes.ts'
import { DIVIDED, isMeant } from './meant.ts'

/** What may also be a thing in another picture, or a colour: it is the medium where it was read so, or the text begins with it. */
const OBJECTS = new Set(['sculpture', 'textile', 'glass', 'street', 'paper'])
/** Words that bring two ways of making together on purpose. */
const MIXED = new Set('collage montage overpainted overpainting tinted handtinted combined blend mix layered stitched glued touches pinned taped hanging framed style manner like mixed embroidered'.split(' '))
const JOINED = new Set('of on over with and from after under into'.split(' '))

/** Whether words stand by themselves between marks: then they are what the picture is, whatever they were read as. */
const isAlone = ({ words, shown }: Checked, { from, to, start, end }: Said): boolean => {
  const first = words[from - 1]
  const opens = first === undefined || words[from]!.gap === 'mark' || /[,;:.\n—–]\s*(?:an?|the)?\s*$/i.test(shown.slice(0, start))
  return opens && (words[to] === undefined || words[to]!.gap === 'mark' || /^\s*(?:of|on|in|under|with)\b/.test(shown.slice(end)))
}

/** Whether a saying is about how the picture is made, not about a thing in it or a colour. */
function isOfThePicture(checked: Checked, one: Said): boolean {
  const { facet, start } = one.phrase
  // “Charcoal burners” are people.
  const next = checked.words[one.to]
  if (next && next.gap !== 'mark' && next.forms.some((form) => checked.isKind(form, 'person'))) return false
  if (facet === 'medium') return true
  if (OBJECTS.has(one.value)) return start === checked.phrases[0]?.start || (facet === 'technique' && isAlone(checked, one))
  return isAlone(checked, one) || (facet === 'technique' && (start === one.start || one.phrase.end === one.end || checked.words[one.from - 1]?.start === start))
}

export const mixedMedium: Check = (checked) => {
  if (DIVIDED.test(checked.shown) || checked.words.some(({ lower }, i) => lower === 'mixed' && checked.words[i + 1]?.lower === 'media')) return []
  const terms = checked.saidOf(media).filter((one) => isOfThePicture(checked, one))
  for (const [i, b] of terms.entries()) {
    const a = terms.slice(0, i).find((other) => {
      const between = checked.words.slice(other.to, b.from)
      const joined = other.phrase === b.phrase && between.every(({ gap }) => gap !== 'mark') && b.from > other.to && between.some(({ lower }) => JOINED.has(lower))
      return !joined && media.clash(other.value, b.value) && !between.some(({ lower }) => MIXED.has(lower)) && !isMeant(checked.shown, other, b) && !(between.length <= 2 && between.some(({ lower }) => lower === 'over' || lower === 'and' || lower === 'with'))
    })
    if (!a) continue
    const found: Finding = {
      kind: 'mixed-medium',
      severity: 'caution',
      where: inText(a),
      with: inText(b),
      facet: 'medium',
      reason: `A picture is “${checked.said(a)}” or “${checked.said(b)}”; asked for both, an engine gives a smear between them.`,
      fix: removing(checked, a.phrase === b.phrase ? b : b.phrase),
    }
    return [found]
  }
  return []
}
