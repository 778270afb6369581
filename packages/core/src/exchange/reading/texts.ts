import type { FoundRow, ReadingFormat, TextFile } from './found.ts'

const COLUMNS = ['title', 'text', 'leave out', 'folder']
const LEAVE_OUT = /\n\s*\nleave out:\s*([^\n]*)\s*$/iu

function rowOf({ name, text }: TextFile): FoundRow {
  const parts = name.split('/').filter(Boolean)
  const title = (parts.at(-1) ?? '').replace(/\.[^.]+$/u, '').replace(/^\d+[\s_-]+/u, '').replace(/[_\s]+/gu, ' ').trim()
  const leaveOut = LEAVE_OUT.exec(text)
  return { place: name, cells: [title, (leaveOut ? text.slice(0, leaveOut.index) : text).trim(), leaveOut?.[1] ?? '', parts.slice(0, -1).join(', ')] }
}

/** Plain text, a prompt a file: its name is the title, its folders may be tags, and a last paragraph may say what to leave out. */
export const texts: ReadingFormat = {
  id: 'text',
  fits: () => true,
  read: (files) => ({ format: 'text', columns: COLUMNS, rows: files.map(rowOf) }),
}
