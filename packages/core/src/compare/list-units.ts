import { diffArrays } from 'diff'

/** One entry of the first list, of the second, or of both, in an order that both lists follow. */
export interface Entry<T> {
  value: T
  in: 'both' | 'a' | 'b'
}

/** Two lists as one sequence, by what they share in order (Myers 1986, by jsdiff). Taking what is in the first gives the first; the second likewise. */
export function mergedList<T>(a: readonly T[], b: readonly T[], keyOf: (value: T) => string): Entry<T>[] {
  const entries: Entry<T>[] = []
  let [i, j] = [0, 0]
  for (const { added, removed, count } of diffArrays(a.map(keyOf), b.map(keyOf))) {
    for (let k = 0; k < count; k++) {
      if (added) entries.push({ value: b[j++]!, in: 'b' })
      else {
        entries.push({ value: a[i++]!, in: removed ? 'a' : 'both' })
        if (!removed) j++
      }
    }
  }
  return entries
}
