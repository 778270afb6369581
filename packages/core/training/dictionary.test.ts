import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { type Dictionary, readDictionary } from './dictionary.ts'

/** A dictionary of a few senses in WordNet's form. */
const NOUNS = [
  '00000001 18 n 02 barber 0 hair_cutter 0 000 | a hairdresser who cuts hair; "the barber waits"',
  '00000002 18 n 01 Barber 0 001 @i 00000003 n 0000 | a composer (1910-1981)',
  '00000003 18 n 01 composer 0 000 | someone who composes music',
  '00000004 10 n 01 disparagement 0 000 | an expression of dislike',
  '00000005 18 n 02 lout 0 clod 0 001 ;u 00000004 n 0200 | an awkward person',
  '00000006 06 n 01 wheel 0 001 %p 00000007 n 0000 | a simple machine',
  '00000007 06 n 01 spoke 0 000 | a bar of a wheel',
  '00000008 18 n 01 snide 0 000 | (offensive) a person one looks down on',
]
let folder: string
let dictionary: Dictionary
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'dictionary-'))
  const index = (word: string, ...at: string[]) => `${word} n ${at.length} 0 ${at.length} 0 ${at.join(' ')}`
  writeFileSync(join(folder, 'data.noun'), ['  a licence', ...NOUNS].join('\n'))
  writeFileSync(join(folder, 'index.noun'), [index('barber', '00000002', '00000001'), index('clod', '00000005'), index('lout', '00000005'), index('wheel', '00000006'), index('snide', '00000008')].join('\n'))
  writeFileSync(join(folder, 'data.adj'), '00000009 00 a 01 worn(a) 0 000 | made thin by use')
  writeFileSync(join(folder, 'index.adj'), 'worn a 1 0 1 0 00000009')
  writeFileSync(join(folder, 'index.sense'), ['barber%1:18:00:: 00000001 1 7', 'worn%3:00:00:: 00000009 1 4'].join('\n'))
  dictionary = readDictionary(folder)
})
afterAll(() => rmSync(folder, { recursive: true }))

describe('the dictionary', () => {
  it('knows no name by the common word of its letters', () => {
    expect(dictionary.noun.get('barber')).toEqual(['noun00000001'])
    expect(dictionary.senses.get('noun00000002')?.single).toBe(true)
  })

  it('leaves out what is marked as an insult: one word of a sense, or all of it', () => {
    expect(dictionary.noun.get('lout')).toEqual(['noun00000005'])
    expect(dictionary.noun.has('clod')).toBe(false)
    expect(dictionary.noun.has('snide')).toBe(false)
  })

  it('tells words, parts, definitions and how often a word was seen', () => {
    expect(dictionary.senses.get('noun00000001')).toMatchObject({ words: ['barber', 'hair cutter'], gloss: expect.stringContaining('cuts hair') as string })
    expect(dictionary.senses.get('noun00000006')?.parts).toEqual(['noun00000007'])
    expect(dictionary.adjective.get('worn')).toEqual(['adj00000009'])
    expect([dictionary.seen.get('barber'), dictionary.seen.get('worn')]).toEqual([[7, 0, 0, 0], [0, 0, 4, 0]])
  })
})
