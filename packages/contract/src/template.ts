import { Difference, SlotValues, TemplateBody } from '@idolon/core'
import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, Instant, orNull, plainText, Tag } from './primitives.ts'
import { route } from './route.ts'

/** A template in its newest version. */
export const Template = Type.Object(
  {
    id: Id,
    projectId: orNull(Id),
    shipped: Type.Boolean(),
    version: Type.Integer({ minimum: 1 }),
    body: TemplateBody,
    drafts: Type.Integer({ description: 'Prompts that were made from it.' }),
    behind: Type.Integer({ description: 'Of those, the ones that have an older version whose change was neither taken nor left.' }),
    keepers: Type.Integer({ description: 'Kept proofs of those prompts.' }),
    changedAt: Instant,
  },
  { title: 'Template' },
)
export type Template = Static<typeof Template>

export const TemplateVersion = Type.Object({ number: Type.Integer({ minimum: 1 }), body: TemplateBody, why: Type.String(), madeAt: Instant }, { title: 'TemplateVersion' })
export type TemplateVersion = Static<typeof TemplateVersion>

/** A prompt that was made from a template, with the values it was made with. */
export const MadeDraft = Type.Object({ promptId: Id, projectId: Id, title: Type.String(), version: Type.Integer(), values: SlotValues, proofs: Type.Integer(), keepers: Type.Integer() }, { title: 'MadeDraft' })
export type MadeDraft = Static<typeof MadeDraft>

export const TemplateWhole = Type.Object({ template: Template, versions: Type.Array(TemplateVersion, { description: 'Newest first.' }), made: Type.Array(MadeDraft, { description: 'Newest first.' }) }, { title: 'TemplateWhole' })
export type TemplateWhole = Static<typeof TemplateWhole>

/** What the newest version of a template would change in a prompt that was made from an older one. */
export const TemplateOffer = Type.Object(
  {
    promptId: Id,
    title: Type.String(),
    version: Type.Integer({ description: 'The version it was made from.' }),
    revision: Type.Integer({ description: 'Of the draft; an offer is taken by a draft at this revision only.' }),
    differences: Type.Array(Difference),
    meets: Type.Boolean({ description: 'False where the draft says otherwise by now what the template changed: then it cannot be taken.' }),
  },
  { title: 'TemplateOffer' },
)
export type TemplateOffer = Static<typeof TemplateOffer>

const params = Type.Object({ template: Id }, closed)
const sound = 'A template with an unclosed slot, a slot in a slot or a value that refers to a slot is refused with its line.'

export const listTemplates = route({ id: 'listTemplates', method: 'get', path: '/api/templates', summary: 'Templates of a project and those for all, or all there are; the writer\'s first, those that ship last.', query: Type.Object({ project: Type.Optional(Id) }, closed), answer: Type.Array(Template) })
export const readTemplateWhole = route({ id: 'readTemplateWhole', method: 'get', path: '/api/templates/:template', summary: 'A template with its versions and the prompts made from it.', params, answer: TemplateWhole })
export const addTemplate = route({ id: 'addTemplate', method: 'post', path: '/api/templates', summary: `Adds a template for a project, or for all. ${sound}`, body: Type.Object({ projectId: orNull(Id), body: TemplateBody, why: plainText(2_000) }, closed), answer: Template, status: 201 })
export const saveTemplateVersion = route({
  id: 'saveTemplateVersion',
  method: 'post',
  path: '/api/templates/:template/versions',
  summary: `Freezes a new version of a template. Refused when it has a newer one than \`on\`. ${sound}`,
  params,
  body: Type.Object({ on: Type.Integer({ minimum: 1 }), body: TemplateBody, why: plainText(2_000) }, closed),
  answer: Template,
  status: 201,
})
export const changeTemplate = route({ id: 'changeTemplate', method: 'patch', path: '/api/templates/:template', summary: 'Says which project a template is for.', params, body: Type.Object({ projectId: orNull(Id) }, closed), answer: Template })
export const deleteTemplate = route({ id: 'deleteTemplate', method: 'delete', path: '/api/templates/:template', summary: 'Puts a template in the bin. The prompts made from it stay as they are.', params })
export const makeDrafts = route({
  id: 'makeDrafts',
  method: 'post',
  path: '/api/templates/:template/prompts',
  summary: 'Makes prompts from a template, one a row of values, all or none. Slots without a value have what they say by themselves. Each has the id given: sending it twice makes one.',
  params,
  body: Type.Object(
    {
      projectId: Id,
      version: Type.Integer({ minimum: 1 }),
      rows: Type.Array(Type.Object({ id: Id, title: Type.Optional(plainText(200)), values: SlotValues }, closed), { minItems: 1, maxItems: 500 }),
      tags: Type.Optional(Type.Array(Tag, { maxItems: 60 })),
    },
    closed,
  ),
  answer: Type.Array(Type.Object({ promptId: Id, title: Type.String() })),
  status: 201,
})
export const readOffers = route({ id: 'readOffers', method: 'get', path: '/api/templates/:template/offers', summary: 'What the newest version would change in the prompts made from older ones.', params, answer: Type.Array(TemplateOffer) })
export const takeOffers = route({
  id: 'takeOffers',
  method: 'post',
  path: '/api/templates/:template/offers',
  summary: 'Takes or leaves what a template offers, prompt by prompt. A draft that has changed meanwhile is passed over and named.',
  params,
  body: Type.Object({ take: Type.Array(Type.Object({ promptId: Id, revision: Type.Integer({ minimum: 0 }) }, closed), { maxItems: 1_000 }), leave: Type.Array(Id, { maxItems: 1_000 }) }, closed),
  answer: Type.Object({ taken: Type.Array(Id), passedOver: Type.Array(plainText(200), { description: 'Titles of prompts whose drafts have changed meanwhile, or do not fit.' }) }),
})
