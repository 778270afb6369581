import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../testing/test-server.ts'

let server: TestServer
let address = ''
beforeAll(async () => {
  server = await TestServer.start()
  const { id } = await server.prompt('a fox')
  const { proofs } = await server.ended(await server.run(id, 1))
  address = `${server.address}/api/pictures/${proofs[0]!.picture!.sha256}`
})
afterAll(() => server.stop())

describe('a picture', () => {
  it('is the same for ever at its address, so that a browser asks once', async () => {
    const first = await fetch(address)
    expect(first.headers.get('cache-control')).toContain('immutable')
    expect(first.headers.get('content-type')).toBe('image/png')
    const again = await fetch(address, { headers: { 'if-none-match': first.headers.get('etag') ?? '' } })
    expect([again.status, (await again.arrayBuffer()).byteLength]).toEqual([304, 0])
    const thumbnail = await fetch(`${address}/thumbnail`, { headers: { 'if-none-match': first.headers.get('etag') ?? '' } })
    expect(thumbnail.status).toBe(200)
  })

  it('is never guessed at as another kind of file', async () => {
    expect((await fetch(address)).headers.get('x-content-type-options')).toBe('nosniff')
  })

  it('that is not there is a 404, and an address that is none a 400', async () => {
    expect((await fetch(`${server.address}/api/pictures/${'0'.repeat(64)}`)).status).toBe(404)
    expect((await fetch(`${server.address}/api/pictures/..%2f..%2fetc`)).status).toBe(400)
  })
})
