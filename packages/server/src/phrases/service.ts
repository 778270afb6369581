import type { PhraseCount, ProjectPhrase } from '@idolon/contract'
import { bareText, covered, type Facet, fixedFacetsOf } from '@idolon/core'
import { createHash, randomUUID } from 'node:crypto'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { recordEvent } from '../events/events.ts'
import { notFound, ProblemError } from '../http/problem.ts'
import { oneProject } from '../projects/store.ts'
import { promptReader } from './prompt-reader.ts'
import { intoBin } from '../bin/deleted-rows.ts'
import { keepPhrase, keptPhrases, phraseCounts, type ProvenText, provenTexts } from './store.ts'

interface Said {
  text: string
  facet: Facet
}
/** Below this a reading is too unsure to be offered as what a proven prompt says. */
const SURE_FROM = 0.6
/** Texts whose phrases are remembered. */
const REMEMBERED = 2_000

/** Phrases to write with: a project's own, and what its proven prompts say. */
export class Phrases {
  /** What texts say, by a hash of the text and its marks: a cache, the same in every process. */
  readonly #said = new Map<string, Said[]>()

  constructor(private readonly db: Database) {}

  async list(projectId: string): Promise<ProjectPhrase[]> {
    await this.#demand(projectId)
    const [kept, proven] = await Promise.all([keptPhrases(this.db, projectId), provenTexts(this.db, projectId)])
    const list: ProjectPhrase[] = kept.map((phrase) => ({ ...phrase, from: null }))
    const known = new Set(list.map(({ facet, text }) => `${facet} ${text.toLowerCase()}`))
    for (const { promptId, title, keepers, body } of proven) {
      for (const { text, facet } of await this.#saidBy(body)) {
        const key = `${facet} ${text.toLowerCase()}`
        if (known.has(key)) continue
        known.add(key)
        list.push({ id: null, text, facet, from: { promptId, title, keepers } })
      }
    }
    return list
  }

  async keep(actor: Actor, projectId: string, phrase: Said): Promise<ProjectPhrase> {
    await this.#demand(projectId)
    const text = phrase.text.replace(/\s+/g, ' ').trim()
    if (!text) throw new ProblemError('invalid', 'There are no words to keep. Nothing was changed.')
    const kept = await keepPhrase(this.db, randomUUID(), projectId, { text, facet: phrase.facet }, actor.id)
    await this.#changed(projectId)
    return { ...kept, from: null }
  }

  async remove(actor: Actor, projectId: string, id: string): Promise<void> {
    await this.#demand(projectId)
    const gone = await this.db.transaction((trx) => intoBin(trx, 'phrase', { project_id: projectId, id }, actor.id))
    if (gone.length === 0) throw notFound('kept phrase')
    await this.#changed(projectId)
  }

  /** Kept of tried, by engine. The counts come under the phrase as it was asked for. */
  async counts(projectId: string, phrases: readonly string[]): Promise<PhraseCount[]> {
    await this.#demand(projectId)
    const asked = new Map(phrases.map((phrase) => [bareText(phrase), phrase]))
    asked.delete('')
    const counted = await phraseCounts(this.db, projectId, [...asked.keys()])
    return counted.map((count) => ({ ...count, phrase: asked.get(count.phrase) ?? count.phrase }))
  }

  /** What a text says, less what is switched off in it. */
  async #saidBy({ text, marks }: ProvenText['body']): Promise<Said[]> {
    const key = createHash('sha256').update(JSON.stringify([text, marks])).digest('base64')
    const known = this.#said.get(key)
    if (known) return known
    const { phrases } = (await promptReader()).read(text, fixedFacetsOf(marks))
    const said = phrases
      .filter((phrase) => phrase.text.length <= 300 && (phrase.confidence >= SURE_FROM || marks.some((mark) => mark.kind === 'facet' && mark.from < phrase.end && mark.to > phrase.start)) && !covered(text, marks, 'off', phrase))
      .map((phrase) => ({ text: phrase.text, facet: phrase.facet }))
    if (this.#said.size >= REMEMBERED) this.#said.clear()
    this.#said.set(key, said)
    return said
  }

  async #demand(projectId: string): Promise<void> {
    if (!(await oneProject(this.db, projectId))) throw notFound('project')
  }

  #changed = (projectId: string) => this.db.transaction((trx) => recordEvent(trx, { kind: 'project', projectId }))
}
