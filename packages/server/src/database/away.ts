/** PostgreSQL going down or not letting in, and a connection that is refused or cut. */
const CODES = /^(?:ECONNREFUSED|ECONNRESET|57P0[1-3]|08...)$/
/** A connection that is cut while it is used has no code; the driver says it in words. */
const WORDS = /Connection terminated|connection error and is not queryable|Unable to acquire a connection/i

/** Whether an error says that the database cannot be reached just now. */
export const isDatabaseAway = (error: unknown): boolean => {
  const { code, message, name } = error as Error & { code?: string }
  return CODES.test(code ?? '') || WORDS.test(message) || name === 'KnexTimeoutError'
}
