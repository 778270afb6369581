import { Type, type Static } from '@sinclair/typebox'
import { emptyDraft, MAX_LEAVE_OUT, MAX_TEXT } from '../../draft/draft.ts'
import type { Settings } from '../../draft/shape.ts'
import type { PromptRecord } from '../record.ts'
import { type Field, FIELDS, knownColumn } from './fields.ts'
import type { FoundPrompts, FoundRow } from './found.ts'

const Column = Type.Integer({ minimum: 0, maximum: 10_000 })
/** Which column of a file is what, by its place from 0; what is absent is in no column. */
export const Mapping = Type.Partial(Type.Object(Object.fromEntries(FIELDS.map((field) => [field, Column])) as Record<Field, typeof Column>, { additionalProperties: false }), { title: 'Mapping', additionalProperties: false })
export type Mapping = Static<typeof Mapping>

/** A prompt as it would come in; or why it does not. */
export interface Brought {
  place: string
  record?: PromptRecord
  /** What of it was left out, in words. */
  notes: string[]
  /** Why it is not imported. */
  rejected?: string
}

const STATUSES = ['rough', 'testing', 'proven', 'retired'] as const
const MAX_TITLE = 200
const MAX_NOTE = 10_000
const MAX_TAGS = 60
const MAX_TAG = 60
const MAX_PROJECT = 120
const SAMPLE = 50

/** What columns seem to be: by their names; without a known name the one with the longest cells is the text. */
export function proposeMapping({ columns, rows }: FoundPrompts): Mapping {
  const mapping: Mapping = {}
  columns.forEach((name, i) => {
    const field = knownColumn(name)
    if (field && mapping[field] === undefined) mapping[field] = i
  })
  if (mapping.text === undefined && columns.length) {
    const length = (i: number) => rows.slice(0, SAMPLE).reduce((sum, { cells }) => sum + (cells[i]?.length ?? 0), 0)
    const taken = new Set(Object.values(mapping))
    const free = columns.map((_, i) => i).filter((i) => !taken.has(i))
    mapping.text = (free.length ? free : columns.map((_, i) => i)).reduce((best, i) => (length(i) > length(best) ? i : best))
  }
  return mapping
}

const clean = (text: string) => text.replaceAll('\0', '').replace(/\r\n?/gu, '\n').trim()
const listOf = (text: string) => [...new Set(text.split(/[,;|\n]/u).map((one) => one.trim()).filter(Boolean))]

/** “guidance 7, steps: 30”. */
function settingsOf(text: string): Settings {
  const settings: Settings = {}
  for (const one of text.split(/[,;\n]/u)) {
    const [, name, value] = /^\s*([A-Za-z][A-Za-z0-9]{0,39})[\s:=]+(\S.{0,198})$/u.exec(one.trim()) ?? []
    if (name && value) settings[name] = value.trim() !== '' && Number.isFinite(Number(value)) ? Number(value) : value.trim()
  }
  return settings
}

function recordOf({ place, cells }: FoundRow, mapping: Mapping): Brought {
  const notes: string[] = []
  const cell = (field: Field) => (mapping[field] === undefined ? '' : clean(cells[mapping[field]] ?? ''))
  const cut = (text: string, most: number, what: string) => {
    if (text.length <= most) return text
    notes.push(`${what} was cut to ${most} characters`)
    return text.slice(0, most)
  }
  const text = cell('text')
  if (!text) return { place, notes, rejected: 'it has no text' }
  if (text.length > MAX_TEXT) return { place, notes, rejected: `its text is longer than ${MAX_TEXT.toLocaleString('en')} characters` }
  const tags = listOf(cell('tags')).map((tag) => tag.slice(0, MAX_TAG))
  if (tags.length > MAX_TAGS) notes.push(`only the first ${MAX_TAGS} tags are taken`)
  const leaveOut = listOf(cell('leaveOut')).map((entry) => entry.slice(0, 300))
  if (leaveOut.length > MAX_LEAVE_OUT) notes.push(`only the first ${MAX_LEAVE_OUT} things to leave out are taken`)
  const said = cell('status').toLowerCase()
  const status = STATUSES.find((one) => one === said)
  if (said && !status) notes.push(`“${said.slice(0, 40)}” is no status; it comes in as rough`)
  const engines = listOf(cell('engines')).slice(0, 12).map((one) => {
    const [, engine, revision] = /^(\S+)(?:\s+(\S+))?/u.exec(one) ?? []
    return { engine: (engine ?? one).slice(0, 60), ...(revision ? { revision: revision.slice(0, 60) } : {}) }
  })
  const record: PromptRecord = {
    title: cut(cell('title').replace(/\s+/gu, ' '), MAX_TITLE, 'its title'),
    project: cell('project').replace(/\s+/gu, ' ').slice(0, MAX_PROJECT),
    status: status ?? 'rough',
    tags: tags.slice(0, MAX_TAGS),
    note: cut(cell('note'), MAX_NOTE, 'its note'),
    proofs: 0,
    keepers: 0,
    draft: { ...emptyDraft(), text, leaveOut: leaveOut.slice(0, MAX_LEAVE_OUT), settings: settingsOf(cell('settings')), engines },
  }
  return { place, record, notes }
}

/** A row as a prompt, by a mapping; one of ours comes as it is. */
export const broughtFrom = (row: FoundRow, mapping: Mapping): Brought => (row.record ? { place: row.place, record: row.record, notes: [] } : recordOf(row, mapping))
