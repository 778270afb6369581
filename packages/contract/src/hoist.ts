/**
 * Moves every schema that has a title into `shared`, once, and refers to it there
 * by what `refTo` makes of its title. The schema given is not changed.
 */
export function hoist(value: unknown, shared: Record<string, unknown>, refTo: (title: string) => string): unknown {
  if (Array.isArray(value)) return value.map((item) => hoist(item, shared, refTo))
  if (typeof value !== 'object' || value === null) return value
  const { title, ...rest } = value as Record<string, unknown>
  const plain = () => Object.fromEntries(Object.entries(rest).map(([key, item]) => [key, hoist(item, shared, refTo)]))
  // A property may be called title, too; then it is a schema and stays where it is.
  if (typeof title !== 'string') return title === undefined ? plain() : { title: hoist(title, shared, refTo), ...plain() }
  shared[title] ??= plain()
  return { $ref: refTo(title) }
}
