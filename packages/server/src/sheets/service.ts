import type { ClientSheet } from '@idolon/contract'
import { type Caption, readComments } from '@idolon/core'
import type { Actor } from '../actor.ts'
import type { Database } from '../database/connect.ts'
import { notFound } from '../http/problem.ts'
import type { Proofs } from '../proofs/service.ts'

interface Row {
  id: string
  title: string
  proofs: string[]
  captions: Caption[]
  prompts: boolean
  made_at: Date
}
const MOST = 200
const sheetOf = ({ made_at, ...row }: Row): ClientSheet => ({ id: row.id, title: row.title, proofs: row.proofs, captions: row.captions, prompts: row.prompts, madeAt: made_at.toISOString() })

/** Sheets that went out to a client, whose numbers comments come back by. */
export class ClientSheets {
  constructor(
    private readonly db: Database,
    private readonly proofs: Proofs,
  ) {}

  async make(actor: Actor, { id, title, proofs, captions, prompts }: { id: string; title: string; proofs: string[]; captions: Caption[]; prompts: boolean }): Promise<ClientSheet> {
    const stored = new Set((await this.db('proofs').whereIn('id', proofs).where({ state: 'stored' }).select<{ id: string }[]>('id')).map((row) => row.id))
    const missing = proofs.find((proof) => !stored.has(proof))
    if (missing) throw notFound('picture')
    await this.db('client_sheets').insert({ id, title: title.trim() || 'Proofs', proofs: [...new Set(proofs)], captions, prompts, made_by: actor.id }).onConflict('id').ignore()
    return this.read(id)
  }

  async read(id: string): Promise<ClientSheet> {
    const row = await this.db('client_sheets').where({ id }).first<Row | undefined>('*')
    if (!row) throw notFound('sheet')
    return sheetOf(row)
  }

  async list(): Promise<ClientSheet[]> {
    return (await this.db('client_sheets').orderBy('made_at', 'desc').limit(MOST).select<Row[]>('*')).map(sheetOf)
  }

  async comment(actor: Actor, id: string, text: string): Promise<{ added: number; unplaced: string[] }> {
    const sheet = await this.read(id)
    const { comments, unplaced } = readComments(text, sheet.proofs.length)
    for (const { number, comment } of comments) await this.proofs.changeMany(actor, { proofs: [sheet.proofs[number - 1]!], note: comment })
    return { added: comments.length, unplaced }
  }
}
