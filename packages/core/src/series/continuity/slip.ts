import { Type, type Static } from '@sinclair/typebox'
import { Edit } from '../../draft/edit.ts'
import { SceneBody } from '../scene.ts'

/** Where a series does not hold together, by kind. */
export const SLIPS = [
  'trait',
  'dress',
  'time',
  'season',
  'weather',
  'place',
  'absent',
  'alike',
  'direction',
  'style',
  'engine',
  'aspect-ratio',
  'framing',
  'palette',
  'key',
  'medium',
] as const
export const SlipKind = Type.Unsafe<(typeof SLIPS)[number]>(Type.Union(SLIPS.map((kind) => Type.Literal(kind)), { title: 'SlipKind' }))
export type SlipKind = Static<typeof SlipKind>

/** One slip: the scene where it shows, the scene it is held against, the words, why, and what would mend it. */
export const Slip = Type.Object(
  {
    kind: SlipKind,
    scene: Type.Integer({ minimum: 0, description: 'The scene by its place in the series, from 0.' }),
    against: Type.Optional(Type.Integer({ minimum: 0 })),
    words: Type.Optional(Type.String({ description: 'The words of the scene’s text it is about.' })),
    part: Type.Optional(Type.String({ description: 'The character, place or style it is about, by its id.' })),
    reason: Type.String(),
    fix: Type.Optional(Type.Object({ label: Type.String(), body: Type.Optional(SceneBody), edit: Type.Optional(Edit) }, { description: 'Either another body of the scene, or an edit of its draft.' })),
  },
  { title: 'Slip' },
)
export type Slip = Static<typeof Slip>
