import type { Facet } from '../facet.ts'
import { media, room, tide, water } from '../lexicon/dimensions/index.ts'
import { valuesIn } from '../lexicon/lexicon.ts'
import { TERMS_BY_FACET } from '../glossary/terms-by-facet.ts'
import type { Check, Checked } from './checked.ts'
import { namesAThing } from './named-thing.ts'
import { unknownWord } from './unknown-word.ts'
import { vagueSubject } from './vague-subject.ts'

const PATTERN = /\b(?:pattern|wallpaper|texture|icons?|logo|emblem|crest|coat of arms|sticker|stamp|diagram|blueprint|chart|infographic|typographic|lettering|alphabet|map|motif|monogram|badge)\b/i
/** Pictures of one thing, which need no place. */
const ALONE = /\b(?:portrait|still life|product|close-up|macro|headshot|study|character sheet|turnaround|cutaway|cross-section|section|exploded|isolated|plain|bust|sculpture|silhouette|vignette|figurine|abstract|tattoo|card|plate|drawing of a single)\b/i
/** Moments that say how the light is. */
const LIT = /\b(?:golden hour|blue hour|sunset|sunrise|dawn|dusk|noon|midday|night|midnight|moonlit|twilight|overcast|sunny|sunlit|starry|evening|foggy|fog|misty|mist|storm\w*|cloudy|morning|afternoon|candlelit|eclipse|daylight)\b/i

/** Which facets a kind of picture needs: every picture a subject and a medium; a scene a setting; a photograph its light; a pattern neither. */
function needs(checked: Checked): Facet[] {
  const kind = checked.of('medium', 'framing').map(({ text }) => text).join(', ')
  const all = checked.shown
  const list: Facet[] = ['subject', 'medium']
  if (PATTERN.test(kind) || PATTERN.test(checked.of('subject').map(({ text }) => text).join(' '))) return list
  const scene = checked.of('action').length > 0 || /\b(?:scene|landscape|street|interior)\b/i.test(kind)
  if (scene && !ALONE.test(kind)) list.push('setting')
  if (checked.saidOf(media).some(({ value }) => value === 'photograph') && !LIT.test(all)) list.push('light')
  return list
}

/** A place said by a preposition, though the reading took it for something else. */
const PLACED = /\b(?:in|on|at|under|beneath|beside|by|through|across|behind|inside|outside|against|along|over|above|between|among|near|into|up|down|from|around)\s+(?:an?|the|his|her|its|their)\s+\p{L}/iu
const HOW = /\b(?:light|lit|lamp|lamps|lantern|sun\w*|shade|shadow\w*|glow\w*|flash|softbox|neon|candle\w*|bright\w*|dim|dark\w*|backlight\w*|ray|rays)\b/i
const MADE =
  /\b(?:(?:\p{L}+[- ])?(?:photo\p{L}*|painting|paint|drawing|sketch|print|cut|woodcut|linocut|engraving|etching|lithograph|illustration|render\p{L}*|cartoon|comic|anime|manga|poster|collage|mosaic|fresco|tapestry|embroidery|sculpture|relief|icon|miniature|animation|film|still|logo|vector|pixel art|watercolou?r|gouache|tempera|casein|pastel|charcoal|oils?|acrylic|ink|sepia|tintype|origami|stained glass|storybook|picture-book|cover|card|stamp|sticker|infographic|diagram|map|mural|graffiti|plate|sampler|style|styled?))\b/iu

/** Kinds of picture the glossary names; one that makes up a phrase by itself is meant as such, whatever the phrase was read as. */
const kinds = new Set(TERMS_BY_FACET.medium)

const WHY: Partial<Record<Facet, string>> = {
  subject: 'Nothing says who or what the picture is of; the engine will put in whatever is usual.',
  medium: 'Nothing says what kind of picture it is: a photograph, a painting, a print; each engine has its own habit.',
  setting: 'Something happens, but nothing says where; the background will be the engine’s.',
  light: 'It is a photograph and nothing says how it is lit; light is half of a photograph.',
}

const nounsOf = (text: string) => text.toLowerCase().match(/\p{L}{3,}/gu) ?? []
/** Kinds of place. */
const PLACES = ['location', 'structure', 'geological formation', 'body of water', 'land', 'soil', 'way', 'region', 'thoroughfare', 'building', 'room', 'channel']

/** “Moonrise over the salt pans”: what happens in the sky above a place is what the picture is of. */
const beginsWithWeather = ({ phrases, shown }: Checked): boolean => {
  const [first, second] = phrases
  return first !== undefined && second !== undefined && ['moment', 'light'].includes(first.facet) && /^\s*(?:at \p{L}+ )?(?:in|on|over|above|across|behind|through|under)\b/iu.test(shown.slice(first.end))
}

/** Whether a facet is said somewhere, if not in the phrase the reading gives it. */
function isSaid(checked: Checked, facet: Facet): boolean {
  if (checked.of(facet).length) return true
  const text = checked.shown
  switch (facet) {
    case 'subject':
      // What is vague is said to be so; it is not missing besides.
      return vagueSubject(checked).length > 0 || beginsWithWeather(checked) || checked.of('action', 'detail').length > 0 || namesAThing(checked)
    case 'setting':
      return PLACED.test(text) || [room, tide, water].some((dimension) => checked.saidOf(dimension).length > 0) || nounsOf(text).some((word) => PLACES.some((kind) => checked.language.kin.below(word, kind) >= 0)) || checked.of('subject').some((phrase) => nounsOf(phrase.text).some((word) => ['structure', 'way', 'location'].some((kind) => checked.language.kin.below(word, kind, true) >= 0)))
    case 'light':
      return HOW.test(text)
    case 'medium':
      // Also where a list of what to leave out goes on too far, and in a word that is only misspelt.
      return checked.of('technique').length > 0 || valuesIn(checked.draft.text, media).length > 0 || unknownWord(checked).some(({ reason }) => valuesIn(reason, media).length > 0) || MADE.test(text) || checked.phrases.some((phrase) => kinds.has(phrase.text.toLowerCase()))
    default:
      return false
  }
}

export const missingFacet: Check = (checked) => {
  if (checked.phrases.length === 0) return []
  const missing = needs(checked).filter((facet) => !isSaid(checked, facet))
  // Without a subject the rest cannot be judged.
  return (missing[0] === 'subject' ? missing.slice(0, 1) : missing)
    .map((facet) => ({ kind: 'missing-facet' as const, severity: 'tip' as const, facet, reason: WHY[facet] ?? `Nothing says the ${facet}.` }))
}
