import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { unpackTables } from '../../read/model/tables.ts'
import { englishAnalyser } from '../../reader.ts'
import { MAX_SCENES } from './divide.ts'
import { scenesOf } from './scenes.ts'

const table = (name: string) => readFileSync(new URL(`../../../tables/${name}.bin`, import.meta.url))
const { words } = unpackTables(table('words'), table('reader'))
const analyse = englishAnalyser()
const read = (story: string) => scenesOf(story, words, analyse)
const brief = (story: string) => read(story).scenes.map(({ cast, place, moment }) => [cast.join(' + '), place && `${place.text}${place.carried ? ' (carried)' : ''}`, moment && `${moment.text}${moment.carried ? ' (carried)' : ''}`])

describe('scenes of a story', () => {
  it('turn where time and place turn, with pronouns followed', () => {
    expect(brief('Orla opened the mill at dawn. She filled the first sack and sang. In the evening she walked down to the harbour, where the ferryman was waiting for her.')).toEqual([
      ['Orla', 'mill', 'dawn'],
      ['Orla + ferryman', 'harbour', 'evening'],
    ])
  })

  it('carry on what is not said again, and say so', () => {
    expect(brief('At noon Bram met a troll on the bridge. "Pay," said the troll.\n\nThree days later they were still talking.')).toEqual([
      ['Bram + troll', 'bridge', 'noon'],
      ['Bram + troll', 'bridge (carried)', 'Three days later'],
    ])
  })

  it('do not follow what is only spoken of', () => {
    const { scenes } = read('In the kitchen Ada peeled apples. "Yesterday, in the forest, I saw a wolf," she said. Ben did not believe her.')
    expect(scenes).toHaveLength(1)
    expect(scenes[0]).toMatchObject({ cast: ['Ada', 'Ben'], place: { text: 'kitchen' }, moment: null })
  })

  it('know a name and a role that are one', () => {
    expect(read('Maud the owl sat in the barn. The owl blinked. His sister Ann lit a lamp, and she laughed.').cast.map(({ name }) => name)).toEqual(['Maud', 'Ann'])
  })

  it('keep two of one family name apart', () => {
    expect(read('Ada Brenn rowed. Otto Brenn steered. Ada Brenn laughed.').cast.map(({ name }) => name)).toEqual(['Ada Brenn', 'Otto Brenn'])
  })

  it('are told in one line, without the time and with names for pronouns', () => {
    const { scenes } = read('Orla lived in the mill with her brother Bram. At dawn they carried a sack down to the river. "Is it heavy?" he asked.')
    expect(scenes.at(-1)!.beat).toBe('Orla and Bram carried a sack down to the river')
  })

  it('begin where they are told to, at the sentence that holds the place', () => {
    const story = 'Ada sleeps. Ben wakes. Cora sings.'
    expect(scenesOf(story, words, analyse, [15]).scenes.map(({ text }) => text)).toEqual(['Ada sleeps.', 'Ben wakes. Cora sings.'])
  })

  it('begin at marks of the writer, which tell nothing by themselves', () => {
    expect(read('Scene 1\n\nA cat sleeps.\n\n***\n\nThe cat wakes.').scenes.map(({ text }) => text)).toEqual(['Scene 1\n\nA cat sleeps.', 'The cat wakes.'])
  })

  it('are none of an empty story, and at least one of anything else', () => {
    expect(read('')).toEqual({ scenes: [], cast: [] })
    expect(read(' \n ').scenes).toEqual([])
    for (const story of ['- milk\n- eggs\n- bread', 'Der Fuchs lief durch den Wald. Am Abend kam er nach Hause.', 'The moon is up,\nthe mill is still,\n\na lantern climbs\nthe other hill.', '?!', '🦊'.repeat(50)]) {
      expect(read(story).scenes.length).toBeGreaterThan(0)
    }
  })

  it('keep forty names apart, and two people of one name together', () => {
    const names = 'Ada Bor Cela Dov Edda Fenn Gita Hale Iris Jory Kolb Lisa Mira Nils Orla Pim Quill Rafe Sefa Tove Ulla Vera Wim Xenia Yara Zeno Abel Bela Cyra Dara Ewan Faye Gunn Hedy Ilse Jens Kaja Lorn Moss Nell'.split(' ')
    const { cast } = read(`${names.map((name) => `${name} came into the hall.`).join(' ')} ${names.slice(0, 39).join(', ')} and ${names[39]} danced.`)
    expect(cast.map(({ name }) => name)).toEqual(names)
    expect(read('Old Tom and young Tom went to the mill. Tom slept.').cast.length).toBeLessThanOrEqual(2)
  })

  it('are told on one line of some length, whatever stands in the story', () => {
    const { scenes } = read(`${'x'.repeat(5_000)}\n\nOn the next\nmorning ${'very '.repeat(400)}old Ida woke.`)
    for (const { beat, place, moment } of scenes) for (const said of [beat, place?.text ?? '', moment?.text ?? '']) expect([said.length < 300, said.includes('\n')]).toEqual([true, false])
  })

  it('are a plain number of a story of two hundred thousand characters', () => {
    const day = (n: number) => `On the ${n}th day Nela crossed the valley and met a shepherd named Person${n}. He gave her bread. `
    const story = Array.from({ length: 2_100 }, (_, n) => day(n)).join('')
    const { scenes } = read(story)
    expect(story.length).toBeGreaterThan(190_000)
    expect(scenes.length).toBeGreaterThan(100)
    expect(scenes.length).toBeLessThanOrEqual(MAX_SCENES)
  })

  it('are in order, without overlap, and give back every word of the story', () => {
    fc.assert(
      fc.property(fc.array(fc.oneof(fc.constantFrom('Ada ran home. ', 'At dawn ', '"Stop!" ', '\n\n', 'In the mill he slept. ', 'NORA: Who? \n', '* * *\n', "the miller's ", '… '), fc.string({ maxLength: 12 })), { maxLength: 30 }), (parts) => {
        const story = parts.join('')
        const { scenes } = read(story)
        let at = 0
        for (const { start, end, text } of scenes) {
          expect(start).toBeGreaterThanOrEqual(at)
          expect(text).toBe(story.slice(start, end))
          // Between scenes stands nothing but space and lines of marks.
          expect(story.slice(at, start)).not.toMatch(/\p{L}/u)
          at = end
        }
        expect(story.slice(at)).not.toMatch(/\p{L}/u)
      }),
      { numRuns: 150 },
    )
  })
})
