import { expect, it } from 'vitest'
import { fitOf, partFromPhrases, withPhrase } from './look.ts'
import { blankPart, partProblems } from './part.ts'

const HERON = { ...blankPart('character', 'The Brass Heron'), says: [{ key: 'p1', text: 'clockwork heron' }, { key: 'p2', text: 'polished brass feathers' }], variants: [{ key: 'p3', aspect: 'state' as const, name: 'caught', text: 'its wings bound with twine' }], never: ['toy'] }

it('holds each phrase against what a part says: new, said already, the opposite, or never to be said', () => {
  expect(fitOf(HERON, 'long jointed legs')).toEqual({ is: 'new' })
  expect(fitOf(HERON, 'brass feathers')).toEqual({ is: 'said', by: 'polished brass feathers' })
  expect(fitOf(HERON, 'copper feathers')).toEqual({ is: 'against', key: 'p2', by: 'polished brass feathers' })
  expect(fitOf(HERON, 'a toy bird on a stand')).toEqual({ is: 'never', entry: 'toy' })
})

it('says a phrase always, in a respect under a free name, or in place of another without giving that a new key', () => {
  expect(withPhrase(HERON, 'long jointed legs.', { always: true }).says.at(-1)).toEqual({ key: 'p4', text: 'long jointed legs' })
  expect(withPhrase(HERON, 'one wing bent', { aspect: 'state', name: 'Caught' }).variants.map(({ name }) => name)).toEqual(['caught', 'Caught 2'])
  expect(withPhrase(HERON, 'tarnished copper feathers', { inPlaceOf: 'p2' }).says[1]).toEqual({ key: 'p2', text: 'tarnished copper feathers' })
  expect(withPhrase(HERON, ' . ', { always: true })).toBe(HERON)
})

it('makes each kind of part of the facets that belong to it', () => {
  const phrases = [
    { facet: 'detail' as const, text: 'waxed canvas coat' },
    { facet: 'subject' as const, text: 'an elderly beekeeper' },
    { facet: 'setting' as const, text: 'a terraced apiary' },
    { facet: 'light' as const, text: 'low sun from the left' },
    { facet: 'moment' as const, text: 'late autumn' },
    { facet: 'moment' as const, text: 'dusk' },
    { facet: 'medium' as const, text: 'gouache' },
    { facet: 'detail' as const, text: 'leather coat' },
  ]
  expect(partFromPhrases('character', 'Hedda', phrases).says.map(({ text }) => text)).toEqual(['an elderly beekeeper', 'waxed canvas coat', 'leather coat'])
  const apiary = partFromPhrases('place', 'Apiary', phrases)
  expect(apiary.says.map(({ text }) => text)).toContain('a terraced apiary')
  expect(apiary.variants).toMatchObject([{ aspect: 'light', text: 'low sun from the left' }, { aspect: 'season', text: 'late autumn' }, { aspect: 'light', text: 'dusk' }])
  expect(partFromPhrases('style', 'Look', phrases).says.map(({ text }) => text)).toEqual(['gouache', 'low sun from the left'])
  for (const kind of ['character', 'place', 'style'] as const) expect(partProblems(partFromPhrases(kind, 'One', phrases))).toEqual([])
})
