import type { ReferenceUse } from '@idolon/core'
import type { Knex } from 'knex'
import sharp from 'sharp'
import type { Database } from '../database/connect.ts'
import type { SentReference } from '../engines/engines.ts'

/** A reference goes along no larger than this: engines look at no more of it, and a request stays small. */
const LONGEST_EDGE = 1024
const isProof = (reference: string) => reference.includes('-')

/** The SHA-256 of the picture that a reference names, whether by itself or as a proof's. */
export async function pictureOf(db: Database | Knex.Transaction, reference: string): Promise<string | undefined> {
  if (!isProof(reference)) return (await db('pictures').where({ sha256: reference }).first<{ sha256: string } | undefined>('sha256'))?.sha256
  if (!/^[0-9a-f-]{36}$/.test(reference)) return undefined
  return (await db('proofs').where({ id: reference }).whereNotNull('picture').first<{ picture: string } | undefined>('picture'))?.picture
}

/** The proof that a picture starts from, where its base is one. */
export const parentOf = (references: readonly ReferenceUse[]): string | null => references.find(({ role, reference }) => role === 'base' && isProof(reference))?.reference ?? null

/** References as they are sent; undefined when one of them is gone. */
export async function sentReferences(db: Database, uses: readonly ReferenceUse[]): Promise<SentReference[] | undefined> {
  const sent: SentReference[] = []
  for (const { reference, role, strength } of uses) {
    const sha256 = await pictureOf(db, reference)
    const row = sha256 && (await db('pictures').where({ sha256 }).first<{ bytes: Buffer } | undefined>('bytes'))
    if (!row) return undefined
    const image = await sharp(row.bytes).rotate().resize(LONGEST_EDGE, LONGEST_EDGE, { fit: 'inside', withoutEnlargement: true }).png({ compressionLevel: 3 }).toBuffer()
    sent.push({ role, strength, image: image.toString('base64') })
  }
  return sent
}
