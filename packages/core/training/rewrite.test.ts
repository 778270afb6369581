import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { Draft } from '../src/draft/shape.ts'
import { emptyDraft } from '../src/draft/draft.ts'
import { applyEdit, invertEdit } from '../src/draft/edit.ts'
import { fixedFacetsOf } from '../src/phrase/marks.ts'
import { createReader } from '../src/reader.ts'
import { rewriteDraft, type Style } from '../src/rewrite/rewrite.ts'

const table = (name: string) => readFileSync(new URL(`../tables/${name}`, import.meta.url))
const reader = createReader(table('words.bin'), table('reader.bin'))
const readingOf = (draft: Draft) => reader.read(draft.text, fixedFacetsOf(draft.marks))
function rewritten(draft: Draft | string, style: Style) {
  const before = typeof draft === 'string' ? { ...emptyDraft(), text: draft } : draft
  const { edit, unplaced } = rewriteDraft(before, readingOf(before), style, reader)
  return { before, edit, unplaced, after: applyEdit(before, edit) }
}
const written = (text: string, style: Style) => rewritten(text, style).after.text

describe('sentences from a list', () => {
  it('join who, what, where and when, and say how it is seen and made, in agreement and with articles', () => {
    expect(written('an old ferryman, poling a raft, patched coat, reed-choked river, misty dawn, low angle, soft backlight, muted greens, gouache, hushed, sign reads "Last Crossing"', 'sentences')).toBe(
      'An old ferryman in a patched coat is poling a raft on a reed-choked river at misty dawn. It is seen from a low angle, in soft backlight, in muted greens. It is done in gouache. The mood is hushed. A sign reads "Last Crossing".',
    )
    expect(written('two children, chasing a kite, windy hilltop, autumn, wide shot, linocut', 'sentences')).toBe('Two children are chasing a kite on a windy hilltop in autumn. It is seen in a wide shot. It is a linocut.')
  })

  it('take no noun after a participle for a verb', () => {
    expect(written('a clockwork heron, glowing bees, lake, night, gouache', 'sentences')).toContain('glowing bees')
  })

  it('are written of a lone participle, too', () => {
    const text = 'poling a raft'
    const draft = { ...emptyDraft(), text, marks: [{ from: 0, to: text.length, kind: 'facet' as const, facet: 'detail' as const }] }
    expect(rewritten(draft, 'sentences').after.text).toBe('Poling a raft.')
  })

  it('need no action', () => {
    expect(written('brass kettle, marble counter, a plume of steam, morning light from the window, product photograph', 'sentences')).toBe('A brass kettle with a plume of steam at a marble counter. It is shown in morning light from the window. It is a product photograph.')
  })
})

describe('a list from sentences', () => {
  it('lets every phrase stand by itself; verbs become -ing forms', () => {
    expect(written('A potter throws a tall vase in a whitewashed yard at noon.', 'list')).toBe('potter, throwing a tall vase, whitewashed yard, noon')
  })

  it('keeps words that lead to a phrase where they say something of their own', () => {
    expect(written('A fox waits behind a frozen waterfall in winter, seen from above', 'list')).toMatch(/behind a frozen waterfall, winter, (?:seen )?from above$/)
  })
})

it('settings, leave-outs and their headings follow on lines of their own', () => {
  expect(written('a red fox, birch forest, seed 42\nLeave out: people, text', 'sentences')).toMatch(/forest\.\nseed 42\nLeave out: people, text$/)
})

it('marks go with their phrase; a phrase that is off is off with its joining words', () => {
  const text = 'a red fox in a birch forest at noon'
  const draft: Draft = {
    ...emptyDraft(),
    text,
    marks: [
      { from: 2, to: 9, kind: 'locked' },
      { from: 10, to: 27, kind: 'off' },
      { from: 31, to: 35, kind: 'emphasis', level: 2 },
    ],
  }
  const { after } = rewritten(draft, 'sentences')
  expect(after.marks.filter(({ kind }) => kind !== 'facet').map(({ kind, from, to }) => `${kind}: ${after.text.slice(from, to)}`)).toEqual(['locked: red fox', 'off: in a birch forest', 'emphasis: noon'])
})

const PROMPTS = [
  'A woman in a yellow raincoat waits under a streetlamp on a wet square. Low angle, blue and amber palette, cinematic photograph.',
  'three grey cats, sleeping on a sofa, knitted blanket, sunlit living room, afternoon, eye level, warm window light, watercolour, cosy',
  'an astronaut repairs a solar panel above the planet, tool belt, wide shot, hard sunlight, 35mm lens',
  'old lighthouse on a cliff, stormy sea, 1890s, engraving, ominous mood',
  'Subject: a bowl of ramen\nSetting: wooden counter in a small bar\nLight: neon from the street',
  '{"subject": "a brass owl", "setting": "clockmaker’s bench", "medium": "macro photograph"}',
]

it('there and back keeps the facet of every word that had one', () => {
  const facets = (draft: Draft) =>
    readingOf(draft)
      .phrases.flatMap(({ text, facet }) => (text.toLowerCase().match(/[\p{L}\p{N}]{4,}/gu) ?? []).map((word) => `${word.replace(/(?:ing|s|ed)$/, '').replace(/(.)\1$/, '$1')} ${facet}`))
      .filter((entry) => !/^(?:seen|shown|done|picture|show|mood|from|with) /.test(entry))
      .sort()
  for (const text of PROMPTS) {
    const list = rewritten(text, 'list')
    const sentences = rewritten(list.after, 'sentences')
    const again = rewritten(sentences.after, 'list')
    expect(facets(sentences.after)).toEqual(facets(list.after))
    expect(facets(again.after)).toEqual(facets(list.after))
    expect(facets(list.after)).toEqual(facets(list.before))
  }
})

it('never throws, loses no word of a phrase, and is undone exactly', () => {
  const word = fc.constantFrom('red', 'fox', 'in', 'the', 'snow', ',', '.', '"', 'at', 'dusk', 'low angle', 'no people', 'seed 7', '蜂', '\n', 'Light:', 'and', 'runs', '🐝', 'is')
  fc.assert(
    fc.property(fc.array(word, { maxLength: 25 }), fc.constantFrom<Style>('list', 'sentences'), (words, style) => {
      const { before, edit, after } = rewritten(words.join(' '), style)
      expect(applyEdit(after, invertEdit(before, edit))).toEqual(before)
      for (const { text } of readingOf(before).phrases) for (const said of text.match(/\b(?:red|fox|snow|dusk|angle)\b/g) ?? []) expect(after.text.toLowerCase()).toContain(said)
    }),
    { numRuns: 150 },
  )
})
