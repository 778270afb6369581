import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import { EngineFailure } from '../providers/engine-failure.ts'
import { takeInPng } from './take-in.ts'

const solid = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#a3123f' } })
const refusal = (bytes: Buffer) => takeInPng(bytes).then(() => 'taken in', (error: unknown) => (error instanceof EngineFailure ? error.reason : String(error)))

describe('takeInPng', () => {
  it('keeps the bytes as they came, and makes a thumbnail of at most 480 pixels', async () => {
    const bytes = await solid(960, 640).png().toBuffer()
    const taken = await takeInPng(bytes)
    expect([taken.width, taken.height, taken.bytes.equals(bytes), taken.sha256.length]).toEqual([960, 640, true, 64])
    expect(await sharp(taken.thumbnail).metadata()).toMatchObject({ format: 'webp', width: 480, height: 320 })
  })

  it('refuses another format, a damaged file and a picture of too many pixels', async () => {
    expect(await refusal(await solid(8, 8).jpeg().toBuffer())).toContain('not a PNG')
    expect(await refusal(Buffer.from('89504e470d0a1a0a00', 'hex'))).toContain('damaged or cut off')
    // A small file that would unfold to 100 megapixels.
    const bomb = await sharp({ create: { width: 10_000, height: 10_000, channels: 3, background: '#000' }, limitInputPixels: false }).png().toBuffer()
    expect(bomb.length).toBeLessThan(1_000_000)
    expect(await refusal(bomb)).toContain('more than 64 million pixels')
  })
})
