import type { Version } from '@idolon/contract'
import { FAULTS } from '@idolon/core'

/** “extra people 3, clutter 1”. */
export const faultsOf = ({ faults }: Pick<Version, 'faults'>): string => faults.map(({ fault, count }) => `${FAULTS[fault]} ${count}`).join(', ')

/** With which other engines a version was tried than the one it goes on from: “Burin 2 to Tympan 2”. */
export function madeOtherwise(parent: Pick<Version, 'triedWith'>, version: Pick<Version, 'triedWith'>): string[] {
  const [before, now] = [parent.triedWith, version.triedWith]
  if (before.length === 0 || now.length === 0) return []
  const gone = before.filter((name) => !now.includes(name))
  const come = now.filter((name) => !before.includes(name))
  if (gone.length && come.length) return [`${gone.join(', ')} to ${come.join(', ')}`]
  return [...gone.map((name) => `without ${name}`), ...come.map((name) => `also ${name}`)]
}
