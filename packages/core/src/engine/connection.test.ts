import fc from 'fast-check'
import { expect, it } from 'vitest'
import { atPointer, fillTemplate, standinConnection, unknownNames } from './connection.ts'

it('fills in values as they are, leaves away what is absent, and writes the rest into strings', () => {
  const template = { text: '{prompt}', avoid: '{leaveOut}', size: '{width}x{height}', options: { seed: '{seed}', strength: '{settings/guidance}' }, list: ['{prompt}', 'fixed'] }
  expect(fillTemplate(template, { prompt: 'a fox', width: 768, height: 512, seed: 7, settings: { guidance: 6.5 } })).toEqual({ text: 'a fox', size: '768x512', options: { seed: 7, strength: 6.5 }, list: ['a fox', 'fixed'] })
})

it('never reads what a writer wrote as a template', () => {
  expect(fillTemplate({ text: '{prompt}', also: 'say {prompt}' }, { prompt: '{key} {seed}', key: 'secret', seed: 1 })).toEqual({ text: '{key} {seed}', also: 'say {key} {seed}' })
  expect(fillTemplate({ text: '{constructor}', more: '{settings/__proto__}' }, { settings: {} })).toEqual({})
})

it('follows a pointer, and nothing else', () => {
  const document = { 'a/b': [{ 'm~n': 5 }], list: ['x'] }
  expect(atPointer(document, '/a~1b/0/m~0n')).toBe(5)
  expect(atPointer(document, '')).toBe(document)
  for (const nowhere of ['/list/length', '/list/-', '/__proto__/x', '/nothing/at/all']) expect(atPointer(document, nowhere)).toBeUndefined()
})

it('gives any text back unharmed through a template', () => {
  fc.assert(fc.property(fc.string(), (prompt) => {
    expect((fillTemplate(standinConnection('http://x').body, { prompt }) as { prompt: string }).prompt).toBe(prompt)
  }))
})

it('says which names nothing fills in', () => {
  expect(unknownNames({ ...standinConnection('http://x'), body: { a: { 'b/c': '{promt}' } } })).toEqual([{ at: '/connection/body/a/b~1c', name: 'promt' }])
})
