import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, Instant, orNull } from './primitives.ts'
import { route } from './route.ts'

export const Amount = Type.Object({ unit: Type.String(), amount: Type.Integer() }, { title: 'Amount' })
export type Amount = Static<typeof Amount>

export const Project = Type.Object(
  {
    id: Id,
    name: Type.String(),
    createdAt: Instant,
    archivedAt: Type.Union([Instant, Type.Null()]),
    prompts: Type.Integer(),
    proofs: Type.Integer(),
    keepers: Type.Integer(),
    spent: Type.Array(Amount),
    currency: Type.String(),
    rates: Type.Array(Type.Object({ unit: Type.String(), price: Type.Number() })),
    ceiling: Type.Union([Type.Object({ unit: Type.String(), amount: Type.Number() }), Type.Null()]),
  },
  { title: 'Project' },
)
export type Project = Static<typeof Project>

export const LedgerEntry = Type.Object(
  {
    id: Type.Integer(),
    at: Instant,
    kind: Type.Union([Type.Literal('reserve'), Type.Literal('settle')]),
    amount: Type.Integer({ description: 'What the entry adds to the sum; a settlement takes the reservation back and adds what was charged.' }),
    unit: Type.String(),
    promptId: orNull(Id),
    promptTitle: Type.String({ description: 'Empty for what belongs to no prompt, such as a run of cases.' }),
    engine: Type.String({ description: 'The engine, or the language model, that was asked.' }),
    note: Type.String(),
  },
  { title: 'LedgerEntry' },
)
export type LedgerEntry = Static<typeof LedgerEntry>

const name = Type.String({ minLength: 1, maxLength: 120, pattern: '^[^\\u0000]*[^\\u0000\\s][^\\u0000]*$' })
const params = Type.Object({ project: Id }, closed)

export const ProjectChange = Type.Object({ name: Type.Optional(name), archived: Type.Optional(Type.Boolean()) }, closed)
export type ProjectChange = Static<typeof ProjectChange>

export const listProjects = route({
  id: 'listProjects',
  method: 'get',
  path: '/api/projects',
  summary: 'All projects, archived ones last.',
  answer: Type.Array(Project),
})
export const createProject = route({
  id: 'createProject',
  method: 'post',
  path: '/api/projects',
  summary: 'Makes a project.',
  body: Type.Object({ name }, closed),
  answer: Project,
  status: 201,
})
export const changeProject = route({
  id: 'changeProject',
  method: 'patch',
  path: '/api/projects/:project',
  summary: 'Renames a project, archives it or takes it back from the archive.',
  params,
  body: ProjectChange,
  answer: Project,
})
export const readLedger = route({
  id: 'readLedger',
  method: 'get',
  path: '/api/projects/:project/ledger',
  summary: 'What the project spent: sums, and the newest entries.',
  params,
  answer: Type.Object({ totals: Type.Array(Amount), entries: Type.Array(LedgerEntry) }),
})
