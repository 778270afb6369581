import { Type, type Static } from '@sinclair/typebox'
import { Edit } from '../../draft/edit-shape.ts'
import { SceneBody } from '../scene.ts'
import { SlipKind } from './slip-kind.ts'

/** One slip: the scene where it shows, the scene it is held against, the words, why, and what would mend it. */
export const Slip = Type.Object(
  {
    kind: SlipKind,
    scene: Type.Integer({ minimum: 0, description: 'The scene by its place in the series, from 0.' }),
    against: Type.Optional(Type.Integer({ minimum: 0 })),
    words: Type.Optional(Type.String({ description: 'The words of the scene’s text it is about.' })),
    part: Type.Optional(Type.String({ description: 'The character, place or style it is about, by its id.' })),
    reason: Type.String(),
    dismissed: Type.Optional(Type.String({ description: 'Why the writer lets it stand.' })),
    fix: Type.Optional(Type.Object({ label: Type.String(), body: Type.Optional(SceneBody), edit: Type.Optional(Edit) }, { description: 'Either another body of the scene, or an edit of its draft.' })),
  },
  { title: 'Slip' },
)
export type Slip = Static<typeof Slip>

/** What a slip is known by when it is found again: its reason, wherever the scenes it names stand by then. */
const known = (kind: SlipKind, reason: string): string => `${kind} ${reason.replace(/\bscene \d+/gi, 'scene')}`

/** Slips with those marked that the writer lets stand in their scene. One that says something else by now is another slip. */
export const withDismissed = (slips: readonly Slip[], scenes: readonly Pick<SceneBody, 'dismissed'>[]): Slip[] =>
  slips.map((slip) => {
    const own = scenes[slip.scene]?.dismissed?.find(({ kind, reason }) => known(kind, reason) === known(slip.kind, slip.reason))
    return own ? { ...slip, dismissed: own.because } : slip
  })
