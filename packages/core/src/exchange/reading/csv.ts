import Papa from 'papaparse'
import { knownColumn } from './fields.ts'
import { type FoundPrompts, type FoundRow, MAX_BROUGHT_IN, type ReadingFormat, UnreadableFile } from './found.ts'

/** What a spreadsheet would run is written with an apostrophe before it (see the writing of CSV); it is taken off again. */
const unguarded = (cell: string) => cell.replace(/^'(?=[=+\-@\t\r])/u, '')

const WRONG_QUOTES = 'a quote is opened and never closed, or stands inside a value. Close it, or double the quotes within the value'

const DELIMITERS = [',', ';', '\t', '|']
const LINES = 20

/** The delimiter with which the first line has a name we know, else the one that the first lines have most evenly. */
function delimiterOf(text: string): string {
  const first = (delimiter: string) => Papa.parse<string[]>(text, { preview: LINES, skipEmptyLines: 'greedy', delimiter, delimitersToGuess: DELIMITERS })
  return DELIMITERS.find((delimiter) => first(delimiter).data[0]?.some((cell, _, all) => all.length > 1 && knownColumn(cell))) ?? first('').meta.delimiter
}

const NAME = 30
/** Whether the first of several columns' cells are short, all different, and much shorter than what stands under one of them. */
function looksLikeNames([first, ...others]: readonly FoundRow[]): boolean {
  const cells = first?.cells.map((cell) => cell.trim()) ?? []
  if (cells.length < 2 || others.length === 0 || cells.some((cell) => cell === '' || cell.length > NAME) || new Set(cells).size < cells.length) return false
  return cells.some((cell, i) => others.every((row) => (row.cells[i] ?? '').trim().length > 2 * cell.length))
}

function read(text: string): FoundPrompts {
  const rows: FoundRow[] = []
  let line = 1
  let counted = 0
  Papa.parse<string[]>(text, {
    delimiter: delimiterOf(text),
    step: ({ data, errors, meta }, parser) => {
      if (errors.some(({ type }) => type === 'Quotes')) throw new UnreadableFile(`${WRONG_QUOTES}.`, line)
      if (data.some((cell) => cell.trim() !== '')) rows.push({ place: `line ${line}`, cells: data.map(unguarded) })
      for (let at = text.indexOf('\n', counted); at >= 0 && at < meta.cursor; at = text.indexOf('\n', at + 1)) {
        line++
        counted = at + 1
      }
      if (rows.length > MAX_BROUGHT_IN) parser.abort()
    },
  })
  const width = rows.reduce((most, { cells }) => Math.max(most, cells.length), 0)
  const named = rows[0] !== undefined && (rows[0].cells.some((cell) => knownColumn(cell) !== undefined) || looksLikeNames(rows))
  const names = named ? rows[0]!.cells : []
  return { format: 'csv', columns: Array.from({ length: width }, (_, i) => names[i]?.trim() || `Column ${i + 1}`), rows: named ? rows.slice(1) : rows }
}

/** Values divided by commas, semicolons, tabs or bars (RFC 4180), a prompt a row. */
export const csv: ReadingFormat = {
  id: 'csv',
  fits: ([file, ...others]) => others.length === 0 && /\.(csv|tsv)$/iu.test(file?.name ?? ''),
  read: ([file]) => read(file?.text ?? ''),
}
