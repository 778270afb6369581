import { expect, it } from 'vitest'
import { Breaker } from './breaker.ts'
import { ServiceFailure } from './service-failure.ts'

const engine = { id: 'press 1', name: 'Press' }
const failing = (charged: 'no' | 'perhaps', again: boolean) => () => Promise.reject(new ServiceFailure('It failed.', { charged, again }))

it('leaves an engine in peace after five failures in a row, says so, and asks again later', async () => {
  let now = 0
  const breaker = new Breaker(() => now)
  for (let i = 0; i < 5; i++) await expect(breaker.through(engine, 2, failing('perhaps', true))).rejects.toThrow('It failed.')
  await expect(breaker.through(engine, 2, () => Promise.resolve(1))).rejects.toThrow('Press failed 5 times in a row; Idolon asks it again in 30 seconds. Nothing was sent.')
  expect(await breaker.through({ id: 'other 1', name: 'Other' }, 2, () => Promise.resolve(2))).toBe(2)
  now = 31_000
  expect(await breaker.through(engine, 2, () => Promise.resolve(3))).toBe(3)
})

it('counts no refusal as a failure, and begins anew after a success', async () => {
  const breaker = new Breaker(() => 0)
  for (let i = 0; i < 9; i++) await expect(breaker.through(engine, 2, failing('no', false))).rejects.toThrow('It failed.')
  for (let i = 0; i < 4; i++) await expect(breaker.through(engine, 2, failing('perhaps', true))).rejects.toThrow('It failed.')
  await breaker.through(engine, 2, () => Promise.resolve(1))
  await expect(breaker.through(engine, 2, failing('perhaps', true))).rejects.toThrow('It failed.')
  expect(await breaker.through(engine, 2, () => Promise.resolve(1))).toBe(1)
})

it('lets no more requests through at once than it may', async () => {
  const breaker = new Breaker()
  let [running, most] = [0, 0]
  await Promise.all(Array.from({ length: 9 }, () => breaker.through(engine, 2, async () => {
    most = Math.max(most, ++running)
    await new Promise((resolve) => setTimeout(resolve, 5))
    running--
  })))
  expect(most).toBe(2)
})
