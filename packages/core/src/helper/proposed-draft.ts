import { bareText } from '../compare/plain-words.ts'
import { type Draft, LeaveOutEntry, type Settings } from '../draft/shape.ts'
import { MAX_LEAVE_OUT, MAX_TEXT } from '../draft/draft.ts'
import { applyEdit } from '../draft/edit.ts'
import { addMark, sortMarks } from '../draft/mark.ts'
import type { Mark } from '../draft/mark-shape.ts'
import { changesBetween } from '../draft/rebase.ts'
import { mapMarks } from '../draft/text-change.ts'
import { FACETS } from '../facets.ts'
import { fixedFacetsOf } from '../phrase/marks.ts'
import { tidy, tidySteps } from '../phrase/tidy.ts'
import type { Reader } from '../read/reader.ts'
import type { EngineAnswer } from './answers/engine.ts'
import { type FacetsAnswer, phrasesOfFacet } from './answers/facets.ts'
import type { PromptAnswer } from './answers/prompt.ts'
import type { AnswerKind } from './helper.ts'
import { markedTexts } from './slots.ts'

/** A draft as an answer would have it, and what was done to the answer on the way. */
export interface Proposed {
  draft: Draft
  /** Words that the writer locked and the answer does not have. */
  lockedLost: string[]
  /** What was set right, as sentences. */
  mended: string[]
}

const longest = LeaveOutEntry.maxLength ?? 300

/** Whether the words of one text stand together in another, whatever its case, punctuation and articles. */
export const holdsWords = (text: string, words: string): boolean => ` ${bareText(text)} `.includes(` ${bareText(words)} `)

/** The range of words in a text that says them in any case. */
function rangeOf(text: string, words: string): { from: number; to: number } | undefined {
  const from = text.toLowerCase().indexOf(words.toLowerCase())
  return from < 0 ? undefined : { from, to: from + words.length }
}

/** The draft with another text: marks stay on words that stay; locked words that stand elsewhere now are locked there. */
function withText(draft: Draft, text: string): Draft {
  const changes = changesBetween(draft.text, text)
  let marks: Mark[] = mapMarks(draft.marks, changes).filter(({ from, to, kind }) => kind !== 'off' || text.slice(from, to).trim() !== '')
  for (const words of markedTexts(draft, 'locked')) {
    const place = rangeOf(text, words)
    if (place && !marks.some(({ kind, from, to }) => kind === 'locked' && from <= place.from && to >= place.to)) marks = addMark(marks, { ...place, kind: 'locked' })
  }
  return { ...draft, text, marks: sortMarks(marks) }
}

function withEntries(draft: Draft, entries: readonly string[]): Draft {
  const known = new Set(draft.leaveOut.map((entry) => entry.toLowerCase()))
  const come = entries.map((entry) => entry.trim().slice(0, longest)).filter((entry) => entry && !known.has(entry.toLowerCase()) && known.add(entry.toLowerCase()))
  return { ...draft, leaveOut: [...draft.leaveOut, ...come].slice(0, MAX_LEAVE_OUT) }
}

const NOISE_SAID = { 'lead-in': 'A lead-in was removed', praise: 'Praise that says nothing of the picture was removed', setting: 'Settings typed into the text stand as settings', 'leave-out': 'What is not to be shown stands as leave-outs' } as const

/** The text without what is no part of a picture, each thing put where it belongs. */
function tidied(draft: Draft, reader: Reader): { draft: Draft; mended: string[] } {
  const steps = tidySteps(draft.text, reader.read(draft.text, fixedFacetsOf(draft.marks))).filter(({ start, end }) => !draft.marks.some(({ kind, from, to }) => kind === 'locked' && from < end && to > start))
  if (steps.length === 0) return { draft, mended: [] }
  const kinds = [...new Set(steps.map(({ kind }) => kind))]
  return { draft: applyEdit(draft, tidy(draft, steps)), mended: kinds.map((kind) => `${NOISE_SAID[kind]}: ${steps.filter((step) => step.kind === kind).map(({ text }) => `“${text.replace(/[\s,.;]+$/, '')}”`).join(', ')}.`) }
}

/** By facet as one text: JSON for an engine that reads it, else a list in writing order with a facet mark on each phrase. */
function byFacet(draft: Draft, value: FacetsAnswer, asJson: boolean): Draft {
  const said = FACETS.map((facet) => ({ facet, phrases: phrasesOfFacet(value[facet]) })).filter(({ phrases }) => phrases.length > 0)
  if (asJson) return withText(draft, JSON.stringify(Object.fromEntries(said.map(({ facet, phrases }) => [facet, phrases.length === 1 ? phrases[0] : phrases])), null, 2))
  let text = ''
  const marks: Mark[] = []
  for (const { facet, phrases } of said)
    for (const phrase of phrases) {
      if (text) text += ', '
      marks.push({ from: text.length, to: text.length + phrase.length, kind: 'facet', facet })
      text += phrase
    }
  const next = withText(draft, text)
  return { ...next, marks: marks.reduce<Mark[]>(addMark, next.marks) }
}

/**
 * The draft as an answer would have it, for the answers that say a whole prompt; undefined for the others. Lead-ins, praise
 * and settings in its text are put where they belong first. `asJson` writes an answer by facet as JSON.
 */
export function proposedDraft(draft: Draft, kind: AnswerKind, value: unknown, { reader, asJson = false }: { reader: Reader; asJson?: boolean }): Proposed | undefined {
  let next: Draft
  let mended: string[] = []
  if (kind === 'prompt' || kind === 'engine') {
    const { prompt } = value as PromptAnswer | EngineAnswer
    ;({ draft: next, mended } = tidied(withText(draft, prompt.slice(0, MAX_TEXT)), reader))
    if (kind === 'prompt') next = withEntries(next, (value as PromptAnswer).leaveOut ?? [])
    else next = { ...next, settings: withSettings(next.settings, (value as EngineAnswer).settings) }
  } else if (kind === 'facets') next = byFacet(draft, value as FacetsAnswer, asJson)
  else return undefined
  return { draft: next, lockedLost: markedTexts(draft, 'locked').filter((words) => !holdsWords(next.text, words)), mended }
}

/** Settings with others put in, those alone whose keys a setting may have. Seed and number of results are the writer's. */
const withSettings = (settings: Settings, more: Settings): Settings => ({ ...settings, ...Object.fromEntries(Object.entries(more).filter(([key]) => /^[A-Za-z][A-Za-z0-9]{0,39}$/.test(key) && key !== 'seed' && key !== 'count')) })
