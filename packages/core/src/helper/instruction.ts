import Mustache from 'mustache'
import type { HelperBody } from './helper.ts'
import { SLOTS } from './slots.ts'

/** Something wrong with an instruction: where, in UTF-16 code units, and what, in a sentence. */
export interface InstructionProblem {
  at: number
  says: string
}

type Span = [type: string, name: string, start: number, end: number, children?: Span[], ...rest: unknown[]]

const named = (spans: readonly Span[]): Span[] => spans.flatMap((span) => (span[0] === 'text' ? [] : [span, ...(Array.isArray(span[4]) ? named(span[4]) : [])]))

/** Where Mustache stopped and why, in our words. */
function said(message: string, text: string): InstructionProblem {
  const place = / at (\d+)$/.exec(message)?.[1]
  const at = Math.min(text.length, place === undefined ? text.length : Number(place))
  const what = /Unclosed tag/.test(message) ? 'A slot is opened with {{ and not closed with }}.' : /Unclosed section "?([^"]*)"?/.test(message) ? `The part that begins with {{#${/"([^"]*)"/.exec(message)?.[1] ?? ''}}} is not ended.` : /Unopened section "?([^"]*)"?/.test(message) ? `{{/${/"([^"]*)"/.exec(message)?.[1] ?? ''}}} ends a part that was not begun.` : `The instruction cannot be read: ${message}.`
  return { at, says: what }
}

/** What is wrong with an instruction before it is kept: slots that are not closed, or that nothing fills. */
export function instructionProblems({ instruction, inputs }: Pick<HelperBody, 'instruction' | 'inputs'>): InstructionProblem[] {
  let spans: Span[]
  try {
    spans = Mustache.parse(instruction) as Span[]
  } catch (error) {
    return [said(error instanceof Error ? error.message : '', instruction)]
  }
  const known = new Set<string>([...Object.keys(SLOTS), ...inputs.map(({ key }) => key), '.'])
  return named(spans)
    .filter(([type, name]) => type !== '!' && type !== '=' && !known.has(name))
    .map(([type, name, start]) => ({ at: start, says: type === '>' ? `{{> ${name}}} would take in another text; an instruction stands by itself.` : `Nothing fills {{ ${name} }}.` }))
}

/** An instruction with its slots filled. @throws when it has problems; ask `instructionProblems` first. */
export const renderInstruction = (instruction: string, values: Readonly<Record<string, string>>): string =>
  // The values are material between tags already; nothing is to be escaped as HTML.
  Mustache.render(instruction, values, {}, { escape: String }).replace(/\n{3,}/g, '\n\n').trim()
