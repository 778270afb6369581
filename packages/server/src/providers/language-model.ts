import { atPointer } from '@idolon/core'
import { fillModelBody, type Message, type ModelConnection, type ModelValues } from '@idolon/core/helper'
import { type Dispatcher, fetch, type Response } from 'undici'
import type { AllowedAddresses } from './allowed-addresses.ts'
import { boundedBody } from './bounded-body.ts'
import { eventsIn } from './server-sent-events.ts'
import { headersWith } from './api-key.ts'
import { ServiceFailure } from './service-failure.ts'

/** Longer than any answer that is looked at; what comes after is not read. */
const MAX_BYTES = 4_000_000
const MAX_TEXT = 150_000
const MAX_REASON = 300

export interface ModelAsking {
  connection: ModelConnection
  /** What stands for {apiKey} in headers. */
  apiKey: string | undefined
  messages: readonly Message[]
  /** Pictures that go with the first question, as data URLs. */
  pictures?: readonly string[]
  values: Omit<ModelValues, 'messages' | 'system' | 'user'>
  timeoutMs: number
  signal?: AbortSignal
  /** Hears the answer as it grows. */
  heard?: (text: string) => void
}
export interface ModelAnswer {
  text: string
  /** As the service counted them; undefined where it says nothing. */
  tokensIn?: number
  tokensOut?: number
}

/** An answer that broke off: what came of it is worth a look. */
export class BrokenOff extends ServiceFailure {
  override name = 'BrokenOff'
  constructor(
    reason: string,
    readonly text: string,
  ) {
    super(reason, { charged: 'perhaps', again: true })
  }
}

const oneLine = (said: unknown): string => (typeof said === 'string' ? said.replace(/\s+/g, ' ').trim().slice(0, MAX_REASON) : '')
const saidIn = (body: unknown, pointer: string | undefined): string => (pointer === undefined ? '' : oneLine(atPointer(body, pointer))) || oneLine(atPointer(body, '/error/message')) || oneLine(atPointer(body, '/detail')) || oneLine(atPointer(body, '/message')) || oneLine(atPointer(body, '/error'))

function refusal(status: number, said: string, retryAfter: string | null): ServiceFailure {
  const quoted = said ? ` It said: ${said}` : ''
  if ((status === 429 && /quota|credit|billing|balance/i.test(said)) || status === 402) return new ServiceFailure(`The model’s quota is used up.${quoted} Nothing was charged; choose another model, or see to it with whoever runs the service.`, { charged: 'no', again: false })
  if (status === 429 || status === 503) {
    const wait = Number(retryAfter)
    return new ServiceFailure(`The model is busy and asked to wait.${quoted}`, { charged: 'no', again: true, busy: true, ...(Number.isFinite(wait) && wait > 0 ? { waitSeconds: Math.min(wait, 30) } : {}) })
  }
  if (status >= 300 && status < 400) return new ServiceFailure(`The model sent the request elsewhere (status ${status}); Idolon does not follow. Give the new address in its profile.`, { charged: 'no', again: false })
  if (status >= 500) return new ServiceFailure(`The model failed (status ${status}).${quoted}`, { charged: 'no', again: true })
  if (status === 401 || status === 403) return new ServiceFailure(`The model refused the key (status ${status}). Give its key anew on the Engines page.${quoted}`, { charged: 'no', again: false })
  return new ServiceFailure(`The model refused the request (status ${status}).${quoted}`, { charged: 'no', again: false })
}

function failureOf(error: unknown, timeoutMs: number, text: string): ServiceFailure {
  if (error instanceof ServiceFailure) return error
  const { name, cause } = error as Error & { cause?: { code?: string; message?: string } }
  if (name === 'AbortError') return new BrokenOff('The asking was stopped.', text)
  if (cause?.code === 'NOT_ALLOWED') return new ServiceFailure(`Nothing was sent: ${cause.message ?? 'the address is not allowed'} Whoever runs this copy allows addresses in IDOLON_ENGINE_HOSTS.`, { charged: 'no', again: false })
  if (cause?.code === 'ECONNREFUSED' || cause?.code === 'ENOTFOUND') return new ServiceFailure('The model could not be reached. Is it running?', { charged: 'no', again: true })
  if (name === 'TimeoutError') return text ? new BrokenOff(`The model did not end its answer within ${Math.round(timeoutMs / 1000)} seconds.`, text) : new ServiceFailure(`The model gave no answer within ${Math.round(timeoutMs / 1000)} seconds.`, { charged: 'perhaps', again: true })
  return new BrokenOff(text ? 'The model’s answer broke off.' : 'The connection to the model was lost.', text)
}

/** Messages in the shape that services widely take; pictures go with the first question. */
const withPictures = (messages: readonly Message[], pictures: readonly string[]): unknown[] => {
  const first = messages.findIndex(({ role }) => role === 'user')
  return messages.map(({ role, content }, i) => (i === first && pictures.length ? { role, content: [{ type: 'text', text: content }, ...pictures.map((url) => ({ type: 'image_url', image_url: { url } }))] } : { role, content }))
}

/** Speaks to language models as their profiles say, and to no address that is not allowed. */
export class LanguageModels {
  constructor(private readonly allowed: AllowedAddresses) {}

  /** Asks for one answer, and lets it be heard as it grows where the service streams. @throws {ServiceFailure} */
  async ask(asking: ModelAsking): Promise<ModelAnswer> {
    const { connection, messages, timeoutMs } = asking
    const ends = AbortSignal.timeout(timeoutMs)
    const signal = asking.signal ? AbortSignal.any([ends, asking.signal]) : ends
    const texts = (role: Message['role']) => messages.filter((message) => message.role === role).map(({ content }) => content).join('\n\n')
    const body = fillModelBody(connection.body, { ...asking.values, messages: withPictures(messages, asking.pictures ?? []), system: texts('system'), user: messages.filter(({ role }) => role !== 'system').map(({ content }) => content).join('\n\n') })
    let text = ''
    try {
      const response = await fetch(this.allowed.demand(connection.url), { method: 'POST', headers: { 'content-type': 'application/json', ...headersWith(asking.apiKey, asking.connection, 'model') }, body: JSON.stringify(body), redirect: 'manual', signal, dispatcher: this.allowed.dispatcher as Dispatcher })
      if (!response.ok) await this.#refuse(response, connection)
      if (connection.streams && /event-stream/.test(response.headers.get('content-type') ?? '')) return await this.#stream(response, asking, (now) => (text = now))
      return this.#whole(await boundedBody(response, MAX_BYTES), asking)
    } catch (error) {
      throw failureOf(error, timeoutMs, text)
    }
  }

  async #refuse(response: Response, connection: ModelConnection): Promise<never> {
    const body = await boundedBody(response, 100_000).catch(() => Buffer.alloc(0))
    let said: unknown
    try {
      said = JSON.parse(body.toString('utf8'))
    } catch {
      said = undefined
    }
    throw refusal(response.status, saidIn(said, connection.answer.error), response.headers.get('retry-after'))
  }

  #whole(bytes: Buffer, { connection: { answer }, heard }: ModelAsking): ModelAnswer {
    let body: unknown
    try {
      body = JSON.parse(bytes.toString('utf8'))
    } catch {
      throw new ServiceFailure('The model’s service answered, but not in JSON.', { charged: 'perhaps', again: false })
    }
    const text = atPointer(body, answer.text)
    if (typeof text !== 'string') throw new ServiceFailure(`The model’s service answered, but there is no text at ${answer.text || 'its root'}.`, { charged: 'yes', again: false })
    heard?.(text.slice(0, MAX_TEXT))
    return { text: text.slice(0, MAX_TEXT), ...counted(body, answer) }
  }

  async #stream(response: Response, { connection: { answer }, heard }: ModelAsking, grown: (text: string) => void): Promise<ModelAnswer> {
    let text = ''
    let usage: Pick<ModelAnswer, 'tokensIn' | 'tokensOut'> = {}
    let ended = false
    const body = response.body as AsyncIterable<Uint8Array> | null
    for await (const data of eventsIn(body ?? (async function* () {})(), MAX_BYTES)) {
      if (data === '[DONE]') {
        ended = true
        continue
      }
      let event: unknown
      try {
        event = JSON.parse(data)
      } catch {
        continue
      }
      const failed = saidIn(atPointer(event, '/error') === undefined ? undefined : event, answer.error)
      if (failed) throw new BrokenOff(`The model broke off. It said: ${failed}`, text)
      const piece = atPointer(event, answer.piece ?? answer.text)
      if (typeof piece === 'string' && piece !== '') {
        text += piece
        grown(text)
        heard?.(text)
        // An answer without an end is not read to one.
        if (text.length > MAX_TEXT) return { text, ...usage }
      }
      if (typeof atPointer(event, '/choices/0/finish_reason') === 'string') ended = true
      usage = { ...usage, ...counted(event, answer) }
    }
    if (!ended && text === '') throw new BrokenOff('The connection to the model was lost.', '')
    return { text, ...usage }
  }
}

function counted(body: unknown, { tokensIn, tokensOut }: ModelConnection['answer']): Pick<ModelAnswer, 'tokensIn' | 'tokensOut'> {
  const number = (pointer: string | undefined) => {
    const value = pointer === undefined ? undefined : atPointer(body, pointer)
    return typeof value === 'number' && Number.isSafeInteger(value) && value >= 0 ? value : undefined
  }
  const [sent, came] = [number(tokensIn), number(tokensOut)]
  return { ...(sent === undefined ? {} : { tokensIn: sent }), ...(came === undefined ? {} : { tokensOut: came }) }
}
