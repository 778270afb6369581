import { createServer } from 'node:net'
import { expect, it } from 'vitest'
import { freePort, isFree } from './ports.ts'

it('takes the port that is wanted when it is free, and another when it is not', async () => {
  const wanted = await freePort()
  expect(await freePort(wanted)).toBe(wanted)
  const holder = createServer().listen(wanted, '127.0.0.1')
  await new Promise((resolve) => holder.once('listening', resolve))
  try {
    expect(await isFree(wanted)).toBe(false)
    expect(await freePort(wanted)).not.toBe(wanted)
  } finally {
    await new Promise((resolve) => holder.close(resolve))
  }
  expect(await isFree(wanted)).toBe(true)
})
