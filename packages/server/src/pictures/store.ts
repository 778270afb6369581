import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'
import { THUMBNAIL_MAKER, type TakenIn } from './take-in.ts'

export const keepPicture = async (trx: Knex.Transaction, picture: TakenIn): Promise<void> => {
  await trx('pictures')
    .insert({
      sha256: picture.sha256,
      bytes: picture.bytes,
      width: picture.width,
      height: picture.height,
      size: picture.bytes.length,
      thumbnail: picture.thumbnail,
      thumbnail_maker: THUMBNAIL_MAKER,
    })
    .onConflict('sha256')
    .ignore()
}

export async function pictureBytes(db: Database, sha256: string, which: 'bytes' | 'thumbnail'): Promise<Buffer | undefined> {
  const row = await db('pictures').where({ sha256 }).first<Record<string, Buffer> | undefined>(which)
  return row?.[which]
}
