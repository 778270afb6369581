import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { createStandin } from '../app.ts'
import type { PictureRequest } from '../request.ts'
import { EXPECTATIONS } from './answers.ts'
import { judge } from './judge.ts'

let server: Server
let address = ''
beforeAll(async () => {
  server = createStandin().listen(0, '127.0.0.1')
  await new Promise((resolve) => server.once('listening', resolve))
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
})
afterAll(() => new Promise((resolve) => server.close(resolve)))

const ask = async (request: PictureRequest): Promise<never> => {
  const response = await fetch(`${address}/v1/pictures`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(request) })
  if (!response.ok) throw new Error(await response.text())
  return (await response.json()) as never
}

it('answers to words and settings, and leaves the rest alone: each on one of the ten seeds that the bench takes', async () => {
  expect(EXPECTATIONS.length).toBeGreaterThanOrEqual(60)
  const missed: string[] = []
  for (const [i, expectation] of EXPECTATIONS.entries()) {
    const { shown, kept } = await judge(ask, expectation, [11 + 7 * (i % 10)])
    if (!shown || !kept) missed.push(expectation.name)
  }
  // One seed of ten may miss.
  expect(missed.length, missed.join(', ')).toBeLessThanOrEqual(EXPECTATIONS.length * 0.1)
})
