import type { PromptRecord } from '../record.ts'
import type { TextFile } from '../reading/found.ts'

/** What no file system takes in a name, and what a path could climb with. */
const named = (text: string) => text.replace(/[\p{C}\\/:*?"<>|]+|\.{2,}|\.$/gu, ' ').replace(/\s+/gu, ' ').trim().slice(0, 80).trim()

/** A prompt as a text file in the folder of its project; what it leaves out is its last paragraph. `index` from 0 keeps names apart and in order. */
export const textFileOf = ({ title, project, draft }: PromptRecord, index: number): TextFile => ({
  name: `${named(project) || 'Prompts'}/${String(index + 1).padStart(4, '0')} ${named(title) || 'Untitled'}.txt`,
  text: `${draft.text}${draft.leaveOut.length ? `\n\nLeave out: ${draft.leaveOut.join(', ')}` : ''}\n`,
})
