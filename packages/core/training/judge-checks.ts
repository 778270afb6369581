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
const language = createLanguage(reader.words, { kin: table('kin'), known: table('known'), associations, glossary })

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

/** Wilson's interval of a share (Wilson 1927). */
function interval(hits: number, of: number): string {
  if (of === 0) return '–'
  const [z, p] = [1.96, hits / of]
  const middle = (p + (z * z) / (2 * of)) / (1 + (z * z) / of)
  const half = (z * Math.sqrt((p * (1 - p)) / of + (z * z) / (4 * of * of))) / (1 + (z * z) / of)
  return `${p.toFixed(2)} (${(middle - half).toFixed(2)}–${(middle + half).toFixed(2)})`
}

export function judge(file: string, show: boolean): void {
  const cases = readCases(join(CORE, 'check-cases', file))
  const counts = new Map<FindingKind, { hit: number; missed: number; wrong: number }>((Object.keys(KINDS) as FindingKind[]).map((kind) => [kind, { hit: 0, missed: 0, wrong: 0 }]))
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
        if (show) process.stdout.write(`${file}:${one.line} missed ${expected.kind} @ ${expected.words.join(' ~ ')}\n`)
      }
    }
    for (const finding of findings) {
      if (used.has(finding)) continue
      counts.get(finding.kind)!.wrong++
      if (show) process.stdout.write(`${file}:${one.line} wrong  ${finding.kind}: ${finding.reason}\n`)
    }
    if (one.expected.length === 0) {
      clean++
      if (findings.length === 0) quiet++
    }
  }
  for (const [kind, { hit, missed, wrong }] of counts) process.stdout.write(`${kind.padEnd(18)} recall ${interval(hit, hit + missed).padEnd(18)} precision ${interval(hit, hit + wrong).padEnd(18)} of ${hit + missed}\n`)
  process.stdout.write(`clean drafts without a finding ${interval(quiet, clean)} of ${clean}\n`)
}
const [file = 'test.txt', show] = process.argv.slice(2)
judge(file, show === 'show')
