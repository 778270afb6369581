import express, { type Express, type Response } from 'express'
import { setTimeout as sleep } from 'node:timers/promises'
import sharp from 'sharp'
import { readRequest } from './engines/read.ts'
import { guidedBy } from './engines/references.ts'
import { type Traits, traitsOf } from './engines/traits.ts'
import { makePicture } from './picture.ts'
import { xmpPacket } from './png/xmp.ts'
import { FAULTS, type PictureRequest, type StandinSettings, wrongIn } from './request.ts'

type Fault = (typeof FAULTS)[number]

/** How many answers are remembered by their idempotency key. */
const REMEMBERED = 500

interface Answer {
  engine: string
  revision: string
  simulated: true
  pictures: { png: string; seed: number; width: number; height: number }[]
  /** What the engine could not do as asked. */
  notes: string[]
  /** For tests only: what was drawn. The application never reads it. */
  testOnly: unknown
}

async function makePictures(request: PictureRequest, traits: Traits): Promise<Answer> {
  const { width, height, engine, revision, prompt } = request
  const pictures = []
  const drawn: unknown[] = []
  const notes = new Set<string>()
  for (let i = 0; i < (request.count ?? 1); i++) {
    const seed = request.seed + i
    const reading = readRequest(request, traits, seed)
    const guided = await guidedBy(reading.scene, request)
    const { png, drawn: record } = await makePicture(guided, seed, width, height, xmpPacket({ engine, revision, prompt, seed }), { spread: reading.settings.spread, finish: reading.settings.finish })
    pictures.push({ png: png.toString('base64'), seed, width, height })
    drawn.push({ scene: { ...guided.scene, drawn: record }, faults: reading.faults })
    for (const note of reading.notes) notes.add(note)
  }
  return { engine, revision, simulated: true, pictures, notes: [...notes], testOnly: { drawn } }
}

const problem = (response: Response, status: number, title: string, detail: string) =>
  response.status(status).type('application/problem+json').send(JSON.stringify({ type: 'about:blank', title, status, detail }))

/** Answers wrongly on purpose. */
async function misbehave(fault: Exclude<Fault, 'none'>, response: Response, answer: () => Promise<Answer>): Promise<void> {
  switch (fault) {
    case 'fail':
      problem(response, 500, 'Internal error', 'The drawing failed.')
      return
    case 'busy':
      response.set('retry-after', '1')
      problem(response, 429, 'Too many requests', 'Come back in a second.')
      return
    case 'refuse':
      problem(response, 422, 'Refused', 'The request goes against what this service allows to be drawn.')
      return
    case 'wrong-type':
      response.type('text/plain').send('The picture is being made.')
      return
    case 'wrong-size': {
      const whole = await answer()
      const small = await sharp(Buffer.from(whole.pictures[0]?.png ?? '', 'base64')).resize(64, 64).png().toBuffer()
      response.json({ ...whole, pictures: [{ ...whole.pictures[0], png: small.toString('base64') }] })
      return
    }
    case 'wrong-count':
      response.json({ ...(await answer()), pictures: [] })
      return
    case 'drop':
      response.destroy()
      return
    case 'not-a-picture':
      response.json({ ...(await answer()), pictures: [{ png: Buffer.from('<html>not a picture</html>').toString('base64'), seed: 1, width: 1, height: 1 }] })
      return
    case 'not-json':
      response.type('html').send('<!doctype html><title>Sign in</title>')
      return
    case 'cut-picture': {
      const whole = await answer()
      const bytes = Buffer.from(whole.pictures[0]?.png ?? '', 'base64')
      response.json({ ...whole, pictures: [{ ...whole.pictures[0], png: bytes.subarray(0, Math.floor(bytes.length / 2)).toString('base64') }] })
      return
    }
    case 'cut-off': {
      const text = JSON.stringify(await answer())
      response.writeHead(200, { 'content-type': 'application/json', 'content-length': text.length })
      response.write(text.slice(0, text.length / 2), () => response.destroy())
      return
    }
    case 'huge': {
      response.writeHead(200, { 'content-type': 'application/json' })
      const piece = 'A'.repeat(1_000_000)
      for (let i = 0; i < 200 && !response.destroyed; i++) if (!response.write(piece)) await Promise.race([new Promise((resolve) => response.once('drain', resolve)), sleep(2_000)])
      response.end()
      return
    }
    case 'hang':
      await sleep(600_000, undefined, { ref: false })
  }
}

/** The simulated picture engines. Deterministic: the same request and seed give the same bytes. */
export function createStandin(first: { delayMs?: number } = {}): Express {
  const settings: { delayMs: number; fault: Fault; times: number } = { delayMs: first.delayMs ?? 0, fault: 'none', times: 0 }
  const answers = new Map<string, Promise<Answer>>()
  const usage = { requests: 0, charged: 0, pictures: 0 }

  /** The same key gives the same answer and is counted once. */
  const answerFor = (request: PictureRequest, traits: Traits, key: string | undefined): Promise<Answer> => {
    const known = key === undefined ? undefined : answers.get(key)
    if (known) return known
    const made = makePictures(request, traits).then((answer) => {
      usage.charged++
      usage.pictures += request.count ?? 1
      return answer
    })
    if (key !== undefined) {
      answers.set(key, made)
      const oldest = answers.size > REMEMBERED ? answers.keys().next().value : undefined
      if (oldest !== undefined) answers.delete(oldest)
    }
    return made
  }

  const app = express()
  app.disable('x-powered-by')
  app.use(express.json({ limit: '64mb' }))
  app.get('/v1/usage', (_request, response) => {
    response.json(usage)
  })
  app.put('/v1/standin', (request, response) => {
    const wrong = wrongIn('StandinSettings', request.body)
    if (wrong) {
      problem(response, 400, 'Not valid', wrong)
      return
    }
    const { delayMs, fault, times } = request.body as StandinSettings
    if (delayMs !== undefined) settings.delayMs = delayMs
    if (fault !== undefined) Object.assign(settings, { fault, times: times ?? Infinity })
    response.json({ delayMs: settings.delayMs, fault: settings.fault })
  })
  app.post('/v1/pictures', async (request, response) => {
    usage.requests++
    const wrong = wrongIn('PictureRequest', request.body)
    if (wrong) {
      problem(response, 400, 'Not valid', wrong)
      return
    }
    const asked = request.body as PictureRequest
    const traits = traitsOf(asked.engine, asked.revision)
    if (!traits) {
      problem(response, 404, 'Unknown engine', `There is no engine ${asked.engine} ${asked.revision} here.`)
      return
    }
    const answer = () => answerFor(asked, traits, request.get('idempotency-key'))
    if (settings.delayMs) await sleep(settings.delayMs)
    if (settings.fault !== 'none' && settings.times > 0) {
      settings.times--
      await misbehave(settings.fault, response, answer)
      return
    }
    try {
      response.json(await answer())
    } catch (error) {
      if (!(error instanceof RangeError)) throw error
      problem(response, 422, 'Cannot be drawn', error.message)
    }
  })
  return app
}
