/** Each mechanism of the checks by a few examples; what the labelled sets say of them stands in training/. */
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { AssociationTable } from '../glossary/association-table.ts'
import type { GlossaryEntry } from '../glossary/entry.ts'
import { createReader } from '../reader.ts'
import type { FindingKind, Place } from './finding.ts'
import { checkDraft } from './index.ts'
import { createLanguage } from './language.ts'

const bytes = (name: string) => readFileSync(new URL(`../../tables/${name}`, import.meta.url))
const json = (name: string): unknown => JSON.parse(bytes(name).toString('utf8'))
const reader = createReader(bytes('words.bin'), bytes('reader.bin'))
const language = createLanguage(reader, { kin: bytes('kin.bin'), known: bytes('known.bin'), associations: json('associations.json') as AssociationTable, glossary: json('glossary.json') as GlossaryEntry[] })

/** What is found of a kind: “words”, or “words ~ other words”. */
function found(kind: FindingKind, text: string, leaveOut: string[] = []): string[] {
  const draft = { text, marks: [], leaveOut, settings: {}, engines: [], references: [] }
  const said = (place: Place | undefined) => (place?.in === 'text' ? text.slice(place.start, place.end) : place?.in === 'leaveOut' ? `[${place.entry}]` : '')
  return checkDraft(draft, reader.read(text), language)
    .filter((one) => one.kind === kind)
    .map(({ where, with: other }) => [said(where), said(other)].filter(Boolean).join(' ~ '))
}

describe('two values of one dimension', () => {
  it.each([
    'windless dusk, washing blown horizontal on the line, linocut',
    'Cockle gatherers at low tide, the flats bare, the harbour at full flood, etching',
    'an empty pewter bowl, heaped with quinces, still life in oils',
    'Eyes shut tight, the pilgrim fixes a wide blue stare on the distant spire, casein',
    'bald ferryman running a comb through his thick black curls, lithograph',
    'a wooden ladle cast from gleaming steel, egg tempera',
    'the one candle the only light in the room, sun blazing through the skylight, oil painting',
  ])('of one thing: “%s”', (text) => expect(found('contradiction', text)).not.toEqual([]))
  it.each([
    'a woman in a winter coat on a summer beach, gouache',
    'wet jars drying in rows, etching',
    'two sisters, one laughing, the other weeping, oil painting',
    'a bright lamp and a dark doorway, pastel',
    'old and new boats in a harbour, watercolour',
    'the red service line still running behind the sofa, photograph',
    'one spot from above, the espresso machine photographed straight on, noon',
  ])('not of two, of the past or of a name: “%s”', (text) => expect(found('contradiction', text)).toEqual([]))
})

describe('what a leave-out list fights', () => {
  it('is found by what shows it', () => {
    expect(found('fights-leave-out', 'Moonlit churchyard with a fox, mezzotint', ['graves'])).toEqual(['churchyard ~ [graves]'])
    expect(found('fights-leave-out', 'a curler on the rink, lithograph', ['ice'])[0]).toContain('[ice]')
    expect(found('fights-leave-out', 'a parlour in vermilion, linocut', ['red'])).toEqual(['vermilion ~ [red]'])
  })
  it('is not found in what only tells which', () => {
    for (const [text, entry] of [['blood oranges on a zinc counter, oil', 'blood'], ['dog roses and cow parsley along a hedge, linocut', 'dogs'], ['hand-knitted mittens on a rail, woodcut', 'hands'], ['sign language across a canal, pencil', 'signs'], ['gulls on bollards, lithograph', 'people'], ['smoked mackerel on paper, pastel', 'smoke']] as const)
      expect(found('fights-leave-out', text, [entry]), text).toEqual([])
  })
})

describe('what is said again', () => {
  it('by another name of the same value', () => {
    expect(found('repeated', 'sunset, farmyard, cart wheels, sun going down, oil pastel')).toEqual(['sun going down ~ sunset'])
    expect(found('repeated', 'Puffin on a cliff top, watercolour, brisk wind, gusty air')).toEqual(['gusty air ~ brisk wind'])
  })
  it('is no more than taken up', () => expect(found('repeated', 'There is a throne, and on it a fur coat, and in the coat, fast asleep, a small king. Oil painting.')).toEqual([]))
})

describe('media', () => {
  it.each(['watercolour of pigeons, photorealistic CGI', 'robins among holly, cross-stitch on linen, spray-paint graffiti', 'Real photo of a goat, done as anime cel drawing'])('that fight: “%s”', (text) => expect(found('mixed-medium', text)).toHaveLength(1))
  it.each(['pen and ink with watercolour wash, a barn', 'Charcoal burners in an oak wood, oil on canvas', 'photograph of a bronze statue in a park'])('that go together, or are none: “%s”', (text) => expect(found('mixed-medium', text)).toEqual([]))
})

describe('crowds', () => {
  it.each(['forty rowers heaving at their oars, oil painting', 'Forty Morris dancers in a square, engraving', 'the whole school lined up in the yard, photograph', 'in front of everybody, a mayor, press photograph'])('“%s”', (text) => expect(found('crowd', text)).toHaveLength(1))
  it.each(['an army camp by lantern light, a boy, pastel', 'a 12th-century mason on a ladder, fresco', 'shelves with a hundred jars of beetroot, gouache'])('none in “%s”', (text) => expect(found('crowd', text)).toEqual([]))
})

describe('what rules something out within the text', () => {
  it.each(['The hill rolls down to the river without any fences, acrylic', 'Keep horses out of it. A yard, mezzotint.', 'a young cooper, not smiling, photograph', 'a forest clearing, blue fog, but no trolls, painting'])('“%s”', (text) => expect(found('negation-in-text', text).length).toBeGreaterThan(0))
})

describe('times', () => {
  it('clash by the things of another', () => {
    expect(found('era-clash', 'oil painting, shafts of light through the hatches, 500 BC, forty rowers below deck, the steersman in sunglasses')).toEqual(['sunglasses ~ 500 BC'])
    expect(found('era-clash', 'a Viking hall, one jarl, a bowl of steaming potatoes, oil painting')[0]).toContain('potatoes')
  })
  it('are not told by a style, nor by a verb', () => {
    expect(found('era-clash', 'an open fridge at night, renaissance painting')).toEqual([])
    expect(found('era-clash', 'a gladiator teaches a boy to lace his sandals, oil')).toEqual([])
  })
})
