import Mustache from 'mustache'

/** A text between slots, or a slot by its name; ranges are UTF-16 code units of the template. */
export type TemplatePart = { text: string } | { slot: string }
/** What is wrong with a template, where, and in which line, counted from one. */
export interface TemplateProblem {
  at: number
  line: number
  says: string
}

const NAME = /^[\p{L}][\p{L}\p{N} _-]{0,59}$/u
const lineOf = (text: string, at: number) => text.slice(0, at).split('\n').length
type Span = [type: string, value: string, start: number, end: number, ...rest: unknown[]]

/** A template taken apart; its slots are Mustache's, `{{ name }}`, and nothing else of Mustache stands in it. */
export function readTemplate(text: string): { parts: TemplatePart[]; problems: TemplateProblem[] } {
  const problem = (at: number, says: string): TemplateProblem => ({ at, line: lineOf(text, at), says: `Line ${lineOf(text, at)}: ${says}` })
  let spans: Span[]
  try {
    spans = Mustache.parse(text) as Span[]
  } catch (error) {
    const said = error instanceof Error ? error.message : ''
    const at = Math.min(text.length, Number(/ at (\d+)$/.exec(said)?.[1] ?? text.indexOf('{{')))
    return { parts: [], problems: [problem(/Unclosed tag/.test(said) ? Math.max(0, text.lastIndexOf('{{', at)) : at, /Unclosed tag/.test(said) ? 'a slot is opened with {{ and not closed with }}.' : 'a part is opened or ended that is no slot; a template has slots only, as {{ name }}.')] }
  }
  const parts: TemplatePart[] = []
  const problems: TemplateProblem[] = []
  for (const [type, value, start] of spans) {
    if (type === 'text') parts.push({ text: value })
    else if (type !== 'name') problems.push(problem(start, 'a template has slots only, as {{ name }}.'))
    else if (value.includes('{{')) problems.push(problem(start, 'a slot stands inside another.'))
    else if (!NAME.test(value)) problems.push(problem(start, `“${value.slice(0, 60)}” is no name for a slot; it begins with a letter and has letters, figures, spaces and hyphens.`))
    else parts.push({ slot: value })
  }
  return { parts: problems.length ? [] : parts, problems }
}

/** The names of a template's slots, each once, in order. */
export const slotsOf = (parts: readonly TemplatePart[]): string[] => [...new Set(parts.flatMap((part) => ('slot' in part ? [part.slot] : [])))]

/** A template with its slots filled word for word; a slot without a value stays empty. */
export const filledExactly = (parts: readonly TemplatePart[], values: Readonly<Record<string, string>>): string => parts.map((part) => ('text' in part ? part.text : (values[part.slot] ?? ''))).join('')
