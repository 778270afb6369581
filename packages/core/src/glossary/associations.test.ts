import { describe, expect, it } from 'vitest'
import { Associations } from './associations.ts'

const known = new Associations({
  hermit: { b: [['beard', 95, 'l'], ['cave', 60, 'u']], m: 'one who lives alone', s: ['recluse'], k: 'monk', n: ['pilgrim'] },
  recluse: { b: [['cave', 70, 'd']] },
  monk: { b: [['beard', 80, 'l']] },
  'steam train': { b: [['smoke', 90, 'l']] },
})

describe('associations', () => {
  it('say what a word brings, strongest first, with its source', () => {
    expect(known.companions('Hermits')).toEqual([
      { what: 'beard', strength: 0.95, source: 'listed' },
      { what: 'cave', strength: 0.6, source: 'use' },
    ])
    expect(known.companions('constructor')).toEqual([])
  })
  it('find the longest terms of a phrase', () => {
    expect(known.termsIn('an old steam train by a hermit').map(({ term }) => term)).toEqual(['steam train', 'hermit'])
  })
  it('say a word in other ways, those that drag in least first', () => {
    expect(known.without('hermit').map(({ text, drags }) => [text, drags])).toEqual([['a person who lives alone', 0], ['pilgrim', 0], ['recluse', 0.7], ['monk', 0.8]])
  })
  it('leave out what still brings the unwanted companion', () => {
    expect(known.without('hermit', 'long beard').map(({ text }) => text)).toEqual(['recluse', 'a person who lives alone', 'pilgrim'])
    expect(known.without('nothing known')).toEqual([])
  })
})
