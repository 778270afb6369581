import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'
import { smallOf, THUMBNAIL_MAKER, type TakenIn } from './take-in.ts'

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
      small: picture.small,
      thumbnail_maker: THUMBNAIL_MAKER,
    })
    .onConflict('sha256')
    .merge({ stored_at: db.fn.now() })
}

export type PictureSize = 'bytes' | 'thumbnail' | 'small'

/** The picture, or a smaller one of it, with its media type. */
export async function pictureBytes(db: Database, sha256: string, which: PictureSize): Promise<{ bytes: Buffer; type: string } | undefined> {
  const row = await db('pictures').where({ sha256 }).first<({ type: string } & Record<PictureSize, Buffer | null>) | undefined>(which, 'type')
  if (!row) return undefined
  const bytes = row[which] ?? (await makeSmall(db, sha256))
  return bytes && { bytes, type: which === 'bytes' ? row.type : 'image/webp' }
}

/** Of pictures from before there were small ones. */
async function makeSmall(db: Database, sha256: string): Promise<Buffer | undefined> {
  const row = await db('pictures').where({ sha256 }).first<{ thumbnail: Buffer } | undefined>('thumbnail')
  const small = row && (await smallOf(row.thumbnail))
  if (small) await db('pictures').where({ sha256 }).update({ small })
  return small
}

/** Pictures that came in and that nothing has used for a day. */
export const forgetUnused = (db: Database): Promise<unknown> =>
  db.raw(
    `delete from pictures where stored_at < now() - interval '1 day' and not exists (select 1 from proofs where picture = pictures.sha256)
       and not exists (select 1 from reference_pictures where picture = pictures.sha256)
       and not exists (select 1 from bin where kind = 'reference' and row->>'picture' = pictures.sha256)
       and not exists (select 1 from drafts where body::text like '%' || pictures.sha256 || '%')
       and not exists (select 1 from versions where body::text like '%' || pictures.sha256 || '%')`,
  )
