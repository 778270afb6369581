import { expect, it } from 'vitest'
import { readingLike } from './reading.test-support.ts'
import { togetherOf } from './together.ts'

const blue = { hex: '#2850a0', name: 'blue', share: 0.6 } as const
const read = (more: Parameters<typeof readingLike>[0]) => readingLike({ palette: [blue], ...more })

it('says what most of a set have, with how many, and what is one way here and another there', () => {
  const { shared, varying } = togetherOf([
    read({ key: 'low', medium: 'painting', lightSide: 'left' }),
    read({ key: 'low', medium: 'painting', lightSide: 'right' }),
    read({ key: 'low', medium: 'painting' }),
    read({ key: 'low', medium: 'drawing', palette: [blue, { hex: '#c04020', name: 'red', share: 0.4 }] }),
  ])
  expect(shared).toEqual([
    { facet: 'light', text: 'low-key light', in: 4, of: 4 },
    { facet: 'colour', text: 'palette of blue', in: 4, of: 4 },
    { facet: 'medium', text: 'painting', in: 3, of: 4 },
  ])
  expect(varying).toEqual([{ facet: 'light', ways: [{ text: 'light from the left', in: 1 }, { text: 'light from the right', in: 1 }] }])
})

it('shares nothing of one picture, nor what is settled in too few', () => {
  expect(togetherOf([read({ key: 'low' })]).shared).toEqual([])
  expect(togetherOf([read({ key: 'low' }), read({}), read({}), read({}), read({})]).shared.map(({ facet }) => facet)).toEqual(['colour'])
  expect(togetherOf([])).toEqual({ shared: [], varying: [] })
})
