import type { ErrorRequestHandler } from 'express'
import type { Logger } from 'pino'
import { isDatabaseAway } from '../database/away.ts'
import { ProblemError } from './problem.ts'

const MAX_BODY_WORDS = '4 MB'

function asProblem(error: unknown, log: Logger): ProblemError {
  if (error instanceof ProblemError) return error
  const { type, status, code } = error as { type?: string; status?: number; code?: string }
  if (type === 'entity.too.large') return new ProblemError('too-large', `A request holds at most ${MAX_BODY_WORDS}, and a picture 60 MB. Nothing was changed.`)
  if (type === 'entity.parse.failed') return new ProblemError('invalid', 'The body is not JSON. Nothing was changed.')
  if (status !== undefined && status >= 400 && status < 500) return new ProblemError('invalid', 'The request could not be read. Nothing was changed.')
  log.error({ err: error }, 'request failed')
  // PostgreSQL's class 53: no room on the disk, no memory, too many connections.
  if (code !== undefined && /^53...$/.test(code)) return new ProblemError('unavailable', 'The database has no room left. What you wrote is kept in the browser; make room on the disk, and it is sent again by itself.')
  if (isDatabaseAway(error)) {
    return new ProblemError('unavailable', 'The database does not answer just now. What you wrote is kept in the browser and is sent again by itself.')
  }
  return new ProblemError('internal', 'The server could not do this. Nothing you wrote is lost; try again, and look at the log if it happens again.')
}

/** Answers every error as a problem document; what went wrong inside stays in the log. */
export const answerErrors =
  (log: Logger): ErrorRequestHandler =>
  (error, _request, response, next) => {
    if (response.headersSent) {
      next(error)
      return
    }
    const problem = asProblem(error, log).document()
    response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem))
  }
