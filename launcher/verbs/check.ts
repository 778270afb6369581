import { addMark, completeProfile, emptyDraft, type EngineProfile, findEngine, fixedFacetsOf, HouseRules, LeaveOutEntry, Mark, MAX_LEAVE_OUT, MAX_TEXT, NO_RULES, PartialProfile, Settings, SHIPPED_ENGINES } from '@idolon/core'
import { checkDraft, Kin, Known } from '@idolon/core/check'
import { createReader } from '@idolon/core/reader'
import { Type } from '@sinclair/typebox'
import { Value } from '@sinclair/typebox/value'
import { badLine, answerTexts } from './lines.ts'
import { table } from './tables.ts'

const Given = Type.Object({
  text: Type.String({ maxLength: MAX_TEXT }),
  leaveOut: Type.Optional(Type.Array(LeaveOutEntry, { maxItems: MAX_LEAVE_OUT })),
  settings: Type.Optional(Settings),
  marks: Type.Optional(Type.Array(Mark)),
  rules: Type.Optional(Type.Partial(HouseRules)),
  engine: Type.Optional(Type.Union([Type.String(), PartialProfile])),
})

function engineOf(given: string | PartialProfile | undefined): EngineProfile | undefined {
  if (given === undefined) return undefined
  if (typeof given !== 'string') return completeProfile(given)
  const known = findEngine(SHIPPED_ENGINES, given)
  if (!known) throw badLine('no-such-engine', `No engine is called “${given}”; there are ${[...new Set(SHIPPED_ENGINES.map(({ id }) => id))].join(', ')}.`)
  return known
}

/** `./idolon check`: what is wrong with a draft before it is tried. */
export async function check(args: string[]): Promise<number> {
  const reader = createReader(await table('words'), await table('reader'))
  const language = { words: reader.words, kin: new Kin(await table('kin'), reader.words), known: new Known(await table('known')) }
  return answerTexts(
    'check',
    args,
    (text) => ({ text }),
    (given) => {
      if (!Value.Check(Given, given)) {
        const [wrong] = Value.Errors(Given, given)
        throw badLine('not-a-draft', `The draft cannot be checked: ${wrong ? `${wrong.path || 'the line'}: ${wrong.message}` : 'its shape is wrong'}.`)
      }
      const { text, leaveOut = [], settings = {}, marks = [], rules } = given
      if (marks.some(({ from, to }) => from >= to || to > text.length)) throw badLine('mark-outside', 'A mark lies outside the text.')
      const draft = { ...emptyDraft(), text, leaveOut, settings, marks: marks.reduce(addMark, []) }
      return { findings: checkDraft(draft, reader.read(text, fixedFacetsOf(draft.marks)), language, { engine: engineOf(given.engine), rules: rules && { ...NO_RULES, ...rules } }) }
    },
  )
}
