import { expect, it } from 'vitest'
import { shelfWords } from './query.ts'

it.each<[string, string[], [string, string[]][]]>([
  ['Fox snow', ['fox', 'snow'], []],
  ['light: rim light', [], [['light', ['rim', 'light']]]],
  ['fox, light: rim light, dusk', ['fox', 'dusk'], [['light', ['rim', 'light']]]],
  ['Medium:linocut Subject: old ferry', [], [['medium', ['linocut']], ['subject', ['old', 'ferry']]]],
  ['the light of dawn', ['the', 'light', 'of', 'dawn'], []],
  ['mood:', [], []],
  ['price: 3', ['price', '3'], []],
])('reads “%s”', (typed, words, said) => {
  const found = shelfWords(typed)
  expect([found.words, found.said.map(({ facet, words: own }) => [facet, own])]).toEqual([words, said])
})
