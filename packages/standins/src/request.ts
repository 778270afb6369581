import { Type, type Static } from '@sinclair/typebox'
import Ajv from 'ajv'

export const PictureRequest = Type.Object(
  {
    engine: Type.String(),
    revision: Type.String(),
    prompt: Type.String({ minLength: 1, maxLength: 20_000 }),
    leaveOut: Type.Optional(Type.String({ maxLength: 20_000 })),
    width: Type.Integer({ minimum: 64, maximum: 2048 }),
    height: Type.Integer({ minimum: 64, maximum: 2048 }),
    count: Type.Optional(Type.Integer({ minimum: 1, maximum: 8 })),
    seed: Type.Integer({ minimum: 0, maximum: 2 ** 31 - 1 }),
    settings: Type.Optional(Type.Record(Type.String(), Type.Union([Type.Number(), Type.String()]))),
  },
  { additionalProperties: false },
)
export type PictureRequest = Static<typeof PictureRequest>

/** Ways of misbehaving on request, as real services do. */
export const FAULTS = ['none', 'fail', 'busy', 'not-a-picture', 'not-json', 'cut-off', 'cut-picture', 'huge', 'hang'] as const
export const StandinSettings = Type.Object(
  {
    delayMs: Type.Optional(Type.Integer({ minimum: 0, maximum: 120_000 })),
    fault: Type.Optional(Type.Union(FAULTS.map((fault) => Type.Literal(fault)))),
    /** How many requests misbehave; then all is well again. */
    times: Type.Optional(Type.Integer({ minimum: 1, maximum: 1_000_000 })),
  },
  { additionalProperties: false },
)
export type StandinSettings = Static<typeof StandinSettings>

const ajv = new Ajv({ strict: false, unicode: false, logger: false })
const validators = { PictureRequest: ajv.compile<PictureRequest>(PictureRequest), StandinSettings: ajv.compile<StandinSettings>(StandinSettings) }

/** What is wrong with `value`, in a sentence; undefined when it fits. */
export function wrongIn(shape: keyof typeof validators, value: unknown): string | undefined {
  const validate = validators[shape]
  if (validate(value)) return undefined
  const [error] = validate.errors ?? []
  return `${error?.instancePath.slice(1) || 'the body'} ${error?.message ?? 'is not valid'}`
}
