import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { meaningOf } from './label-names.ts'
import { structureOf } from './pieces.ts'

const pieces = (text: string) => structureOf(text).pieces.map(({ start, end, meaning }) => [text.slice(start, end).trim(), meaning])

describe('labelled fields', () => {
  it('are pieces with the meaning of their label', () => {
    expect(pieces('Subject: a fox\nTime of day: dusk\nAvoid: people\nSeed: 5')).toEqual([
      ['a fox', 'subject'],
      ['dusk', 'moment'],
      ['people', 'leave-out'],
    ])
    expect(structureOf('Subject: a fox\nSeed: 5').settings.map(({ settings }) => settings)).toEqual([{ seed: 5 }])
  })
  it('of the setting are not settings', () => {
    expect(pieces('Subject: a fox\nSetting: snow\nBackground: white\nFormat: 3:2')).toEqual([['a fox', 'subject'], ['snow', 'setting'], ['white', 'setting']])
    expect(structureOf('Subject: a fox\nFormat: 3:2').settings.map(({ settings }) => settings)).toEqual([{ aspectRatio: '3:2' }])
  })
  it('may stand within a line, and end with their sentence', () => {
    expect(pieces('A fox in snow. Style: soft watercolour. It is smiling.')).toEqual([
      ['A fox in snow.', undefined],
      ['soft watercolour.', 'medium'],
      ['It is smiling.', undefined],
    ])
  })
  it('with a name of their own are labels all the same, among others', () => {
    expect(pieces('Hero: a mouse\nSidekick: a toad\nMood: jolly').map(([said]) => said)).toEqual(['a mouse', 'a toad', 'jolly'])
  })
  it('are not every word before a colon', () => {
    expect(pieces('a poster: two foxes, dusk')).toEqual([['a poster: two foxes, dusk', undefined]])
  })
})

describe('JSON', () => {
  it('is read by the nearest telling key, nested or in lists', () => {
    expect(pieces('{"image":{"subject":{"who":"a fox","clothing":["scarf","hat"]},"camera":{"angle":"low"}},"extra":"x"}')).toEqual([
      ['a fox', 'subject'],
      ['scarf', 'detail'],
      ['hat', 'detail'],
      ['low', 'framing'],
      ['x', undefined],
    ])
  })
  it('gives its numbers as settings, unknown ones as typed', () => {
    expect(structureOf('{"prompt":"a fox","seed":5,"guidance_scale":7,"warp":0.5}').settings.map(({ settings }) => settings)).toEqual([{ seed: 5 }, { guidance: 7 }, { warp: 0.5 }])
  })
  it('may be cut short', () => {
    expect(pieces('{"subject":"a fox","mood":"cal')).toEqual([['a fox', 'subject']])
  })
})

it('knows labels however they are written', () => {
  expect([meaningOf('mainSubject'), meaningOf('TIME_OF_DAY'), meaningOf('Colour Palette'), meaningOf('negative_prompt'), meaningOf('banana')]).toEqual(['subject', 'moment', 'colour', 'leave-out', undefined])
})

it('takes any text apart into pieces that lie inside it, in order', () => {
  const bits = fc.array(fc.constantFrom('{', '}', '"', ':', ',', '[', 'subject', 'seed', ' 5', '\n', 'a fox', '- ', '1. ', '\\'), { maxLength: 30 }).map((list) => list.join(''))
  fc.assert(
    fc.property(fc.oneof(bits, fc.string({ unit: 'binary' })), (text) => {
      let at = 0
      for (const { start, end } of structureOf(text).pieces) {
        expect(start).toBeGreaterThanOrEqual(at)
        expect(end).toBeGreaterThanOrEqual(start)
        at = end
      }
      expect(at).toBeLessThanOrEqual(text.length)
    }),
    { seed: 8, numRuns: 500 },
  )
})
