import { Type, type Static } from '@sinclair/typebox'
import { fillTemplate } from '../engine/connection.ts'

const closed = { additionalProperties: false } as const
const Name = Type.String({ minLength: 1, maxLength: 60 })
const Pointer = Type.String({ maxLength: 300, pattern: '^(/.*)?$', description: 'A JSON Pointer (RFC 6901) into an answer, or into one piece of a stream.' })

/** How a language model is asked. Strings of the body such as “{messages}” are filled in. */
export const ModelConnection = Type.Object(
  {
    url: Type.String({ minLength: 1, maxLength: 2_000 }),
    headers: Type.Optional(Type.Record(Type.String({ pattern: '^[A-Za-z0-9-]{1,80}$' }), Type.String({ maxLength: 2_000 }), { description: 'Values may hold {apiKey}; the API key itself is kept apart.' })),
    body: Type.Record(Type.String(), Type.Unknown(), { description: 'What is sent, as JSON. A string that is nothing but a name in braces becomes the value itself.' }),
    streams: Type.Boolean({ description: 'Whether the answer comes as server-sent events, a piece each.' }),
    answer: Type.Object({ text: Pointer, piece: Type.Optional(Pointer), error: Type.Optional(Pointer), tokensIn: Type.Optional(Pointer), tokensOut: Type.Optional(Pointer) }, closed),
    concurrency: Type.Optional(Type.Integer({ minimum: 1, maximum: 16, description: 'Requests at once.' })),
    timeoutSeconds: Type.Optional(Type.Integer({ minimum: 1, maximum: 900 })),
  },
  { title: 'ModelConnection', additionalProperties: false },
)
export type ModelConnection = Static<typeof ModelConnection>

/** A language model that helpers may be sent to: what it is called, what it takes and what it costs. */
export const ModelProfile = Type.Object(
  {
    id: Type.String({ pattern: '^[a-z0-9][a-z0-9-]{0,59}$' }),
    name: Name,
    simulated: Type.Boolean(),
    model: Type.String({ minLength: 1, maxLength: 200, description: 'What the service calls it.' }),
    sees: Type.Boolean({ description: 'Whether it takes pictures.' }),
    costUnit: Name,
    cost: Type.Object(
      {
        request: Type.Integer({ minimum: 0 }),
        thousandIn: Type.Integer({ minimum: 0, description: 'Of a thousand tokens sent.' }),
        thousandOut: Type.Integer({ minimum: 0, description: 'Of a thousand tokens answered.' }),
      },
      { ...closed, description: 'In whole units of costUnit.' },
    ),
    temperature: Type.Optional(Type.Object({ least: Type.Number({ minimum: 0, maximum: 10 }), most: Type.Number({ minimum: 0, maximum: 10 }) }, { ...closed, description: 'The lowest and the highest temperature the service takes; without it any is sent as a helper asks.' })),
    mostOut: Type.Integer({ minimum: 50, maximum: 100_000, description: 'The longest answer, in tokens.' }),
    connection: Type.Optional(ModelConnection),
    notes: Type.String({ maxLength: 4_000 }),
  },
  { title: 'ModelProfile', additionalProperties: false },
)
export type ModelProfile = Static<typeof ModelProfile>

/** The temperature a model is asked with: what a helper wants, brought within what the model's profile says it takes. */
export const temperatureFor = ({ temperature: range }: Pick<ModelProfile, 'temperature'>, wanted: number): number => (range ? Math.min(range.most, Math.max(range.least, wanted)) : wanted)

/** The names that a body may use. */
export const MODEL_NAMES = ['messages', 'system', 'user', 'model', 'schema', 'schemaName', 'mostOut', 'temperature', 'seed'] as const
export type ModelValues = Readonly<Partial<Record<(typeof MODEL_NAMES)[number], unknown>>>
export const fillModelBody = (body: unknown, values: ModelValues): unknown => fillTemplate(body, values, MODEL_NAMES)

/** The shape that services widely take: messages in, an answer as a stream of pieces out. Another one is a matter of its profile. */
export const chatConnection = (url: string, apiKey: boolean): ModelConnection => ({
  url,
  ...(apiKey ? { headers: { authorization: 'Bearer {apiKey}' } } : {}),
  body: {
    model: '{model}',
    messages: '{messages}',
    temperature: '{temperature}',
    max_tokens: '{mostOut}',
    seed: '{seed}',
    stream: true,
    stream_options: { include_usage: true },
    response_format: { type: 'json_schema', json_schema: { name: '{schemaName}', schema: '{schema}' } },
  },
  streams: true,
  answer: { text: '/choices/0/message/content', piece: '/choices/0/delta/content', error: '/error/message', tokensIn: '/usage/prompt_tokens', tokensOut: '/usage/completion_tokens' },
  concurrency: 4,
})

/** What an asking costs, in whole units. */
export const costOf = ({ cost }: Pick<ModelProfile, 'cost'>, tokensIn: number, tokensOut: number): number => cost.request + Math.ceil((cost.thousandIn * tokensIn + cost.thousandOut * tokensOut) / 1000)
