import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, orNull } from './primitives.ts'
import { Project } from './project.ts'
import { route } from './route.ts'

/** What spending was summed by. A row of `project` is a project, of `prompt` a prompt. */
export const LedgerBy = Type.Union([Type.Literal('day'), Type.Literal('project'), Type.Literal('engine'), Type.Literal('prompt')], { title: 'LedgerBy' })
export type LedgerBy = Static<typeof LedgerBy>

export const LedgerSum = Type.Object(
  {
    key: Type.String(),
    label: Type.String(),
    unit: Type.String(),
    amount: Type.Integer(),
    proofs: Type.Integer({ description: 'Pictures that came back.' }),
    keepers: Type.Integer({ description: 'Of these, kept ones: what a kept picture cost is the amount over these.' }),
  },
  { title: 'LedgerSum' },
)
export type LedgerSum = Static<typeof LedgerSum>

export const sumLedger = route({
  id: 'sumLedger',
  method: 'get',
  path: '/api/ledger/by/:by',
  summary: 'What was spent, summed by day, project, engine or prompt; of one project or of all.',
  params: Type.Object({ by: LedgerBy }, closed),
  query: Type.Object({ project: Type.Optional(Id) }, closed),
  answer: Type.Array(LedgerSum),
})
export const setMoney = route({
  id: 'setMoney',
  method: 'put',
  path: '/api/projects/:project/money',
  summary: 'Sets the currency, what a unit costs in it, and the ceiling that no run may pass.',
  params: Type.Object({ project: Id }, closed),
  body: Type.Object(
    {
      currency: Type.String({ pattern: '^[A-Z]{3}$', description: 'ISO 4217.' }),
      rates: Type.Array(Type.Object({ unit: Type.String({ minLength: 1, maxLength: 60 }), price: Type.Number({ minimum: 0, maximum: 1_000_000, description: 'Of one unit, in the currency.' }) }, closed), { maxItems: 60 }),
      ceiling: orNull(Type.Object({ unit: Type.String({ minLength: 1, maxLength: 60, description: "An engine's unit, or the currency." }), amount: Type.Number({ minimum: 0, maximum: 1e12 }) }, closed)),
    },
    closed,
  ),
  answer: Project,
})
