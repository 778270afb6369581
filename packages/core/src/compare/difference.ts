import { Type, type Static } from '@sinclair/typebox'
import { Facet } from '../facet.ts'

/** The kinds of thing in which two makings of a picture differ. */
export const DifferenceKind = Type.Union([Type.Literal('phrase'), Type.Literal('emphasis'), Type.Literal('off'), Type.Literal('leave-out'), Type.Literal('setting'), Type.Literal('seed'), Type.Literal('engine'), Type.Literal('reference'), Type.Literal('small')])
export type DifferenceKind = Static<typeof DifferenceKind>

/**
 * One unit in which two makings differ. What is `small` (spacing, a capital, an article, a dismissed check, the order of a
 * list) shows in no picture and is not counted; it is listed so that the list is exact.
 */
export const Difference = Type.Object(
  {
    kind: DifferenceKind,
    change: Type.Union([Type.Literal('added'), Type.Literal('removed'), Type.Literal('changed'), Type.Literal('moved')]),
    facet: Type.Optional(Facet),
    a: Type.Optional(Type.String({ description: "What it is in the first, in words; a setting's key comes before its value." })),
    b: Type.Optional(Type.String({ description: 'What it is in the second.' })),
  },
  { title: 'Difference' },
)
export type Difference = Static<typeof Difference>

/** Whether a difference counts as a change of the picture. */
export const counts = ({ kind }: Difference): boolean => kind !== 'small'
