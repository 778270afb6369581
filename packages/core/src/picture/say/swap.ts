import { hour } from '../../lexicon/dimensions/index.ts'
import { valuesIn } from '../../lexicon/lexicon.ts'
import type { Facet } from '../../facet.ts'
import type { SwapPart } from './swap-parts.ts'

const DRESS = /\b(?:coats?|jackets?|shirts?|blouses?|dress(?:es)?|gowns?|skirts?|trousers|jeans|shorts|suits?|uniforms?|robes?|cloaks?|capes?|aprons?|overalls?|jumpers?|sweaters?|cardigans?|waistcoats?|scar(?:f|ves)|shawls?|hats?|caps?|bonnets?|hoods?|helmets?|boots|shoes|sandals|slippers|gloves|mittens|stockings|socks|ties?|belts?|kimonos?|saris?|armou?r|veils?|turbans?|pyjamas|swimsuits?|costumes?|clothes|clothing|dressed|wearing)\b/i
/** Techniques that go with the kind of picture: a lens and film with a photograph, strokes with paint. */
const OF_A_MEDIUM = /\b(?:depth of field|deep focus|bokeh|lens|aperture|film|grain|exposure|brush\w*|stroke\w*|impasto|wash|paper|canvas|ink|hatching|linework)\b/i

/** Which part of a picture a phrase says, of those that can be swapped. */
export function partOf({ facet, text }: { facet: Facet; text: string }): SwapPart | null {
  if (facet === 'subject' || facet === 'colour' || facet === 'medium') return facet
  if (facet === 'technique') return OF_A_MEDIUM.test(text) ? 'medium' : null
  if (facet === 'detail') return DRESS.test(text) ? 'dress' : null
  return facet === 'moment' && valuesIn(text, hour).length ? 'hour' : null
}
