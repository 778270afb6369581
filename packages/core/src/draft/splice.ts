/** One change of a list: at `at`, take `remove` entries out and put `insert` in. */
export interface Splice<T> {
  at: number
  remove: number
  insert: T[]
}

export const spliceFits = (splice: Splice<unknown>, length: number): boolean => splice.at + splice.remove <= length

export const applySplice = <T>(list: readonly T[], { at, remove, insert }: Splice<T>): T[] => [
  ...list.slice(0, at),
  ...insert,
  ...list.slice(at + remove),
]

/** The one splice that turns `before` into `after`; undefined when they are equal. */
export function spliceBetween<T>(
  before: readonly T[],
  after: readonly T[],
  equal: (a: T, b: T) => boolean,
): Splice<T> | undefined {
  const shorter = Math.min(before.length, after.length)
  let head = 0
  while (head < shorter && equal(before[head] as T, after[head] as T)) head++
  let tail = 0
  while (
    tail < shorter - head &&
    equal(before[before.length - 1 - tail] as T, after[after.length - 1 - tail] as T)
  ) {
    tail++
  }
  const remove = before.length - head - tail
  const insert = after.slice(head, after.length - tail)
  return remove === 0 && insert.length === 0 ? undefined : { at: head, remove, insert }
}
