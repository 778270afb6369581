import type { Static, TObject, TSchema } from '@sinclair/typebox'

export type Method = 'get' | 'post' | 'put' | 'patch' | 'delete'

/**
 * One operation of the API: everything both sides, and the OpenAPI document, know of it.
 * The type parameters are the values' types; the fields hold their schemas.
 */
export interface Route<Params = unknown, Query = unknown, Body = unknown, Answer = unknown> {
  /** The operationId. */
  id: string
  method: Method
  /** With `:name` for each path parameter. */
  path: string
  summary: string
  params: TObject | undefined
  query: TObject | undefined
  body: TSchema | undefined
  /** Undefined answers with 204 and no body. */
  answer: TSchema | undefined
  status: number
  /** For the compiler only; never set. */
  readonly types?: { params: Params; query: Query; body: Body; answer: Answer }
}

type Types<R extends Route> = NonNullable<R['types']>
export type ParamsOf<R extends Route> = Types<R>['params']
export type QueryOf<R extends Route> = Types<R>['query']
export type BodyOf<R extends Route> = Types<R>['body']
export type AnswerOf<R extends Route> = Types<R>['answer']

interface Given<P, Q, B, A> {
  id: string
  method: Method
  path: string
  summary: string
  params?: P
  query?: Q
  body?: B
  answer?: A
  status?: number
}
type Of<S> = S extends TSchema ? Static<S> : undefined

export function route<
  P extends TObject | undefined = undefined,
  Q extends TObject | undefined = undefined,
  B extends TSchema | undefined = undefined,
  A extends TSchema | undefined = undefined,
>(given: Given<P, Q, B, A>): Route<Of<P>, Of<Q>, Of<B>, Of<A>> {
  const { id, method, path, summary, params, query, body, answer } = given
  return { id, method, path, summary, params, query, body, answer, status: given.status ?? (answer ? 200 : 204) }
}
