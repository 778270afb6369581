import type { TextRange } from '../text-range.ts'
import type { Check, Checked } from './checked.ts'
import type { Phrase } from '../read/reading.ts'
import { type Finding, inText } from './finding.ts'
import { aloneInCompany, desertedInCompany } from './company.ts'
import { isMeant } from './meant.ts'
import { twoNumbers } from './numbers.ts'
import { thereAfterAll } from './lacking.ts'
import { twoQualities } from './opposites.ts'
import { twoPostures } from './posture.ts'
import { removing } from './fixes.ts'
import { type Dimension, type Said, saidOf } from './values/dimension.ts'
import { company, DIMENSIONS } from './values/index.ts'

/** The season's snow on far peaks, and what was or will be, say nothing of the picture's own moment. */
function isElsewhere({ shown }: Checked, { start, end }: TextRange): boolean {
  return /\b(?:after|before|since|until|remembering|awaiting|dreaming of|last|next|ready for|eve of)\s+(?:the |a |an |long |heavy |days of )*$/i.test(shown.slice(0, start)) || /^(?: (?:has|have) (?:gone|left|dispersed)| (?:gone|departed|dispersed)\b| (?:chairs?|dress(?:es)?|hats?|clothes|curtains?|cottage|furniture|shoes|tyres|holiday|fruit)\b)|^[- ](?:capped|topped|covered (?:peaks?|mountains?|summits?|alps|hills?)|clad (?:peaks?|mountains?)|line|peaks?|watchman|watch|porter|gown|shift|nurse|owl|market|cap|school|train|bus|sky blue|boots|globe|leopard|queen|coat|jacket|collection|garden|palace|olympics|wheat|roll|onion|chicken|spirit)/i.test(shown.slice(end))
}

/** Terms that the glossary says cannot stand in one picture, beyond what is found already. */
function excluded(checked: Checked, already: readonly Finding[]): Finding[] {
  const isFound = ({ start, end }: TextRange) => already.some(({ where, with: other }) => [where, other].some((place) => place?.in === 'text' && place.start < end && place.end > start))
  const terms = checked.language.exclusions.saidIn(checked.shown).flatMap((found) => {
    const phrase = checked.phraseAt(found.start)
    return phrase?.facet === found.value.facet ? [{ ...found, phrase }] : []
  })
  const found: Finding[] = []
  terms.forEach((b, i) => {
    const a = terms.slice(0, i).find((other) => other.value.excludes.has(b.value.term) && !isMeant(checked.shown, other, b))
    if (!a || isFound(a) || isFound(b) || found.length) return
    found.push({
      kind: 'contradiction',
      severity: 'stop',
      where: inText(a),
      with: inText(b),
      facet: b.phrase.facet,
      reason: `“${checked.said(a)}” and “${checked.said(b)}” cannot both show; the picture can have one, and the engine will choose.`,
      fix: removing(checked, a.phrase === b.phrase || b.phrase.facet === 'subject' ? b : b.phrase),
    })
  })
  return found
}

/** Findings on places that no other is on: one contradiction is told once. */
const beside = (found: readonly Finding[], more: readonly Finding[]): Finding[] =>
  more.filter((one) => !found.some((other) => [one.where, one.with].every((place) => [other.where, other.with].some((its) => place?.in === 'text' && its?.in === 'text' && place.start < its.end && place.end > its.start))))

/** Whether there is more than one figure, so that one may smile and another weep. */
const hasSeveral = (checked: Checked): boolean => checked.of('subject').length > 2 || checked.of('subject').some(({ text }) => /\b(?:two|three|four|five|both|and|group|couple|pair|children|men|women|people|twins|sisters|brothers|crowd|family)\b/i.test(text)) || /\b(?:one|the other|another) (?:of them |\p{L}+ )?(?:is |are )?\p{L}+ing\b/iu.test(checked.shown)

export const contradiction: Check = (checked) => {
  const found: Finding[] = []
  const several = hasSeveral(checked)
  const clashing = new Set<Dimension>()
  /** Pairs of phrases that are told: snow on a hot summer day is of two seasons, and need not be of two heats besides. */
  const pairs = new Set<string>()
  const pairOf = (a: Said, b: Said) => `${a.phrase.start} ${b.phrase.start}`
  for (const dimension of DIMENSIONS) {
    if (dimension.ofOne && several) continue
    const { name, clash } = dimension
    const terms = saidOf(checked, dimension).filter((term) => !isElsewhere(checked, term))
    const said = new Set<number>()
    const told = new Set<Phrase>()
    terms.forEach((a, i) => {
      for (const b of terms.slice(i + 1)) {
        // One phrase is told once, however many of its words say the same.
        if (said.has(b.start) || (a.phrase !== b.phrase && (told.has(b.phrase) || pairs.has(pairOf(a, b)))) || !clash(a.value, b.value) || isMeant(checked.shown, a, b)) continue
        said.add(b.start)
        told.add(b.phrase)
        clashing.add(dimension)
        pairs.add(pairOf(a, b))
        found.push({
          kind: 'contradiction',
          severity: 'stop',
          where: inText(a),
          with: inText(b),
          facet: a.phrase.facet,
          reason: `“${checked.said(a)}” and “${checked.said(b)}” are ${name}; the picture can have one, and the engine will choose.`,
          fix: removing(checked, a.phrase === b.phrase || b.phrase.facet === 'subject' ? b : b.phrase),
        })
      }
    })
  }
  return [...found, ...excluded(checked, found), ...aloneInCompany(checked), ...(clashing.has(company) ? [] : desertedInCompany(checked)), ...twoPostures(checked), ...twoNumbers(checked), ...beside(found, twoQualities(checked)), ...beside(found, thereAfterAll(checked))]
}
