import { createHash } from 'node:crypto'
import sharp from 'sharp'
import { EngineFailure } from '../providers/engine-failure.ts'

/** Named in the database beside each thumbnail, so that an older maker's can be renewed. */
export const THUMBNAIL_MAKER = 'webp-480-1'
const THUMBNAIL_EDGE = 480
const MAX_PIXELS = 64_000_000
const PNG_SIGNATURE = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])

export interface TakenIn {
  sha256: string
  bytes: Buffer
  width: number
  height: number
  thumbnail: Buffer
}

/**
 * Makes sure that bytes from outside are a whole PNG of a sane size, and makes its thumbnail.
 * @throws EngineFailure that says what is wrong with them.
 */
export async function takeInPng(bytes: Buffer): Promise<TakenIn> {
  const bad = (what: string) => new EngineFailure(`The engine answered, but ${what}.`, { charged: 'yes', again: false })
  if (!bytes.subarray(0, 8).equals(PNG_SIGNATURE)) throw bad('what came is not a PNG picture')
  try {
    const picture = sharp(bytes, { failOn: 'error', limitInputPixels: MAX_PIXELS, sequentialRead: true })
    const { width, height } = await picture.metadata()
    const thumbnail = await picture.resize(THUMBNAIL_EDGE, THUMBNAIL_EDGE, { fit: 'inside', withoutEnlargement: true }).webp({ quality: 82 }).toBuffer()
    return { sha256: createHash('sha256').update(bytes).digest('hex'), bytes, width, height, thumbnail }
  } catch (error) {
    if (/pixel limit/i.test((error as Error).message)) throw bad('the picture has more than 64 million pixels')
    throw bad('the picture is damaged or cut off')
  }
}
