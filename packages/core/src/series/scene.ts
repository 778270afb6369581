import { Type, type Static } from '@sinclair/typebox'
import { SlipKind } from './continuity/slip-kind.ts'

const closed = { additionalProperties: false } as const
const line = (maxLength: number) => Type.String({ maxLength, pattern: '^[^\\u0000\\n\\r]*$' })
const text = (maxLength: number) => Type.String({ maxLength, pattern: '^[^\\u0000]*$' })
export const PartId = Type.String({ pattern: '^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$' })

/** A part as a scene has it: which of its variants are on. */
export const PartUse = Type.Object({ part: PartId, variants: Type.Array(Type.String({ maxLength: 40 }), { maxItems: 5 }) }, { title: 'PartUse', ...closed })
export type PartUse = Static<typeof PartUse>

export const CAMERA_MOVES = ['still', 'push in', 'pull back', 'pan left', 'pan right', 'tilt up', 'tilt down', 'follow', 'circle'] as const
export const CameraMove = Type.Unsafe<(typeof CAMERA_MOVES)[number]>(Type.Union(CAMERA_MOVES.map((move) => Type.Literal(move)), { title: 'CameraMove' }))
export type CameraMove = Static<typeof CameraMove>

/** How a scene moves, where it goes to film: for how long, what the camera does and what its people do. */
export const Motion = Type.Object({ camera: CameraMove, subject: line(300), seconds: Type.Number({ minimum: 0.5, maximum: 120 }) }, { title: 'Motion', ...closed })
export type Motion = Static<typeof Motion>

/** A slip that is let stand: what it was found to be, and why. */
export const DismissedSlip = Type.Object({ kind: SlipKind, reason: line(1_200), because: line(300) }, { title: 'DismissedSlip', ...closed })

/** One beat of a series, apart from its prompt and proofs. */
export const SceneBody = Type.Object(
  {
    beat: Type.Unsafe<string>({ ...line(300), description: 'What happens, in one line.' }),
    words: Type.Unsafe<string>({ ...line(2_000), description: 'What the picture shows in the scene’s own words; names of its parts stand for what they say.' }),
    cast: Type.Array(PartUse, { maxItems: 40 }),
    place: Type.Union([PartUse, Type.Null()]),
    where: Type.Unsafe<string>({ ...line(300), description: 'The place in words, where no part says it.' }),
    moment: line(200),
    framing: line(300),
    motion: Motion,
    sound: line(500),
    caption: line(1_000),
    note: text(4_000),
    dismissed: Type.Optional(Type.Array(DismissedSlip, { maxItems: 100, description: 'Slips that the writer lets stand here.' })),
  },
  { title: 'SceneBody', ...closed },
)
export type SceneBody = Static<typeof SceneBody>

export const blankScene = (): SceneBody => ({ beat: '', words: '', cast: [], place: null, where: '', moment: '', framing: '', motion: { camera: 'still', subject: '', seconds: 4 }, sound: '', caption: '', note: '' })
