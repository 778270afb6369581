import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Draft } from '../draft/shape.ts'
import { emptyDraft } from '../draft/draft.ts'
import { applyEdit, invertEdit } from '../draft/edit.ts'
import { changeText } from '../draft/text-change.ts'
import type { Phrase } from '../read/reading.ts'
import { insertPhrase } from './insert.ts'
import { canJoin, joinPhrases } from './join.ts'
import { movePhrase, swapPhrases } from './move.ts'
import { removePhrase } from './remove.ts'
import { articleFor } from '../english/article.ts'
import { replacePhrase } from './replace.ts'
import { splitPhrase, splitPlaces } from './split.ts'

const at = (text: string, words: string) => ({ start: text.indexOf(words), end: text.indexOf(words) + words.length })
const draft = (text: string, marks: Draft['marks'] = []): Draft => ({ ...emptyDraft(), text, marks })
const removed = (text: string, words: string) => changeText(text, removePhrase(text, at(text, words)))

describe('removing a phrase', () => {
  it('takes its comma along, wherever it stands in a list', () => {
    const list = 'old fox, snowy wood, dusk'
    expect([removed(list, 'old fox'), removed(list, 'snowy wood'), removed(list, 'dusk')]).toEqual(['snowy wood, dusk', 'old fox, dusk', 'old fox, snowy wood'])
  })
  it('takes the words that lead to it along, within a sentence', () => {
    const sentence = 'A potter throws a vase in a whitewashed yard at noon.'
    expect(removed(sentence, 'whitewashed yard')).toBe('A potter throws a vase at noon.')
    expect(removed(sentence, 'noon')).toBe('A potter throws a vase in a whitewashed yard.')
  })
  it('gives the sentence its capital back', () => {
    expect(removed('At dawn, a heron waits.', 'dawn')).toBe('A heron waits.')
    expect(removed('A fox. Soft light. Gouache.', 'Soft light')).toBe('A fox. Gouache.')
  })
  it('leaves nothing of a text that says one thing', () => {
    expect(removed('a fox', 'fox')).toBe('')
  })
})

describe('replacing a phrase', () => {
  const replaced = (text: string, words: string, by: string) => applyEdit(draft(text), replacePhrase(draft(text), at(text, words), by)).text
  it('mends the article before it', () => {
    expect(replaced('A fox sleeps', 'fox', 'owl')).toBe('An owl sleeps')
    expect(replaced('on an old wall', 'old wall', 'roof')).toBe('on a roof')
    expect(replaced('a fox sleeps', 'fox', 'the last wolf')).toBe('the last wolf sleeps')
  })
  it('keeps a capital at the start of a sentence', () => {
    expect(replaced('Foxes sleep. Soft light.', 'Soft light', 'hard sun')).toBe('Foxes sleep. Hard sun.')
  })
  it('keeps what the writer did to the phrase', () => {
    const marked = draft('a fox, dusk', [{ from: 2, to: 5, kind: 'emphasis', level: 1 }, { from: 7, to: 11, kind: 'off' }])
    const after = applyEdit(marked, replacePhrase(marked, at(marked.text, 'fox'), 'owl'))
    expect(after.marks.map((mark) => [mark.kind, after.text.slice(mark.from, mark.to)])).toEqual([['emphasis', 'owl'], ['off', 'dusk']])
  })
  it('goes by sound', () => {
    expect(['owl', 'hour', 'unicorn', 'uninvited guest', 'house', 'one-eyed cat'].map(articleFor)).toEqual(['an', 'an', 'a', 'an', 'a', 'a'])
  })
})

const phrase = (text: string, words: string, facet: Phrase['facet']): Phrase => ({ ...at(text, words), text: words, facet, confidence: 1 })

describe('putting a phrase in', () => {
  const list = 'old fox, snowy wood, gouache'
  const phrases = [phrase(list, 'old fox', 'subject'), phrase(list, 'snowy wood', 'setting'), phrase(list, 'gouache', 'medium')]
  const put = (facet: Phrase['facet'], words: string) => {
    const { changes, start, end } = insertPhrase(list, phrases, facet, words)
    const text = changeText(list, changes)
    expect(text.slice(start, end)).toBe(words)
    return text
  }
  it('finds the place its facet has in writing order', () => {
    expect(put('moment', 'dusk')).toBe('old fox, snowy wood, dusk, gouache')
    expect(put('mood', 'hushed')).toBe('old fox, snowy wood, gouache, hushed')
    expect(put('setting', 'low fence')).toBe('old fox, snowy wood, low fence, gouache')
  })
  it('begins an empty text, and one that says only later things', () => {
    expect(changeText('', insertPhrase('', [], 'mood', 'calm').changes)).toBe('calm')
    const light = [phrase('the soft light', 'soft light', 'light')]
    expect(changeText('the soft light', insertPhrase('the soft light', light, 'subject', 'a fox').changes)).toBe('a fox, the soft light')
  })
})

describe('moving a phrase', () => {
  it('lets two phrases change places with the words that lead to them', () => {
    const text = 'A fox sleeps in the snow at dusk.'
    const { edit, second } = swapPhrases(draft(text), at(text, 'snow'), at(text, 'dusk'))
    const after = applyEdit(draft(text), edit).text
    expect(after).toBe('A fox sleeps at dusk in the snow.')
    expect(after.slice(second.start, second.end)).toBe('in the snow')
  })
  it('keeps the capital where the sentence begins', () => {
    const text = 'In deep snow, a fox sleeps.'
    expect(applyEdit(draft(text), swapPhrases(draft(text), at(text, 'deep snow'), at(text, 'fox')).edit).text).toBe('A fox, in deep snow sleeps.')
  })
  it('takes along what the writer did to each', () => {
    const text = 'old fox, snowy wood, dusk'
    const marked = draft(text, [{ from: 0, to: 7, kind: 'off' }, { from: 9, to: 19, kind: 'emphasis', level: 2 }, { from: 21, to: 25, kind: 'locked' }])
    const after = applyEdit(marked, swapPhrases(marked, at(text, 'old fox'), at(text, 'dusk')).edit)
    expect(after.text).toBe('dusk, snowy wood, old fox')
    expect(after.marks.map((mark) => [mark.kind, after.text.slice(mark.from, mark.to)])).toEqual([['locked', 'dusk'], ['emphasis', 'snowy wood'], ['off', 'old fox']])
  })
})

it('undoes every edit by phrase exactly, in any text', () => {
  const word = fc.constantFrom('fox', 'The', 'in', 'a', 'and', ',', '.', ' ', '\n', '🐝', ';', 'Snow', '"', '(')
  const text = fc.array(word, { maxLength: 16 }).map((list) => list.join(' '))
  fc.assert(
    fc.property(text, fc.nat(60), fc.nat(12), fc.nat(60), (words, from, length, other) => {
      const start = Math.min(from, words.length)
      const range = { start, end: Math.min(words.length, start + length) }
      const second = { start: Math.min(words.length, range.end + other), end: words.length }
      const before = draft(words, range.end > range.start ? [{ from: range.start, to: range.end, kind: 'off' }] : [])
      const edits = [{ text: removePhrase(words, range) }, replacePhrase(before, range, 'an owl'), { text: insertPhrase(words, [], 'mood', 'calm').changes }]
      if (range.end > range.start && second.end > second.start) edits.push(swapPhrases(before, range, second).edit)
      for (const edit of edits) expect(applyEdit(applyEdit(before, edit), invertEdit(before, edit))).toEqual(before)
    }),
    { seed: 12, numRuns: 500 },
  )
})

describe('splitting and joining', () => {
  const sentence = 'a red fox in deep snow, at dusk'
  it('splits after any word but the last, by a comma', () => {
    const range = at(sentence, 'red fox in deep snow')
    const places = splitPlaces(sentence, range)
    expect(places.map((place) => sentence.slice(range.start, place))).toEqual(['red', 'red fox', 'red fox in', 'red fox in deep'])
    expect(changeText(sentence, splitPhrase(places[1]!))).toBe('a red fox, in deep snow, at dusk')
    expect(splitPlaces(sentence, at(sentence, 'dusk'))).toEqual([])
  })
  it('joins two neighbours into one of the first one’s facet, joining words kept', () => {
    const before = draft(sentence, [{ from: 12, to: 22, kind: 'emphasis', level: 1 }])
    const edit = joinPhrases(before, phrase(sentence, 'deep snow', 'setting'), phrase(sentence, 'dusk', 'moment'))
    const after = applyEdit(before, edit)
    expect(after.text).toBe('a red fox in deep snow at dusk')
    expect(after.marks).toContainEqual({ from: 13, to: 30, kind: 'facet', facet: 'setting' })
    expect(applyEdit(after, invertEdit(before, edit))).toEqual(before)
  })
  it('joins nothing across a stop, a line or other words', () => {
    for (const text of ['fox. dusk', 'fox\ndusk', 'fox near dusk runs', 'fox sleeps dusk']) {
      const can = canJoin(text, phrase(text, 'fox', 'subject'), phrase(text, text.includes('runs') ? 'runs' : 'dusk', 'moment'))
      expect([text, can]).toEqual([text, false])
    }
  })
})

it('a phrase moves past several others in one edit that is undone exactly', () => {
  const text = 'old fox, snowy wood, at dusk, gouache'
  const phrases = ['old fox', 'snowy wood', 'dusk', 'gouache'].map((words) => at(text, words))
  const before = draft(text, [{ from: 9, to: 19, kind: 'locked' }])
  const forth = movePhrase(before, phrases, 0, 2)
  const after = applyEdit(before, forth.edit)
  expect(after.text).toBe('snowy wood, at dusk, old fox, gouache')
  expect(after.text.slice(forth.range.start, forth.range.end)).toBe('old fox')
  expect(after.marks).toEqual([{ from: 0, to: 10, kind: 'locked' }])
  expect(applyEdit(after, invertEdit(before, forth.edit))).toEqual(before)
  expect(applyEdit(before, movePhrase(before, phrases, 3, 0).edit).text).toBe('gouache, old fox, snowy wood, at dusk')
})
