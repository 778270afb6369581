import { describe, expect, it } from 'vitest'
import type { Mark } from '../draft/mark-shape.ts'
import { shownText } from '../output/shown-text.ts'
import type { Phrase } from '../read/reading.ts'
import { covered, emphasised, emphasisOf, toggledOff, withoutMarks } from './marks.ts'
import { outlineOf } from './outline.ts'

const text = 'a red fox, dusk'
const fox = { start: 2, end: 9 }

describe('marks by phrase', () => {
  it('switch a phrase off and on again, leaving others as they are', () => {
    const dusk: Mark[] = [{ from: 11, to: 15, kind: 'off' }]
    const off = toggledOff(text, dusk, fox)
    expect(covered(text, off, 'off', fox)).toBe(true)
    expect(toggledOff(text, off, fox)).toEqual(dusk)
  })
  it('switch off the words that lead to a phrase with it, so that the output is whole', () => {
    const sentence = 'A fox sleeps in the deep snow, dusk'
    const snow = { start: sentence.indexOf('deep'), end: sentence.indexOf(',') }
    const marks = toggledOff(sentence, [], snow)
    expect(shownText({ text: sentence, marks })).toBe('A fox sleeps, dusk')
  })
  it('are cut where only part of them is taken away', () => {
    expect(withoutMarks([{ from: 0, to: 15, kind: 'off' }], 'off', fox)).toEqual([{ from: 0, to: 2, kind: 'off' }, { from: 9, to: 15, kind: 'off' }])
  })
  it('know five steps of emphasis', () => {
    const more = emphasised([], fox, 2)
    expect(emphasisOf(more, fox)).toBe(2)
    expect(emphasised(emphasised(more, fox, -1), fox, 0)).toEqual([])
  })
})

it('an outline has twelve rows in writing order, and says what the writer did', () => {
  const phrases: Phrase[] = [
    { start: 11, end: 15, text: 'dusk', facet: 'moment', confidence: 0.4 },
    { ...fox, text: 'red fox', facet: 'subject', confidence: 0.9 },
  ]
  const rows = outlineOf(text, { phrases }, [{ from: 11, to: 15, kind: 'facet', facet: 'moment' }, { from: 2, to: 9, kind: 'off' }])
  expect(rows).toHaveLength(12)
  expect(rows[0]).toMatchObject({ facet: 'subject', phrases: [{ text: 'red fox', off: true, byHand: false, unsure: false }] })
  expect(rows[4]).toMatchObject({ facet: 'moment', phrases: [{ byHand: true, unsure: false }] })
  expect(outlineOf(text, { phrases }, [])[4]!.phrases[0]!.unsure).toBe(true)
})
