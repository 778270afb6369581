import type { Express, Response } from 'express'
import express from 'express'
import { setTimeout as sleep } from 'node:timers/promises'
import { wrongIn } from '../request.ts'
import { answerTo } from './answer.ts'
import { MODELS } from './habits.ts'
import { SAID_WRONGLY } from './misbehave.ts'
import { type ChatRequest, contentOf, type LanguageSettings, type Misbehaviour, MISBEHAVIOURS } from './request.ts'

/** About four characters a token, as such services count. */
const tokensOf = (text: string) => Math.ceil(text.length / 4)
/** Words that go out in one piece of a stream. */
const WORDS_A_PIECE = 4

const refuse = (response: Response, status: number, type: string, message: string) => response.status(status).json({ error: { type, message } })

/** What is refused before anything is written. */
const REFUSALS: Partial<Record<Misbehaviour, (response: Response) => unknown>> = {
  busy: (response) => refuse(response.set('retry-after', '1'), 429, 'rate_limit', 'Too many requests; come back in a second.'),
  fails: (response) => refuse(response, 500, 'server_error', 'The model failed.'),
  'refuses-key': (response) => refuse(response, 401, 'invalid_key', 'The key is not known here.'),
  'no-quota': (response) => refuse(response, 429, 'insufficient_quota', 'Your quota is used up; nothing is left this month.'),
}

/** The simulated language models: chat completions in the shape that services widely take. */
export function createLanguageStandin(first: { delayMs?: number } = {}): Express {
  const settings = { delayMs: first.delayMs ?? 0, misbehaviour: 'none' as Misbehaviour, times: 0, gullible: false }
  const usage = { requests: 0, tokensIn: 0, tokensOut: 0 }
  const app = express()
  app.disable('x-powered-by')
  app.use(express.json({ limit: '64mb' }))
  app.get('/v1/usage', (_request, response) => {
    response.json(usage)
  })
  app.put('/v1/standin', (request, response) => {
    const wrong = wrongIn('LanguageSettings', request.body)
    if (wrong) {
      refuse(response, 400, 'invalid_request', wrong)
      return
    }
    const { delayMs, misbehaviour, times, gullible } = request.body as LanguageSettings
    if (delayMs !== undefined) settings.delayMs = delayMs
    if (gullible !== undefined) settings.gullible = gullible
    if (misbehaviour !== undefined) Object.assign(settings, { misbehaviour, times: times ?? Infinity })
    response.json({ delayMs: settings.delayMs, misbehaviour: settings.misbehaviour, gullible: settings.gullible })
  })
  app.post('/v1/chat/completions', async (request, response) => {
    usage.requests++
    const wrong = wrongIn('ChatRequest', request.body)
    if (wrong) {
      refuse(response, 400, 'invalid_request', wrong)
      return
    }
    const asked = request.body as ChatRequest
    if (!MODELS[asked.model]) {
      refuse(response, 404, 'unknown_model', `There is no model ${asked.model} here.`)
      return
    }
    let how = settings.times > 0 ? settings.misbehaviour : 'none'
    if (how !== 'none') settings.times--
    const header = request.get('x-misbehave')
    if (header && MISBEHAVIOURS.includes(header as Misbehaviour)) how = header as Misbehaviour
    const refusal = REFUSALS[how]
    if (refusal) {
      refusal(response)
      return
    }
    if (how === 'hangs') await sleep(600_000, undefined, { ref: false })
    if (how === 'waits') await sleep(3_000)
    const answer = await answerTo(asked, { gullible: settings.gullible, authorization: request.get('authorization') ?? '' })
    const text = SAID_WRONGLY[how]?.(answer) ?? answer
    const tokensIn = asked.messages.reduce((sum, { content }) => sum + tokensOf(contentOf(content).text) + 4, 0)
    const counted = { prompt_tokens: tokensIn, completion_tokens: tokensOf(text) }
    usage.tokensIn += tokensIn
    usage.tokensOut += counted.completion_tokens
    const id = `answer-${usage.requests}`
    if (!asked.stream) {
      if (settings.delayMs) await sleep(settings.delayMs)
      response.json({ id, object: 'chat.completion', model: asked.model, simulated: true, choices: [{ index: 0, message: { role: 'assistant', content: text }, finish_reason: 'stop' }], usage: counted })
      return
    }
    response.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' })
    const say = (data: unknown) => response.write(`data: ${typeof data === 'string' ? data : JSON.stringify(data)}\n\n`)
    const piece = (delta: object, finish: string | null = null) => say({ id, object: 'chat.completion.chunk', model: asked.model, simulated: true, choices: [{ index: 0, delta, finish_reason: finish }] })
    piece({ role: 'assistant' })
    const pieces = text.match(new RegExp(`(?:\\S*\\s*){1,${WORDS_A_PIECE}}`, 'g'))?.filter(Boolean) ?? []
    for (const [i, content] of pieces.entries()) {
      if (response.destroyed) return
      if (how === 'drops' && i >= pieces.length / 2) {
        // What is written has gone out by then.
        await sleep(30)
        response.destroy()
        return
      }
      piece({ content })
      if (settings.delayMs) await sleep(settings.delayMs)
    }
    piece({}, 'stop')
    if (asked.stream_options?.include_usage) say({ id, object: 'chat.completion.chunk', model: asked.model, choices: [], usage: counted })
    say('[DONE]')
    response.end()
  })
  return app
}
