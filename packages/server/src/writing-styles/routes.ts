import { deleteWritingStyle, listWritingStyles, saveWritingStyle } from '@idolon/contract'
import type { Register } from '../http/register.ts'
import type { WritingStyles } from './service.ts'

export function writingStyleRoutes(on: Register, writingStyles: WritingStyles): void {
  on(listWritingStyles, ({ query }) => writingStyles.list(query.project))
  on(saveWritingStyle, ({ actor, params, body }) => writingStyles.save(actor, params.writingStyle, body))
  on(deleteWritingStyle, async ({ actor, params }) => {
    await writingStyles.delete(actor, params.writingStyle)
    return undefined
  })
}
