import { atPointer, type Connection, fillTemplate, type RequestValues } from '@idolon/core'
import { setTimeout as sleep } from 'node:timers/promises'
import { type Dispatcher, fetch, type Response } from 'undici'
import type { AllowedAddresses } from './allowed-addresses.ts'
import { boundedBody } from './bounded-body.ts'
import { headersWith } from './api-key.ts'
import { ServiceFailure } from './service-failure.ts'

/** A 4096 x 4096 PNG as base64 stays below this. */
const MAX_ANSWER_BYTES = 96_000_000
const MAX_REASON = 300
const MAX_REDIRECTS = 3

export interface Asking {
  connection: Connection
  /** What stands for {apiKey} in headers. */
  apiKey: string | undefined
  values: RequestValues
  seed: number
  /** The same for every repeat of one asking. */
  key: string
  timeoutMs: number
  /** Stops the asking, and tells the service where it can be told. */
  signal?: AbortSignal
}
export interface Picture {
  bytes: Buffer
  seed: number
  /** What the service says it cost, in whole units; undefined where it says nothing. */
  cost?: number
}

const oneLine = (said: unknown): string => (typeof said === 'string' ? said.replace(/\s+/g, ' ').trim().slice(0, MAX_REASON) : '')

function saidIn(body: unknown, pointer: string | undefined): string {
  const own = pointer === undefined ? '' : oneLine(atPointer(body, pointer))
  return own || oneLine(atPointer(body, '/detail')) || oneLine(atPointer(body, '/title')) || oneLine(atPointer(body, '/message')) || oneLine(atPointer(body, '/error/message')) || oneLine(atPointer(body, '/error'))
}

function refusal(status: number, said: string, retryAfter: string | null): ServiceFailure {
  const quoted = said ? ` It said: ${said}` : ''
  if (status === 429 || status === 503) {
    const wait = Number(retryAfter)
    return new ServiceFailure(`The engine is busy and asked to wait.${quoted}`, { charged: 'no', again: true, busy: true, ...(Number.isFinite(wait) && wait > 0 ? { waitSeconds: Math.min(wait, 30) } : {}) })
  }
  if (status >= 300 && status < 400) return new ServiceFailure(`The engine sent the request elsewhere (status ${status}); Idolon does not follow. Give the new address in its profile.`, { charged: 'no', again: false })
  if (status >= 500) return new ServiceFailure(`The engine failed (status ${status}).${quoted}`, { charged: 'no', again: true })
  if (status === 401 || status === 403) return new ServiceFailure(`The engine refused the request (status ${status}); look at its API key on the Engines page.${quoted}`, { charged: 'no', again: false })
  return new ServiceFailure(`The engine refused the request (status ${status}).${quoted}`, { charged: 'no', again: false })
}
const wrongAnswer = (what: string) => new ServiceFailure(`The engine answered, but ${what}.`, { charged: 'yes', again: false })

/** What a failed exchange means for whoever waits for its picture. */
function failureOf(error: unknown, reached: boolean, timeoutMs: number): ServiceFailure {
  if (error instanceof ServiceFailure) return error
  const { name, cause } = error as Error & { cause?: { code?: string; message?: string } }
  if (name === 'TimeoutError') return new ServiceFailure(`The engine gave no answer within ${Math.round(timeoutMs / 1000)} seconds.`, { charged: 'perhaps', again: true })
  if (name === 'AbortError') return new ServiceFailure('The asking was stopped.', { charged: 'perhaps', again: false })
  if (cause?.code === 'NOT_ALLOWED') return new ServiceFailure(`Nothing was sent: ${cause.message ?? 'the address is not allowed'} Whoever runs this copy allows addresses in IDOLON_ENGINE_HOSTS.`, { charged: 'no', again: false })
  if (cause?.code === 'ECONNREFUSED' || cause?.code === 'ENOTFOUND') return new ServiceFailure('The engine could not be reached. Is it running?', { charged: 'no', again: true })
  return new ServiceFailure(reached ? 'The engine’s answer was cut off.' : 'The connection to the engine was lost.', { charged: 'perhaps', again: true })
}

/** Speaks to picture services as their profiles say, and to no address that is not allowed. */
export class PictureEngines {
  constructor(private readonly allowed: AllowedAddresses) {}

  /**
   * Asks for one picture; waits for it where the service takes requests and makes them later. The bytes are as they were
   * sent: not yet known to be a picture.
   * @throws {ServiceFailure} that says whether it may have been charged and whether to ask once more.
   */
  async ask(asking: Asking): Promise<Picture> {
    const { connection, values, key } = asking
    const ends = AbortSignal.timeout(asking.timeoutMs)
    const signal = asking.signal ? AbortSignal.any([ends, asking.signal]) : ends
    const headers = headersWith(asking.apiKey, asking.connection, 'engine')
    const first = await this.#json(connection.url, { method: 'POST', headers: { 'content-type': 'application/json', ...(connection.keyHeader ? { [connection.keyHeader]: key } : {}), ...headers }, body: JSON.stringify(fillTemplate(connection.body, { ...values, key })) }, signal, asking)
    const answer = connection.poll ? await this.#await(first, connection.poll, headers, signal, asking) : first
    return this.#pictureIn(answer, signal, asking)
  }

  /** What would be sent, for a look at it before: the API key is never part of it. */
  preview({ connection, values }: Pick<Asking, 'connection' | 'values'>): { url: string; headers: Record<string, string>; body: unknown } {
    return { url: connection.url, headers: { 'content-type': 'application/json', ...(connection.keyHeader ? { [connection.keyHeader]: typeof values.key === 'string' ? values.key : '' } : {}), ...connection.headers }, body: fillTemplate(connection.body, values) }
  }

  async #fetch(address: string, init: { method: string; headers?: Record<string, string>; body?: string }, signal: AbortSignal): Promise<Response> {
    const url = this.allowed.demand(address)
    return fetch(url, { ...init, redirect: 'manual', signal, dispatcher: this.allowed.dispatcher as Dispatcher })
  }

  async #json(address: string, init: { method: string; headers: Record<string, string>; body?: string }, signal: AbortSignal, asking: Asking): Promise<unknown> {
    let response: Response
    let body: Buffer
    let reached = false
    try {
      response = await this.#fetch(address, init, signal)
      reached = true
      body = await boundedBody(response, MAX_ANSWER_BYTES)
    } catch (error) {
      throw failureOf(error, reached, asking.timeoutMs)
    }
    let answer: unknown
    try {
      answer = JSON.parse(body.toString('utf8'))
    } catch {
      if (response.ok) throw wrongAnswer('not in JSON')
    }
    if (!response.ok) throw refusal(response.status, saidIn(answer, asking.connection.answer.error), response.headers.get('retry-after'))
    return answer
  }

  /** Asks after a request until it is done. Stopped by the signal, it tells the service so. */
  async #await(first: unknown, poll: NonNullable<Connection['poll']>, headers: Record<string, string>, signal: AbortSignal, asking: Asking): Promise<unknown> {
    const id = atPointer(first, poll.id)
    if (typeof id !== 'string' && typeof id !== 'number') throw wrongAnswer(`there is no id at ${poll.id}`)
    const withId = (address: string) => address.replaceAll('{id}', encodeURIComponent(String(id)))
    try {
      for (;;) {
        await sleep(poll.everyMs, undefined, { signal })
        const now = await this.#json(withId(poll.url), { method: 'GET', headers }, signal, asking).catch((error: unknown) => {
          // A look that failed is no picture that failed; the next one may go through.
          if (error instanceof ServiceFailure && error.more.again && !signal.aborted) return undefined
          throw error
        })
        if (now === undefined) continue
        const state = String(atPointer(now, poll.state))
        if (poll.done.includes(state)) return now
        if (poll.failed.includes(state)) {
          const said = saidIn(now, asking.connection.answer.error)
          throw new ServiceFailure(`The engine gave up (${state}).${said ? ` It said: ${said}` : ''}`, { charged: 'perhaps', again: false })
        }
      }
    } catch (error) {
      const { cancel } = asking.connection
      if (signal.aborted && cancel) await this.#fetch(withId(cancel.url), { method: cancel.method, headers }, AbortSignal.timeout(5_000)).then((response) => response.body?.cancel(), () => undefined)
      if (signal.aborted) throw failureOf(signal.reason, true, asking.timeoutMs)
      throw failureOf(error, true, asking.timeoutMs)
    }
  }

  async #pictureIn(answer: unknown, signal: AbortSignal, asking: Asking): Promise<Picture> {
    const { picture, seed, cost } = asking.connection.answer
    const found = atPointer(answer, picture.at)
    if (typeof found !== 'string' || found === '') throw wrongAnswer(`there is no picture at ${picture.at || 'its root'}`)
    const bytes = picture.as === 'base64' ? Buffer.from(found.replace(/^data:[^,]{0,80},/, ''), 'base64') : await this.#download(found, signal, asking)
    const said = seed === undefined ? undefined : atPointer(answer, seed)
    const price = cost === undefined ? undefined : Number(atPointer(answer, cost))
    return { bytes, seed: typeof said === 'number' && Number.isSafeInteger(said) ? said : asking.seed, ...(price !== undefined && Number.isFinite(price) && price >= 0 ? { cost: Math.ceil(price) } : {}) }
  }

  /** A picture from an address the service named. Each step of a redirect must be allowed; the API key does not go along. */
  async #download(address: string, signal: AbortSignal, asking: Asking): Promise<Buffer> {
    let next = new URL(address, asking.connection.url).href
    try {
      for (let step = 0; step <= MAX_REDIRECTS; step++) {
        const response = await this.#fetch(next, { method: 'GET' }, signal)
        const location = response.headers.get('location')
        if (response.status >= 300 && response.status < 400 && location) {
          await response.body?.cancel()
          next = new URL(location, next).href
          continue
        }
        if (!response.ok) throw wrongAnswer(`its picture could not be fetched (status ${response.status})`)
        return await boundedBody(response, MAX_ANSWER_BYTES)
      }
    } catch (error) {
      const failure = failureOf(error, true, asking.timeoutMs)
      // The picture is made and paid for by now.
      throw new ServiceFailure(failure.reason, { ...failure.more, charged: 'yes' })
    }
    throw wrongAnswer('its picture lies behind too many redirects')
  }
}
