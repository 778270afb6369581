import type { Output } from '@idolon/core'
import { Type, type Static } from '@sinclair/typebox'
import { departures } from '../http/validators.ts'
import { boundedBody } from './bounded-body.ts'
import { EngineFailure } from './engine-failure.ts'

/** A 4096 x 4096 PNG as base64 stays below this. */
const MAX_ANSWER_BYTES = 96_000_000
const MAX_REASON = 300

const Answer = Type.Object({
  pictures: Type.Array(Type.Object({ png: Type.String({ minLength: 1 }), seed: Type.Optional(Type.Integer()) }), { minItems: 1 }),
})

export interface PictureRequest {
  address: string
  engine: string
  revision: string
  output: Output
  seed: number
  /** The same for every repeat of one asking. */
  key: string
  timeoutMs: number
}

const failureText = (body: Buffer): string => {
  try {
    const { detail, title } = JSON.parse(body.toString('utf8')) as { detail?: unknown; title?: unknown }
    const said = typeof detail === 'string' ? detail : typeof title === 'string' ? title : ''
    return said.replace(/\s+/g, ' ').slice(0, MAX_REASON)
  } catch {
    return ''
  }
}

function refusal(status: number, body: Buffer, retryAfter: string | null): EngineFailure {
  const said = failureText(body)
  const quoted = said ? ` It said: ${said}` : ''
  if (status === 429 || status === 503) {
    const wait = Number(retryAfter)
    return new EngineFailure(`The engine is busy and asked to wait.${quoted}`, {
      charged: 'no',
      again: true,
      ...(Number.isFinite(wait) && wait > 0 ? { waitSeconds: Math.min(wait, 30) } : {}),
    })
  }
  if (status >= 500) return new EngineFailure(`The engine failed (status ${status}).${quoted}`, { charged: 'no', again: true })
  return new EngineFailure(`The engine refused the request (status ${status}).${quoted}`, { charged: 'no', again: false })
}

const wrongAnswer = (what: string) => new EngineFailure(`The engine answered, but ${what}.`, { charged: 'yes', again: false })

/** Asks an engine for one picture. Its bytes are as the engine sent them: not yet known to be a picture. */
export async function askForPicture(request: PictureRequest): Promise<{ bytes: Buffer; seed: number }> {
  const { output } = request
  const { width, height, aspectRatio: _ratio, count: _count, seed: _seed, ...settings } = output.settings
  let response: Response
  let body: Buffer
  let reached = false
  try {
    response = await fetch(`${request.address}/v1/pictures`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'idempotency-key': request.key },
      body: JSON.stringify({
        engine: request.engine,
        revision: request.revision,
        prompt: output.text,
        leaveOut: output.leaveOut,
        width,
        height,
        count: 1,
        seed: request.seed,
        settings,
      }),
      redirect: 'error',
      signal: AbortSignal.timeout(request.timeoutMs),
    })
    reached = true
    body = await boundedBody(response, MAX_ANSWER_BYTES)
  } catch (error) {
    if (error instanceof EngineFailure) throw error
    if ((error as Error).name === 'TimeoutError') {
      throw new EngineFailure(`The engine gave no answer within ${Math.round(request.timeoutMs / 1000)} seconds.`, { charged: 'perhaps', again: true })
    }
    const { code } = ((error as Error).cause ?? {}) as { code?: string }
    if (code === 'ECONNREFUSED' || code === 'ENOTFOUND') {
      throw new EngineFailure('The engine could not be reached. Is it running?', { charged: 'no', again: true })
    }
    throw new EngineFailure(reached ? 'The engine’s answer was cut off.' : 'The connection to the engine was lost.', { charged: 'perhaps', again: true })
  }
  if (!response.ok) throw refusal(response.status, body, response.headers.get('retry-after'))
  let answer: unknown
  try {
    answer = JSON.parse(body.toString('utf8'))
  } catch {
    throw wrongAnswer('not in JSON')
  }
  const wrong = departures(Answer, answer)
  if (wrong.length) throw wrongAnswer(`not in the shape agreed (${wrong[0]?.trim() ?? ''})`)
  const [picture] = (answer as Static<typeof Answer>).pictures
  return { bytes: Buffer.from(picture?.png ?? '', 'base64'), seed: picture?.seed ?? request.seed }
}
