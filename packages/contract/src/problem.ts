import { Type, type Static } from '@sinclair/typebox'

/** Stable names of what can go wrong; the problem's `type` is `/problems/<name>`. */
export const PROBLEMS = {
  invalid: 400,
  'too-large': 413,
  'not-found': 404,
  'not-this-origin': 403,
  'draft-moved': 409,
  'edit-does-not-fit': 422,
  'text-too-long': 422,
  'nothing-to-try': 422,
  'unknown-engine': 422,
  'profile-contradicts': 422,
  'unknown-helper': 422,
  'unknown-model': 422,
  'instruction-unsound': 422,
  'template-unsound': 422,
  'not-connected': 422,
  'no-key': 422,
  'rules-contradict': 422,
  'over-ceiling': 409,
  'not-a-picture': 422,
  'unreadable-file': 422,
  'not-now': 409,
  'name-taken': 409,
  'project-archived': 409,
  internal: 500,
  unavailable: 503,
} as const
export type ProblemName = keyof typeof PROBLEMS

/** RFC 9457. `detail` is a sentence for a person that says what to do. */
export const Problem = Type.Object(
  {
    type: Type.String(),
    title: Type.String(),
    status: Type.Integer(),
    detail: Type.String(),
    id: Type.Optional(Type.String({ description: 'Of what the log says of it.' })),
    errors: Type.Optional(
      Type.Array(Type.Object({ where: Type.String({ description: 'A JSON Pointer, after body, query or path.' }), message: Type.String() })),
    ),
  },
  { title: 'Problem', additionalProperties: true },
)
export type Problem = Static<typeof Problem>

export const problemType = (name: ProblemName): string => `/problems/${name}`
