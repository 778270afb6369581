import { PROXY_EDGE, type Raster } from '@idolon/core/look'
import sharp from 'sharp'
import { NotAPicture } from './not-a-picture.ts'

const MAX_PIXELS = 150_000_000

/**
 * The proxy that every measure runs on: upright, in sRGB by the picture's own profile, on white where it is transparent, of an
 * animation the first frame.
 * @throws NotAPicture that says what is wrong with the bytes.
 */
export async function proxyOf(bytes: Buffer): Promise<Raster> {
  const open = () => sharp(bytes, { failOn: 'error', limitInputPixels: MAX_PIXELS, pages: 1 })
  const { width, height } = await sharp(bytes, { limitInputPixels: false, pages: 1 }).metadata().catch(() => {
    throw new NotAPicture('not a picture that can be read')
  })
  if (width * height > MAX_PIXELS) throw new NotAPicture(`${width.toLocaleString('en')} by ${height.toLocaleString('en')} pixels, and more than ${MAX_PIXELS / 1e6} million are not read`)
  try {
    const { data, info } = await open()
      .rotate()
      .flatten({ background: '#ffffff' })
      .resize(PROXY_EDGE, PROXY_EDGE, { fit: 'inside', withoutEnlargement: true })
      .toColourspace('srgb')
      .raw({ depth: 'uchar' })
      .toBuffer({ resolveWithObject: true })
    if (info.channels !== 3) throw new NotAPicture('of a kind of colour that cannot be read')
    return { width: info.width, height: info.height, rgb: data }
  } catch (error) {
    if (error instanceof NotAPicture) throw error
    throw new NotAPicture('damaged or cut off')
  }
}
