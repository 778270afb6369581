import { firstFactsOf, View } from '@idolon/core/look'
import type { Database } from '../database/connect.ts'
import { proxyOf } from '../pictures/proxy.ts'

const MAKER = 'colours-1'
const BATCH = 20
/** Colours that less of a picture has are no colour to find it by. */
const LEAST = 0.12

/** Names the colours of best proofs whose picture has not been looked at; how many there were. */
export async function nameColours(db: Database): Promise<number> {
  const { rows } = await db.raw<{ rows: { picture: string; thumbnail: Buffer }[] }>(
    `select distinct on (c.sha256) c.sha256 as picture, c.thumbnail from shelf s join pictures c on c.sha256 = s.best_picture left join picture_colours n on n.picture = c.sha256
     where not s.deleted and (n.picture is null or n.maker <> ?) limit ?`,
    [MAKER, BATCH],
  )
  for (const { picture, thumbnail } of rows) {
    const { palette } = firstFactsOf(new View(await proxyOf(thumbnail)))
    const shares = new Map<string, number>()
    for (const { name, share } of palette) shares.set(name, (shares.get(name) ?? 0) + share)
    const names = [...shares].filter(([, share]) => share >= LEAST).map(([name]) => name)
    await db('picture_colours').insert({ picture, maker: MAKER, names }).onConflict('picture').merge()
  }
  return rows.length
}
