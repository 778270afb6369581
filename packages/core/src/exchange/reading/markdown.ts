import { type FoundRow, MAX_BROUGHT_IN, type ReadingFormat } from './found.ts'

export const COLUMNS = ['title', 'text', 'leave out', 'note', 'tags', 'status', 'project'] as const
const HEADING = /^(#{1,6})\s+(.*?)\s*#*\s*$/u
const FACTS = /^(?<project>.+) · (?<status>rough|testing|proven|retired)(?: · .*)?$/u

const unescaped = (text: string) => text.replace(/\\([!-/:-@[-`{-~])/gu, '$1')

interface Section {
  line: number
  title: string
  lines: string[]
}

/** What stands under the headings of the level that most have. */
function sectionsOf(text: string): Section[] {
  const lines = text.split(/\r?\n/u)
  const levels = lines.flatMap((line) => HEADING.exec(line)?.[1]?.length ?? [])
  const level = [1, 2, 3, 4, 5, 6].reduce((best, one) => (levels.filter((own) => own === one).length > levels.filter((own) => own === best).length ? one : best), 1)
  const sections: Section[] = []
  lines.forEach((line, i) => {
    const heading = HEADING.exec(line)
    if (heading && heading[1]!.length === level) sections.push({ line: i + 1, title: unescaped(heading[2]!), lines: [] })
    else if (!heading) sections.at(-1)?.lines.push(line)
  })
  return sections
}

const paragraphsOf = (lines: readonly string[]): string[] => lines.join('\n').split(/\n\s*\n/u).map((one) => one.replace(/^```\w*\n?|\n?```$/gu, '').trim()).filter(Boolean)

function rowOf({ line, title, lines }: Section): FoundRow {
  const said: Partial<Record<(typeof COLUMNS)[number], string>> = { title }
  const text: string[] = []
  for (const paragraph of paragraphsOf(lines)) {
    const facts = text.length === 0 ? FACTS.exec(paragraph)?.groups : undefined
    const leaveOut = /^leave out:\s*(.*)$/isu.exec(paragraph)?.[1]
    if (facts) {
      said.project = unescaped(facts['project'] ?? '')
      said.status = facts['status'] ?? ''
      said.tags = unescaped(/ · tags: ([^·]*)/u.exec(paragraph)?.[1]?.trim() ?? '')
    } else if (leaveOut !== undefined) said['leave out'] = unescaped(leaveOut)
    else if (/^>/u.test(paragraph)) said.note = unescaped(paragraph.replace(/^>\s?/gmu, ''))
    else text.push(unescaped(paragraph))
  }
  said.text = text.join('\n\n')
  return { place: `line ${line}`, cells: COLUMNS.map((name) => said[name] ?? '') }
}

/** A text without headings: each item of its lists, or each paragraph, is a prompt. */
function bareRows(text: string): FoundRow[] {
  const items = text.split(/\r?\n/u).flatMap((line, i) => {
    const item = /^\s*(?:[-*+]|\d+[.)])\s+(.+)$/u.exec(line)?.[1]
    return item === undefined ? [] : [{ place: `line ${i + 1}`, text: item }]
  })
  const pieces = items.length ? items : paragraphsOf(text.split(/\r?\n/u)).map((own, i) => ({ place: `paragraph ${i + 1}`, text: own }))
  return pieces.map((piece) => ({ place: piece.place, cells: COLUMNS.map((name) => (name === 'text' ? unescaped(piece.text) : '')) }))
}

/** Markdown (CommonMark): a heading a prompt, its words under it; or lists and paragraphs of prompts. */
export const markdown: ReadingFormat = {
  id: 'markdown',
  fits: ([file, ...others]) => others.length === 0 && /\.(md|markdown)$/iu.test(file?.name ?? ''),
  read: ([file]) => {
    const text = file?.text ?? ''
    const sections = sectionsOf(text)
    return { format: 'markdown', columns: [...COLUMNS], rows: (sections.length ? sections.map(rowOf) : bareRows(text)).slice(0, MAX_BROUGHT_IN + 1) }
  },
}
