import { Type, type Static } from '@sinclair/typebox'

const Part = Type.Union([
  Type.Object({ type: Type.Literal('text'), text: Type.String({ maxLength: 200_000 }) }),
  Type.Object({ type: Type.Literal('image_url'), image_url: Type.Object({ url: Type.String({ maxLength: 48_000_000, pattern: '^data:image/[a-z+]+;base64,' }) }) }),
])
/** A request in the shape that services widely take; fields that mean nothing here are passed over. */
export const ChatRequest = Type.Object({
  model: Type.String({ maxLength: 200 }),
  messages: Type.Array(Type.Object({ role: Type.Union([Type.Literal('system'), Type.Literal('user'), Type.Literal('assistant')]), content: Type.Union([Type.String({ maxLength: 400_000 }), Type.Array(Part, { maxItems: 20 })]) }), { minItems: 1, maxItems: 100 }),
  stream: Type.Optional(Type.Boolean()),
  seed: Type.Optional(Type.Integer({ minimum: 0 })),
  temperature: Type.Optional(Type.Number({ minimum: 0, maximum: 2 })),
  max_tokens: Type.Optional(Type.Integer({ minimum: 1 })),
  stream_options: Type.Optional(Type.Object({ include_usage: Type.Optional(Type.Boolean()) })),
  response_format: Type.Optional(Type.Object({ type: Type.String(), json_schema: Type.Optional(Type.Object({ name: Type.String({ maxLength: 200 }), schema: Type.Unknown() })) })),
})
export type ChatRequest = Static<typeof ChatRequest>

/** Ways in which models misbehave, on request. */
export const MISBEHAVIOURS = ['none', 'waits', 'drops', 'busy', 'fails', 'refuses-key', 'no-quota', 'prose', 'cut', 'ignores-shape', 'wrong-case', 'describes', 'sends-picture', 'settings-in-text', 'invents-word', 'other-language', 'endless', 'markup', 'hangs'] as const
export type Misbehaviour = (typeof MISBEHAVIOURS)[number]

export const LanguageSettings = Type.Object(
  {
    /** Between pieces of a stream. */
    delayMs: Type.Optional(Type.Integer({ minimum: 0, maximum: 10_000 })),
    misbehaviour: Type.Optional(Type.Union(MISBEHAVIOURS.map((one) => Type.Literal(one)))),
    times: Type.Optional(Type.Integer({ minimum: 1, maximum: 1_000_000 })),
    /** Follows instructions wherever it finds them, in materials too. */
    gullible: Type.Optional(Type.Boolean()),
  },
  { additionalProperties: false },
)
export type LanguageSettings = Static<typeof LanguageSettings>

/** The texts of a message, and its pictures. */
export function contentOf(content: ChatRequest['messages'][number]['content']): { text: string; pictures: string[] } {
  if (typeof content === 'string') return { text: content, pictures: [] }
  return { text: content.flatMap((part) => (part.type === 'text' ? [part.text] : [])).join('\n'), pictures: content.flatMap((part) => (part.type === 'image_url' ? [part.image_url.url] : [])) }
}
