import { readFileSync } from 'node:fs'
import type { FindingKind } from '../src/check/finding.ts'
import { type HouseRules, NO_RULES } from '../src/check/rules.ts'
import type { Draft } from '../src/draft/shape.ts'
import { emptyDraft } from '../src/draft/draft.ts'
import { addMark } from '../src/draft/mark.ts'
import { SHIPPED_ENGINES } from '../src/engine/index.ts'
import type { EngineProfile } from '../src/engine/profile.ts'
import type { Facet } from '../src/facet.ts'

/** A finding a colleague would have: its kind, and words that say where. */
export interface Expected {
  kind: FindingKind
  words: string[]
}
export interface Case {
  line: number
  draft: Draft
  engine: EngineProfile | undefined
  rules: HouseRules
  expected: Expected[]
}

const UNITS = { c: 'characters', w: 'words', p: 'tokens' } as const

/** “sentences 400c noleave emphasis:none no:seed” as a profile. */
function engineOf(said: string): EngineProfile {
  const shipped = SHIPPED_ENGINES.find(({ id }) => id === said.trim())
  if (shipped) return shipped
  const words = said.trim().split(/\s+/)
  const limit = words.map((word) => /^(\d+)([cwp])$/.exec(word)).find((match) => match)
  const after = (key: string) => words.filter((word) => word.startsWith(`${key}:`)).map((word) => word.slice(key.length + 1))
  const refuses = after('no')
  return {
    ...SHIPPED_ENGINES[0]!,
    id: 'given',
    name: 'This engine',
    reads: words[0] as EngineProfile['reads'],
    leaveOut: words.includes('leave'),
    ...(limit ? { limit: { unit: UNITS[limit[2] as 'c' | 'w' | 'p'], max: Number(limit[1]) } } : { limit: undefined }),
    emphasis: (after('emphasis')[0] ?? 'weights') as EngineProfile['emphasis'],
    settings: SHIPPED_ENGINES[0]!.settings.filter(({ key }) => !refuses.includes(key)),
    refuses,
  } as EngineProfile
}

function rulesOf(said: string): HouseRules {
  const rules: HouseRules = { ...NO_RULES }
  for (const part of said.split('|')) {
    const [key, list = ''] = part.trim().split(/:\s*/)
    const words = list.split(',').map((word) => word.trim())
    if (key === 'must') rules.must = words.map((word) => (word.startsWith('facet ') ? { facet: word.slice(6) as Facet } : { phrase: word }))
    else if (key === 'never') rules.never = words
    else if (key === 'leave') rules.leaveOut = words
    else if (key === 'aspect') rules.aspectRatio = `${words[0]!}:${part.trim().split(':').at(-1)!}`.replace(/^.*?(\d+:\d+)$/, '$1')
  }
  return rules
}

/** The cases of a file; see its head for the form. */
export function readCases(file: string): Case[] {
  const cases: Case[] = []
  let now: Case | undefined
  readFileSync(file, 'utf8')
    .split('\n')
    .forEach((whole, i) => {
      const [, letter = '', rest = ''] = /^([A-Z]) (.*)$/.exec(whole) ?? []
      if (letter === 'T') cases.push((now = { line: i + 1, draft: { ...emptyDraft(), text: rest.replaceAll('\\n', '\n') }, engine: undefined, rules: NO_RULES, expected: [] }))
      if (!now) return
      if (letter === 'L') now.draft.leaveOut = rest.split(',').map((entry) => entry.trim())
      if (letter === 'S') now.draft.settings = Object.fromEntries(rest.split(',').map((pair) => { const [key = '', value = ''] = pair.trim().split('='); return [key, /^-?[\d.]+$/.test(value) ? Number(value) : value] }))
      if (letter === 'E') now.engine = engineOf(rest)
      if (letter === 'R') now.rules = rulesOf(rest)
      if (letter === 'M') {
        const [, level = '1', words = ''] = /^emphasis (-?\d) @ (.*)$/.exec(rest) ?? []
        const from = now.draft.text.indexOf(words)
        now.draft.marks = addMark(now.draft.marks, { from, to: from + words.length, kind: 'emphasis', level: Number(level) as 1 })
      }
      if (letter === 'F') {
        const [kind = '', places = ''] = rest.split(' @ ')
        now.expected.push({ kind: kind as FindingKind, words: places.split(' ~ ').map((word) => word.trim()) })
      }
    })
  return cases
}
