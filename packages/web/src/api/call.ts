import type { AnswerOf, BodyOf, ParamsOf, QueryOf, Route } from '@idolon/contract'
import { ApiProblem, refusalOf } from './problem.ts'
import { checkOf, demandShape } from './shapes.ts'

type Given<R extends Route> = (ParamsOf<R> extends undefined ? object : { params: ParamsOf<R> }) &
  (BodyOf<R> extends undefined ? object : { body: BodyOf<R> }) & { query?: QueryOf<R>; signal?: AbortSignal; keepalive?: boolean }

const UNREACHABLE = 'The server does not answer. What you write is kept in this browser and is sent as soon as it does.'

function addressOf(route: Route, params: unknown, query: unknown): string {
  const path = route.path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent((params as Record<string, string>)[name] ?? ''))
  const search = new URLSearchParams()
  for (const [name, value] of Object.entries((query ?? {}) as Record<string, string | number | boolean | undefined>)) if (value !== undefined && value !== '') search.set(name, String(value))
  const text = search.toString()
  return text ? `${path}?${text}` : path
}

/** Calls an operation of the contract; what comes back is checked before it is believed. */
export async function call<R extends Route>(route: R, given: Given<R>): Promise<AnswerOf<R>> {
  const { params, query, body, signal, keepalive } = given as { params?: unknown; query?: unknown; body?: unknown; signal?: AbortSignal; keepalive?: boolean }
  // Its check is fetched beside the answer.
  if (route.answer) void checkOf(route.id).catch(() => undefined)
  let response: Response
  try {
    response = await fetch(addressOf(route, params, query), {
      method: route.method.toUpperCase(),
      ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
      ...(signal ? { signal } : {}),
      ...(keepalive ? { keepalive } : {}),
    })
  } catch (error) {
    if ((error as Error).name === 'AbortError') throw error
    throw new ApiProblem('unreachable', UNREACHABLE)
  }
  if (response.status === 204) return undefined
  const answer: unknown = await response.json().catch(() => undefined)
  if (!response.ok) throw refusalOf(answer, UNREACHABLE)
  await demandShape(route.id, answer)
  return answer
}
