import type { Checked } from './checked.ts'
import { type Finding, inText } from './finding.ts'

const ALONE = /\b(?:lone|solitary|alone|lonely|single-handed|by (?:him|her|it)self|on (?:his|her|its) own|all alone)\b/iu
const WITH = /\b(?:with|and|beside|between|among|accompanied by|followed by|flanked by|hand in hand with)\s+(?:(?:his|her|its|their)\s+)?(?:two|three|four|five|six|several|many|a group of|friends?|sisters?|brothers?|children|companions?|family|wife|husband|mother|father|daughters?|sons?|team|crew|other \p{L}+)\b(?:\s+(?:friends?|sisters?|brothers?|children|companions?|people|men|women|riders|hikers|others))?/giu

/** A lone figure that has company in the same breath: “a lone hiker with her two sisters”. */
export function aloneInCompany(checked: Checked): Finding[] {
  const found: Finding[] = []
  for (const sentence of checked.shown.matchAll(/[^.!?;\n]+/g)) {
    const alone = ALONE.exec(sentence[0])
    if (!alone || !['subject', 'action'].includes(checked.phraseAt(sentence.index + alone.index)?.facet ?? '')) continue
    for (const company of sentence[0].slice(alone.index).matchAll(WITH)) {
      const start = sentence.index + alone.index + company.index
      // Company of its own kind, close by; not a kind of place or a second scene.
      if (/[,:]/.test(sentence[0].slice(alone.index, alone.index + company.index)) || company.index > 60) continue
      const a = { start: sentence.index + alone.index, end: sentence.index + alone.index + alone[0].length }
      const b = { start, end: start + company[0].length }
      found.push({
        kind: 'contradiction',
        severity: 'stop',
        where: inText(a),
        with: inText(b),
        facet: 'subject',
        reason: `“${checked.said(a)}” says there is nobody else, and “${checked.said(b)}” brings company.`,
      })
      break
    }
  }
  return found
}
