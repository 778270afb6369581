import { createHash } from 'node:crypto'
import sharp from 'sharp'
import { NotAPicture } from './not-a-picture.ts'

/** Named in the database beside each thumbnail, so that an older maker's can be renewed. */
export const THUMBNAIL_MAKER = 'webp-480-1'
const THUMBNAIL_EDGE = 480
/** On a sheet of thousands a quarter of the pixels is a quarter of the memory. */
const SMALL_EDGE = 240
/** More than any engine here makes; a picture beyond it is refused by its header, before any of it is decoded. */
export const MAX_PIXELS = 64_000_000
const MAX_EDGE = 16_384
/** So much of what a file says of itself is more than any picture needs, and may unfold to far more. */
const MAX_CHUNK = 4_000_000
/** The same of what is compressed: deflate unfolds to a thousand times its size at most. */
const MAX_COMPRESSED = 64_000

const starts = (bytes: Buffer, at: number, text: string) => bytes.subarray(at, at + text.length).toString('latin1') === text
const KINDS = [
  { type: 'image/png', is: (bytes: Buffer) => starts(bytes, 0, '\x89PNG\r\n\x1a\n') },
  { type: 'image/jpeg', is: (bytes: Buffer) => starts(bytes, 0, '\xff\xd8\xff') },
  { type: 'image/webp', is: (bytes: Buffer) => starts(bytes, 0, 'RIFF') && starts(bytes, 8, 'WEBP') },
  { type: 'image/gif', is: (bytes: Buffer) => starts(bytes, 0, 'GIF8') },
  { type: 'image/avif', is: (bytes: Buffer) => starts(bytes, 4, 'ftypavi') },
  { type: 'image/tiff', is: (bytes: Buffer) => starts(bytes, 0, 'II*\0') || starts(bytes, 0, 'MM\0*') },
] as const

export interface TakenIn {
  sha256: string
  type: (typeof KINDS)[number]['type']
  bytes: Buffer
  width: number
  height: number
  thumbnail: Buffer
  /** The same for a sheet of many. */
  small: Buffer
}

/** The thumbnail of a thumbnail. */
export const smallOf = (thumbnail: Buffer): Promise<Buffer> => sharp(thumbnail).resize(SMALL_EDGE, SMALL_EDGE, { fit: 'inside', withoutEnlargement: true }).webp({ quality: 80, effort: 2 }).toBuffer()

/** The pixels a picture says it has when it stands upright, from its header alone. */
async function sizeOf(bytes: Buffer): Promise<{ width: number; height: number }> {
  const { autoOrient } = await sharp(bytes, { failOn: 'error', limitInputPixels: false }).metadata()
  return autoOrient
}

/** A PNG whose text or profile is so large that unfolding it would be the attack. */
function demandSmallChunks(bytes: Buffer): void {
  for (let at = 8; at + 8 <= bytes.length; ) {
    const length = bytes.readUInt32BE(at)
    const name = bytes.subarray(at + 4, at + 8).toString('latin1')
    // Of an international text the byte after its keyword and a zero says whether it is compressed.
    const compressed = name === 'zTXt' || (name === 'iTXt' && bytes[bytes.indexOf(0, at + 8) + 1] === 1)
    if (/^(?:zTXt|iTXt|tEXt|iCCP|eXIf)$/.test(name) && length > (compressed ? MAX_COMPRESSED : MAX_CHUNK)) throw new NotAPicture('a file that says more about itself than a picture has to')
    if (name === 'IDAT' && length > bytes.length) throw new NotAPicture('damaged or cut off')
    at += 12 + length
  }
}

/**
 * Makes sure that bytes from outside are a whole picture of a sane size, and makes its thumbnail. Kind and size are told
 * from the header, before anything is decoded.
 * @throws NotAPicture that says what is wrong with them.
 */
export async function takeIn(bytes: Buffer): Promise<TakenIn> {
  const kind = KINDS.find(({ is }) => is(bytes))
  if (!kind) throw new NotAPicture('not a PNG, JPEG, WebP, GIF, AVIF or TIFF picture')
  if (kind.type === 'image/png') demandSmallChunks(bytes)
  const { width, height } = await sizeOf(bytes).catch(() => {
    throw new NotAPicture('damaged or cut off')
  })
  if (width * height > MAX_PIXELS || Math.max(width, height) > MAX_EDGE) throw new NotAPicture(`${width.toLocaleString('en')} by ${height.toLocaleString('en')} pixels, and more than ${MAX_PIXELS / 1e6} million are not taken in`)
  try {
    const thumbnail = await sharp(bytes, { failOn: 'error', limitInputPixels: MAX_PIXELS, sequentialRead: true })
      .rotate()
      .resize(THUMBNAIL_EDGE, THUMBNAIL_EDGE, { fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 82, effort: 2 })
      .toBuffer()
    return { sha256: createHash('sha256').update(bytes).digest('hex'), type: kind.type, bytes, width, height, thumbnail, small: await smallOf(thumbnail) }
  } catch {
    throw new NotAPicture('damaged or cut off')
  }
}
