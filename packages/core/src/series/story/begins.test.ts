import { expect, it } from 'vitest'
import { beginsIn } from './begins.ts'

const STORY = 'At dusk the miller went home. “Good night,” said the wheel.\n\nThe next morning the wheel was gone. At dusk the miller wept.'

it('finds what scenes are said to begin with, whatever its case, spaces and quotation marks', () => {
  const { starts, unfound } = beginsIn(STORY, ['At dusk the miller', '"good night" said  the wheel', 'The next morning the wheel was gone'])
  expect(starts.map((start) => STORY.slice(start, start + 8))).toEqual(['At dusk ', 'Good nig', 'The next'])
  expect(unfound).toEqual([])
})

it('looks for each after the one before, so that words said twice are found in turn', () => {
  expect(beginsIn(STORY, ['At dusk the miller', 'The next morning', 'At dusk the miller']).starts).toEqual([0, STORY.indexOf('The next'), STORY.lastIndexOf('At dusk')])
})

it('forgives a quotation that goes wrong at its end, and names one that is nowhere', () => {
  expect(beginsIn(STORY, ['The next morning the mill was gone', 'A dragon came', ' … '])).toEqual({ starts: [0, STORY.indexOf('The next')], unfound: ['A dragon came', ' … '] })
})

it('begins nothing in a story without words', () => {
  expect(beginsIn(' — ', ['At dusk'])).toEqual({ starts: [], unfound: ['At dusk'] })
})
