import { expect, it } from 'vitest'
import { sayDifference } from './difference-words.ts'

it('says differences in a few words', () => {
  expect(sayDifference({ kind: 'phrase', change: 'added', b: 'low angle' })).toBe('+ low angle')
  expect(sayDifference({ kind: 'leave-out', change: 'removed', a: 'people' })).toBe('− leave out: people')
  expect(sayDifference({ kind: 'setting', change: 'changed', a: 'aspectRatio 3:2', b: 'aspectRatio 1:1' })).toBe('aspect ratio 3:2 → aspect ratio 1:1')
  expect(sayDifference({ kind: 'phrase', change: 'moved', a: 'at dusk', b: 'at dusk' })).toBe('at dusk, moved')
})
