import { addMark, completeProfile, type Draft, emptyDraft, type EngineProfile, findEngine, HouseRules, inPresentWords, LeaveOutEntry, Mark, MAX_LEAVE_OUT, MAX_TEXT, PartialProfile, Settings, SHIPPED_ENGINES } from '@idolon/core'
import { type Static, Type } from '@sinclair/typebox'
import { Value } from '@sinclair/typebox/value'
import { badLine } from './lines.ts'

/** A line about a draft: all but the text may be left out. */
const GivenDraft = Type.Object({
  text: Type.String({ maxLength: MAX_TEXT }),
  leaveOut: Type.Optional(Type.Array(LeaveOutEntry, { maxItems: MAX_LEAVE_OUT })),
  settings: Type.Optional(Settings),
  marks: Type.Optional(Type.Array(Mark)),
  rules: Type.Optional(Type.Partial(HouseRules)),
  engine: Type.Optional(Type.Union([Type.String(), PartialProfile])),
})
type GivenDraft = Static<typeof GivenDraft>

/** The draft a line gives, its engine and its rules. @throws BadLine that says what is wrong with it. */
export function draftOf(line: unknown): { draft: Draft; engine: EngineProfile | undefined; rules: GivenDraft['rules'] } {
  const given = inPresentWords(line)
  if (!Value.Check(GivenDraft, given)) {
    const [wrong] = Value.Errors(GivenDraft, given)
    throw badLine('not-a-draft', `The draft cannot be used: ${wrong ? `${wrong.path || 'the line'}: ${wrong.message}` : 'its shape is wrong'}.`)
  }
  const { text, leaveOut = [], settings = {}, marks = [], rules } = given
  if (marks.some(({ from, to }) => from >= to || to > text.length)) throw badLine('mark-outside', 'A mark lies outside the text.')
  return { draft: { ...emptyDraft(), text, leaveOut, settings, marks: marks.reduce(addMark, []) }, engine: engineOf(given.engine), rules }
}

function engineOf(given: GivenDraft['engine']): EngineProfile | undefined {
  if (given === undefined) return undefined
  if (typeof given !== 'string') return completeProfile(given)
  const known = findEngine(SHIPPED_ENGINES, given)
  if (!known) throw badLine('no-such-engine', `No engine is called “${given}”; there are ${[...new Set(SHIPPED_ENGINES.map(({ id }) => id))].join(', ')}.`)
  return known
}
