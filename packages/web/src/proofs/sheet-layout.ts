import type { SheetProof } from '@idolon/contract'
import { engineName } from './proof-name.ts'

/** How a sheet is laid out: as they come, or in rows and columns that carry names. */
export type Arrangement = { kind: 'free' } | { kind: 'version-engine' } | { kind: 'setting-seed'; setting: string } | { kind: 'prompt-engine' } | { kind: 'options'; rows: string; columns: string; /** The options of each thing, in the order of the plan. */ order: Readonly<Record<string, readonly string[]>> }

export interface SheetRow {
  /** Empty in a free sheet. */
  name: string
  /** By column: places in the list of proofs. A free sheet has one column. */
  cells: number[][]
  /** Pixels. */
  height: number
}
export interface SheetLayout {
  /** Empty in a free sheet. */
  columns: string[]
  rows: SheetRow[]
  /** Tiles beside each other in a column. */
  across: number
  /** Pixels between the left edges of two columns. */
  columnWidth: number
}

export const GAP = 10
/** Under each picture: verdict, faults, seed. */
export const CAPTION = 22
/** Row names stand left of the pictures. */
export const NAMES = 132
const ROW_GAP = 14
/** Pictures of a sheet are as wide as three are high to two: what is wider or taller is fitted in. */
export const tileWidth = (height: number): number => Math.round(height * 1.5)

const KEYS: Record<Exclude<Arrangement['kind'], 'free'>, (proof: SheetProof, arrangement: Arrangement) => [row: string, column: string]> = {
  'version-engine': (proof) => [`Version ${proof.version}`, engineName(proof)],
  'prompt-engine': (proof) => [proof.promptTitle, engineName(proof)],
  options: (proof, arrangement) => (arrangement.kind === 'options' ? [proof.options?.[arrangement.rows] ?? '', arrangement.columns ? (proof.options?.[arrangement.columns] ?? '') : ''] : ['', '']),
  'setting-seed': (proof, arrangement) => [arrangement.kind === 'setting-seed' ? `${arrangement.setting} ${proof.settings[arrangement.setting] ?? 'not set'}` : '', proof.seed === null ? 'seed not known' : `seed ${proof.seed}`],
}
/** Names with numbers in them go by number. */
const byName = new Intl.Collator('en', { numeric: true })
const inOrder = (names: Iterable<string>, order: readonly string[] = []) => [...new Set(names)].sort((a, b) => order.indexOf(a) - order.indexOf(b) || byName.compare(a, b))

/** Lays proofs out on a sheet of a width, with pictures of a height; in the order in which they are given within a cell. */
export function layOut(proofs: readonly SheetProof[], arrangement: Arrangement, width: number, height: number): SheetLayout {
  const tile = tileWidth(height) + GAP
  const line = height + CAPTION + ROW_GAP
  if (arrangement.kind === 'free') {
    const across = Math.max(1, Math.floor((width + GAP) / tile))
    const rows = Array.from({ length: Math.ceil(proofs.length / across) }, (_, r) => ({ name: '', cells: [Array.from({ length: Math.min(across, proofs.length - r * across) }, (__, i) => r * across + i)], height: line }))
    return { columns: [], rows, across, columnWidth: across * tile }
  }
  const named = proofs.map((proof) => KEYS[arrangement.kind](proof, arrangement))
  const order = arrangement.kind === 'options' ? arrangement.order : {}
  const [rowOrder, columnOrder] = arrangement.kind === 'options' ? [order[arrangement.rows], order[arrangement.columns]] : []
  const columns = inOrder(named.map(([, column]) => column), columnOrder)
  const cells = new Map<string, number[]>()
  named.forEach(([row, column], i) => {
    const key = `${row}\n${column}`
    const cell = cells.get(key)
    if (cell) cell.push(i)
    else cells.set(key, [i])
  })
  const most = Math.max(1, ...[...cells.values()].map(({ length }) => length))
  // As many beside each other as there is room for and use for; at least one, and then the sheet scrolls sideways.
  const across = Math.max(1, Math.min(most, Math.floor((width - NAMES) / columns.length / tile)))
  const rows = inOrder(named.map(([row]) => row), rowOrder).map((name) => {
    const own = columns.map((column) => cells.get(`${name}\n${column}`) ?? [])
    const deep = Math.max(...own.map(({ length }) => Math.ceil(length / across)))
    return { name, cells: own, height: deep * (height + CAPTION + GAP) + ROW_GAP }
  })
  return { columns, rows, across, columnWidth: across * tile }
}

/** Where a key leads from a place: to the next tile, or to the one nearest in the row above or below. */
export function step({ rows }: SheetLayout, from: number, key: string): number | undefined {
  const order = rows.flatMap(({ cells }) => cells.flat())
  const at = order.indexOf(from)
  if (key === 'ArrowRight') return order[at + 1]
  if (key === 'ArrowLeft') return order[at - 1]
  if (key === 'Home') return order[0]
  if (key === 'End') return order.at(-1)
  const row = rows.findIndex(({ cells }) => cells.some((cell) => cell.includes(from)))
  const here = rows[row]
  if (!here) return order[0]
  const column = here.cells.findIndex((cell) => cell.includes(from))
  const inCell = here.cells[column]!.indexOf(from)
  const by = key === 'ArrowDown' ? 1 : key === 'ArrowUp' ? -1 : 0
  for (let r = row + by; by !== 0 && rows[r]; r += by) {
    const cell = rows[r]!.cells[column]!.length ? rows[r]!.cells[column]! : rows[r]!.cells.flat()
    const next = cell[Math.min(inCell, cell.length - 1)]
    if (next !== undefined) return next
  }
  return undefined
}

/** What is to be said of a proof beside its row and column: the other options of its plan. */
export function otherOptions(proof: SheetProof, arrangement: Arrangement): string {
  const named = arrangement.kind === 'options' ? [arrangement.rows, arrangement.columns] : []
  return Object.entries(proof.options ?? {}).filter(([thing]) => !named.includes(thing)).map(([, option]) => option).join(', ')
}
