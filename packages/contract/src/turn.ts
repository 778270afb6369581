import { Draft } from '@idolon/core'
import { AnswerKind, HelperValues } from '@idolon/core/helper'
import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, Instant, orNull, plainText } from './primitives.ts'
import { route } from './route.ts'

/** asked: waits its turn; answering: the model writes; done: a proposal; refused: no usable answer; failed: the service did not answer; stopped by the writer. */
export const TurnState = Type.Union([Type.Literal('asked'), Type.Literal('answering'), Type.Literal('done'), Type.Literal('refused'), Type.Literal('failed'), Type.Literal('stopped')], { title: 'TurnState' })
export type TurnState = Static<typeof TurnState>

/** One asking of a helper, with all that made it and what came back. Kept for good. */
export const Turn = Type.Object(
  {
    id: Id,
    projectId: Id,
    promptId: orNull(Id),
    helper: Type.Object({ id: Type.String(), version: Type.Integer(), name: Type.String() }),
    kind: AnswerKind,
    model: Type.Object({ id: Type.String(), name: Type.String(), simulated: Type.Boolean() }),
    values: HelperValues,
    seed: Type.Integer(),
    draft: Type.Unsafe<Static<typeof Draft>>({ ...Draft, description: 'As it was when it was asked.' }),
    parentId: orNull(Id),
    further: orNull(Type.String()),
    state: TurnState,
    problem: orNull(Type.String()),
    text: Type.String({ description: 'What came, as it came.' }),
    earlier: Type.Array(Type.String(), { description: 'Answers that could not be used, before it was asked again.' }),
    value: Type.Unknown({ description: 'What was taken from it, of the shape of its kind; null until then.' }),
    mended: Type.Array(Type.String()),
    proposed: orNull(Type.Unsafe<Static<typeof Draft>>({ ...Draft, description: 'The draft as the answer would have it, for answers that say a whole prompt.' })),
    lockedLost: Type.Array(Type.String()),
    tries: Type.Integer(),
    unit: Type.String(),
    reserved: Type.Integer(),
    cost: orNull(Type.Integer()),
    askedAt: Instant,
    endedAt: orNull(Instant),
    tookMs: orNull(Type.Integer()),
    taken: orNull(Type.Object({ taken: Type.Integer(), left: Type.Integer() }, { description: 'How many changes were taken and left, once it was decided.' })),
  },
  { title: 'Turn' },
)
export type Turn = Static<typeof Turn>

const params = Type.Object({ turn: Id }, closed)
export const askHelper = route({
  id: 'askHelper',
  method: 'post',
  path: '/api/turns',
  summary: 'Asks a helper. The id is chosen by the page, so that asking twice asks once; what the draft, the project and the engine are is read here.',
  body: Type.Object(
    {
      id: Id,
      projectId: Id,
      promptId: orNull(Id),
      helper: Type.String({ minLength: 1, maxLength: 60 }),
      version: Type.Optional(Type.Integer({ minimum: 1 })),
      model: Type.String({ minLength: 1, maxLength: 60 }),
      values: HelperValues,
      draft: Draft,
      seed: Type.Integer({ minimum: 0, maximum: 2 ** 31 - 1 }),
      parentId: orNull(Id),
      further: orNull(plainText(2_000, { minLength: 1 })),
      takes: Type.Array(Type.String({ maxLength: 20_000 }), { maxItems: 20, description: 'Earlier answers that this one is to be unlike.' }),
    },
    closed,
  ),
  answer: Turn,
  status: 201,
})
export const readTurn = route({ id: 'readTurn', method: 'get', path: '/api/turns/:turn', summary: 'A turn as it stands. As it is written it comes from /api/turns/{turn}/stream, as server-sent events.', params, answer: Turn })
export const stopTurn = route({ id: 'stopTurn', method: 'post', path: '/api/turns/:turn/stop', summary: 'Stops a turn; what came so far is kept.', params, answer: Turn })
export const decideTurn = route({ id: 'decideTurn', method: 'patch', path: '/api/turns/:turn', summary: 'Keeps how many of its changes were taken and left.', params, body: Type.Object({ taken: Type.Integer({ minimum: 0 }), left: Type.Integer({ minimum: 0 }) }, closed), answer: Turn })
export const listTurns = route({ id: 'listTurns', method: 'get', path: '/api/prompts/:prompt/turns', summary: 'The turns about a prompt, newest first.', params: Type.Object({ prompt: Id }, closed), answer: Type.Array(Turn) })
