import type { PictureRequest } from '../request.ts'
import { chroma, contrast, has, horizon, leftward, lightness, type Measure, number, roughness, shareOf, size, warmth } from './measures.ts'

type Change = Partial<PictureRequest>
/** One thing said differently, and what should come of it. */
export interface Expectation {
  name: string
  before: Change
  after: Change
  measure: Measure
  /** Whether the measure rises or falls; or the value it is to have. */
  way: 'up' | 'down' | number
  /** What must stay as it was. */
  keeps?: readonly Measure[]
}

const BASE = 'a fox in a meadow'
const words = (name: string, before: string, after: string, measure: Measure, way: Expectation['way'], keeps: readonly Measure[] = [number]): Expectation => ({ name, before: { prompt: before }, after: { prompt: after }, measure, way, keeps })
const add = (word: string, measure: Measure, way: Expectation['way'], keeps: readonly Measure[] = [number, size], base = `${BASE} at noon, gouache`): Expectation => words(word, base, `${base}, ${word}`, measure, way, keeps)
const engine = (id: string, revision: string): Change => ({ engine: id, revision })
const brayer = engine('brayer', '2')
/** The revision that holds the light. */
const steady = (one: Expectation): Expectation => ({ ...one, before: { ...engine('burin', '2'), ...one.before }, after: { ...engine('burin', '2'), ...one.after } })
const sky = (_x: number, y: number) => y < 0.3
const background = (x: number, y: number) => (x < 0.2 || x > 0.8) && y > 0.3 && y < 0.7
const other = (variant: string) => has(({ others }) => others.some((thing) => thing.variant === variant))
const extra = (name: string) => has(({ extras }) => (extras as string[]).includes(name))

const HUES: Record<string, number> = { red: 5, orange: 28, yellow: 50, green: 120, teal: 175, blue: 220, purple: 280, pink: 340 }

/** More than sixty words and settings with what each must change; a tenth of it, by seed, runs in the tests, all of it in the bench. */
export const EXPECTATIONS: readonly Expectation[] = [
  // The hour.
  words('night', `${BASE} at noon`, `${BASE} at night`, lightness, 'down', [number, size, horizon]),
  words('dusk', `${BASE} at noon`, `${BASE} at dusk`, lightness, 'down', [number, size, horizon]),
  words('dawn', `${BASE} at noon`, `${BASE} at dawn`, warmth, 'up', [number, size, horizon]),
  words('golden hour', `${BASE} at noon`, `${BASE} at golden hour`, warmth, 'up', [number, size, horizon]),
  words('dusk is warm', `${BASE} at noon`, `${BASE} at dusk`, warmth, 'up', [number, size, horizon]),
  words('morning', `${BASE} at night`, `${BASE} in the morning`, lightness, 'up', [number, size, horizon]),
  words('moonlit', `${BASE} in the afternoon`, `${BASE}, moonlit`, warmth, 'down', [number, size, horizon]),
  // The season and the weather.
  words('winter', `${BASE} in summer`, `${BASE} in winter`, shareOf(110), 'down', [number, size, horizon]),
  words('snow is white', `${BASE} in summer`, `${BASE} in winter`, lightness, 'up', [number, size, horizon]),
  words('autumn', `${BASE} in summer`, `${BASE} in autumn`, warmth, 'up', [number, size, horizon]),
  words('spring', `${BASE} in autumn`, `${BASE} in spring`, shareOf(110), 'up', [number, size, horizon]),
  add('overcast', chroma, 'down'),
  add('thick fog', contrast, 'down'),
  add('storm', lightness, 'down'),
  add('heavy rain', chroma, 'down'),
  words('snowfall', `${BASE} at night, photograph`, `${BASE} at night, photograph, snowfall`, roughness(), 'up', [number, size]),
  // How near, and from where.
  words('close-up', BASE, `${BASE}, close-up`, size, 'up'),
  words('macro', `${BASE}, close-up`, `${BASE}, macro`, size, 'up'),
  words('wide shot', BASE, `${BASE}, wide shot`, size, 'down'),
  words('panorama', `${BASE}, wide shot`, `${BASE}, panorama`, size, 'down'),
  words('low angle', BASE, `${BASE}, low angle`, horizon, 'up'),
  words('high angle', BASE, `${BASE}, high angle`, horizon, 'down'),
  words('overhead', `${BASE}, high angle`, `${BASE}, overhead`, horizon, 'down'),
  // Light.
  steady(words('lit from the left', `${BASE}, lit from the right`, `${BASE}, lit from the left`, leftward, 'up', [number, size, horizon])),
  steady(words('lit from the right', `${BASE}, lit from the left`, `${BASE}, lit from the right`, leftward, 'down', [number, size, horizon])),
  steady(add('hard light', contrast, 'up')),
  add('gloomy', lightness, 'down'),
  add('gloomy and dark', chroma, 'down'),
  add('cheerful', chroma, 'up'),
  add('warm light', warmth, 'up'),
  add('cold light', warmth, 'down'),
  add('black and white', chroma, 'down'),
  // Colours of the whole and of a thing.
  ...Object.entries(HUES).map(([name, degrees]) => add(`${name} palette, ${name} and ${name}`, shareOf(degrees), 'up')),
  ...Object.entries(HUES).filter(([name]) => name !== 'green').map(([name, degrees]) => words(`${name} coat`, 'a woman in a grey coat, studio', `a woman in a ${name} coat, studio`, shareOf(degrees), 'up', [number, size, horizon])),
  words('blue boat', 'a red boat on the sea, close-up', 'a blue boat on the sea, close-up', shareOf(5), 'down', [number, size]),
  // Number and kind.
  ...(['two', 'three', 'four'] as const).map((word, i) => ({ ...words(word, BASE, `${word} foxes in a meadow`, number, [2, 3, 4][i]!, [horizon]), before: { prompt: BASE, ...brayer }, after: { prompt: `${word} foxes in a meadow`, ...brayer } })),
  words('six', BASE, 'six foxes in a meadow', number, 'up', [horizon]),
  words('nine', 'four foxes in a meadow', 'nine foxes in a meadow', number, 'up', [horizon]),
  words('crowd', 'a man in a street', 'a crowd of people in a street', number, 'up', [horizon]),
  words('and a dog', 'a woman in a street', 'a woman and a dog in a street', other('dog'), 1),
  words('beside a castle', BASE, `${BASE} beside a castle`, other('castle'), 1),
  words('with birds', BASE, `${BASE} with birds in the sky`, extra('birds'), 1, [number, size, horizon]),
  words('heron for fox', BASE, 'a heron in a meadow', has(({ subject }) => subject.variant === 'heron'), 1, [number]),
  // Places.
  words('forest', BASE, 'a fox in a forest', lightness, 'down', [number, horizon]),
  words('by the sea', `${BASE}, wide shot`, 'a fox by the sea, wide shot', shareOf(110), 'down', [number, size]),
  words('desert', BASE, 'a fox in the desert', warmth, 'up', [number, size]),
  words('underwater', 'a fish over a meadow', 'a fish underwater', shareOf(200), 'up', [number]),
  // Media.
  words('charcoal', `${BASE}, gouache`, `${BASE}, charcoal`, chroma, 'down', [number, size, horizon]),
  words('engraving', `${BASE}, gouache`, `${BASE}, engraving`, roughness(), 'up', [number, size, horizon]),
  words('linocut', `${BASE}, gouache`, `${BASE}, linocut`, contrast, 'up', [number, size, horizon]),
  words('ink wash', `${BASE}, gouache`, `${BASE}, ink wash`, chroma, 'down', [number, size, horizon]),
  words('shallow depth of field', `${BASE}, photograph, sharp throughout`, `${BASE}, photograph, shallow depth of field`, roughness(background), 'down', [number, size, horizon]),
  words('stars', `${BASE} at night, photograph`, `${BASE} under a starry sky at night, photograph`, roughness(sky), 'up', [number, size, horizon]),
  // The leave-out list, emphasis and settings.
  { name: 'leave out people', before: { prompt: 'a castle and a knight on a hill', ...brayer }, after: { prompt: 'a castle and a knight on a hill', leaveOut: 'people', ...brayer }, measure: has(({ subject, others }) => [subject, ...others].some(({ kind }) => kind === 'person')), way: 0 },
  { name: 'leave out birds', before: { prompt: `${BASE} with birds`, ...brayer }, after: { prompt: `${BASE} with birds`, leaveOut: 'birds', ...brayer }, measure: extra('birds'), way: 0, keeps: [number, size, horizon] },
  { name: 'leave out fog', before: { prompt: `${BASE} in fog`, ...brayer }, after: { prompt: `${BASE} in fog`, leaveOut: 'fog', ...brayer }, measure: contrast, way: 'up', keeps: [number, size, horizon] },
  { name: 'leave out text', before: { prompt: 'a poster of a train, "TARROW"', ...brayer }, after: { prompt: 'a poster of a train, "TARROW"', leaveOut: 'text', ...brayer }, measure: has(({ lettering }) => lettering !== null), way: 0 },
  { name: 'leave out the hat', before: { prompt: 'a woman in a hat', ...brayer }, after: { prompt: 'a woman in a hat', leaveOut: 'hat', ...brayer }, measure: has(({ subject }) => subject.wears.includes('hat')), way: 0, keeps: [number, size, horizon] },
  { name: 'Burin ignores the leave-out list', before: { prompt: `${BASE} with birds` }, after: { prompt: `${BASE} with birds`, leaveOut: 'birds' }, measure: extra('birds'), way: 1, keeps: [number, size, horizon, lightness] },
  { name: 'what is past the limit has no effect', before: { prompt: `${'a fox in a meadow, '.repeat(15)}noon`, ...brayer }, after: { prompt: `${'a fox in a meadow, '.repeat(15)}noon, night, blue, three castles`, ...brayer }, measure: lightness, way: 'up', keeps: [number, lightness] },
  { name: 'a weight', before: { prompt: BASE, ...engine('tympan', '2') }, after: { prompt: BASE, weights: [{ text: 'fox', weight: 1.6 }], ...engine('tympan', '2') }, measure: size, way: 'up', keeps: [number, horizon] },
  { name: 'repetition', before: { prompt: 'fox, meadow', ...brayer }, after: { prompt: 'fox, fox, meadow', ...brayer }, measure: size, way: 'up', keeps: [number, horizon] },
  { name: 'guidance', before: { prompt: `${BASE}, red and red palette`, settings: { guidance: 0 } }, after: { prompt: `${BASE}, red and red palette`, settings: { guidance: 12 } }, measure: shareOf(5), way: 'up', keeps: [number, size, horizon] },
  { name: 'few steps', before: { prompt: BASE, settings: { steps: 60 } }, after: { prompt: BASE, settings: { steps: 8 } }, measure: roughness(), way: 'up', keeps: [number, size, horizon] },
  { name: 'latitude', before: { prompt: BASE, settings: { latitude: 'none' }, ...engine('tympan', '2') }, after: { prompt: BASE, settings: { latitude: 'free' }, ...engine('tympan', '2') }, measure: ({ scene }) => scene.extras.length, way: 'up', keeps: [number] },
]
