import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import { proxyOf } from './proxy.ts'

const plain = (width: number, height: number, background: string | { r: number; g: number; b: number; alpha?: number }) => sharp({ create: { width, height, channels: 4, background } })
const first = ({ rgb }: { rgb: Uint8Array }) => [...rgb.subarray(0, 3)]

describe('the proxy of a picture', () => {
  it('stands upright, is small enough, and keeps what is smaller', async () => {
    const turned = await plain(3000, 1000, 'red').jpeg().withMetadata({ orientation: 6 }).toBuffer()
    expect(await proxyOf(turned)).toMatchObject({ width: 341, height: 1024 })
    expect(await proxyOf(await plain(30, 20, 'red').png().toBuffer())).toMatchObject({ width: 30, height: 20 })
  })

  it('is in plain colours, whatever came: transparent on white, grey, 16 bits, CMYK, the first frame of an animation', async () => {
    expect(first(await proxyOf(await plain(4, 4, { r: 0, g: 0, b: 0, alpha: 0 }).png().toBuffer()))).toEqual([255, 255, 255])
    expect(first(await proxyOf(await plain(4, 4, '#808080').toColourspace('b-w').png().toBuffer()))).toEqual([128, 128, 128])
    expect(first(await proxyOf(await plain(4, 4, '#4080c0').toColourspace('rgb16').png().toBuffer()))).toEqual([64, 128, 192])
    const [red = 0, , blue = 255] = first(await proxyOf(await plain(8, 8, '#c02020').toColourspace('cmyk').jpeg().toBuffer()))
    expect(red).toBeGreaterThan(blue + 60)
    const frames = await sharp([await plain(6, 6, 'red').png().toBuffer(), await plain(6, 6, 'blue').png().toBuffer()], { join: { animated: true } }).gif().toBuffer()
    const still = await proxyOf(frames)
    expect([still.width, still.height, first(still)[2]]).toEqual([6, 6, 0])
  })

  it('is refused with what is wrong, without being unfolded', async () => {
    await expect(proxyOf(Buffer.from('no picture'))).rejects.toThrow('not a picture that can be read')
    const whole = await plain(400, 400, 'green').jpeg().toBuffer()
    await expect(proxyOf(whole.subarray(0, whole.length / 2))).rejects.toThrow('damaged or cut off')
    const bomb = await plain(8, 8, 'red').png().toBuffer()
    bomb.writeUInt32BE(60_000, 16)
    bomb.writeUInt32BE(60_000, 20)
    await expect(proxyOf(bomb)).rejects.toThrow(/60,000 by 60,000 pixels|not a picture/)
  })
})
