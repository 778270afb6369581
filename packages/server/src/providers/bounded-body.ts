import { ServiceFailure } from './service-failure.ts'

/** The body of an answer, refused as soon as it passes `limit` bytes. */
export async function boundedBody(response: { body: unknown }, limit: number): Promise<Buffer> {
  const chunks: Uint8Array[] = []
  let size = 0
  if (!response.body) return Buffer.alloc(0)
  for await (const chunk of response.body as AsyncIterable<Uint8Array>) {
    size += chunk.length
    if (size > limit) {
      throw new ServiceFailure(`The answer is larger than ${Math.round(limit / 1_000_000)} MB and was not read to its end.`, {
        charged: 'yes',
        again: false,
      })
    }
    chunks.push(chunk)
  }
  return Buffer.concat(chunks)
}
