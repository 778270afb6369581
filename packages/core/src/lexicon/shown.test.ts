import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { Kin } from '../glossary/kin.ts'
import { WordTable } from '../read/words/word-table.ts'
import { FINE } from './fine.ts'
import { isShownBy, placesOf, SHOWN_LINES, SHOWN_SETS, showingsIn } from './shown.ts'
import { turnsOf } from './term.ts'
import { lexicalWords } from './words.ts'

const bytes = (name: string) => readFileSync(new URL(`../../tables/${name}.bin`, import.meta.url))
const kin = new Kin(bytes('kin'), new WordTable(bytes('words')))
const isKind = (noun: string, kind: string) => kin.below(noun, kind) >= 0
/** What of a text shows a thing. */
const showing = (text: string, name: string) => {
  const words = lexicalWords(text)
  return placesOf(showingsIn(words, isKind), name).map(({ from, to }) => text.slice(words[from]!.start, words[to - 1]!.end))
}

describe('the table of what shows what', () => {
  it('has terms that can be read, and names for each', () => {
    for (const { names, terms } of SHOWN_LINES) {
      expect(names.every((name) => /^[a-z-]+$/.test(name)), names.join(' ')).toBe(true)
      for (const term of terms) expect(() => turnsOf(term, SHOWN_SETS), term).not.toThrow()
    }
    expect(SHOWN_LINES.length).toBeGreaterThan(150)
  })
  it('has each term of a line once', () => {
    for (const { names, terms } of SHOWN_LINES) expect(terms.filter((term, i) => terms.indexOf(term) !== i), names[0]).toEqual([])
  })
  it('names kinds that the tree of kinds has', () => {
    for (const { terms } of SHOWN_LINES) for (const term of terms) for (const [, kind] of term.matchAll(/<([^>]+)>/g)) expect(kin.below(kind!.replaceAll('_', ' '), kind!.replaceAll('_', ' ')), kind).toBe(0)
  })
  it.each([
    ['a fox in a moonlit churchyard', 'grave', 'churchyard'],
    ['a big toothy grin', 'tooth', 'grin'],
    ['sepia view of a landing', 'brown tone', 'sepia'],
    ['one flute of champagne', 'bubble', 'champagne'],
    ['a tricycle on its side', 'wheel', 'tricycle'],
    ['a framed certificate on the wall', 'text', 'certificate'],
    ['curlers crouched on the rink', 'ice', 'rink'],
    ['apples in a bowl', 'fruit', 'apples'],
  ])('“%s” shows a %s', (text, name, by) => expect(showing(text, name)).toContain(by))
  it.each([['smoked mackerel', 'smoke'], ['a timber-framed barn', 'frame'], ['a chair by a table', 'water']])('“%s” shows no %s', (text, name) => expect(showing(text, name)).toEqual([]))
  it('knows what it has a line for', () => {
    expect(isShownBy('religious symbol')).toBe(true)
    expect(isShownBy('quaternion')).toBe(false)
  })
})

describe('what only shows near by', () => {
  const fine = (text: string) => {
    const words = lexicalWords(text)
    return FINE.find(words, isKind).map(({ from, to }) => text.slice(words[from]!.start, words[to - 1]!.end))
  }
  it.each(['a tear on his cheek', 'the thimble on her finger', 'a signet ring', 'crow’s feet', 'his bloodshot eyes'])('“%s”', (text) => expect(fine(text).length).toBeGreaterThan(0))
  it('and what shows from afar', () => expect(fine('a red coat and a tall hat by a torn net')).toEqual([]))
})
