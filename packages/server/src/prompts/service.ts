import { type Draft, emptyDraft } from '@idolon/core'
import type { Prompt } from '@idolon/contract'
import { randomUUID } from 'node:crypto'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import type { Engines } from '../engines/engines.ts'
import { recordEvent } from '../events/events.ts'
import { notFound } from '../http/problem.ts'
import { runSettingsOf, versionById, versionToReuse } from '../versions/store.ts'
import { demandOpenProject } from '../projects/open-project.ts'
import { firstDraftOf } from './first-draft.ts'
import { insertPrompt, onePrompt, type PromptChange, setDeleted, updatePrompt } from './store.ts'

export class Prompts {
  constructor(
    private readonly db: Database,
    private readonly engines: Engines,
  ) {}

  async read(id: string): Promise<Prompt> {
    const prompt = await onePrompt(this.db, id)
    if (!prompt) throw notFound('prompt')
    return prompt
  }

  async create(actor: Actor, asked: { projectId: string; title?: string; from?: { promptId: string; versionId?: string }; change?: { proof: string; strength: number; text?: string } }): Promise<Prompt> {
    await demandOpenProject(this.db, asked.projectId)
    const id = randomUUID()
    const source = asked.change ? await this.#changeOf(asked.change) : asked.from ? await this.#taken(asked.from) : undefined
    const draft = source?.draft ?? (await firstDraftOf(this.db, this.engines, asked.projectId))
    await this.db.transaction(async (trx) => {
      await insertPrompt(trx, {
        id,
        projectId: asked.projectId,
        title: asked.title?.trim() ?? source?.title ?? '',
        draft,
        tags: source?.tags ?? [],
        copiedFrom: source?.copiedFrom ?? null,
        createdBy: actor.id,
      })
      await recordEvent(trx, { kind: 'prompt', promptId: id, projectId: asked.projectId })
    })
    return this.read(id)
  }

  /** A draft that says how to change a proof, which it starts from, with the engine and the settings that made it. */
  async #changeOf({ proof, strength, text = '' }: { proof: string; strength: number; text?: string }) {
    const row = await this.db('proofs').join('versions', 'versions.id', 'proofs.version_id').join('runs', 'runs.id', 'proofs.run_id').where({ 'proofs.id': proof, 'proofs.state': 'stored' }).first<{ prompt_id: string; number: number; settings: Draft['settings']; engine: { id: string; revision: string } } | undefined>('proofs.prompt_id', 'versions.number', 'runs.settings', 'proofs.engine')
    if (!row) throw notFound('proof with a picture')
    const from = await this.read(row.prompt_id)
    const { seed: _, ...settings } = row.settings
    const newest = await this.engines.find(row.engine.id)
    const draft: Draft = {
      ...emptyDraft(),
      text,
      settings,
      engines: [{ engine: row.engine.id, ...(newest?.revision === row.engine.revision ? {} : { revision: row.engine.revision }) }],
      references: [{ reference: proof, role: 'base', strength }],
      kind: 'change',
    }
    return { title: `Change of ${from.title}`.slice(0, 200), tags: from.tags, draft, copiedFrom: { promptId: row.prompt_id, version: row.number } }
  }

  /** What is taken along on reuse: the version asked for, else that of the best proof, else the newest, else the draft. */
  async #taken({ promptId, versionId }: { promptId: string; versionId?: string }) {
    const from = await this.read(promptId)
    const version = versionId ? await versionById(this.db, versionId) : await versionToReuse(this.db, promptId, from.bestProof?.versionId)
    if (versionId && version?.prompt_id !== promptId) throw notFound('version')
    const run = version && (await runSettingsOf(this.db, version.id, from.bestProof?.runId))
    const draft: Draft = version
      ? { ...version.body, settings: run?.settings ?? from.draft.settings, engines: run?.engines ?? from.draft.engines }
      : from.draft
    return {
      title: from.named ? from.title : '',
      tags: from.tags,
      draft,
      copiedFrom: { promptId, version: version?.number ?? null },
    }
  }

  async change(_actor: Actor, id: string, change: PromptChange): Promise<Prompt> {
    const prompt = await this.read(id)
    if (change.bestProofId) {
      const own = await this.db('proofs').where({ id: change.bestProofId, prompt_id: id, state: 'stored' }).first<{ id: string } | undefined>('id')
      if (!own) throw notFound('proof of this prompt')
    }
    const tags = change.tags && [...new Set(change.tags.map((tag) => tag.trim()).filter(Boolean))]
    await this.db.transaction(async (trx) => {
      await updatePrompt(trx, id, {
        ...change,
        ...(change.title === undefined ? {} : { title: change.title.trim() }),
        ...(tags ? { tags } : {}),
      })
      await recordEvent(trx, { kind: 'prompt', promptId: id, projectId: prompt.projectId })
    })
    return this.read(id)
  }

  async setDeleted(_actor: Actor, id: string, deleted: boolean): Promise<Prompt> {
    const prompt = await this.read(id)
    await this.db.transaction(async (trx) => {
      await setDeleted(trx, id, deleted)
      await recordEvent(trx, { kind: 'prompt', promptId: id, projectId: prompt.projectId })
    })
    return this.read(id)
  }
}
