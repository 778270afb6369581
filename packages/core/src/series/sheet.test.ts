import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { unpackTables } from '../read/model/tables.ts'
import { blankPart, type PartBody } from './part.ts'
import { sheetPlaces } from './sheet-places.ts'
import { sheetDraft, sheetLists } from './sheet.ts'

const table = (name: string) => readFileSync(new URL(`../../tables/${name}.bin`, import.meta.url))
const { words } = unpackTables(table('words'), table('reader'))
const part = (name: string, ...texts: string[]): PartBody => ({ ...blankPart('character', name), says: texts.map((text, i) => ({ key: `p${i}`, text })) })

it('goes through what somebody of its kind can do: a person smiles, a bird lies down, a jar is held', () => {
  const lists = (body: PartBody) => Object.fromEntries(sheetLists(body, words).map(({ name, options }) => [name, options]))
  expect(lists(part('Hedda', 'an old beekeeper'))).toMatchObject({ pose: expect.arrayContaining(['kneeling on one knee']) as string[], expression: expect.arrayContaining(['smiling']) as string[] })
  expect(lists(part('Hedda', 'Hedda Brenn', 'old woman'))['expression']).toContain('smiling')
  expect(lists(part('Heron', 'a tall clockwork heron of brass'))).toMatchObject({ pose: expect.arrayContaining(['lying down']) as string[] })
  expect(lists(part('Jar', 'a squat glass jar of honey'))).not.toHaveProperty('expression')
  expect(lists({ ...part('Ilse', 'a miller'), variants: [{ key: 'v', aspect: 'dress', name: 'apron', text: 'in an apron' }] })).not.toHaveProperty('dress')
})

it('begins with the first option of everything in its text, where each is found again', () => {
  const body: PartBody = { ...part('Ilse', 'a tall miller'), variants: [{ key: 'v', aspect: 'dress', name: 'apron', text: 'in an apron' }, { key: 'w', aspect: 'dress', name: 'coat', text: 'in a coat' }] }
  const { text, marks } = sheetDraft({ id: 'i', version: 3, body }, null, words)
  expect(text).toBe('A tall miller in an apron, standing upright, a calm face, seen from the front, on a plain pale ground. Full figure, centred.')
  expect(marks.map(({ from, to }) => text.slice(from, to))).toEqual(['A tall miller', 'in an apron'])
  const places = sheetPlaces(text, sheetLists(body, words))
  expect(places.map(({ start, end }) => text.slice(start, end))).toEqual(['standing upright', 'a calm face', 'in an apron', 'seen from the front'])
  expect(sheetPlaces('A tall miller in a coat, seen from behind', sheetLists(body, words)).map(({ name, options }) => [name, options[0]])).toEqual([['dress', 'in a coat'], ['angle', 'seen from behind']])
})
