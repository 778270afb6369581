import type { TextRange } from '../text-range.ts'
import type { Check, Checked } from './checked.ts'
import { type Finding, inText } from './finding.ts'
import { aloneInCompany } from './company.ts'
import { isMeant } from './meant.ts'
import { twoPostures } from './posture.ts'
import { removing } from './fixes.ts'
import { saidOf } from './values/dimension.ts'
import { DIMENSIONS } from './values/index.ts'

/** The season's snow on far peaks, and what was or will be, say nothing of the picture's own moment. */
function isElsewhere({ shown }: Checked, { start, end }: TextRange): boolean {
  return /\b(?:after|before|since|until|remembering|awaiting|dreaming of|last|next|ready for|eve of)\s+(?:the |a |an |long |heavy |days of )*$/i.test(shown.slice(0, start)) || /^[- ](?:capped|topped|line|peaks?|watchman|watch|porter|gown|shift|nurse|owl|market|cap|school|train|bus|sky blue|boots|globe|leopard|queen|coat|jacket|collection|garden|palace|olympics|wheat|roll|onion|chicken|spirit)/i.test(shown.slice(end))
}

export const contradiction: Check = (checked) => {
  const found: Finding[] = []
  for (const dimension of DIMENSIONS) {
    const { name, clash } = dimension
    const terms = saidOf(checked, dimension).filter((term) => !isElsewhere(checked, term))
    const said = new Set<number>()
    terms.forEach((a, i) => {
      for (const b of terms.slice(i + 1)) {
        if (said.has(b.start) || !clash(a.value, b.value) || isMeant(checked.shown, a, b)) continue
        said.add(b.start)
        found.push({
          kind: 'contradiction',
          severity: 'stop',
          where: inText(a),
          with: inText(b),
          facet: a.phrase.facet,
          reason: `“${checked.said(a)}” and “${checked.said(b)}” are ${name}; the picture can have one, and the engine will choose.`,
          fix: removing(checked, a.phrase === b.phrase ? b : b.phrase),
        })
      }
    })
  }
  return [...found, ...aloneInCompany(checked), ...twoPostures(checked)]
}
