import type { AnswerOf, BodyOf, ParamsOf, QueryOf, Route } from '@idolon/contract'
import type { IRouter } from 'express'
import { type Actor, THE_WRITER } from '../actor.ts'
import { demand, departures } from './validators.ts'

export interface Asked<R extends Route> {
  params: ParamsOf<R>
  query: QueryOf<R>
  body: BodyOf<R>
  actor: Actor
}

/** Ties a handler to an operation of the contract: what comes in is validated, what goes out is typed. */
export type Register = <R extends Route>(route: R, handle: (asked: Asked<R>) => Promise<AnswerOf<R>>) => void

export function registrar(router: IRouter, checkAnswers: boolean): Register {
  return (route, handle) => {
    router[route.method](route.path, async (request, response) => {
      const params: unknown = { ...request.params }
      const query: unknown = { ...request.query }
      const body = request.body as unknown
      if (route.params) demand(route.params, params, 'path', true)
      demand(route.query ?? { type: 'object', additionalProperties: false }, query, 'query', true)
      if (route.body) demand(route.body, body, 'body')
      const answer = await handle({ params, query, body, actor: THE_WRITER })
      if (route.answer === undefined) {
        response.status(route.status).end()
        return
      }
      if (checkAnswers) {
        const wrong = departures(route.answer, JSON.parse(JSON.stringify(answer)))
        if (wrong.length) throw new Error(`${route.id} breaks its contract: ${wrong.slice(0, 5).join('; ')}`)
      }
      response.status(route.status).json(answer)
    })
  }
}
