import type { Checked } from './checked.ts'
import { numbersOfFigures } from './figures.ts'
import { isMeant } from './meant.ts'
import { type Finding, inText } from './finding.ts'

const ALONE = /\b(?:lone|solo|solitary|alone|lonely|single-handed|by (?:him|her|it)self|on (?:his|her|its) own|all alone)\b/iu
const WITH = /\b(?:with|and|amid|amidst|surrounded by|leading|heading|ahead of|at the head of|encircled by|in the middle of|beside|between|among|accompanied by|followed by|flanked by|hand in hand with)\s+(?:(?:his|her|its|their)\s+)?(?:two|three|four|five|six|seven|eight|nine|ten|twelve|twenty|thirty|forty|fifty|hundred|a dozen|dozens of|hundreds of|several|many|a group of|a crowd of|friends?|sisters?|brothers?|children|companions?|family|wife|husband|mother|father|daughters?|sons?|team|crew|other \p{L}+|(?:his|her|its|their|the|a) (?:pack|herd|flock|swarm|comrades|entourage|gang|crowd))\b(?:\s+(?:friends?|sisters?|brothers?|children|companions?|people|men|women|riders|hikers|others))?/giu

const DESERTED = /\b(?:nobody (?:aboard|inside|on board|else|there|left)|without a (?:single )?(?:person|soul|visitor)|not a (?:single )?(?:person|soul)|deserted|uninhabited|unpeopled|not a soul in sight|nobody (?:about|around|in sight)|empty (?:of people|\p{L}+ (?:street|square|beach|plaza|platform)|streets?|square|beach|plaza|platform|park|playground|market|station|stadium))\b/iu

const BUSTLE = /\b(?:bustling|crowded|thronged|packed|teeming|heaving|jam-packed)\b/iu

/** A deserted place with figures in it: “a deserted square, five children at play”. One figure may cross it. */
export function desertedInCompany(checked: Checked): Finding[] {
  // In what is taken for an exclusion, too: “a bustling quay without a single person”.
  const empty = DESERTED.exec(checked.draft.text)
  if (!empty) return []
  const a = { start: empty.index, end: empty.index + empty[0].length }
  const bustle = BUSTLE.exec(checked.shown)
  const b = [...numbersOfFigures(checked), ...(bustle ? [{ start: bustle.index, end: bustle.index + bustle[0].length, number: 100 }] : [])].find(({ start, number }) => number > 2 && start !== a.start && !isMeant(checked.shown, a, { start, end: start + 1 }))
  return b
    ? [{ kind: 'contradiction', severity: 'stop', where: inText(a), with: inText(b), facet: 'setting', reason: `“${checked.said(a)}” says that nobody is there, and “${checked.said(b)}” says otherwise.` }]
    : []
}

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
