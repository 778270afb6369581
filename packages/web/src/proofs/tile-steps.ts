import type { Proof } from '@idolon/contract'

interface Focusable {
  focus: () => void
}

/** Goes from one tile to the next by key, in the order the pictures stand, over the ends of rows. `keep` is each tile's template ref. */
export function useTileSteps(order: () => readonly Proof[]) {
  const tiles = new Map<string, Focusable>()
  function keep(id: string, tile: unknown): void {
    if (tile) tiles.set(id, tile as Focusable)
    else tiles.delete(id)
  }
  function move(from: Proof, by: number): void {
    const list = order()
    const next = list[list.findIndex(({ id }) => id === from.id) + by]
    if (next) tiles.get(next.id)?.focus()
  }
  return { keep, move }
}
