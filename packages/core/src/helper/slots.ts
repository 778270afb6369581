import type { HouseRules } from '../check/rules.ts'
import type { Draft } from '../draft/shape.ts'
import type { EngineProfile } from '../engine/profile.ts'
import { FACETS } from '../facets.ts'
import { sayLimit } from '../output/output.ts'
import { shownText } from '../output/shown-text.ts'
import type { Reading } from '../read/reading.ts'
import type { HelperBody, HelperValues } from './helper.ts'
import { material } from './material.ts'

/** What a helper works on. Nothing of another project is ever part of it, and no secret. */
export interface HelperContext {
  draft: Draft
  /** Of the draft's text as it stands. */
  reading: Reading
  engine?: EngineProfile | undefined
  rules?: HouseRules | undefined
  /** What the project has already, a line each. */
  existing?: readonly string[] | undefined
  /** Earlier answers that the next is to be unlike. */
  takes?: readonly string[] | undefined
}

/** What an instruction may name beside the helper's own inputs. */
export const SLOTS = {
  prompt: 'the draft as it stands, without what is switched off',
  phrases: 'the phrases of the draft, a line each, with their facets',
  said: 'the facets that the draft says something of',
  missing: 'the facets that it says nothing of',
  locked: 'the words that may not be changed, a line each',
  leaveOut: 'the leave-out list, a line each',
  engineName: 'the engine that is written for',
  engineReads: 'how it reads: sentences, keywords, either or json',
  engineLimit: 'how much it reads',
  engineNotes: 'the notes kept on the engine',
  engineSettings: 'the settings it takes, a line each',
  houseRules: 'the house rules of the project, a line each',
  existing: 'what the project has already, a line each',
  examples: 'the helper’s own examples',
  takes: 'earlier answers that the next is to be unlike',
} as const satisfies Record<string, string>

/** How a profile says it reads, in the words of an instruction. */
export const READS: Readonly<Record<EngineProfile['reads'], string>> = { sentences: 'whole sentences', keywords: 'a list of keywords', either: 'sentences or a list', json: 'a JSON object by facet' }

const rulesSaid = ({ must, never, leaveOut, colours, aspectRatio }: HouseRules): string[] => [
  ...must.map((rule) => ('facet' in rule ? `Say something of ${rule.facet}.` : `Say: ${rule.phrase}`)),
  ...never.map((word) => `Never say: ${word}`),
  ...(colours.length ? [`Colours by name: ${colours.map(({ name }) => name).join(', ')}`] : []),
  ...(leaveOut.length ? [`Left out everywhere: ${leaveOut.join(', ')}`] : []),
  ...(aspectRatio ? [`Aspect ratio: ${aspectRatio}`] : []),
]

/** The texts of marks of a kind, in order, each once. */
export const markedTexts = ({ text, marks }: Draft, kind: 'locked' | 'off'): string[] => [...new Set(marks.filter((mark) => mark.kind === kind).map(({ from, to }) => text.slice(from, to).trim()))].filter(Boolean)

/**
 * What the slots of an instruction stand for. Whatever comes from a draft, a project or the writer's fields is material;
 * numbers and choices are put in as they are. Empty is what has nothing, so that a section around it goes.
 */
export function slotValues({ inputs, examples }: Pick<HelperBody, 'inputs' | 'examples'>, given: HelperValues, { draft, reading, engine, rules, existing = [], takes = [] }: HelperContext): Record<string, string> {
  const off = draft.marks.filter(({ kind }) => kind === 'off')
  const phrases = reading.phrases.filter(({ start, end }) => !off.some(({ from, to }) => from < end && to > start))
  const has = new Set(phrases.map(({ facet }) => facet))
  const lines: Partial<Record<keyof typeof SLOTS, string>> = {
    prompt: shownText(draft),
    phrases: phrases.map(({ facet, text }) => `${facet}: ${text}`).join('\n'),
    locked: markedTexts(draft, 'locked').join('\n'),
    leaveOut: draft.leaveOut.join('\n'),
    engineNotes: engine?.notes ?? '',
    engineSettings: (engine?.settings ?? []).map((one) => `${one.key}: ${one.kind === 'number' ? `${one.min} to ${one.max}, usually ${one.default}` : `${one.values.join(', ')}, usually ${one.default}`}. ${one.says}`).join('\n'),
    houseRules: rules ? rulesSaid(rules).join('\n') : '',
    existing: existing.join('\n'),
    examples: examples.join('\n\n'),
    takes: takes.join('\n\n'),
  }
  const plain: Partial<Record<keyof typeof SLOTS, string>> = {
    said: FACETS.filter((facet) => has.has(facet)).join(', '),
    missing: FACETS.filter((facet) => !has.has(facet) && facet !== 'lettering').join(', '),
    engineName: engine?.name ?? '',
    engineReads: engine ? READS[engine.reads] : '',
    engineLimit: engine?.limit ? sayLimit(engine.limit) : '',
  }
  const own = inputs.map(({ key, kind }): [string, string] => {
    const value = String(given[key] ?? '')
    // The picture itself goes beside the words.
    if (kind === 'picture') return [key, value === '' ? '' : 'the picture that comes with this']
    return [key, kind === 'number' || kind === 'choice' || value.trim() === '' ? value.trim() : material(key, value)]
  })
  return { ...plain, ...Object.fromEntries(Object.entries(lines).map(([name, text]) => [name, text === '' ? '' : material(name, text)])), ...Object.fromEntries(own) }
}
