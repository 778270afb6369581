import { addTemplate, changeTemplate, deleteTemplate, listTemplates, makeDrafts, readOffers, readTemplateWhole, saveTemplateVersion, takeOffers } from '@idolon/contract'
import type { Register } from '../http/register.ts'
import type { Templates } from './service.ts'

export function templateRoutes(on: Register, templates: Templates): void {
  on(listTemplates, ({ query }) => templates.list(query.project))
  on(readTemplateWhole, ({ params }) => templates.whole(params.template))
  on(addTemplate, ({ actor, body }) => templates.add(actor, body))
  on(saveTemplateVersion, ({ actor, params, body }) => templates.saveVersion(actor, params.template, body))
  on(changeTemplate, ({ actor, params, body }) => templates.change(actor, params.template, body))
  on(deleteTemplate, async ({ actor, params }) => {
    await templates.delete(actor, params.template)
    return undefined
  })
  on(makeDrafts, ({ actor, params, body }) => templates.makeDrafts(actor, params.template, body))
  on(readOffers, ({ params }) => templates.offers(params.template))
  on(takeOffers, ({ actor, params, body }) => templates.takeOffers(actor, params.template, body))
}
