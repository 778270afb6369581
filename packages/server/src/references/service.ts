import type { addReference, Agreement, AnswerOf, BodyOf, changeReference, CloseTry, Reference, ReferenceWhole } from '@idolon/contract'
import { adviceOf, agreementOf, type CaptionRead, closenessOf, hasClosing, pastOf, type PastTry, type PictureReading } from '@idolon/core/look'
import type { Closing, VersionBody } from '@idolon/core'
import type { Knex } from 'knex'
import type { Actor } from '../actor.ts'
import { intoBin } from '../bin/deleted-rows.ts'
import type { Database } from '../database/connect.ts'
import type { Engines } from '../engines/engines.ts'
import { recordEvent } from '../events/events.ts'
import { notFound } from '../http/problem.ts'
import { metadataOf } from '../pictures/metadata.ts'
import { READING_MAKER } from '../pictures/sight/reader.ts'
import { pictureOf } from '../proofs/references.ts'
import { captionsOf, claimsIn } from './captions.ts'
import { knownReference, listReferences, readingsOf, readReference, triesOf } from './rows.ts'

/** Of what a file says of itself, so much is kept with the reference. */
const MOST_FIELDS = 60
const LONGEST = 4_000
/** The newest tries that are shown, and that are asked what changes did. */
const MOST_TRIES = 24
const MOST_PAST = 200
export const READINGS_CHANNEL = 'idolon_readings'

/** Asks for a picture to be read, once, and wakes whoever reads. */
export async function askForReading(trx: Knex.Transaction, picture: string): Promise<void> {
  await trx('picture_readings').insert({ picture, maker: READING_MAKER, stage: 'asked' }).onConflict('picture').ignore()
  await trx.raw('select pg_notify(?, ?)', [READINGS_CHANNEL, picture])
}

/** Whether a closing would put the picture's subject into a prompt whose writer has one of their own: no word of its subject was borrowed. */
function isOwn({ marks }: VersionBody, closing: Closing): boolean {
  if (!('facet' in closing) || closing.facet !== 'subject') return false
  return !marks.some((mark) => mark.kind === 'from' && mark.source.type === 'reference' && marks.some((other) => other.kind === 'facet' && other.facet === 'subject' && other.from < mark.to && other.to > mark.from))
}

/** Pictures that a project learns from or steers by. */
export class References {
  constructor(
    private readonly db: Database,
    private readonly engines: Engines,
  ) {}

  list(projectId: string | undefined): Promise<Reference[]> {
    return listReferences(this.db, projectId)
  }

  async read(id: string): Promise<ReferenceWhole> {
    const whole = await readReference(this.db, id)
    if (!whole) throw notFound('reference')
    return whole
  }

  /** Proofs whose words were borrowed from a reference, oldest first, and what to change next; those that nobody read yet are asked to be. */
  async tries(id: string): Promise<CloseTry[]> {
    const { reference, reading: own } = await this.read(id)
    const rows = await triesOf(this.db, [id], MOST_TRIES)
    const unread = rows.filter(({ stage }) => stage === null)
    if (unread.length) {
      await this.db.transaction(async (trx) => {
        for (const { sha256 } of unread) await askForReading(trx, sha256)
      })
    }
    const past = own && rows.length ? await this.#past(reference.projectId) : undefined
    return Promise.all(
      rows.map(async ({ reading, asked_at, stage, proofId, promptId, promptTitle, version, engine, sha256, body }): Promise<CloseTry> => {
        const closeness = own && reading && closenessOf(own, reading)
        const profile = closeness && (await this.engines.find(engine.id, engine.revision))
        return {
          proofId, promptId, promptTitle, version, engine: `${engine.name} ${engine.revision}`, sha256, askedAt: asked_at.toISOString(), stage: stage ?? 'asked', closeness,
          advice: closeness && profile && past ? adviceOf(closeness, profile, past, (closing) => hasClosing(body, closing) || isOwn(body, closing)) : [],
        }
      }),
    )
  }

  /** What the project's tries towards its references say of each change. */
  async #past(projectId: string): Promise<ReturnType<typeof pastOf>> {
    const all = await this.list(projectId)
    const pictures = new Map(all.map(({ id, picture }) => [id, picture.sha256]))
    const [rows, readings] = await Promise.all([triesOf(this.db, [...pictures.keys()], MOST_PAST), readingsOf(this.db, [...pictures.values()])])
    return pastOf(
      rows.flatMap(({ body, reading, promptId, engine, version }): PastTry[] => {
        const towards = new Set(body.marks.flatMap((mark) => (mark.kind === 'from' && mark.source.type === 'reference' ? [mark.source.id] : [])))
        return [...towards].flatMap((reference): PastTry[] => {
          const own = readings.get(pictures.get(reference) ?? '')
          return own && reading ? [{ ...body, promptId, engine: `${engine.id} ${engine.revision}`, version, reference, by: closenessOf(own, reading).by }] : []
        })
      }),
    )
  }

  /** What measures say of a reference beside what models said it shows. */
  async agreement(id: string): Promise<Agreement> {
    const { reference, reading } = await this.read(id)
    const captions = await captionsOf(this.db, reference.projectId, reference.picture.sha256)
    const said = captions.filter(({ text }) => text !== '')
    const read = await Promise.all(said.map(async ({ model, text, record }): Promise<CaptionRead> => ({ by: model.id, claims: await claimsIn(text), record })))
    return { captions, rows: reading ? agreementOf(reading, read) : [] }
  }

  /** What is read of a picture that the project has, reference or proof. */
  async readingOf(picture: string): Promise<PictureReading> {
    const reading = (await readingsOf(this.db, [picture])).get(picture)
    if (!reading) throw notFound('reading of this picture')
    return reading
  }

  /** The same picture twice in one project is the one that was there first. */
  async add(actor: Actor, { id, projectId, picture, ...texts }: BodyOf<typeof addReference>): Promise<AnswerOf<typeof addReference>> {
    return this.db.transaction(async (trx) => {
      if (!(await trx('projects').where({ id: projectId }).first('id'))) throw notFound('project')
      const sha256 = await pictureOf(trx, 'sha256' in picture ? picture.sha256 : picture.proofId)
      const kept = sha256 && (await trx('pictures').where({ sha256 }).first<{ bytes: Buffer } | undefined>('bytes'))
      if (!kept) throw notFound('picture')
      const metadata = (await metadataOf(kept.bytes)).slice(0, MOST_FIELDS).map(({ name, value }) => ({ name: name.slice(0, 200).replaceAll('\u0000', '\uFFFD'), value: value.slice(0, LONGEST).replaceAll('\u0000', '\uFFFD') }))
      await trx('reference_pictures')
        .insert({ id, project_id: projectId, picture: sha256, proof_id: 'proofId' in picture ? picture.proofId : null, ...texts, metadata: JSON.stringify(metadata), added_by: actor.id })
        .onConflict(['project_id', 'picture'])
        .ignore()
      const reference = await knownReference(trx, projectId, sha256)
      if (!reference) throw notFound('reference')
      await askForReading(trx, sha256)
      await recordEvent(trx, { kind: 'reference', projectId, referenceId: reference.id })
      return reference
    })
  }

  async change(_actor: Actor, id: string, body: BodyOf<typeof changeReference>): Promise<Reference> {
    return this.db.transaction(async (trx) => {
      if (Object.keys(body).length) await trx('reference_pictures').where({ id }).update(body)
      const whole = await readReference(trx, id)
      if (!whole) throw notFound('reference')
      await recordEvent(trx, { kind: 'reference', projectId: whole.reference.projectId, referenceId: id })
      return whole.reference
    })
  }

  async delete(actor: Actor, id: string): Promise<void> {
    await this.db.transaction(async (trx) => {
      const [gone] = await intoBin(trx, 'reference', { id }, actor.id)
      if (!gone) throw notFound('reference')
      await recordEvent(trx, { kind: 'reference', projectId: String(gone['project_id']), referenceId: id })
      await recordEvent(trx, { kind: 'bin' })
    })
  }
}
