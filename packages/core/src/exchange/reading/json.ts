import { Value } from '@sinclair/typebox/value'
import { PromptRecord } from '../record.ts'
import { type FoundPrompts, type FoundRow, lineAt, MAX_BROUGHT_IN, type ReadingFormat, UnreadableFile } from './found.ts'

const FORMAT = 'idolon-prompts-1'
const FORMATS = /^idolon-prompts-\d+$/u
type Fields = Record<string, unknown>
const isFields = (value: unknown): value is Fields => typeof value === 'object' && value !== null && !Array.isArray(value)

function cellOf(value: unknown): string {
  if (typeof value === 'string') return value
  if (typeof value === 'number' || typeof value === 'boolean') return String(value)
  if (Array.isArray(value) && value.every((one) => typeof one === 'string' || typeof one === 'number')) return value.join(', ')
  return value === null || value === undefined ? '' : JSON.stringify(value)
}

/** Where JSON breaks off: the shortest beginning that no end could make right, found by halving. */
function breakOf(text: string): number {
  const open = (length: number) => {
    try {
      JSON.parse(text.slice(0, length))
      return true
    } catch (error) {
      return /unexpected end|unterminated/iu.test((error as Error).message)
    }
  }
  let [good, bad] = [0, text.length]
  while (bad - good > 1) {
    const middle = (good + bad) >> 1
    if (open(middle)) good = middle
    else bad = middle
  }
  return good
}

/** JSON, or a value a line. */
function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    const lines = text.split('\n').filter((line) => line.trim())
    try {
      if (lines.length > 1 && /^\s*[[{"]/u.test(lines[1]!)) return lines.map((line): unknown => JSON.parse(line))
    } catch { /* Where the whole breaks says more. */ }
    throw new UnreadableFile('this is not JSON. Fix it there, or export it from its program once more.', lineAt(text, breakOf(text)))
  }
}

/** Prompts of ours, drafts whole; what departs from the schema says where. */
function ours(prompts: unknown[]): FoundRow[] {
  return prompts.map((value, i): FoundRow => {
    const place = `prompt ${i + 1}`
    if (Value.Check(PromptRecord, value)) return { place, cells: [], record: value }
    const wrong = Value.Errors(PromptRecord, value).First()
    throw new UnreadableFile(`${place}${wrong ? `, ${wrong.path || 'itself'}` : ''}: this is not as a prompt is written (${wrong?.message ?? 'unknown'}). Nothing of the file can be trusted; take it out once more where it comes from.`)
  })
}

/** The list in a value: itself, or the first that one of its fields is. */
const listIn = (value: unknown): unknown[] | undefined => (Array.isArray(value) ? value : isFields(value) ? Object.values(value).find((own): own is unknown[] => Array.isArray(own)) : undefined)

function read(text: string): FoundPrompts {
  const value = parsed(text)
  if (isFields(value) && typeof value['format'] === 'string' && FORMATS.test(value['format'])) {
    if (value['format'] !== FORMAT) throw new UnreadableFile(`the file says ${value['format']}, which a newer Idolon writes; this one reads ${FORMAT}. Bring Idolon up to date, or take the prompts out as CSV there.`)
    return { format: 'json', columns: [], rows: ours(Array.isArray(value['prompts']) ? value['prompts'] : []) }
  }
  const list = listIn(value) ?? [value]
  const columns = [...new Set(list.slice(0, MAX_BROUGHT_IN).flatMap((one) => (isFields(one) ? Object.keys(one) : typeof one === 'string' ? ['text'] : [])))].slice(0, 200)
  if (columns.length === 0) throw new UnreadableFile('there is no list of prompts in this JSON: neither texts nor objects with fields.')
  return { format: 'json', columns, rows: list.slice(0, MAX_BROUGHT_IN + 1).map((one, i) => ({ place: `item ${i + 1}`, cells: columns.map((name) => cellOf(isFields(one) ? one[name] : name === 'text' ? one : '')) })) }
}

/** JSON: prompts of ours with drafts whole, or any list of texts or of objects; also a value a line. */
export const json: ReadingFormat = {
  id: 'json',
  fits: ([file, ...others]) => others.length === 0 && /\.(json|jsonl|ndjson)$/iu.test(file?.name ?? ''),
  read: ([file]) => read(file?.text ?? ''),
}
