import { deleteManner, listManners, saveManner } from '@idolon/contract'
import type { Register } from '../http/register.ts'
import type { Manners } from './service.ts'

export function mannerRoutes(on: Register, manners: Manners): void {
  on(listManners, ({ query }) => manners.list(query.project))
  on(saveManner, ({ actor, params, body }) => manners.save(actor, params.manner, body))
  on(deleteManner, async ({ actor, params }) => {
    await manners.delete(actor, params.manner)
    return undefined
  })
}
