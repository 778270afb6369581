import { FACETS } from '@idolon/core'
import type { Criterion, CriterionKind } from '@idolon/core/helper'

/** What each criterion asks, for choosing one. */
export const CRITERIA: Readonly<Record<CriterionKind, string>> = {
  'facets-present': 'it says something of facets',
  'locked-kept': 'all locked words are kept',
  'length-within': 'its length lies between',
  'no-stops': 'the checks find no stop',
  distinct: 'no two are nearly the same',
  'near-example': 'it is near an example, or far from it',
  'first-answer-valid': 'the first answer fits as it is',
  says: 'it says some words, or never does',
}

/** A criterion as it is when it is chosen. */
export const freshCriterion = (kind: CriterionKind): Criterion => {
  switch (kind) {
    case 'facets-present':
      return { kind, least: 9 }
    case 'length-within':
      return { kind, least: 20, most: 90 }
    case 'near-example':
      return { kind, example: 'a heron in the reeds at dawn, gouache', near: true }
    case 'says':
      return { kind, words: 'gouache', never: false }
    case 'distinct':
      return { kind, count: 10 }
    default:
      return { kind }
  }
}

/** A criterion in a few words. */
export function sayCriterion(criterion: Criterion): string {
  switch (criterion.kind) {
    case 'facets-present':
      return criterion.facets ? `says something of ${criterion.facets.length === FACETS.length ? 'every facet' : criterion.facets.join(', ')}` : `says something of ${criterion.least ?? 1} facets`
    case 'locked-kept':
      return 'keeps locked words'
    case 'length-within':
      return `${criterion.least} to ${criterion.most} words`
    case 'no-stops':
      return 'no stop from the checks'
    case 'distinct':
      return criterion.count ? `${criterion.count}, no two nearly the same` : 'no two nearly the same'
    case 'near-example':
      return `${criterion.near ? 'near' : 'far from'} “${criterion.example.slice(0, 40)}”`
    case 'first-answer-valid':
      return 'first answer fits as it is'
    case 'says':
      return `${criterion.never ? 'never says' : 'says'} “${criterion.words}”`
  }
}
