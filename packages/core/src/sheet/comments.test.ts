import { expect, it } from 'vitest'
import { readComments } from './comments.ts'

it('reads comments by number as people write them', () => {
  const { comments, unplaced } = readComments('3: darker\n#1) lose the fence\n  and the post\n2 and 4. fine\n\n5-6 too busy\nThanks, all good\n12: not there', 6)
  expect(comments).toEqual([
    { number: 3, comment: 'darker' },
    { number: 1, comment: 'lose the fence and the post' },
    { number: 2, comment: 'fine' },
    { number: 4, comment: 'fine' },
    { number: 5, comment: 'too busy Thanks, all good' },
    { number: 6, comment: 'too busy Thanks, all good' },
  ])
  expect(unplaced).toEqual(['12: not there'])
})
it('gives back what has no number', () => expect(readComments('Lovely work\n0: none', 3)).toEqual({ comments: [], unplaced: ['Lovely work', '0: none'] }))
