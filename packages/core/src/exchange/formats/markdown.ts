import { engineWords } from '../words.ts'
import type { PromptRecord, WritingFormat } from '../record.ts'

/** Signs that Markdown (CommonMark) would take for its own, escaped where a line of text begins or stands. */
const escaped = (text: string): string => text.replace(/[\\`*_[\]<>#]/gu, '\\$&').replace(/^(\s*)(\d+)([.)])(?=\s)/gmu, '$1$2\\$3').replace(/^(\s*)([-+=~|])/gmu, '$1\\$2')

function section({ title, project, status, tags, note, proofs, keepers, draft }: PromptRecord): string {
  const facts = [project, status, ...(tags.length ? [`tags: ${tags.join(', ')}`] : []), ...(proofs ? [`${keepers} of ${proofs} kept`] : []), ...(draft.engines.length ? [`for ${draft.engines.map(engineWords).join(', ')}`] : [])]
  return [`## ${escaped(title.replace(/\s+/gu, ' '))}`, escaped(facts.join(' · ')), escaped(draft.text), ...(draft.leaveOut.length ? [`Leave out: ${escaped(draft.leaveOut.join(', '))}`] : []), ...(note ? [`> ${escaped(note).replace(/\n/gu, '\n> ')}`] : [])].join('\n\n')
}

/** Markdown (CommonMark), a section a prompt. */
export const markdown: WritingFormat = {
  id: 'markdown',
  ending: 'md',
  type: 'text/markdown; charset=utf-8',
  begin: '# Prompts\n',
  prompt: (record) => `\n${section(record)}\n`,
  end: '',
}
