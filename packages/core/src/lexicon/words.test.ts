import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { formsOf } from './forms.ts'
import { lexicalWords } from './words.ts'

describe('forms', () => {
  it.each([['geese', 'goose'], ['rising', 'rise'], ['running', 'run'], ['dried', 'dry'], ['knives', 'knife'], ['knelt', 'kneel'], ['shadows', 'shadow'], ['blown', 'blow'], ['grays', 'grey'], ['colored', 'colour'], ['boxes', 'box'], ['lying', 'lie']])('%s may be of %s', (word, plain) => expect(formsOf(word)).toContain(plain))
  it('begin with the word itself', () => expect(formsOf('leaves')[0]).toBe('leaves'))
  it('leave alone what has no ending', () => expect(formsOf('glass')).toEqual(['glass']))
})

describe('words', () => {
  it('are parted at hyphens, and numbers from their units', () => {
    expect(lexicalWords('a back-lit 85mm portrait at f/2.8').map(({ lower }) => lower)).toEqual(['a', 'back', 'lit', '85', 'mm', 'portrait', 'at', 'f/', '2.8'])
    expect(lexicalWords('1/2000 s').map(({ lower, number }) => number ?? lower)).toEqual(['1/', 2000, 's'])
  })
  it('know what stands before them', () => expect(lexicalWords('snow-white, soft light').map(({ gap }) => gap)).toEqual(['space', 'hyphen', 'mark', 'space']))
  it('pass over an owner’s ending', () => expect(lexicalWords('the day’s end').map(({ lower, gap }) => `${gap} ${lower}`)).toEqual(['space the', 'space day', 'space end']))
  it('lie where the text has them, whatever the text', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string({ unit: 'binary' }), fc.string()), (text) => {
        let last = 0
        for (const { start, end, lower } of lexicalWords(text)) {
          expect(start >= last && end > start).toBe(true)
          expect(lower.length).toBeGreaterThan(0)
          last = end
        }
      }),
    )
  })
})
