import { Type, type Static } from '@sinclair/typebox'

const closed = { additionalProperties: false } as const
const Pointer = Type.String({ maxLength: 300, pattern: '^(/.*)?$', description: 'A JSON Pointer (RFC 6901) into an answer.' })
const Address = Type.String({ minLength: 1, maxLength: 2_000, description: 'An http or https address; it may hold {id}.' })
const Headers = Type.Record(Type.String({ pattern: '^[A-Za-z0-9-]{1,80}$' }), Type.String({ maxLength: 2_000 }), { description: 'Values may hold {apiKey}; the API key itself is kept apart.' })

/** How a service is asked for pictures, so that another one is a matter of settings. Strings of the body such as “{prompt}” are filled in. */
export const Connection = Type.Object(
  {
    url: Address,
    headers: Type.Optional(Headers),
    body: Type.Record(Type.String(), Type.Unknown(), { description: 'What is sent, as JSON. A string that is nothing but a name in braces becomes the value itself, and is left away with its key where there is none.' }),
    keyHeader: Type.Optional(Type.String({ pattern: '^[A-Za-z0-9-]{1,80}$', description: 'The header that carries the idempotency key.' })),
    answer: Type.Object(
      {
        picture: Type.Object({ at: Pointer, as: Type.Union([Type.Literal('base64'), Type.Literal('url')]) }, closed),
        seed: Type.Optional(Pointer),
        cost: Type.Optional(Pointer),
        error: Type.Optional(Pointer),
      },
      closed,
    ),
    poll: Type.Optional(
      Type.Object(
        {
          id: Pointer,
          url: Address,
          state: Pointer,
          done: Type.Array(Type.String({ maxLength: 80 }), { minItems: 1, maxItems: 10 }),
          failed: Type.Array(Type.String({ maxLength: 80 }), { maxItems: 10 }),
          everyMs: Type.Integer({ minimum: 100, maximum: 60_000 }),
        },
        { ...closed, description: 'For a service that takes a request and is asked again until it is done.' },
      ),
    ),
    cancel: Type.Optional(Type.Object({ method: Type.Union([Type.Literal('POST'), Type.Literal('DELETE')]), url: Address }, closed)),
    concurrency: Type.Optional(Type.Integer({ minimum: 1, maximum: 16, description: 'Requests at once.' })),
    timeoutSeconds: Type.Optional(Type.Integer({ minimum: 1, maximum: 900 })),
  },
  { title: 'Connection', additionalProperties: false },
)
export type Connection = Static<typeof Connection>

/** What a body and its headers may name. */
export const REQUEST_NAMES = ['prompt', 'leaveOut', 'weights', 'width', 'height', 'aspectRatio', 'seed', 'count', 'settings', 'references', 'engine', 'revision', 'key'] as const
export type RequestValues = Readonly<Partial<Record<(typeof REQUEST_NAMES)[number], unknown>>>

const WHOLE = /^\{([a-zA-Z]+(?:\/[^{}]+)?)\}$/
const PART = /\{([a-zA-Z]+(?:\/[^{}]+)?)\}/g
const ABSENT = Symbol('absent')

type Values = Readonly<Record<string, unknown>>

/** The value of a name such as `seed` or `settings/guidance`. */
function valueOf(values: Values, name: string): unknown {
  const [first = '', ...rest] = name.split('/')
  let value: unknown = Object.hasOwn(values, first) ? values[first] : undefined
  for (const key of rest) value = value !== null && typeof value === 'object' && Object.hasOwn(value, key) ? (value as Record<string, unknown>)[key] : undefined
  return value
}

function filled(template: unknown, values: Values, names: readonly string[]): unknown {
  if (typeof template === 'string') {
    const whole = WHOLE.exec(template)
    if (whole) return valueOf(values, whole[1]!) ?? ABSENT
    return template.replace(PART, (said, name: string) => {
      const value = valueOf(values, name)
      return value === undefined ? (names.some((known) => name === known || name.startsWith(`${known}/`)) ? '' : said) : typeof value === 'string' ? value : JSON.stringify(value)
    })
  }
  if (Array.isArray(template)) return template.map((one) => filled(one, values, names)).filter((one) => one !== ABSENT)
  if (template !== null && typeof template === 'object') return Object.fromEntries(Object.entries(template).map(([key, one]) => [key, filled(one, values, names)] as const).filter(([, one]) => one !== ABSENT))
  return template
}

/** A template with its names in braces filled in. What is given is never read as a template itself; of `names`, those without a value leave nothing. */
export function fillTemplate(template: unknown, values: Values, names: readonly string[] = REQUEST_NAMES): unknown {
  const value = filled(template, values, names)
  return value === ABSENT ? undefined : value
}

/** What a JSON Pointer (RFC 6901) leads to; undefined where it leads nowhere. */
export function atPointer(document: unknown, pointer: string): unknown {
  let value: unknown = document
  if (pointer === '') return value
  for (const part of pointer.slice(1).split('/')) {
    const key = part.replaceAll('~1', '/').replaceAll('~0', '~')
    if (Array.isArray(value)) value = /^(?:0|[1-9]\d*)$/.test(key) ? (value[Number(key)] as unknown) : undefined
    else value = value !== null && typeof value === 'object' && Object.hasOwn(value, key) ? (value as Record<string, unknown>)[key] : undefined
  }
  return value
}

/** How the simulated engines are spoken to, at an address. */
export const standinConnection = (address: string): Connection => ({
  url: `${address}/v1/pictures`,
  body: { engine: '{engine}', revision: '{revision}', prompt: '{prompt}', leaveOut: '{leaveOut}', weights: '{weights}', width: '{width}', height: '{height}', count: 1, seed: '{seed}', settings: '{settings}', references: '{references}' },
  keyHeader: 'idempotency-key',
  answer: { picture: { at: '/pictures/0/png', as: 'base64' }, seed: '/pictures/0/seed', error: '/detail' },
  concurrency: 4,
})

/** Names in braces that a connection uses and nothing will fill in, with where they stand. */
export function unknownNames({ body }: Connection): { at: string; name: string }[] {
  const found: { at: string; name: string }[] = []
  const walk = (value: unknown, at: string): void => {
    if (typeof value === 'string') {
      for (const [, name = ''] of value.matchAll(PART)) if (!REQUEST_NAMES.some((known) => name === known || name.startsWith(`${known}/`))) found.push({ at, name })
    } else if (value !== null && typeof value === 'object') for (const [key, one] of Object.entries(value)) walk(one, `${at}/${key.replaceAll('~', '~0').replaceAll('/', '~1')}`)
  }
  walk(body, '/connection/body')
  return found
}
