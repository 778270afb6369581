import { describe, expect, it } from 'vitest'
import { packWords, VECTOR, type WordFacts, WordTable } from './word-table.ts'

const facts: WordFacts = { noun1: 6, noun2: 255, verb: 3, kind1: 9, kind2: 255, kind3: 1, classes: 5, main: 2, coarse: 7, middle: 200, fine: 700 }
const words = ['glasses', 'lamp', 'reef', 'sew', 'shine', 'tall']
const vectors = Float64Array.from({ length: words.length * VECTOR }, (_, k) => Math.sin(k * 7) * (k % VECTOR < 8 ? 3 : 0.5))
const table = new WordTable(packWords(words, words.map((_, i) => ({ ...facts, middle: i })), vectors))

/** Root of the mean square of what a range of places lost in packing, beside the numbers themselves. */
function lost(from: number, to: number): number {
  // Read back, numbers are spread wider by one factor.
  const read = words.flatMap((_, i) => [...table.vectorAt(i)!.slice(from, to)])
  const given = words.flatMap((_, i) => [...vectors.slice(i * VECTOR + from, i * VECTOR + to)])
  const factor = read.reduce((sum, x, i) => sum + x * given[i]!, 0) / given.reduce((sum, x) => sum + x * x, 0)
  return Math.sqrt(read.reduce((sum, x, i) => sum + (x / factor - given[i]!) ** 2, 0) / given.reduce((sum, x) => sum + x * x, 0))
}

describe('the table of words', () => {
  it('gives back what is known of each word', () => {
    words.forEach((word, i) => expect(table.find(word)).toEqual({ ...facts, middle: i }))
    expect(table.find('dromedary')).toBeUndefined()
  })

  it('keeps the first half of a vector finely, the other roughly', () => {
    expect(lost(0, VECTOR / 2)).toBeLessThan(0.12)
    expect(lost(VECTOR / 2, VECTOR)).toBeLessThan(0.4)
    const into = new Float32Array(VECTOR + 2)
    table.vectorInto(3, into, 2)
    expect([...into.subarray(2)]).toEqual([...Float32Array.from(table.vectorAt(3)!)])
  })

  it.each([
    ['lamps', 'lamp'],
    ['sewed', 'sew'],
    ['shining', 'shine'],
    ['taller', 'tall'],
    ['reef-lamp', 'lamp'],
    ['réef', 'reef'],
  ])('finds “%s” by “%s”', (said, known) => {
    expect(table.indexOf(said)).toBe(words.indexOf(known))
  })

  it('has nothing for a word it does not know, and refuses bytes that are no table', () => {
    expect([table.indexOf('qwxz'), table.vector('qwxz'), table.vectorAt(-1)]).toEqual([-1, undefined, undefined])
    expect(() => new WordTable(new Uint8Array(64))).toThrow('damaged')
  })
})
