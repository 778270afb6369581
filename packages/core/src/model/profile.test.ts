import { expect, it } from 'vitest'
import { chatConnection, costOf, fillModelBody, temperatureFor } from './profile.ts'

it('asks within the temperatures that the profile says the service takes, and as the helper wants where it says none', () => {
  const range = { temperature: { least: 0.2, most: 1 } }
  expect([0, 0.2, 0.7, 1, 1.8].map((wanted) => temperatureFor(range, wanted))).toEqual([0.2, 0.2, 0.7, 1, 1])
  expect(temperatureFor({}, 1.8)).toBe(1.8)
})

it('counts what is begun of a thousandth unit as a whole one, and a question by itself', () => {
  const cost = { request: 3, thousandIn: 2, thousandOut: 10 }
  expect([costOf({ cost }, 0, 0), costOf({ cost }, 1, 0), costOf({ cost }, 1_000, 500)]).toEqual([3, 4, 10])
})

it('speaks the usual shape without a header where no key is needed', () => {
  const open = chatConnection('https://models.example/messages', false)
  expect(open.headers).toBeUndefined()
  expect(fillModelBody(open.body, { model: 'm', messages: [], temperature: 0.4, seed: 1, mostOut: 90, schema: {}, schemaName: 's' })).toMatchObject({ model: 'm', temperature: 0.4, seed: 1, max_tokens: 90 })
})
