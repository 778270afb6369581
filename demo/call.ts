import type { AnswerOf, BodyOf, ParamsOf, QueryOf, Route } from '@idolon/contract'

interface Given<R extends Route> {
  params?: ParamsOf<R>
  query?: QueryOf<R>
  body?: BodyOf<R>
}
export type Call = <R extends Route>(route: R, given?: Given<R>) => Promise<AnswerOf<R>>

/** Calls the API of an Idolon that runs. */
export const client =
  (address: string): Call =>
  async <R extends Route>(route: R, given: Given<R> = {}): Promise<AnswerOf<R>> => {
    const path = route.path.replace(/:(\w+)/g, (_, name: string) => (given.params as Record<string, string>)[name] ?? '')
    const search = new URLSearchParams((given.query ?? {}) as Record<string, string>)
    const response = await fetch(`${address}${path}?${search.toString()}`, {
      method: route.method.toUpperCase(),
      ...(given.body === undefined ? {} : { body: JSON.stringify(given.body), headers: { 'content-type': 'application/json' } }),
    })
    if (!response.ok) throw new Error(`The demo world could not be made: ${route.id} answered ${response.status} ${await response.text()}`)
    return (response.status === 204 ? undefined : await response.json()) as AnswerOf<R>
  }
