import type { Status, Verdict } from '@idolon/contract'
import type { Fault, GlossaryEntry, HouseRules, Settings } from '@idolon/core'

/** One making of a demo prompt: what is written, and how each of its proofs was judged. */
export interface DemoVersion {
  text: string
  leaveOut?: string[]
  settings?: Settings
  why?: string
  /** Engines that are asked at once, instead of the prompt's one. */
  engines?: string[]
  /** The version that this one goes on from, where that is not the one before. */
  from?: number
  /** Of the proofs in their order: engine by engine. */
  verdicts: (Verdict | null)[]
  faults?: (Fault | null)[]
}
export interface DemoPrompt {
  title: string
  status: Status
  tags: string[]
  /** The engine it is tried on; the usual one without. */
  engine?: string
  note?: string
  versions: DemoVersion[]
  /** What its first kept proof is called as a reference of its project. */
  reference?: string
  /** What lies on the desk now, when that is further on than the last version. */
  draft?: string
}
export interface DemoProject {
  name: string
  /** What a credit costs, and the ceiling in credits. */
  money?: { currency: string; price: number; ceiling: number }
  rules?: HouseRules
  terms?: GlossaryEntry[]
  prompts: DemoPrompt[]
}

/** Tarrow, a made-up mountain valley: every name in it is invented. */
export const WORLD: DemoProject[] = [
  {
    name: 'Tarrow Line',
    terms: [{ term: 'line red', facet: 'colour', does: 'The warm, slightly brown red of the railway’s coaches.', near: ['vermilion'], excludes: ['pink'], instead: ['red of a painted iron bridge'] }],
    prompts: [
      {
        title: 'The viaduct at noon',
        reference: 'The poster that worked',
        status: 'proven',
        tags: ['poster', 'train', 'summer'],
        note: 'The one for the ticket hall. Red is the line’s own red.',
        versions: [
          {
            text: 'A rack railway train crosses a stone viaduct in the mountains, travel poster',
            settings: { aspectRatio: '2:3', count: 3, seed: 210 },
            verdicts: ['maybe', 'drop', null],
          },
          {
            text: 'A red rack railway train crosses a stone viaduct high in the mountains, noon in summer, travel poster, flat colour, limited palette of red, cream and teal',
            settings: { aspectRatio: '2:3', count: 3, seed: 210 },
            why: 'The train was lost among the greys.',
            verdicts: ['keep', 'maybe', 'maybe'],
          },
          {
            text: 'A red rack railway train crosses a stone viaduct high in the mountains, noon in summer, travel poster, flat colour, limited palette of red, cream and teal, the words "TARROW LINE"',
            settings: { aspectRatio: '2:3', count: 4, seed: 210 },
            why: 'With the name of the line.',
            verdicts: ['keep', 'keep', 'maybe', 'drop'],
          },
        ],
      },
      {
        title: 'Winter service',
        reference: 'Snow and lit windows',
        status: 'testing',
        tags: ['poster', 'train', 'winter'],
        versions: [
          {
            text: 'A blue rack railway train climbs through a snowy forest at dusk, travel poster, linocut print, slate and amber',
            settings: { aspectRatio: '3:2', count: 3, seed: 77 },
            verdicts: ['maybe', 'maybe', null],
          },
          {
            text: 'A blue rack railway train climbs through a snowy village at dusk, lit windows, falling snow, travel poster, linocut print, slate and amber, the words "ALL WINTER"',
            settings: { aspectRatio: '3:2', count: 4, seed: 77 },
            why: 'Somewhere to arrive at.',
            verdicts: ['keep', 'maybe', 'drop', null],
          },
        ],
      },
      {
        title: 'The lake station',
        status: 'testing',
        tags: ['poster', 'water'],
        versions: [
          { text: 'A sailing boat on a mountain lake at sunset, watercolour, orange and teal, quiet and expectant', settings: { aspectRatio: '3:2', count: 3, seed: 19 }, verdicts: ['keep', 'maybe', 'drop'] },
        ],
        draft: 'A sailing boat on a mountain lake at sunset, a station with lit windows on the far shore, watercolour, orange and teal, quiet and expectant',
      },
      {
        title: 'Goat of the upper pass',
        engine: 'tympan',
        status: 'rough',
        tags: ['animal', 'badge'],
        versions: [{ text: 'A goat on a mountain pass, side view, pen and ink line drawing, hatching, badge for the guards’ caps', settings: { aspectRatio: '1:1', count: 2, seed: 5 }, verdicts: ['maybe', null] }],
      },
    ],
  },
  {
    name: 'Skep & Cup',
    rules: {
      must: [{ phrase: 'light from the left' }, { facet: 'medium' }],
      never: ['luxury', 'premium'],
      leaveOut: ['people'],
      colours: [
        { name: 'skep amber', value: '#c9892b' },
        { name: 'cup cream', value: '#f2e8d5' },
        { name: 'sage glaze', value: '#8a9a7b' },
      ],
      aspectRatio: '3:2',
    },
    prompts: [
      {
        title: 'Honey on the sill',
        reference: 'The light of the house',
        engine: 'brayer',
        status: 'proven',
        tags: ['product', 'honey', 'photograph'],
        note: 'House light: from the left, always.',
        versions: [
          { text: 'A jar of honey on a kitchen table, product photograph', settings: { aspectRatio: '3:2', count: 3, seed: 402 }, verdicts: ['drop', 'maybe', null] },
          {
            text: 'A jar of honey on a kitchen table by the window, morning light from the left, shallow depth of field, 85mm lens at f/2, product photograph, warm beige and amber',
            leaveOut: ['people', 'clutter', 'second jar'],
            settings: { aspectRatio: '3:2', count: 4, seed: 402 },
            why: 'Light and lens were left to chance.',
            verdicts: ['keep', 'keep', 'maybe', 'drop'],
          },
        ],
      },
      {
        title: 'Teapot on cream',
        reference: 'Light for the shelf pictures',
        status: 'proven',
        tags: ['product', 'tea', 'photograph'],
        versions: [
          {
            text: 'A green teapot in a studio, plain background, soft light from the left, product photograph, cream and sage',
            leaveOut: ['people', 'props'],
            settings: { aspectRatio: '1:1', count: 4, seed: 61 },
            verdicts: ['keep', 'maybe', 'maybe', 'drop'],
          },
        ],
      },
      {
        title: 'Three cups',
        status: 'testing',
        tags: ['product', 'tea'],
        versions: [
          { text: 'Three teal cups of tea on a table in a kitchen, afternoon light from the right, gouache illustration for a label', settings: { aspectRatio: '16:9', count: 3, seed: 33 }, verdicts: ['maybe', 'maybe', null] },
          { text: 'Three rust cups of tea on a table in a kitchen, afternoon light from the right, gouache illustration for a label', settings: { aspectRatio: '16:9', count: 3, seed: 33 }, why: 'Same seed, another glaze.', verdicts: ['keep', null, null] },
        ],
      },
      {
        title: 'Bee for the lid',
        status: 'rough',
        tags: ['honey', 'badge'],
        versions: [{ text: 'A bee, close-up, centred, line drawing, engraving on cream paper', settings: { aspectRatio: '1:1', count: 3, seed: 12 }, verdicts: [null, null, null] }],
      },
    ],
  },
  {
    name: 'Lantern Bees',
    money: { currency: 'EUR', price: 0.04, ceiling: 400 },
    prompts: [
      {
        title: 'Hedda opens the hives',
        reference: 'How the valley looks at dawn',
        status: 'proven',
        tags: ['picture book', 'Hedda', 'scene 1'],
        note: 'Hedda Brenn: straw hat, ochre coat, never without her smoker.',
        versions: [
          { text: 'Hedda Brenn, an old woman who keeps bees, beside her hives in a meadow, gouache picture book illustration', settings: { aspectRatio: '3:2', count: 3, seed: 901 }, verdicts: ['maybe', 'drop', null] },
          {
            text: 'Hedda Brenn, an old woman in an ochre coat and a straw hat, stands beside straw hives on a terraced apiary above an alpine village, dawn in late autumn, soft light from the left, gouache picture book illustration',
            settings: { aspectRatio: '3:2', count: 4, seed: 901 },
            why: 'Where and when were missing.',
            verdicts: ['keep', 'maybe', 'maybe', 'keep'],
          },
        ],
      },
      {
        title: 'The Brass Heron comes',
        status: 'testing',
        tags: ['picture book', 'Brass Heron', 'scene 3', 'night'],
        versions: [
          { text: 'A brass heron, a clockwork bird, among flowers at night, stars and a moon, gouache picture book illustration', settings: { aspectRatio: '3:2', count: 4, seed: 318 }, verdicts: ['keep', 'maybe', null, 'drop'] },
          { text: 'A brass heron, a clockwork bird, among flowers by the lake at night, stars and a moon, glowing bees, gouache picture book illustration', settings: { aspectRatio: '3:2', count: 4, seed: 318 }, why: 'It steals light: give it some to steal.', verdicts: ['keep', 'keep', null, null] },
          { text: 'A brass heron, a clockwork bird, among flowers by the lake at night, stars and a moon, glowing bees, linocut print', settings: { aspectRatio: '3:2', count: 2, seed: 318 }, engines: ['burin', 'brayer', 'tympan'], why: 'Would print suit it better?', verdicts: ['drop', 'maybe', 'drop', 'drop', 'keep', 'maybe'], faults: ['clutter', null, 'clutter', 'clutter', null, null] },
          { text: 'A brass heron, a clockwork bird, by the lake at night, stars and a moon, glowing bees, close-up, gouache picture book illustration', from: 2, settings: { aspectRatio: '3:2', count: 2, seed: 318 }, engines: ['burin', 'brayer', 'tympan'], why: 'Back to gouache, and nearer.', verdicts: ['keep', 'keep', 'drop', 'maybe', 'keep', null], faults: [null, null, 'too-small', 'too-small', null, null] },
        ],
      },
      {
        title: 'Corin with two lanterns',
        status: 'testing',
        tags: ['picture book', 'Corin', 'scene 4', 'night'],
        versions: [{ text: 'Corin, an apprentice with a lantern, in a winter village at night, snowing, lit windows, gouache picture book illustration', settings: { aspectRatio: '2:3', count: 3, seed: 44 }, verdicts: ['maybe', 'keep', null] }],
      },
      {
        title: 'The valley asleep',
        status: 'rough',
        tags: ['picture book', 'scene 6', 'night'],
        versions: [{ text: 'A chapel tower in an alpine village at night, stars, layered paper cut, indigo and gold', settings: { aspectRatio: '16:9', count: 3, seed: 8 }, verdicts: [null, null, null] }],
      },
    ],
  },
]
