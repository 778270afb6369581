import { expect, it } from 'vitest'
import { API_KEY, takesApiKey } from './api-key.ts'

it.each([
  [undefined, false],
  [{}, false],
  [{ headers: { accept: 'image/png' } }, false],
  [{ headers: { accept: 'image/png', authorization: `Bearer ${API_KEY}` } }, true],
])('says of %j whether it takes an API key', (connection, takes) => {
  expect(takesApiKey(connection)).toBe(takes)
})
