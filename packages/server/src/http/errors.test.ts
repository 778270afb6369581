import type { Problem } from '@idolon/contract'
import type { Request, Response } from 'express'
import type { Logger } from 'pino'
import { describe, expect, it, vi } from 'vitest'
import { answerErrors } from './errors.ts'
import { ProblemError } from './problem.ts'
import { demand } from './validators.ts'

/** What is answered to an error, and what the log says of it. */
function answered(error: unknown, headersSent = false) {
  const log = { warn: vi.fn(), error: vi.fn() }
  const sent: { status?: number; type?: string; body?: string } = {}
  const response = { headersSent, status: (status: number) => ((sent.status = status), response), type: (type: string) => ((sent.type = type), response), send: (body: string) => ((sent.body = body), response) }
  const next = vi.fn()
  answerErrors(log as unknown as Logger)(error, {} as Request, response as unknown as Response, next)
  return { ...sent, problem: sent.body === undefined ? undefined : (JSON.parse(sent.body) as Problem), log, next }
}
const thrown = (work: () => void): unknown => {
  try {
    work()
  } catch (error) {
    return error
  }
  return undefined
}

describe('what is answered to an error', () => {
  it('is the sentence of one that a person can put right, and nothing in the log', () => {
    const { status, type, problem, log } = answered(new ProblemError('name-taken', 'There is a project of that name. Nothing was made.'))
    expect([status, type, problem]).toEqual([409, 'application/problem+json', { type: '/problems/name-taken', title: 'The name is taken', status: 409, detail: 'There is a project of that name. Nothing was made.' }])
    expect([log.warn.mock.calls, log.error.mock.calls]).toEqual([[], []])
  })

  it.each([
    ['body', 'What was sent is not what Idolon takes here.'],
    ['query', 'This address is not what Idolon takes here.'],
    ['path', 'This address is not what Idolon takes here.'],
  ] as const)('of a %s that does not fit is a sentence and a number; its places stand in the log under it', (where, says) => {
    const { problem, log } = answered(thrown(() => demand({ type: 'object', required: ['name'], properties: { name: { type: 'string', pattern: '^[a-z]+$' } } }, { name: '9' }, where)))
    expect(problem!.id).toMatch(/^[0-9a-f]{8}$/)
    expect(problem!.detail).toBe(`${says} Nothing was changed. Reload the page and try again. If it happens again, look in the log for ${problem!.id}.`)
    expect(problem!.errors).toEqual([{ where: `${where}/name`, message: expect.stringContaining('pattern') as string }])
    expect(log.warn.mock.calls).toEqual([[{ id: problem!.id, errors: problem!.errors }, 'request refused']])
  })

  it('keeps the places that a service names in its own sentence as they are', () => {
    const errors = [{ where: '/body/sizes/0', message: '512 by 512 pixels is not 3:2.' }]
    const { problem, log } = answered(new ProblemError('profile-contradicts', 'A size is not its ratio. Nothing was saved.', { errors }))
    expect([problem!.detail, problem!.errors, problem!.id, log.warn.mock.calls]).toEqual(['A size is not its ratio. Nothing was saved.', errors, undefined, []])
  })

  it('says nothing of what went wrong inside but a number, under which the log has all of it', () => {
    const error = new TypeError('x is not a function')
    const { status, problem, log } = answered(error)
    expect([status, problem!.detail]).toEqual([500, `The server could not do this. Nothing you wrote is lost. Try again. If it happens again, look in the log for ${problem!.id}.`])
    expect(log.error.mock.calls).toEqual([[{ id: problem!.id, err: error }, 'request failed']])
    expect(JSON.stringify(problem)).not.toContain('not a function')
  })

  it.each([
    [{ type: 'entity.too.large' }, 413, /holds at most 4 MB.*Nothing was changed/],
    [{ type: 'entity.parse.failed' }, 400, /not JSON.*Nothing was changed/],
    [{ status: 415 }, 400, /could not be read.*Nothing was changed/],
  ])('of a request that could not be read (%j) says so, and needs no log', (error, status, says) => {
    const answer = answered(error)
    expect([answer.status, answer.problem!.detail, answer.log.error.mock.calls]).toEqual([status, expect.stringMatching(says), []])
  })

  it.each([
    [{ code: '53100' }, /no room left.*sent again by itself/],
    [Object.assign(new Error('connect ECONNREFUSED'), { code: 'ECONNREFUSED' }), /does not answer just now.*sent again by itself/],
  ])('while the database cannot take it (%j) says what becomes of it, and the log why', (error, says) => {
    const { status, problem, log } = answered(error)
    expect([status, problem!.detail, problem!.id, log.error.mock.calls.length]).toEqual([503, expect.stringMatching(says), undefined, 1])
  })

  it('is nothing once an answer has begun: the connection ends instead', () => {
    const error = new Error('late')
    const { body, next } = answered(error, true)
    expect([body, next.mock.calls]).toEqual([undefined, [[error]]])
  })
})
