import { describe, expect, it } from 'vitest'
import { understand } from './understand.ts'

describe('understand', () => {
  it('finds subject, number, hour, season, medium and lettering', () => {
    expect(understand('Three foxes in a snowy forest at dusk, linocut print, the words "FIRST SNOW"')).toMatchObject({
      subject: { kind: 'animal', variant: 'fox', count: 3 },
      setting: 'forest',
      moment: 'dusk',
      season: 'winter',
      medium: 'flat print',
      lettering: 'FIRST SNOW',
    })
  })

  it('tells a colour of the whole from a colour of a thing', () => {
    expect(understand('a woman in a red coat, slate and amber')).toMatchObject({ palette: ['slate', 'amber'], ownColours: ['red'] })
    expect(understand('an old man with a white beard')).toMatchObject({ palette: [], ownColours: [] })
  })

  it('takes the thing in front for the subject, not the place it stands in', () => {
    expect(understand('a mountain valley with a heron').subject.kind).toBe('bird')
    expect(understand('a wide mountain valley').subject.kind).toBe('landscape')
    expect(understand('qwertz yxcv').subject).toEqual({ kind: 'abstract', variant: 'discs', count: 1, word: null })
  })
})
