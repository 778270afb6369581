import { Advice, AgreementRow, Closeness, PictureFacts, PictureReading } from '@idolon/core'
import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, Instant, orNull, plainText, Sha256 } from './primitives.ts'
import { route } from './route.ts'
import { TurnState } from './turn.ts'

/** Whose a picture is, as far as is known. */
export const RIGHTS = ['own', 'licensed', 'unknown'] as const
export const Rights = Type.Union(RIGHTS.map((one) => Type.Literal(one)), { title: 'Rights' })
export type Rights = Static<typeof Rights>

/** How far a picture is read: not yet, at a glance, by its pixels, wholly; or it could not be. */
export const ReadingStage = Type.Union([Type.Literal('asked'), Type.Literal('glance'), Type.Literal('measured'), Type.Literal('read'), Type.Literal('failed')], { title: 'ReadingStage' })
export type ReadingStage = Static<typeof ReadingStage>

export const Reference = Type.Object(
  {
    id: Id,
    projectId: Id,
    name: Type.String(),
    source: Type.String(),
    rights: Rights,
    note: Type.String(),
    picture: Type.Object({ sha256: Sha256, width: Type.Integer(), height: Type.Integer() }),
    /** The proof it was taken from. */
    proofId: orNull(Id),
    addedAt: Instant,
    stage: ReadingStage,
    problem: orNull(Type.String()),
  },
  { title: 'Reference' },
)
export type Reference = Static<typeof Reference>

/** A reference with what is read of it. */
export const ReferenceWhole = Type.Object(
  {
    reference: Reference,
    facts: orNull(Type.Composite([Type.Pick(PictureFacts, ['key', 'temperature', 'mono', 'palette']), Type.Partial(Type.Omit(PictureFacts, ['key', 'temperature', 'mono', 'palette']))])),
    reading: orNull(PictureReading),
    /** What the file says of itself, as found. */
    metadata: Type.Array(Type.Object({ name: Type.String(), value: Type.String() })),
  },
  { title: 'ReferenceWhole' },
)
export type ReferenceWhole = Static<typeof ReferenceWhole>

/** A try whose words were borrowed from a reference, and how close it came. */
export const CloseTry = Type.Object(
  {
    proofId: Id,
    promptId: Id,
    promptTitle: Type.String(),
    version: Type.Integer(),
    engine: Type.String(),
    sha256: Sha256,
    askedAt: Instant,
    stage: ReadingStage,
    closeness: orNull(Closeness),
    advice: Type.Array(Advice, { description: 'What to change next to come closer, the most promising first.' }),
  },
  { title: 'CloseTry' },
)
export type CloseTry = Static<typeof CloseTry>

/** What a model said a reference shows. */
export const Caption = Type.Object(
  {
    turnId: Id,
    model: Type.Object({ id: Type.String(), name: Type.String(), simulated: Type.Boolean() }),
    state: TurnState,
    text: Type.String(),
    problem: orNull(Type.String()),
    /** Of what it said of other pictures. */
    record: Type.Object({ held: Type.Integer({ description: 'Claims that measures bore out.' }), refuted: Type.Integer({ description: 'Claims that they contradicted.' }) }),
  },
  { title: 'Caption' },
)
export type Caption = Static<typeof Caption>

/** What measures and models say of a reference, side by side. */
export const Agreement = Type.Object({ captions: Type.Array(Caption), rows: Type.Array(AgreementRow) }, { title: 'Agreement' })
export type Agreement = Static<typeof Agreement>

const params = Type.Object({ reference: Id }, closed)
const texts = { name: plainText(200), source: plainText(2_000), rights: Rights, note: plainText(5_000) }

export const listReferences = route({ id: 'listReferences', method: 'get', path: '/api/references', summary: 'The references of a project, or of all, newest first.', query: Type.Object({ project: Type.Optional(Id) }, closed), answer: Type.Array(Reference) })
export const readReference = route({ id: 'readReference', method: 'get', path: '/api/references/:reference', summary: 'A reference with what is read of it so far.', params, answer: ReferenceWhole })
export const addReference = route({
  id: 'addReference',
  method: 'post',
  path: '/api/references',
  summary: 'Keeps a picture that was sent, or a proof’s, as a reference. The same picture twice in one project is one reference.',
  body: Type.Object({ id: Id, projectId: Id, picture: Type.Union([Type.Object({ sha256: Sha256 }, closed), Type.Object({ proofId: Id }, closed)]), ...texts }, closed),
  answer: Reference,
  status: 201,
})
export const changeReference = route({ id: 'changeReference', method: 'patch', path: '/api/references/:reference', summary: 'Changes what is said of a reference.', params, body: Type.Partial(Type.Object(texts), closed), answer: Reference })
export const deleteReference = route({ id: 'deleteReference', method: 'delete', path: '/api/references/:reference', summary: 'Puts a reference into the bin.', params })
export const closeTries = route({ id: 'closeTries', method: 'get', path: '/api/references/:reference/tries', summary: 'The newest proofs of prompts that borrow from a reference, oldest first, and how close each came to it. Those not read yet are asked to be.', params, answer: Type.Array(CloseTry) })
export const readAgreement = route({ id: 'readAgreement', method: 'get', path: '/api/references/:reference/agreement', summary: 'What measures say of a reference, and what models said when they were asked to describe it: who says what, what measures bear out and what they contradict.', params, answer: Agreement })
export const readReading = route({ id: 'readReading', method: 'get', path: '/api/pictures/:sha256/reading', summary: 'What is read of a picture, with where in it; 404 while it is not read.', params: Type.Object({ sha256: Sha256 }, closed), answer: PictureReading })
