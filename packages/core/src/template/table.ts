import Papa from 'papaparse'
import { MAX_OPTIONS, MAX_VALUE, type SlotValues } from './body.ts'

/** Most rows of one table. */
export const MAX_ROWS = 10_000

/** Rows read from a sheet of values, and what of it could not be used, with its line. */
export interface ReadTable {
  rows: SlotValues[]
  /** Names of columns that are no slot. */
  unknown: string[]
  problems: string[]
}

const clean = (value: string) => value.replaceAll('\0', '').replace(/[\r\n]+/gu, ' ').trim()

/** Cells of a text pasted from a sheet, or of CSV: fields divided by tabs, commas or semicolons, quotes doubled (RFC 4180). */
export function readCells(text: string): { cells: string[][]; problems: string[] } {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/u, ''), { delimiter: text.includes('\t') ? '\t' : '', delimitersToGuess: [',', ';', '|'], skipEmptyLines: 'greedy' })
  const problems = errors.filter(({ type }) => type === 'Quotes').map(({ row = 0 }) => `Row ${row + 1}: a quote is opened and not closed, or stands inside a value; the row was left out.`)
  const wrong = new Set(errors.filter(({ type }) => type === 'Quotes').map(({ row }) => row))
  return { cells: data.filter((_, i) => !wrong.has(i)).map((row) => row.map(clean)), problems: [...new Set(problems)] }
}

/**
 * A sheet of values for some slots. A first row that names a slot says which column is which; without one the columns are the slots
 * in order. What does not fit is said and left out, the rest is kept.
 */
export function readTable(text: string, slots: readonly string[]): ReadTable {
  // One slot has a value a line, commas and all.
  const { cells, problems } = slots.length === 1 && !text.includes('\t') && !/^\s*"/.test(text) ? { cells: text.split(/\r?\n/).filter((line) => line.trim()).map((line) => [clean(line)]), problems: [] } : readCells(text)
  const plain = (name: string) => name.trim().toLowerCase()
  const head = cells[0]?.map((name) => slots.find((slot) => plain(slot) === plain(name))) ?? []
  const named = head.some((slot) => slot !== undefined)
  const columns = named ? head : slots
  const rows: SlotValues[] = []
  ;(named ? cells.slice(1) : cells).forEach((row, i) => {
    const line = i + (named ? 2 : 1)
    if (rows.length === MAX_ROWS) return
    const long = row.findIndex((value) => value.length > MAX_VALUE)
    if (long >= 0) problems.push(`Row ${line}: the value in column ${long + 1} is longer than ${MAX_VALUE} characters; the row was left out.`)
    else {
      if (row.length > columns.length && row.slice(columns.length).some(Boolean)) problems.push(`Row ${line} has ${row.length} values for ${columns.length} columns; the last were left out.`)
      rows.push(Object.fromEntries(columns.flatMap((slot, k) => (slot === undefined || !row[k] ? [] : [[slot, row[k]]]))))
    }
  })
  if (cells.length - (named ? 1 : 0) > MAX_ROWS) problems.push(`Only the first ${MAX_ROWS.toLocaleString('en')} rows were taken.`)
  return { rows, unknown: named ? (cells[0] ?? []).filter((name, i) => name && head[i] === undefined) : [], problems }
}

/** Options of one slot, pasted or from a file: one a line, or the first column of a sheet; each once. */
export function readOptions(text: string): { options: string[]; problems: string[] } {
  const sheet = /\t|^\s*"/mu.test(text)
  const read = sheet ? readCells(text) : { cells: text.split(/\r?\n/u).map((line) => [clean(line)]), problems: [] }
  const all = [...new Set(read.cells.map(([first = '']) => first).filter(Boolean))]
  const options = all.filter((value) => value.length <= MAX_VALUE)
  const problems = [...read.problems]
  if (options.length < all.length) problems.push(`${all.length - options.length} of the options are longer than ${MAX_VALUE} characters and were left out.`)
  if (options.length > MAX_OPTIONS) problems.push(`A slot has at most ${MAX_OPTIONS.toLocaleString('en')} options; ${(options.length - MAX_OPTIONS).toLocaleString('en')} were left out.`)
  return { options: options.slice(0, MAX_OPTIONS), problems }
}
