import type { WritingFormat } from '../record.ts'
import { csv } from './csv.ts'
import { json } from './json.ts'
import { markdown } from './markdown.ts'

/** Formats that prompts are written in. */
export const WRITING_FORMATS: readonly WritingFormat[] = [csv, json, markdown]
