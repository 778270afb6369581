import type { WritingFormat } from '../record.ts'

/** JSON by the published schema PromptRecord, with drafts whole: marks, settings, engines and references too. */
export const json: WritingFormat = {
  id: 'json',
  ending: 'json',
  type: 'application/json; charset=utf-8',
  begin: '{"format":"idolon-prompts-1","prompts":[\n',
  prompt: (record, index) => `${index ? ',\n' : ''}${JSON.stringify(record)}`,
  end: '\n]}\n',
}
