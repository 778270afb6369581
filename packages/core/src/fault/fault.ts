import type { Fault } from './shape.ts'

/** What can be wrong with a proof, in words. */
export const FAULTS = {
  'extra-people': 'extra people',
  'spoiled-lettering': 'spoiled lettering',
  'wrong-colour': 'wrong colour',
  'too-small': 'subject too small',
  'wrong-period': 'wrong period',
  'odd-anatomy': 'odd anatomy',
  clutter: 'clutter',
  other: 'other',
} as const

/** How often a fault was seen in what an engine made. */
export interface FaultCount {
  engine: string
  revision: string
  fault: Fault
  /** Proofs with the fault. */
  count: number
  /** Proofs that were looked at. */
  of: number
}

/** Counts by engine and fault over proofs; those without a picture are left to the caller to leave out. */
export function countFaults(proofs: readonly { engine: { id: string; revision: string }; faults: readonly Fault[] }[]): FaultCount[] {
  const engines = new Map<string, { id: string; revision: string; of: number; counts: Map<Fault, number> }>()
  for (const { engine, faults } of proofs) {
    const key = `${engine.id} ${engine.revision}`
    const entry = engines.get(key) ?? { id: engine.id, revision: engine.revision, of: 0, counts: new Map<Fault, number>() }
    entry.of++
    for (const fault of new Set(faults)) entry.counts.set(fault, (entry.counts.get(fault) ?? 0) + 1)
    engines.set(key, entry)
  }
  return [...engines.values()].flatMap(({ id, revision, of, counts }) => [...counts].map(([fault, count]) => ({ engine: id, revision, fault, count, of }))).sort((a, b) => b.count - a.count)
}
