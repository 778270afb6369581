import { MAX_COMBINATIONS, type SkipRule, type TrialBody } from './plan.ts'
import { everyCombination } from './ways/all.ts'
import { oneAtATime } from './ways/one-at-a-time.ts'
import { everyPair } from './ways/pairs.ts'
import { type Allowed, countOf, type Row } from './ways/row.ts'
import { sampleOf } from './ways/sample.ts'

/** What a plan tries, and how that compares with what there is. */
export interface Combinations {
  rows: Row[]
  /** All combinations there are, skipped ones among them. */
  all: number
  /** Of a plan of pairs: fewer combinations than this can never do. */
  least?: number
  /** Why the plan cannot be tried as it is. */
  problem?: string
}

/** Whether a combination breaks no rule; a rule speaks only once all it names is decided. */
export const allowedBy = (rules: readonly SkipRule[]): Allowed => (row) => !rules.some((rule) => rule.every(({ factor, option }) => row[factor] === option))

/** The combinations of a plan, in the order in which they are tried. The same for the same plan. */
export function combinationsOf({ factors, way, skip }: Pick<TrialBody, 'factors' | 'way' | 'skip'>): Combinations {
  const sizes = factors.map(({ options }) => options.length)
  const all = countOf(sizes)
  const unknown = skip.flat().find(({ factor, option }) => option >= (sizes[factor] ?? 0))
  if (unknown) return { rows: [], all, problem: 'A rule names an option that the plan has not.' }
  const allowed = allowedBy(skip)
  const most = MAX_COMBINATIONS + 1
  const rows = way.kind === 'all' ? everyCombination(sizes, allowed, most) : way.kind === 'one-at-a-time' ? oneAtATime(sizes, allowed) : way.kind === 'sample' ? sampleOf(sizes, allowed, way.count, way.seed) : everyPair(sizes, allowed)
  const [x = 1, y = 1] = sizes.toSorted((a, b) => b - a)
  const least = way.kind === 'pairs' && skip.length === 0 ? { least: x * y } : {}
  if (rows.length === 0) return { rows, all, ...least, problem: 'The rules skip everything. Remove one.' }
  if (rows.length > MAX_COMBINATIONS) return { rows: rows.slice(0, MAX_COMBINATIONS), all, ...least, problem: `That would be ${way.kind === 'all' ? all.toLocaleString('en') : 'too many'} combinations; a plan tries at most ${MAX_COMBINATIONS}. Try every pair once, a sample, or fewer options.` }
  return { rows, all, ...least }
}
