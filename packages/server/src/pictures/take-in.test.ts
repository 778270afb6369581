import { deflateSync } from 'node:zlib'
import sharp from 'sharp'
import { expect, it } from 'vitest'
import { picture } from '../testing/fake-engine.ts'
import { takeIn } from './take-in.ts'

/** A PNG that says it has so many pixels, with nothing of them. */
function hollowPng(width: number, height: number): Buffer {
  const chunk = (name: string, data: Buffer) => {
    const head = Buffer.alloc(8)
    head.writeUInt32BE(data.length, 0)
    head.write(name, 4, 'latin1')
    return Buffer.concat([head, data, Buffer.alloc(4)])
  }
  const header = Buffer.alloc(13)
  header.writeUInt32BE(width, 0)
  header.writeUInt32BE(height, 4)
  header.set([8, 2, 0, 0, 0], 8)
  return Buffer.concat([Buffer.from('\x89PNG\r\n\x1a\n', 'latin1'), chunk('IHDR', header), chunk('IDAT', deflateSync(Buffer.alloc(100))), chunk('IEND', Buffer.alloc(0))])
}

it('takes in a picture with its size, its type and a thumbnail', async () => {
  const taken = await takeIn(await picture(7, 900, 600))
  expect(taken).toMatchObject({ width: 900, height: 600, type: 'image/png' })
  expect((await sharp(taken.thumbnail).metadata()).width).toBe(480)
  expect((await takeIn(await sharp(await picture(7)).jpeg().toBuffer())).type).toBe('image/jpeg')
  expect((await takeIn(await sharp(await picture(7)).webp().toBuffer())).type).toBe('image/webp')
})
it.each([
  ['what is no picture', () => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'), /not a PNG, JPEG, WebP, GIF, AVIF or TIFF/],
  ['one that is cut off', async () => (await picture(7, 300, 300)).subarray(0, 200), /damaged or cut off/],
  ['a hundred megapixels', () => hollowPng(10_000, 10_000), /10,000 by 10,000 pixels/],
  ['a strip without an end', () => hollowPng(60_000, 20), /60,000 by 20 pixels/],
  ['a bomb of text', async () => {
    const png = await picture(7)
    const text = deflateSync(Buffer.alloc(3_000_000_000 / 500))
    const chunk = Buffer.concat([Buffer.from([0, 0x50, 0, 0]), Buffer.from('zTXt', 'latin1'), Buffer.alloc(0x500000), text])
    return Buffer.concat([png.subarray(0, 33), chunk, png.subarray(33)])
  }, /more about itself/],
])('refuses %s before decoding it', async (_what, make, says) => {
  await expect(takeIn(await make())).rejects.toThrow(says)
})
