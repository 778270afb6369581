import type { HelperBody, HelperValues } from '@idolon/core/helper'
import { PROXY_EDGE } from '@idolon/core/look'
import sharp from 'sharp'
import type { Database } from '../database/connect.ts'

/** The pictures that a helper's inputs name, by SHA-256. */
export const picturesNamed = ({ inputs }: Pick<HelperBody, 'inputs'>, given: HelperValues): string[] => inputs.flatMap(({ key, kind }) => (kind === 'picture' && given[key] ? [String(given[key])] : []))

/** Those pictures as a model is sent them: upright, small, without what their files say of them, as data URLs. One that is gone is not sent. */
export async function picturesFor(db: Database, { body, given }: { body: HelperBody; given: HelperValues }): Promise<string[]> {
  const urls: string[] = []
  for (const sha256 of picturesNamed(body, given)) {
    const row = await db('pictures').where({ sha256 }).first<{ bytes: Buffer } | undefined>('bytes')
    if (!row) continue
    const small = await sharp(row.bytes, { pages: 1 }).rotate().flatten({ background: '#ffffff' }).resize(PROXY_EDGE, PROXY_EDGE, { fit: 'inside', withoutEnlargement: true }).jpeg({ quality: 88 }).toBuffer()
    urls.push(`data:image/jpeg;base64,${small.toString('base64')}`)
  }
  return urls
}
