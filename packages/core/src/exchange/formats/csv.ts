import Papa from 'papaparse'
import { engineWords } from '../words.ts'
import type { PromptRecord, WritingFormat } from '../record.ts'

const COLUMNS = ['title', 'text', 'leave out', 'tags', 'status', 'note', 'project', 'engines', 'settings', 'proofs', 'kept'] as const
const END = '\r\n'

const cells = ({ title, project, status, tags, note, proofs, keepers, draft }: PromptRecord): string[] => [
  title,
  draft.text,
  draft.leaveOut.join(', '),
  tags.join(', '),
  status,
  note,
  project,
  draft.engines.map(engineWords).join(', '),
  Object.entries(draft.settings).map(([key, value]) => `${key} ${value}`).join(', '),
  String(proofs),
  String(keepers),
]

/** Comma-separated values (RFC 4180), a prompt a row. What a spreadsheet would take for a formula is written as text. */
export const csv: WritingFormat = {
  id: 'csv',
  ending: 'csv',
  type: 'text/csv; charset=utf-8',
  // The mark tells spreadsheets that it is UTF-8.
  begin: `\uFEFF${COLUMNS.join(',')}${END}`,
  prompt: (record) => `${Papa.unparse([cells(record)], { newline: END, escapeFormulae: true })}${END}`,
  end: '',
}
