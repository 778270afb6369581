import { Type, type Static } from '@sinclair/typebox'
import { Edit } from '../draft/edit-shape.ts'
import { Facet } from '../facet.ts'

/** The kinds of finding, each with its usual severity: how much of a try it would cost. */
export const KINDS = {
  contradiction: 'stop',
  'fights-leave-out': 'stop',
  'negated-leave-out': 'caution',
  'negation-in-text': 'caution',
  'settings-in-text': 'caution',
  'lead-verb': 'tip',
  filler: 'tip',
  repeated: 'tip',
  'missing-facet': 'tip',
  'vague-subject': 'caution',
  crowd: 'caution',
  'small-subject': 'caution',
  'lettering-risk': 'caution',
  'era-clash': 'caution',
  'mixed-medium': 'caution',
  'unknown-word': 'caution',
  'drags-in': 'tip',
  unsupported: 'caution',
  'over-length': 'caution',
  'house-rule': 'stop',
} as const satisfies Record<string, 'stop' | 'caution' | 'tip'>

export const FindingKind = Type.Unsafe<keyof typeof KINDS>(Type.Union(Object.keys(KINDS).map((kind) => Type.Literal(kind)), { title: 'FindingKind' }))
export type FindingKind = keyof typeof KINDS
export const Severity = Type.Union([Type.Literal('stop'), Type.Literal('caution'), Type.Literal('tip')], { title: 'Severity' })
export type Severity = Static<typeof Severity>

/** Where a finding lies: a range of the text in UTF-16 code units, an entry of the leave-out list, or a setting. */
export const Place = Type.Union(
  [
    Type.Object({ in: Type.Literal('text'), start: Type.Integer({ minimum: 0 }), end: Type.Integer({ minimum: 0 }) }),
    Type.Object({ in: Type.Literal('leaveOut'), entry: Type.String() }),
    Type.Object({ in: Type.Literal('settings'), key: Type.String() }),
  ],
  { title: 'Place' },
)
export type Place = Static<typeof Place>

/** What is wrong with a draft before it is tried. */
export const Finding = Type.Object(
  {
    kind: FindingKind,
    severity: Severity,
    where: Type.Optional(Place),
    with: Type.Optional(Place),
    facet: Type.Optional(Facet),
    reason: Type.String({ description: 'Why, in plain words, as a sentence.' }),
    fix: Type.Optional(
      Type.Object({
        label: Type.String({ description: 'What pressing it does.' }),
        edits: Type.Array(Edit, { description: 'Edits of the draft, one after another.' }),
        safe: Type.Boolean({ description: 'Whether it may be applied without a look: it takes nothing from the picture.' }),
      }),
    ),
  },
  { title: 'Finding' },
)
export type Finding = Static<typeof Finding>
export type Fix = NonNullable<Finding['fix']>

export const inText = ({ start, end }: { start: number; end: number }): Place => ({ in: 'text', start, end })
