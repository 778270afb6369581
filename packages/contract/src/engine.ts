import { EngineProfile } from '@idolon/core'
import { Type, type Static } from '@sinclair/typebox'
import { closed, orNull } from './primitives.ts'
import { route } from './route.ts'

/** What an engine has made, missed, taken and cost so far: proofs and tries together. */
export const EngineUsage = Type.Object(
  {
    stored: Type.Integer(),
    failed: Type.Integer(),
    medianMs: orNull(Type.Integer({ description: 'Milliseconds from asking to a stored picture.' })),
    spent: Type.Integer({ description: 'In the unit the profile names.' }),
    lastFailure: orNull(Type.String()),
  },
  { title: 'EngineUsage' },
)
export type EngineUsage = Static<typeof EngineUsage>

/** An engine as this copy of Idolon knows it. */
export const Engine = Type.Object(
  {
    profile: EngineProfile,
    connected: Type.Boolean({ description: 'Whether it can be asked for pictures from here; one that is not is written for and copied to.' }),
    off: Type.Boolean({ description: 'Switched off by the writer.' }),
    hasApiKey: Type.Boolean({ description: 'Whether an API key is kept for it; what it is, nobody is told.' }),
    usage: EngineUsage,
    origin: Type.Union([Type.Literal('shipped'), Type.Literal('changed'), Type.Literal('own')], { description: 'Shipped with Idolon, shipped and changed by the writer, or added.' }),
  },
  { title: 'Engine' },
)
export type Engine = Static<typeof Engine>

const name = Type.String({ minLength: 1, maxLength: 60 })
const params = Type.Object({ engine: name, revision: name }, closed)

export const listEngines = route({
  id: 'listEngines',
  method: 'get',
  path: '/api/engines',
  summary: 'All engines with their profiles, oldest revision first.',
  answer: Type.Array(Engine),
})
export const saveEngine = route({
  id: 'saveEngine',
  method: 'put',
  path: '/api/engines/:engine/:revision',
  summary: 'Adds an engine, or changes the profile of one. A profile that contradicts itself is refused with the place, and nothing is changed.',
  params,
  body: EngineProfile,
  answer: Engine,
})
export const removeEngine = route({
  id: 'removeEngine',
  method: 'delete',
  path: '/api/engines/:engine/:revision',
  summary: 'Removes an engine that was added; of one that ships, takes the changes back.',
  params,
})

/** What would be sent for a text; never with the API key in it. */
export const RequestPreview = Type.Object(
  {
    request: orNull(Type.Object({ url: Type.String(), headers: Type.Record(Type.String(), Type.String()), body: Type.Unknown() })),
    problem: orNull(Type.String({ description: 'Why it would not be sent, in a sentence.' })),
  },
  { title: 'RequestPreview' },
)
export type RequestPreview = Static<typeof RequestPreview>

/** One picture made to see whether an engine answers. */
export const EngineTry = Type.Object(
  {
    picture: orNull(Type.String({ description: 'A data URL of its thumbnail.' })),
    width: orNull(Type.Integer()),
    height: orNull(Type.Integer()),
    tookMs: Type.Integer(),
    cost: Type.Integer(),
    problem: orNull(Type.String()),
  },
  { title: 'EngineTry' },
)
export type EngineTry = Static<typeof EngineTry>

const text = Type.String({ maxLength: 20_000 })
export const previewRequest = route({
  id: 'previewRequest',
  method: 'post',
  path: '/api/engine-preview',
  summary: 'What an engine with this profile would be sent for a text. Nothing is sent, and no API key is shown.',
  body: Type.Object({ profile: EngineProfile, text }, closed),
  answer: RequestPreview,
})
export const tryEngine = route({
  id: 'tryEngine',
  method: 'post',
  path: '/api/engines/:engine/:revision/try',
  summary: 'Makes one picture to see whether an engine answers. It is not kept; what it cost is counted.',
  params,
  body: Type.Object({ text }, closed),
  answer: EngineTry,
})
export const switchEngine = route({
  id: 'switchEngine',
  method: 'put',
  path: '/api/engines/:engine/:revision/off',
  summary: 'Switches an engine off or on. One that is off is asked for nothing.',
  params,
  body: Type.Object({ off: Type.Boolean() }, closed),
  answer: Engine,
})
export const setApiKey = route({
  id: 'setApiKey',
  method: 'put',
  path: '/api/engines/:engine/:revision/api-key',
  summary: 'Keeps what stands for {apiKey} in the headers of an engine, sealed; null removes it. It is never given out again.',
  params,
  body: Type.Object({ apiKey: orNull(Type.String({ minLength: 1, maxLength: 4_000, pattern: '^[\\x20-\\x7e]+$', description: 'Printable ASCII, as headers take it.' })) }, closed),
  answer: Engine,
})
export const practise = route({
  id: 'practise',
  method: 'put',
  path: '/api/practice',
  summary: 'Has the simulated engines misbehave for so many requests, as real ones do.',
  body: Type.Object(
    {
      fault: Type.Union(['none', 'fail', 'busy', 'refuse', 'not-a-picture', 'not-json', 'wrong-type', 'wrong-size', 'wrong-count', 'cut-off', 'cut-picture', 'huge', 'drop', 'hang'].map((fault) => Type.Literal(fault))),
      times: Type.Integer({ minimum: 1, maximum: 100 }),
    },
    closed,
  ),
})
