import { deleteImport, previewImport, readImport, startImport } from '@idolon/contract'
import { type Encoding, ENCODINGS } from '@idolon/core'
import type { IRouter } from 'express'
import { THE_WRITER } from '../actor.ts'
import { ProblemError } from '../http/problem.ts'
import type { Register } from '../http/register.ts'
import type { Imports } from './service.ts'

const LONGEST_NAME = 200

/** A file comes in as the body, as it is. */
export function takeFileRoute(router: IRouter, imports: Imports): void {
  router.post('/api/imports', async (request, response) => {
    const { name, encoding } = request.query
    if (encoding !== undefined && !ENCODINGS.includes(encoding as Encoding)) throw new ProblemError('invalid', `The encoding is one of ${ENCODINGS.join(', ')}.`)
    const called = typeof name === 'string' ? name.replaceAll('\0', '').slice(-LONGEST_NAME) : ''
    response.status(201).json(await imports.take(THE_WRITER, called || 'prompts.txt', request, (encoding as Encoding | undefined) ?? null))
  })
}

export function importRoutes(on: Register, imports: Imports): void {
  on(readImport, ({ params }) => imports.read(params.import))
  on(previewImport, ({ params, body }) => imports.preview(params.import, body.mapping))
  on(startImport, ({ actor, params, body }) => imports.start(actor, params.import, body))
  on(deleteImport, async ({ actor, params }) => {
    await imports.remove(actor, params.import)
    return undefined
  })
}
