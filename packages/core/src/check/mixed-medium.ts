import type { Check, Checked } from './checked.ts'
import { DIVIDED, isMeant } from './meant.ts'
import { type Finding, inText } from './finding.ts'
import { removing } from './fixes.ts'
import { media } from '../lexicon/dimensions/index.ts'

/** Read as a technique, these are still what the picture is. */
const SURFACES = new Set(['paint', 'water', 'print', 'drawing', 'render', 'flat'])
/** What may also be a thing in another picture; it is the medium where the text begins with it. */
const OBJECTS = new Set(['sculpture', 'textile', 'glass'])
const MIXED = /\b(?:mixed[- ]media|collage|montage|overpaint\p{L}*|hand[- ](?:tinted|coloured|colored)|based on a photograph|combined with|blend of|mix of|(?:layered|printed|painted|drawn|stitched|glued) (?:over|on)|on top of|with touches of|pinned|taped|hanging|framed|in a frame|on the (?:wall|table|desk)|holding (?:an?|the|his|her)|style of|in the manner of|like an?)\b/iu

/** Whether words stand by themselves between commas: then they are what the picture is, whatever they were read as. */
const isAlone = ({ shown }: Checked, start: number, end: number): boolean => /(?:^|[,;.\n])\s*(?:an?\s+|the\s+)?$/i.test(shown.slice(0, start)) && /^\s*(?:[,;.\n]|$)/.test(shown.slice(end))

export const mixedMedium: Check = (checked) => {
  if (MIXED.test(checked.shown) || DIVIDED.test(checked.shown)) return []
  const first = checked.phrases[0]?.start
  const terms = checked.saidOf(media).filter(({ start, end, value, phrase }) => phrase.facet === 'medium' || isAlone(checked, start, end) || (OBJECTS.has(value) && phrase.start === first) || (phrase.facet === 'technique' && (phrase.start === start || phrase.end === end) && SURFACES.has(value)))
  const found: Finding[] = []
  terms.forEach((b, i) => {
    if (found.length) return
    const a = terms.slice(0, i).find((other) => (other.phrase !== b.phrase || !/\b(?:of|on|over|with|and ink|after|from)\b/i.test(checked.shown.slice(other.end, b.start))) && media.clash(other.value, b.value) && !isMeant(checked.shown, other, b))
    if (!a) return
    found.push({
      kind: 'mixed-medium',
      severity: 'caution',
      where: inText(a),
      with: inText(b),
      facet: 'medium',
      reason: `A picture is “${checked.said(a)}” or “${checked.said(b)}”; asked for both, an engine gives a smear between them.`,
      fix: removing(checked, a.phrase === b.phrase ? b : b.phrase),
    })
  })
  return found
}
