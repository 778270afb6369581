import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Facet } from '../facet.ts'
import { learnTemplate } from './learn.ts'
import { filledExactly, readTemplate } from './template.ts'

const back = (texts: string[]) => {
  const { template, slots } = learnTemplate(texts)
  const { parts, problems } = readTemplate(template)
  expect(problems).toEqual([])
  return texts.map((_, i) => filledExactly(parts, Object.fromEntries(slots.map(({ name, values }) => [name, values[i]!]))))
}
const plain = (texts: string[]) => learnTemplate(texts).template.replace(/\{\{ [^}]+ \}\}/g, '_')

describe('a template learned from texts', () => {
  it.each([
    ['a part of a list', ['a red fox in a forest, dusk, gouache', 'a grey heron in a forest, dusk, gouache'], 'a _ in a forest, dusk, gouache'],
    ['two parts of a list', ['a fox, at dawn, gouache', 'a heron, at night, gouache', 'a train, at noon, gouache'], 'a _, at _, gouache'],
    ['a thing that has a joining word in it', ['a jar of honey on a table, soft light', 'a pot of tea on a table, soft light'], 'a _ on a table, soft light'],
    ['words in a sentence', ['An old beekeeper walks through the orchard at dawn.', 'A young miller walks through the village at dawn.', 'An old ferryman walks through the harbour at dawn.'], '_ walks through the _ at dawn.'],
    ['what stands before a word that all have', ['portrait of a cat, rim light, 85mm lens', 'portrait of a cat, soft window light, 85mm lens'], 'portrait of a cat, _ light, 85mm lens'],
    ['something that only some have', ['a boat on a lake, mist, watercolour', 'a boat on a lake, watercolour'], 'a boat on a lake_, watercolour'],
  ])('has a slot for %s', (_, texts, frame) => {
    expect(plain(texts)).toBe(frame)
    expect(back(texts)).toEqual(texts)
  })

  it('uses a slot twice where the same thing stands twice', () => {
    const { template, slots } = learnTemplate(['a red fox with a red scarf', 'a blue fox with a blue scarf'])
    expect(template).toBe('a {{ part }} fox with a {{ part }} scarf')
    expect(slots).toEqual([{ name: 'part', values: ['red', 'blue'] }])
  })

  it('names slots by what they say, each once', () => {
    const facets: Record<string, Facet> = { fox: 'subject', heron: 'subject', dawn: 'moment', night: 'moment', gouache: 'medium', linocut: 'medium' }
    const reads = (text: string) => [...text.matchAll(/\p{L}+/gu)].flatMap(({ 0: word, index }) => (facets[word] ? [{ start: index, end: index + word.length, text: word, facet: facets[word], confidence: 1 }] : []))
    const { template } = learnTemplate(['a fox, at dawn, gouache', 'a heron, at night, linocut'], reads)
    expect(template).toBe('a {{ subject }}, at {{ moment }}, {{ medium }}')
  })

  it('gives every text back exactly, whatever stands in it', () => {
    const word = fc.constantFrom('a', 'fox', 'red', 'of', 'in', ',', '.', '{{', '}}', '{{ x }}', 'dusk', '\n', '  ', 'é', '“', "it's")
    const text = fc.array(word, { maxLength: 14 }).map((words) => words.join(' '))
    fc.assert(fc.property(fc.array(text, { minLength: 2, maxLength: 5 }), (texts) => {
      const { template, slots } = learnTemplate(texts)
      texts.forEach((own, i) => {
        const values = Object.fromEntries(slots.map(({ name, values: all }) => [name, all[i]!]))
        expect(template.replace(/\{\{ ([^{}]+) \}\}/g, (_, name: string) => values[name] ?? '?')).toBe(own)
      })
    }), { numRuns: 300 })
  })

  it('wants two texts', () => {
    expect(() => learnTemplate(['a fox'])).toThrow(RangeError)
  })
})

describe('a template as it is written', () => {
  it('says in which line something is wrong', () => {
    expect(readTemplate('a fox,\n{{ place').problems).toMatchObject([{ line: 2, says: 'Line 2: a slot is opened with {{ and not closed with }}.' }])
    expect(readTemplate('{{#x}}a{{/x}}').problems[0]!.says).toMatch(/slots only/)
    expect(readTemplate('{{ 7 }}').problems[0]!.says).toMatch(/no name/)
    expect(readTemplate('{{ a {{ b }} }}').problems).not.toEqual([])
  })
})
