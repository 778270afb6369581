import type { Template, TemplateOffer, TemplateWhole } from '@idolon/contract'
import { applyEdit, counts, Differences, type Draft, type Edit, fixedFacetsOf, isEmptyEdit, offeredEdit, type SlotValues, type TemplateBody, templateProblems } from '@idolon/core'
import type { Reader } from '@idolon/core/reader'
import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { draftRow, writeDraft } from '../drafts/store.ts'
import type { Engines } from '../engines/engines.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { promptReader } from '../phrases/prompt-reader.ts'
import { firstDraftOf } from '../prompts/first-draft.ts'
import { demandOpenProject } from '../projects/open-project.ts'
import { insertPrompt, projectState } from '../prompts/store.ts'
import { fillWith } from './filling.ts'
import { addTemplateVersion, madeFrom, templatesIn, versionsOfTemplate } from './store.ts'

interface Behind {
  id: string
  title: string
  template_version: number
  template_values: SlotValues
}

export class Templates {
  constructor(
    private readonly db: Database,
    private readonly engines: Engines,
  ) {}

  list(project?: string): Promise<Template[]> {
    return templatesIn(this.db, { project })
  }

  async read(id: string): Promise<Template> {
    const [template] = await templatesIn(this.db, { id })
    if (!template) throw notFound('template')
    return template
  }

  async whole(id: string): Promise<TemplateWhole> {
    const [template, versions, made] = await Promise.all([this.read(id), versionsOfTemplate(this.db, id), madeFrom(this.db, id)])
    return { template, versions, made }
  }

  async add(actor: Actor, { projectId, body, why }: { projectId: string | null; body: TemplateBody; why: string }): Promise<Template> {
    demandSound(body)
    if (projectId && !(await projectState(this.db, projectId))) throw notFound('project')
    const id = randomUUID()
    await this.db.transaction(async (trx) => {
      await trx('templates').insert({ id, project_id: projectId, current: 1, made_by: actor.id })
      await addTemplateVersion(trx, id, { body, why, actor: actor.id })
      await recordEvent(trx, { kind: 'templates' })
    })
    return this.read(id)
  }

  async saveVersion(actor: Actor, id: string, { on, body, why }: { on: number; body: TemplateBody; why: string }): Promise<Template> {
    demandSound(body)
    await this.db.transaction(async (trx) => {
      const row = await trx('templates').where({ id }).whereNull('deleted_at').forUpdate().first<{ current: number } | undefined>('current')
      if (!row) throw notFound('template')
      if (row.current !== on) throw new ProblemError('draft-moved', `This template was changed elsewhere meanwhile and has version ${row.current}. What you wrote is still here: copy it, read the template again, and put it in.`)
      const before = await this.#bodyOf(id, on)
      const current = await addTemplateVersion(trx, id, { body, why, actor: actor.id })
      await trx('templates').where({ id }).update({ current })
      // A new hint or option changes nothing that was made.
      if (givesTheSame(before, body)) await trx('prompts').where({ template_id: id, template_version: on }).update({ template_version: current, template_left: current })
      await recordEvent(trx, { kind: 'templates' })
    })
    return this.read(id)
  }

  async change(_actor: Actor, id: string, { projectId }: { projectId: string | null }): Promise<Template> {
    if (projectId && !(await projectState(this.db, projectId))) throw notFound('project')
    await this.#change(id, { project_id: projectId })
    return this.read(id)
  }

  delete(_actor: Actor, id: string): Promise<void> {
    return this.#change(id, { deleted_at: this.db.fn.now() })
  }

  async #change(id: string, change: Record<string, unknown>): Promise<void> {
    await this.db.transaction(async (trx) => {
      if (!(await trx('templates').where({ id }).whereNull('deleted_at').update(change))) throw notFound('template')
      await recordEvent(trx, { kind: 'templates' })
      await recordEvent(trx, { kind: 'bin' })
    })
  }

  /** Prompts from a template, one a row of values, in one transaction. */
  async makeDrafts(actor: Actor, id: string, { projectId, version, rows, tags = [] }: { projectId: string; version: number; rows: { id: string; title?: string; values: SlotValues }[]; tags?: string[] }): Promise<{ promptId: string; title: string }[]> {
    const body = await this.#bodyOf(id, version)
    await demandOpenProject(this.db, projectId)
    const [reader, first] = await Promise.all([promptReader(), firstDraftOf(this.db, this.engines, projectId)])
    const drafts = rows.map((row, i) => {
      const draft = fillWith(reader, body, row.values, { id, version }, first)
      if (!draft.text) throw new ProblemError('template-unsound', `Row ${i + 1} fills nothing in, and nothing is left of the template. Nothing was made; give it a value.`)
      return { row, draft }
    })
    await this.db.transaction(async (trx) => {
      for (const [i, { row, draft }] of drafts.entries()) {
        if (await trx('prompts').where({ id: row.id }).first('id')) continue
        await insertPrompt(trx, { id: row.id, projectId, title: row.title?.trim() ?? '', draft, tags: [...new Set(tags)], copiedFrom: null, createdBy: actor.id })
        await trx('prompts').where({ id: row.id }).update({ template_id: id, template_version: version, template_left: version, template_values: JSON.stringify(row.values), // The first row is listed first.
          created_at: trx.raw(`now() - ? * interval '1 millisecond'`, [i]) })
      }
      await recordEvent(trx, { kind: 'prompt', projectId })
      await recordEvent(trx, { kind: 'templates' })
    })
    const titles = await this.db('prompts').join('drafts', 'drafts.prompt_id', 'prompts.id').whereIn('prompts.id', rows.map((row) => row.id)).select<{ id: string; title: string }[]>('prompts.id', this.db.raw(`coalesce(nullif(prompts.title, ''), drafts.first_words) as title`))
    return rows.map((row) => ({ promptId: row.id, title: titles.find((one) => one.id === row.id)?.title ?? '' }))
  }

  async offers(id: string): Promise<TemplateOffer[]> {
    const template = await this.read(id)
    const reader = await promptReader()
    const offers: TemplateOffer[] = []
    for (const one of await this.#behind(this.db, id, template.version)) {
      const row = await draftRow(this.db, one.id)
      if (!row) continue
      const { before, next } = await this.#madeThen(reader, template, one)
      const change = changeOf(before, next, row.body)
      const phrases = ({ text, marks }: Draft) => reader.read(text, fixedFacetsOf(marks)).phrases
      const after = change && applyEdit(row.body, change)
      const [from, to] = after ? [row.body, after] : [before, next]
      offers.push({ promptId: one.id, title: one.title, version: one.template_version, revision: row.revision, differences: new Differences(from, to, phrases(from), phrases(to)).list.filter(counts), meets: change !== undefined })
    }
    return offers
  }

  async takeOffers(actor: Actor, id: string, { take, leave }: { take: { promptId: string; revision: number }[]; leave: string[] }): Promise<{ taken: string[]; passedOver: string[] }> {
    const template = await this.read(id)
    const reader = await promptReader()
    const behind = new Map((await this.#behind(this.db, id, template.version)).map((one) => [one.id, one]))
    const taken: string[] = []
    const passedOver: string[] = []
    for (const { promptId, revision } of take) {
      const one = behind.get(promptId)
      if (!one) continue
      const done = await this.#take(actor, reader, template, one, revision)
      if (done) taken.push(promptId)
      else passedOver.push(one.title)
    }
    if (leave.length) await this.db('prompts').where({ template_id: id }).whereIn('id', leave).update({ template_left: template.version })
    await this.db.transaction((trx) => recordEvent(trx, { kind: 'templates' }))
    return { taken, passedOver }
  }

  /** Writes the change into a draft that is still at the revision it was offered for. */
  async #take(actor: Actor, reader: Reader, template: Template, one: Behind, revision: number): Promise<boolean> {
    const row = await draftRow(this.db, one.id)
    if (row?.revision !== revision) return false
    const { before, next } = await this.#madeThen(reader, template, one)
    const change = changeOf(before, next, row.body)
    if (!change) return false
    if (!isEmptyEdit(change) && !(await writeDraft(this.db, one.id, revision, { body: applyEdit(row.body, change), revision: revision + 1, clients: row.clients, parent: null, client: actor.id }))) return false
    await this.db('prompts').where({ id: one.id }).update({ template_version: template.version, template_left: template.version })
    return true
  }

  #behind(db: Database | Knex.Transaction, id: string, version: number): Promise<Behind[]> {
    return db
      .raw<{ rows: Behind[] }>(
        `select x.id, coalesce(nullif(x.title, ''), d.first_words) as title, x.template_version, x.template_values
         from prompts x join drafts d on d.prompt_id = x.id where x.template_id = ? and x.deleted_at is null and greatest(x.template_version, x.template_left) < ? order by x.created_at, x.id limit 1000`,
        [id, version],
      )
      .then(({ rows }) => rows)
  }

  /** What the prompt's version of the template and the newest give with its values. */
  async #madeThen(reader: Reader, template: Template, { template_version, template_values }: Behind): Promise<{ before: Draft; next: Draft }> {
    const old = await this.#bodyOf(template.id, template_version)
    return {
      before: fillWith(reader, old, template_values, { id: template.id, version: template_version }),
      next: fillWith(reader, template.body, template_values, { id: template.id, version: template.version }),
    }
  }

  async #bodyOf(id: string, number: number): Promise<TemplateBody> {
    const row = await this.db('template_versions').where({ template_id: id, number }).first<{ body: TemplateBody } | undefined>('body')
    if (!row) throw notFound('version of the template')
    return row.body
  }
}

/** The change that a template offers to a draft: what the draft was given beside the template stays out of it. */
function changeOf(before: Draft, next: Draft, now: Draft): Edit | undefined {
  const ground = { ...now, marks: before.marks, text: before.text, leaveOut: before.leaveOut }
  return offeredEdit(ground, { ...ground, text: next.text, marks: next.marks, leaveOut: next.leaveOut }, now)
}

/** Whether two versions fill alike with any values. */
const givesTheSame = (a: TemplateBody, b: TemplateBody): boolean => {
  const filling = ({ text, leaveOut, slots }: TemplateBody) => JSON.stringify([text, leaveOut, slots.map(({ name, facet, fallback }) => [name, facet, fallback])])
  return filling(a) === filling(b)
}

function demandSound(body: TemplateBody): void {
  const [problem, ...more] = templateProblems(body)
  if (problem) throw new ProblemError('template-unsound', `${problem}${more.length ? ` And ${more.length} more like it.` : ''} Nothing was changed; what you wrote is still here.`)
}
