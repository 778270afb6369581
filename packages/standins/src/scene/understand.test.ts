import { describe, expect, it } from 'vitest'
import { understand } from './understand.ts'

describe('understand', () => {
  it('finds subject, number, place, hour, season, medium and lettering', () => {
    expect(understand('Three foxes in a snowy forest at dusk, linocut print, the words "FIRST SNOW"')).toMatchObject({
      subject: { kind: 'animal', variant: 'fox', count: 3 },
      setting: 'forest',
      moment: 'dusk',
      season: 'winter',
      medium: 'linocut',
      lettering: { words: 'FIRST SNOW', face: 'block' },
    })
  })

  it('tells a colour of the whole from a colour of a thing', () => {
    expect(understand('a woman in a red coat, slate and amber')).toMatchObject({ palette: ['slate', 'amber'], subject: { colours: ['red'], wears: ['coat'] } })
    expect(understand('a blue boat on a grey sea')).toMatchObject({ palette: ['grey'], subject: { colours: ['blue'] } })
    expect(understand('an old man with a white beard')).toMatchObject({ palette: [], subject: { colours: [], wears: ['beard'] } })
  })

  it('takes the thing in front for the subject, not the place it stands in', () => {
    expect(understand('a mountain valley with a heron').subject.kind).toBe('bird')
    expect(understand('a wide mountain valley').subject.kind).toBe('landscape')
    expect(understand('a jar of honey on a table, studio').others.map(({ variant }) => variant)).toEqual(['table'])
    expect(understand('qwertz yxcv').subject).toMatchObject({ kind: 'abstract', word: null })
  })

  it('gives poses and what is held to whom they are said of', () => {
    expect(understand('a boy running with a kite, an old woman sitting on a bench')).toMatchObject({ subject: { pose: 'running', holds: ['balloon'] }, others: [{ variant: 'old woman', pose: 'sitting' }, { variant: 'chair' }] })
  })

  it('finds distance, viewpoint, light and focus', () => {
    expect(understand('close-up portrait of a sailor, low angle, lit from the right, hard light, shallow depth of field')).toMatchObject({ shot: 'close', angle: 'low', light: { from: 'right', hard: true }, blur: 1 })
  })
})
