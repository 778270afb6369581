import fc from 'fast-check'
import { expect, it } from 'vitest'
import { eventsIn } from './server-sent-events.ts'

async function* pieces(bytes: Uint8Array, sizes: readonly number[]): AsyncGenerator<Uint8Array> {
  let at = 0
  for (let i = 0; at < bytes.length; i++) {
    const size = sizes[i % sizes.length] ?? 1
    await Promise.resolve()
    yield bytes.subarray(at, at + size)
    at += size
  }
}
async function heard(text: string, sizes: readonly number[], limit = 1_000_000): Promise<string[]> {
  const all: string[] = []
  for await (const data of eventsIn(pieces(new TextEncoder().encode(text), sizes), limit)) all.push(data)
  return all
}

it('events are the same whatever pieces their bytes come in', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(fc.string({ unit: 'grapheme', minLength: 1 }).filter((text) => !/[\r\n]/.test(text)), { maxLength: 6 }), fc.array(fc.integer({ min: 1, max: 7 }), { minLength: 1, maxLength: 4 }), async (texts, sizes) => {
      expect(await heard(texts.map((text) => `data: ${text}\n\n`).join(''), sizes)).toEqual(texts)
    }),
  )
})

it('comments and other fields are passed over, several data lines are one, either line end is taken', async () => {
  expect(await heard(': hello\r\n\r\nevent: x\r\ndata: a\r\ndata: b\r\n\r\ndata:c\n\nid: 7\n\ndata: not ended', [3])).toEqual(['a\nb', 'c'])
})

it('a stream without an end is not read to one', async () => {
  await expect(heard(`data: ${'x'.repeat(500)}\n\n`, [100], 200)).rejects.toThrow(RangeError)
})
