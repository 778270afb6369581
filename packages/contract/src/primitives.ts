import { Type, type TSchema } from '@sinclair/typebox'

// Patterns instead of formats: the browser's compiled validators then need no library.
export const Id = Type.String({
  pattern: '^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$',
  description: 'A UUID.',
})
export const Instant = Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}:\\d{2}', description: 'RFC 3339, UTC.' })
export const Sha256 = Type.String({ pattern: '^[0-9a-f]{64}$' })
/** Text of at most `maxLength` UTF-16 code units; PostgreSQL's text cannot hold U+0000. */
export const plainText = (maxLength: number, more: { minLength?: number; description?: string } = {}) =>
  Type.String({ maxLength, pattern: '^[^\\u0000]*$', ...more })
export const Tag = Type.String({ minLength: 1, maxLength: 60, pattern: '^[^,\\n\\u0000]+$', description: 'A plain word or a few; no commas.' })
export const closed = { additionalProperties: false } as const

export const orNull = <T extends TSchema>(schema: T, more: { description?: string } = {}) => Type.Union([schema, Type.Null()], more)
