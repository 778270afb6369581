import { Type, type Static } from '@sinclair/typebox'
import Ajv, { type ErrorObject } from 'ajv'
import { ChatRequest, LanguageSettings } from './language/request.ts'

export const ROLES = ['base', 'layout', 'palette', 'person', 'finish'] as const
const closed = { additionalProperties: false } as const
/** A picture of 4096 by 4096 pixels as base64 stays below this. */
const MAX_IMAGE = 48_000_000

export const PictureRequest = Type.Object(
  {
    engine: Type.String({ maxLength: 60 }),
    revision: Type.String({ maxLength: 60 }),
    prompt: Type.String({ minLength: 1, maxLength: 20_000 }),
    leaveOut: Type.Optional(Type.String({ maxLength: 20_000 })),
    weights: Type.Optional(Type.Array(Type.Object({ text: Type.String({ maxLength: 2_000 }), weight: Type.Number({ minimum: 0, maximum: 4 }) }, closed), { maxItems: 200 })),
    width: Type.Integer({ minimum: 64, maximum: 2048 }),
    height: Type.Integer({ minimum: 64, maximum: 2048 }),
    count: Type.Optional(Type.Integer({ minimum: 1, maximum: 8 })),
    seed: Type.Integer({ minimum: 0, maximum: 2 ** 31 - 1 }),
    settings: Type.Optional(Type.Record(Type.String({ maxLength: 60 }), Type.Union([Type.Number(), Type.String({ maxLength: 200 })]))),
    references: Type.Optional(
      Type.Array(
        Type.Object({ role: Type.Union(ROLES.map((role) => Type.Literal(role))), image: Type.String({ minLength: 1, maxLength: MAX_IMAGE, description: 'Base64.' }), strength: Type.Integer({ minimum: 0, maximum: 100 }) }, closed),
        { maxItems: 8 },
      ),
    ),
    mask: Type.Optional(Type.String({ minLength: 1, maxLength: MAX_IMAGE, description: 'A PNG as base64, white where the picture is drawn anew over its base.' })),
  },
  closed,
)
export type PictureRequest = Static<typeof PictureRequest>

/** Ways of misbehaving on request, as real services do. */
export const FAULTS = ['none', 'fail', 'busy', 'refuse', 'not-a-picture', 'not-json', 'wrong-type', 'wrong-size', 'wrong-count', 'cut-off', 'cut-picture', 'huge', 'drop', 'hang'] as const
export const StandinSettings = Type.Object(
  {
    delayMs: Type.Optional(Type.Integer({ minimum: 0, maximum: 120_000 })),
    fault: Type.Optional(Type.Union(FAULTS.map((fault) => Type.Literal(fault)))),
    /** How many requests misbehave; then all is well again. */
    times: Type.Optional(Type.Integer({ minimum: 1, maximum: 1_000_000 })),
  },
  closed,
)
export type StandinSettings = Static<typeof StandinSettings>

const ajv = new Ajv({ strict: false, unicode: false, logger: false, verbose: true })
const validators = { PictureRequest: ajv.compile<PictureRequest>(PictureRequest), StandinSettings: ajv.compile<StandinSettings>(StandinSettings), ChatRequest: ajv.compile<ChatRequest>(ChatRequest), LanguageSettings: ajv.compile<LanguageSettings>(LanguageSettings) }

/** An error with the range that was asked of the value. */
function said({ instancePath, keyword, message, params, parentSchema, data }: ErrorObject): string {
  const where = instancePath.slice(1)
  const range = parentSchema as { minimum?: number; maximum?: number; minLength?: number; maxLength?: number } | undefined
  if (keyword === 'minimum' || keyword === 'maximum') return `${where} must be from ${range?.minimum} to ${range?.maximum}; this is ${String(data)}.`
  if (keyword === 'minLength' || keyword === 'maxLength') return `${where} must have from ${range?.minLength ?? 0} to ${range?.maxLength} characters; this has ${String(data).length}.`
  if (keyword === 'required') return `${[where, (params as { missingProperty: string }).missingProperty].filter(Boolean).join('/')} is missing.`
  if (keyword === 'additionalProperties') return `${[where, (params as { additionalProperty: string }).additionalProperty].filter(Boolean).join('/')} is not a field of this service.`
  return `${where || 'the body'} ${message ?? 'is not valid'}.`
}

/** What is wrong with `value`, in a sentence that names the field and its range; undefined when it fits. */
export function wrongIn(shape: keyof typeof validators, value: unknown): string | undefined {
  const validate = validators[shape]
  if (validate(value)) return undefined
  const [error] = validate.errors ?? []
  return error ? said(error) : 'The body is not valid.'
}
