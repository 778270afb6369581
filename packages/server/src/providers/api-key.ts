import { API_KEY, takesApiKey } from '@idolon/core'
import { ServiceFailure } from './service-failure.ts'

/**
 * The headers of a service with its API key in them.
 * @throws ServiceFailure where a header has a place for an API key and none is kept.
 */
export function headersWith(apiKey: string | undefined, connection: { headers?: Record<string, string> }, service: 'engine' | 'model'): Record<string, string> {
  if (takesApiKey(connection) && apiKey === undefined) throw new ServiceFailure(`The ${service} needs an API key, and none is saved for it. Nothing was sent and nothing was charged. Give it on the Engines page.`, { charged: 'no', again: false })
  return Object.fromEntries(Object.entries(connection.headers ?? {}).map(([name, value]) => [name, value.replaceAll(API_KEY, apiKey ?? '')]))
}
