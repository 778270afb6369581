import { describe, expect, it } from 'vitest'
import { bodyOfFound, foundParts, scenesFromSplit } from './from-split.ts'
import { aPart, aSplit } from './series.test-support.ts'

const place = (text: string) => ({ text, carried: false })
const split = aSplit(
  [
    { text: 'Orla sings.', cast: ['Orla', 'ferryman'], place: place('the mill'), moment: place('dawn') },
    { text: 'She rows.', cast: ['Orla'], place: place('mill') },
  ],
  [
    { name: 'Orla', also: ['a tall miller', 'Orla'], scenes: [0, 1] },
    { name: 'ferryman', also: [], scenes: [0] },
    { name: 'narrator', also: [], scenes: [0] },
  ],
)

describe('what a split story becomes', () => {
  it('is people and places, those of more scenes first; who tells it is nobody', () => {
    expect(foundParts(split, []).map(({ kind, name, scenes }) => [kind, name, scenes.length])).toEqual([
      ['character', 'Orla', 2],
      ['character', 'Ferryman', 1],
      ['place', 'Mill', 2],
    ])
  })

  it('knows a part that the project has, by its name or by what else it is called', () => {
    const [orla] = foundParts(split, [aPart('character', 'The Miller', { also: ['orla'] }), aPart('place', 'Orla')])
    expect(orla).toMatchObject({ name: 'Orla', known: 'part-The Miller' })
  })

  it('says of a part what the story calls it', () => {
    const [orla, ferryman] = foundParts(split, [])
    expect(bodyOfFound(orla!).says.map(({ text }) => text)).toEqual(['a tall miller'])
    expect(bodyOfFound(ferryman!).says.map(({ text }) => text)).toEqual(['ferryman'])
  })

  it('is scenes with their parts; who became none stays in the words', () => {
    const scenes = scenesFromSplit(split, (kind, name) => (kind === 'character' && name === 'Orla' ? 'o' : undefined))
    expect(scenes.map(({ body, story }) => [body.cast, body.where, body.moment, story])).toEqual([
      [[{ part: 'o', variants: [] }], 'mill', 'dawn', { start: 0, end: 11 }],
      [[{ part: 'o', variants: [] }], 'mill', '', { start: 12, end: 21 }],
    ])
  })

  it('holds no more than a scene can: forty people, one line of each text', () => {
    const names = Array.from({ length: 55 }, (_, i) => `Name${i}`)
    const long = aSplit([{ text: 'x', beat: `All\nof them ${'x'.repeat(900)}`, cast: names, place: place('y'.repeat(900)), moment: place('next\nmorning') }], names.map((name) => ({ name, also: ['z'.repeat(400)], scenes: [0] })))
    const [{ body }] = scenesFromSplit(long, (kind, name) => (kind === 'character' ? name : undefined)) as [ReturnType<typeof scenesFromSplit>[number]]
    expect([body.cast.length, body.beat.length, body.where.length, body.moment, /\n/.test(body.beat)]).toEqual([40, 300, 300, 'next morning', false])
    expect(bodyOfFound(foundParts(long, [])[0]!).also[0]).toHaveLength(120)
  })
})
