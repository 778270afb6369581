import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Facet } from '../src/facet.ts'
import { createReader, fillTemplate } from '../src/reader.ts'
import { learnTemplate } from '../src/template/learn.ts'
import { filledExactly, readTemplate } from '../src/template/template.ts'

const table = (name: string) => readFileSync(new URL(`../tables/${name}`, import.meta.url))
const reader = createReader(table('words.bin'), table('reader.bin'))
const filled = (template: string, values: Record<string, string>) => fillTemplate(readTemplate(template).parts, values, reader.words, (slot) => (slot === 'subject' ? 'subject' : undefined) as Facet | undefined).text

describe('filling a template', () => {
  const list = 'a {{ subject }} in {{ place }}, {{ light }}, {{ mood }} mood, gouache'
  it.each<[string, string, Record<string, string>, string]>([
    ['“an” before a vowel', list, { subject: 'owl', place: 'a barn', light: 'dusk', mood: 'tense' }, 'an owl in a barn, dusk, tense mood, gouache'],
    ['no article before many', list, { subject: 'two owls', place: 'a barn', light: 'dusk', mood: 'calm' }, 'two owls in a barn, dusk, calm mood, gouache'],
    ['a capital that goes on', 'A {{ x }} in {{ y }}, dusk', { x: 'two owls', y: 'a barn' }, 'Two owls in a barn, dusk'],
    ['no second article', list, { subject: 'an owl', place: 'a barn', light: 'dusk', mood: 'calm' }, 'an owl in a barn, dusk, calm mood, gouache'],
    ['no article before a stuff', 'a {{ x }} on a table', { x: 'fresh snow' }, 'fresh snow on a table'],
    ['“the” stays', 'the {{ x }} at night', { x: 'harbour' }, 'the harbour at night'],
    ['an adjective’s article', 'a {{ x }} lantern', { x: 'old' }, 'an old lantern'],
    ['an adjective left out', 'an {{ x }} lantern', {}, 'a lantern'],
    ['a part of a list left out', list, { subject: 'fox', place: 'a barn', mood: 'calm' }, 'a fox in a barn, calm mood, gouache'],
    ['a place left out', list, { subject: 'fox', light: 'dusk', mood: 'calm' }, 'a fox, dusk, calm mood, gouache'],
    ['the first left out', list, { place: 'a barn', light: 'dusk', mood: 'calm' }, 'in a barn, dusk, calm mood, gouache'],
    ['the last left out', 'a fox, {{ x }}', {}, 'a fox'],
    ['one of two joined', '{{ a }} and {{ b }}, gouache', { b: 'oranges' }, 'oranges, gouache'],
    ['the other of two joined', 'a plate with {{ a }} and {{ b }}, gouache', { a: 'figs' }, 'a plate with figs, gouache'],
    ['both of two joined', 'a plate with {{ a }} and {{ b }}, gouache', {}, 'a plate, gouache'],
    ['lettering left out', 'a poster, with the words "{{ w }}" at the top, flat colours', {}, 'a poster, flat colours'],
    ['what a sentence says left out', 'A fox sleeps. The light is {{ l }}. Painted in oils.', {}, 'A fox sleeps. Painted in oils.'],
    ['a sentence whose place is left out', 'A fox sleeps in {{ p }} at {{ t }}.', { t: 'dawn' }, 'A fox sleeps at dawn.'],
    ['a sentence that begins with a value', '{{ subject }} sleeps in the hay.', { subject: 'an old fox' }, 'An old fox sleeps in the hay.'],
    ['many that do something', '{{ subject }} sleeps in the hay, and is watched.', { subject: 'two old foxes' }, 'Two old foxes sleep in the hay, and is watched.'],
    ['one where many were meant', '{{ subject }} are standing in the rain', { subject: 'a heron' }, 'a heron is standing in the rain'],
    ['a value written as a sentence', 'portrait of {{ x }}, oils', { x: 'An old man.' }, 'portrait of an old man, oils'],
    ['a name', 'a {{ x }} at a window', { x: 'Hedda Brenn' }, 'Hedda Brenn at a window'],
    ['words to be read', 'a sign with "{{ x }}" on it', { x: 'Open Late' }, 'a sign with "Open Late" on it'],
    ['a number', '{{ n }} hot-air balloon over a valley', { n: 'three' }, 'three hot-air balloons over a valley'],
    ['one of many', '{{ n }} sleeping foxes in a den', { n: 'one' }, 'one sleeping fox in a den'],
    ['everything left out', '{{ a }}, {{ b }} in {{ c }}.', {}, ''],
  ])('%s', (_, template, values, text) => {
    expect(filled(template, values)).toBe(text)
  })

  it('says where the values stand', () => {
    const { text, slots } = fillTemplate(readTemplate('a {{ x }} by {{ y }}, {{ z }}').parts, { x: 'owl', z: 'dusk.' }, reader.words)
    expect(slots.map(({ slot, from, to }) => [slot, text.slice(from, to)])).toEqual([['x', 'owl'], ['z', 'dusk']])
    expect(text).toBe('an owl, dusk')
  })

  it('changes nothing in texts that a template was learned from', () => {
    const frames = readFileSync(new URL('../learn-cases/groups.txt', import.meta.url), 'utf8').split(/\n\n+/).map((block) => block.replace(/^(?:#.*\n)+/gm, '').split('\n'))
    let [same, all] = [0, 0]
    for (const [, frame = '', ...lines] of frames) {
      const names = [...new Set([...frame.matchAll(/\{\{ (\w+) \}\}/g)].map((match) => match[1]!))]
      if (names.length < 2) continue
      const texts = lines.map((line) => names.reduce((text, name, i) => text.replaceAll(`{{ ${name} }}`, (line.split('|')[i] ?? '').replace(/^ | $/g, '')), frame))
      const { template, slots } = learnTemplate(texts, (text) => reader.read(text).phrases)
      const { parts } = readTemplate(template)
      texts.forEach((text, k) => {
        const values = Object.fromEntries(slots.map(({ name, values: own }) => [name, own[k]!]))
        expect(filledExactly(parts, values)).toBe(text)
        all++
        if (fillTemplate(parts, values, reader.words).text === text) same++
      })
    }
    expect(all).toBeGreaterThan(120)
    expect(same / all).toBeGreaterThan(0.97)
  })

  it('leaves no comma, article or space behind, whatever is left empty', () => {
    const template = 'A {{ a }} {{ b }} on {{ c }}, with {{ d }} and {{ e }}, {{ f }} light. The sky is {{ g }}. Text reads "{{ h }}".'
    const value = fc.constantFrom('', 'owl', 'red', 'a hill', 'two boats', 'soft')
    fc.assert(
      fc.property(fc.array(value, { minLength: 8, maxLength: 8 }), (values) => {
        const text = filled(template, Object.fromEntries(values.map((one, i) => ['abcdefgh'[i]!, one])))
        expect(text).not.toMatch(/[,;] ?[,;.]|\s{2}|\s[,.;]|^[,.;\s]|\b(?:an?|the|and|with|on) ?(?:[,.;]|$)|""/)
      }),
    )
  })
})
