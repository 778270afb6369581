import { HelperBody, HelperCase } from '@idolon/core/helper'
import { Type, type Static } from '@sinclair/typebox'
import { closed, Id, Instant, plainText } from './primitives.ts'
import { route } from './route.ts'

const HelperId = Type.String({ pattern: '^[a-z0-9][a-z0-9-]{0,59}$' })

/** A helper with the version that is used. */
export const Helper = Type.Object(
  {
    id: HelperId,
    shipped: Type.Boolean(),
    /** The version that is used. */
    current: Type.Integer({ minimum: 1 }),
    versions: Type.Integer(),
    cases: Type.Integer(),
    body: HelperBody,
  },
  { title: 'Helper' },
)
export type Helper = Static<typeof Helper>

/** Frozen, as a prompt's versions are. */
export const HelperVersion = Type.Object({ number: Type.Integer({ minimum: 1 }), body: HelperBody, why: Type.String(), madeAt: Instant }, { title: 'HelperVersion' })
export type HelperVersion = Static<typeof HelperVersion>

export const SavedCase = Type.Object({ id: Id, case: HelperCase }, { title: 'SavedCase' })
export type SavedCase = Static<typeof SavedCase>

export const HelperWhole = Type.Object({ helper: Helper, versions: Type.Array(HelperVersion, { description: 'Newest first.' }), cases: Type.Array(SavedCase) }, { title: 'HelperWhole' })
export type HelperWhole = Static<typeof HelperWhole>

/** A helper as it leaves one copy of Idolon and comes into another. */
export const HelperExport = Type.Object({ format: Type.Literal('idolon-helpers-1'), helpers: Type.Array(Type.Object({ body: HelperBody, why: Type.String({ maxLength: 2_000 }), cases: Type.Array(HelperCase, { maxItems: 500 }) }, closed), { minItems: 1, maxItems: 200 }) }, { title: 'HelperExport', additionalProperties: false })
export type HelperExport = Static<typeof HelperExport>

const params = Type.Object({ helper: HelperId }, closed)
const caseParams = Type.Object({ helper: HelperId, case: Id }, closed)

export const listHelpers = route({ id: 'listHelpers', method: 'get', path: '/api/helpers', summary: 'All helpers, those that ship first, in the order of the work.', answer: Type.Array(Helper) })
export const readHelper = route({ id: 'readHelper', method: 'get', path: '/api/helpers/:helper', summary: 'A helper with its versions and cases.', params, answer: HelperWhole })
export const addHelpers = route({
  id: 'addHelpers',
  method: 'post',
  path: '/api/helpers',
  summary: 'Adds helpers: new ones, copies, or what another copy of Idolon let go. One of a name that is taken gets another name. All are added or none.',
  body: HelperExport,
  answer: Type.Array(Helper),
  status: 201,
})
export const saveHelperVersion = route({
  id: 'saveHelperVersion',
  method: 'post',
  path: '/api/helpers/:helper/versions',
  summary: 'Freezes a new version of a helper. It is used from now on unless `use` says otherwise. An instruction with an unclosed or unknown slot is refused with the place.',
  params,
  body: Type.Object({ body: HelperBody, why: plainText(2_000), use: Type.Boolean() }, closed),
  answer: HelperWhole,
  status: 201,
})
export const changeHelper = route({
  id: 'changeHelper',
  method: 'patch',
  path: '/api/helpers/:helper',
  summary: 'Chooses the version that is used, or says why a version was made.',
  params,
  body: Type.Object({ current: Type.Optional(Type.Integer({ minimum: 1 })), why: Type.Optional(Type.Object({ number: Type.Integer({ minimum: 1 }), text: plainText(2_000) }, closed)) }, closed),
  answer: HelperWhole,
})
export const deleteHelper = route({ id: 'deleteHelper', method: 'delete', path: '/api/helpers/:helper', summary: 'Deletes a helper of one’s own; it can be restored from the bin.', params })
export const saveCase = route({ id: 'saveCase', method: 'put', path: '/api/helpers/:helper/cases/:case', summary: 'Adds a case or changes one. Its id is chosen by the page, so that saving twice adds one.', params: caseParams, body: HelperCase, answer: HelperWhole })
export const removeCase = route({ id: 'removeCase', method: 'delete', path: '/api/helpers/:helper/cases/:case', summary: 'Takes a case away; runs that had it keep what they found.', params: caseParams, answer: HelperWhole })
