import { Type, type Static } from '@sinclair/typebox'
import { wholeWords } from '../english/whole-word.ts'
import type { Mark } from '../draft/mark-shape.ts'
import { EngineChoice, LeaveOutEntry, ReferenceUse, Settings } from '../draft/shape.ts'

const closed = { additionalProperties: false } as const
const line = (maxLength: number, minLength = 0) => Type.String({ minLength, maxLength, pattern: '^[^\\u0000\\n\\r]*$' })
/** Names a phrase within its part, so that a changed phrase is known for the one it was. */
const key = Type.String({ pattern: '^[a-z0-9-]{1,40}$' })

export const PartKind = Type.Union([Type.Literal('character'), Type.Literal('place'), Type.Literal('style')], { title: 'PartKind' })
export type PartKind = Static<typeof PartKind>
export const PART_KINDS = ['character', 'place', 'style'] as const satisfies readonly PartKind[]

/** What may change of a part from scene to scene. Of one respect a scene has one at a time. */
export const Aspect = Type.Union([Type.Literal('dress'), Type.Literal('age'), Type.Literal('state'), Type.Literal('season'), Type.Literal('light')], { title: 'Aspect' })
export type Aspect = Static<typeof Aspect>
type FromPart = Mark & { kind: 'from' }
/** The marks of a draft that a character, place or style gave. */
export const partMarks = (marks: readonly Mark[]): FromPart[] => marks.filter((mark): mark is FromPart => mark.kind === 'from' && (mark.source.type === 'character' || mark.source.type === 'place' || mark.source.type === 'style'))

/** The respects that each kind of part may change in. */
export const ASPECTS: Readonly<Record<PartKind, readonly Aspect[]>> = { character: ['dress', 'age', 'state'], place: ['season', 'light', 'state'], style: ['light', 'state'] }

/** A phrase that is always said of a part. */
export const PartPhrase = Type.Object({ key, text: line(500, 1) }, { title: 'PartPhrase', ...closed })
export type PartPhrase = Static<typeof PartPhrase>

/** One way a part may be: “winter coat”, “as a child”, “in ruins”. */
export const PartVariant = Type.Object({ key, aspect: Aspect, name: line(120, 1), text: line(500, 1) }, { title: 'PartVariant', ...closed })
export type PartVariant = Static<typeof PartVariant>

/** Somebody, somewhere or a look that scenes have in common, as one version says it. */
export const PartBody = Type.Object(
  {
    kind: PartKind,
    name: line(120, 1),
    also: Type.Array(line(120, 1), { maxItems: 20, description: 'What else the story calls it.' }),
    again: Type.Unsafe<string>({ ...line(200), description: 'How a text speaks of it a second time: “the beekeeper”. Empty: as the first time, in short.' }),
    says: Type.Array(PartPhrase, { maxItems: 30, description: 'What is always said, what it is first: “an old beekeeper”.' }),
    variants: Type.Array(PartVariant, { maxItems: 60 }),
    never: Type.Array(LeaveOutEntry, { maxItems: 60, description: 'What must never be said of it; it goes on the leave-out list.' }),
    references: Type.Array(ReferenceUse, { maxItems: 6 }),
    seed: Type.Union([Type.Integer({ minimum: 0, maximum: Number.MAX_SAFE_INTEGER }), Type.Null()]),
    settings: Settings,
    engines: Type.Array(EngineChoice, { maxItems: 12 }),
    note: Type.String({ maxLength: 4_000, pattern: '^[^\\u0000]*$' }),
  },
  { title: 'PartBody', ...closed },
)
export type PartBody = Static<typeof PartBody>

const FIRST_ROLE: Readonly<Record<PartKind, ReferenceUse['role']>> = { character: 'person', place: 'layout', style: 'finish' }
const FIRST_STRENGTH = 60
/** A picture, by its SHA-256, as it goes along with a part of a kind until the writer says otherwise. */
export const referenceFor = (kind: PartKind, reference: string): ReferenceUse => ({ reference, role: FIRST_ROLE[kind], strength: FIRST_STRENGTH })

export const blankPart = (kind: PartKind, name: string): PartBody => ({ kind, name, also: [], again: '', says: [], variants: [], never: [], references: [], seed: null, settings: {}, engines: [], note: '' })

/** The next key that no phrase or variant of a part has. */
export function freeKey({ says, variants }: Pick<PartBody, 'says' | 'variants'>): string {
  const taken = new Set([...says, ...variants].map((one) => one.key))
  for (let n = taken.size + 1; ; n++) if (!taken.has(`p${n}`)) return `p${n}`
}

/** What is wrong with a part, in plain sentences; empty for one that can be kept. */
export function partProblems({ says, variants, kind, never }: PartBody): string[] {
  const said: string[] = []
  const keys = [...says, ...variants].map((one) => one.key)
  if (new Set(keys).size < keys.length) said.push('Two phrases have the same key.')
  for (const { aspect, name } of variants) if (!ASPECTS[kind].includes(aspect)) said.push(`“${name}” changes ${aspect}, which a ${kind} has not.`)
  const names = variants.map(({ aspect, name }) => `${aspect} ${name.toLowerCase()}`)
  if (new Set(names).size < names.length) said.push('Two variants have the same name.')
  for (const entry of never) {
    const own = [...says, ...variants].find(({ text }) => wholeWords(entry).test(text))
    if (own) said.push(`“${entry}” must never be said, but “${own.text}” says it.`)
  }
  return said
}

/** One phrase that a part gives a scene. */
export interface Given {
  /** Its own key, or `aspect:dress` for what may change, so that another dress takes the first one's place. */
  key: string
  text: string
}

/** What a part gives a scene in the variants it has there, in order. */
export function givenBy({ says, variants }: Pick<PartBody, 'says' | 'variants'>, chosen: readonly string[]): Given[] {
  return [...says.map(({ key: own, text }) => ({ key: own, text })), ...variants.filter((variant) => chosen.includes(variant.key)).map(({ aspect, text }) => ({ key: `aspect:${aspect}`, text }))]
}
