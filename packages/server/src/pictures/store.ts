import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'
import { THUMBNAIL_MAKER, type TakenIn } from './take-in.ts'

export const keepPicture = async (db: Database | Knex.Transaction, picture: TakenIn): Promise<void> => {
  await db('pictures')
    .insert({
      sha256: picture.sha256,
      bytes: picture.bytes,
      type: picture.type,
      width: picture.width,
      height: picture.height,
      size: picture.bytes.length,
      thumbnail: picture.thumbnail,
      thumbnail_maker: THUMBNAIL_MAKER,
    })
    .onConflict('sha256')
    .merge({ stored_at: db.fn.now() })
}

/** The picture, or its thumbnail, with its media type. */
export async function pictureBytes(db: Database, sha256: string, which: 'bytes' | 'thumbnail'): Promise<{ bytes: Buffer; type: string } | undefined> {
  const row = await db('pictures').where({ sha256 }).first<{ bytes?: Buffer; thumbnail?: Buffer; type: string } | undefined>(which, 'type')
  const bytes = row?.[which]
  return row && bytes && { bytes, type: which === 'thumbnail' ? 'image/webp' : row.type }
}

/** Pictures that came in and that nothing has used for a day. */
export const forgetUnused = (db: Database): Promise<unknown> =>
  db.raw(
    `delete from pictures where stored_at < now() - interval '1 day' and not exists (select 1 from proofs where picture = pictures.sha256)
       and not exists (select 1 from drafts where body::text like '%' || pictures.sha256 || '%')
       and not exists (select 1 from versions where body::text like '%' || pictures.sha256 || '%')`,
  )
