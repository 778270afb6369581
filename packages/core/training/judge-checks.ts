/** Judges the checks by labelled drafts: precision and recall a kind, with 95 % intervals, and clean drafts that stayed quiet. */
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { checkDraft } from '../src/check/index.ts'
import { type Finding, type FindingKind, KINDS, type Place } from '../src/check/finding.ts'
import { createLanguage } from '../src/check/language.ts'
import type { AssociationTable } from '../src/glossary/association-table.ts'
import type { GlossaryEntry } from '../src/glossary/entry.ts'
import { fixedFacetsOf } from '../src/phrase/marks.ts'
import { createReader } from '../src/reader.ts'
import { type Case, type Expected, readCases } from './check-cases.ts'

const CORE = join(process.env['IDOLON_ROOT'] ?? process.cwd(), 'packages/core')
const table = (name: string) => readFileSync(join(CORE, 'tables', `${name}.bin`))
const reader = createReader(table('words'), table('reader'))
const associations = JSON.parse(readFileSync(join(CORE, 'tables/associations.json'), 'utf8')) as AssociationTable
const glossary = JSON.parse(readFileSync(join(CORE, 'tables/glossary.json'), 'utf8')) as GlossaryEntry[]
const language = createLanguage(reader, { kin: table('kin'), known: table('known'), associations, glossary })

const flat = (text: string) => text.toLowerCase()
function touches(place: Place | undefined, words: string, { draft }: Case): boolean {
  if (!place) return false
  if (place.in === 'text') {
    for (let at = flat(draft.text).indexOf(flat(words)); at >= 0; at = flat(draft.text).indexOf(flat(words), at + 1)) if (place.start < at + words.length && place.end > at) return true
    return false
  }
  return place.in === 'leaveOut' ? words === 'leave-out' || flat(place.entry) === flat(words) : place.key === words
}
const meets = (finding: Finding, expected: Expected, one: Case): boolean =>
  finding.kind === expected.kind && (expected.words.some((words) => touches(finding.where, words, one) || touches(finding.with, words, one)) || (finding.where === undefined && (finding.facet === expected.words[0] || finding.reason.includes(expected.words[0] ?? '·'))))

/** How a kind of finding did on a file of cases: right, missed, and said without being expected. */
export interface Counts {
  hit: number
  missed: number
  wrong: number
}

/** What the checks find in the cases of a file beside what a colleague would. `tell` hears of each finding that is missed or wrong. */
export function judged(file: string, tell: (line: string) => void = () => undefined): { counts: Map<FindingKind, Counts>; clean: number; quiet: number } {
  const cases = readCases(join(CORE, 'check-cases', file))
  const counts = new Map<FindingKind, Counts>((Object.keys(KINDS) as FindingKind[]).map((kind) => [kind, { hit: 0, missed: 0, wrong: 0 }]))
  let clean = 0
  let quiet = 0
  for (const one of cases) {
    const findings = checkDraft(one.draft, reader.read(one.draft.text, fixedFacetsOf(one.draft.marks)), language, { engine: one.engine, rules: one.rules })
    const used = new Set<Finding>()
    for (const expected of one.expected) {
      const found = findings.filter((finding) => meets(finding, expected, one))
      found.forEach((finding) => used.add(finding))
      if (found.length) counts.get(expected.kind)!.hit++
      else {
        counts.get(expected.kind)!.missed++
        tell(`${file}:${one.line} missed ${expected.kind} @ ${expected.words.join(' ~ ')}`)
      }
    }
    for (const finding of findings) {
      if (used.has(finding)) continue
      counts.get(finding.kind)!.wrong++
      tell(`${file}:${one.line} wrong  ${finding.kind}: ${finding.reason}`)
    }
    if (one.expected.length === 0) {
      clean++
      if (findings.length === 0) quiet++
    }
  }
  return { counts, clean, quiet }
}
