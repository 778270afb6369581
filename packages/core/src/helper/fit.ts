import type { TSchema } from '@sinclair/typebox'

interface Plain {
  type?: string
  properties?: Record<string, Plain>
  items?: Plain
  anyOf?: Plain[]
  const?: unknown
}

const bareKey = (key: string) => key.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '')
const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value)

/** The constants of a choice of constants. */
const choices = ({ anyOf }: Plain): string[] => (anyOf ?? []).flatMap((one) => (typeof one.const === 'string' ? [one.const] : []))

/**
 * A value brought nearer to a schema where nothing can be misunderstood: keys and choices in another case or spelling
 * (“Leave_Out”), numbers and truths written as text. What does not fit stays as it is, for the validator to find.
 */
export function fitted(value: unknown, schema: TSchema, seen: { mended: boolean }): unknown {
  const { type, properties, items, ...rest } = schema as Plain
  if (type === 'object' && properties && isObject(value)) {
    const names = Object.keys(properties)
    return Object.fromEntries(
      Object.entries(value).map(([key, one]) => {
        const name = names.includes(key) ? key : (names.find((other) => bareKey(other) === bareKey(key)) ?? key)
        if (name !== key) seen.mended = true
        const inner = properties[name]
        return [name, inner ? fitted(one, inner as TSchema, seen) : one]
      }),
    )
  }
  if (type === 'array' && items && Array.isArray(value)) return value.map((one) => fitted(one, items as TSchema, seen))
  const known = choices(rest)
  if (known.length && typeof value === 'string' && !known.includes(value)) {
    const meant = known.find((one) => bareKey(one) === bareKey(value))
    if (meant !== undefined) {
      seen.mended = true
      return meant
    }
  }
  if (type === 'boolean' && typeof value === 'string' && /^(?:true|yes|false|no)$/i.test(value.trim())) {
    seen.mended = true
    return /^(?:true|yes)$/i.test(value.trim())
  }
  return value
}

/** What an object with one property holds, where that is what was asked for: {"answer": {...}}. */
export function unwrapped(value: unknown, schema: TSchema): unknown {
  const names = Object.keys((schema as Plain).properties ?? {}).map(bareKey)
  if (!isObject(value)) return value
  const keys = Object.keys(value)
  const [only] = keys
  return keys.length === 1 && only !== undefined && !names.includes(bareKey(only)) && isObject(value[only]) && Object.keys(value[only]).some((key) => names.includes(bareKey(key))) ? value[only] : value
}
