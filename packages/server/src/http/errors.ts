import type { Problem } from '@idolon/contract'
import type { ErrorRequestHandler } from 'express'
import { randomUUID } from 'node:crypto'
import type { Logger } from 'pino'
import { isDatabaseAway } from '../database/away.ts'
import { ProblemError } from './problem.ts'

const MAX_BODY_WORDS = '4 MB'

function asProblem(error: unknown): ProblemError {
  if (error instanceof ProblemError) return error
  const { type, status, code } = error as { type?: string; status?: number; code?: string }
  if (type === 'entity.too.large') return new ProblemError('too-large', `A request holds at most ${MAX_BODY_WORDS}, and a picture 60 MB. Nothing was changed.`)
  if (type === 'entity.parse.failed') return new ProblemError('invalid', 'The body is not JSON. Nothing was changed.')
  if (status !== undefined && status >= 400 && status < 500) return new ProblemError('invalid', 'The request could not be read. Nothing was changed.')
  // PostgreSQL's class 53: no room on the disk, no memory, too many connections.
  if (code !== undefined && /^53...$/.test(code)) return new ProblemError('unavailable', 'The database has no room left. What you wrote is kept in the browser; make room on the disk, and it is sent again by itself.')
  if (isDatabaseAway(error)) {
    return new ProblemError('unavailable', 'The database does not answer just now. What you wrote is kept in the browser and is sent again by itself.')
  }
  return new ProblemError('internal', 'The server could not do this. Nothing you wrote is lost. Try again.')
}

/** What a person cannot put right stands in the log, under a number that the message gives. */
function noted(error: unknown, problem: ProblemError, log: Logger): Problem {
  const document = problem.document()
  const refused = problem.problem === 'invalid' && document.errors
  if (!refused && (error === problem || document.status < 500)) return document
  const id = randomUUID().slice(0, 8)
  if (refused) log.warn({ id, errors: document.errors }, 'request refused')
  else log.error({ id, err: error }, 'request failed')
  return refused || problem.problem === 'internal' ? { ...document, detail: `${document.detail} If it happens again, look in the log for ${id}.`, id } : document
}

/** Answers every error as a problem document; what went wrong inside stays in the log. */
export const answerErrors =
  (log: Logger): ErrorRequestHandler =>
  (error, _request, response, next) => {
    if (response.headersSent) {
      next(error)
      return
    }
    const problem = noted(error, asProblem(error), log)
    response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem))
  }
