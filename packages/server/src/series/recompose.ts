import type { SceneBody } from '@idolon/core'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { draftRow, writeDraft } from '../drafts/store.ts'
import { type Composer, recomposed } from './composer.ts'
import type { SceneRow } from './store.ts'

/**
 * Lets what a scene says follow into its text. Where the text was written otherwise just there it stays as it is, and the
 * scene says that a change waits; with `anew` it is composed over. A draft that is being written on meanwhile is tried again.
 */
export async function recompose(db: Database, actor: Actor, composer: Composer, scene: Pick<SceneRow, 'id' | 'prompt_id' | 'composed'>, body: SceneBody, style: string | null, anew = false): Promise<void> {
  const { draft: after, left } = composer.compose(body, style)
  for (let attempt = 0; attempt < 3; attempt++) {
    const row = await draftRow(db, scene.prompt_id)
    if (!row) return
    const next = anew ? { ...row.body, text: after.text, marks: after.marks, leaveOut: after.leaveOut, references: after.references, settings: after.settings, engines: after.engines } : recomposed(scene.composed, after, row.body)
    if (!next) {
      await db('scenes').where({ id: scene.id }).update({ apart: true })
      return
    }
    const same = next === row.body
    if (same || (await writeDraft(db, scene.prompt_id, row.revision, { body: next, revision: row.revision + 1, clients: row.clients, parent: null, client: actor.id }))) {
      await db('scenes').where({ id: scene.id }).update({ composed: JSON.stringify(after), left_out: JSON.stringify(left), apart: false })
      return
    }
  }
}
