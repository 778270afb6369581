import type { Facet } from '../../facet.ts'
import { chromaOf, labOf } from '../oklab.ts'
import type { PaletteColour, Phrased, PictureReading } from '../shape.ts'
import { areaOf, type Box } from '../seen/seen.ts'
import { CONFIDENCE, thingConfidence } from './confidence.ts'

type Evidence = Exclude<keyof PictureReading, 'phrases' | 'objects' | 'figure' | 'where'> | `object ${number}`
type Said = Omit<PictureReading, 'phrases'>
const NUMBERS = ['no', 'one', 'two', 'three', 'four', 'five', 'six']
const PLURALS: Readonly<Record<string, string>> = { person: 'people', sheep: 'sheep', scissors: 'scissors', knife: 'knives', skis: 'skis', sandwich: 'sandwiches', couch: 'couches', bench: 'benches', toothbrush: 'toothbrushes', bus: 'buses', 'wine glass': 'wine glasses', food: 'food', mouse: 'mice', lorry: 'lorries', furniture: 'furniture', broccoli: 'broccoli' }
const UNCOUNTED = new Set(['food', 'furniture', 'broccoli', 'scissors', 'skis'])
const many = (n: number, name: string): string =>
  UNCOUNTED.has(name) ? name : n === 1 ? `${/^[aeiou]/.test(name) ? 'an' : 'a'} ${name}` : `${NUMBERS[n] ?? (n < 12 ? 'several' : 'many')} ${PLURALS[name] ?? `${name}s`}`

const MEDIUM_PHRASE = { photo: 'photograph', flat: 'flat print', painting: 'painting', drawing: 'drawing', graphic: 'graphic' } as const
const SHOT_PHRASE = { 'close-up': 'close-up', medium: 'medium shot', full: 'full figure', wide: 'wide shot' } as const

const SPACE_AT = { top: 'at the top', bottom: 'at the bottom', left: 'on the left', right: 'on the right' } as const
/** Degrees from which on a horizon is tilted on purpose. */
const TILTED = 3

/** Of things of one kind how many; the surest kind with the largest place first. */
function groups(objects: Said['objects']): { text: string; at: number; area: number; score: number }[] {
  const byName = new Map<string, { n: number; at: number; area: number; score: number }>()
  objects.forEach(({ name, score, box }, at) => {
    const area = areaOf(box as unknown as Box)
    const known = byName.get(name)
    if (known) byName.set(name, { ...known, n: known.n + 1, area: known.area + area })
    else byName.set(name, { n: 1, at, area, score })
  })
  return [...byName].map(([name, { n, at, area, score }]) => ({ text: many(n, name), at, area, score })).sort((x, y) => y.area * y.score - x.area * x.score)
}

/** How much more a colour of full chroma is noticed than its share says. */
const VIVID_COUNTS = 6
const MOST_NAMED = 3
const GREYS = new Set<string>(['grey', 'black', 'white'])
/** The colours that make a palette: shares of one name together, vivid ones before dull, greys only where there is little else; at most three, and the one that covers most always among them. */
export function paletteWords(palette: readonly PaletteColour[]): string[] {
  const weights = new Map<string, { share: number; weight: number }>()
  for (const { hex, name, share } of palette) {
    const chroma = chromaOf(labOf(hex))
    const known = weights.get(name) ?? { share: 0, weight: 0 }
    weights.set(name, { share: known.share + share, weight: known.weight + share * (0.5 + VIVID_COUNTS * chroma) })
  }
  const names = [...weights].filter(([, { share, weight }]) => share >= 0.06 || weight >= 0.04).sort(([, x], [, y]) => y.weight - x.weight).map(([name]) => name)
  const coloured = names.filter((name) => !GREYS.has(name))
  const most = [...coloured, ...names.filter((name) => !coloured.includes(name))].slice(0, MOST_NAMED)
  const largest = [...weights].reduce<[string, number] | undefined>((best, [name, { share }]) => (best && best[1] >= share ? best : [name, share]), undefined)?.[0]
  return largest === undefined || most.includes(largest) ? most : [...most.slice(0, MOST_NAMED - 1), largest]
}
/** Without a comma, which would end the phrase. */
const list = ([first = '', second, third]: readonly string[]) => (third ? `${first} and ${second} with ${third}` : second ? `${first} and ${second}` : first)

/** What a picture's reading suggests to write, facet by facet in writing order. What is not settled says nothing; how sure the medium is may be known better than on the mean. */
export function phrasesOf(reading: Said, mediumConfidence: number = CONFIDENCE.medium): Phrased[] {
  const phrases: Phrased[] = []
  const say = (facet: Facet, text: string, evidence: Evidence, confidence: number) => phrases.push({ facet, text, confidence, evidence })
  groups(reading.objects).slice(0, 6).forEach(({ text, at, score }, i) => say(i === 0 ? 'subject' : 'detail', text, `object ${at}`, thingConfidence(score)))
  if (reading.shot) say('framing', SHOT_PHRASE[reading.shot], 'shot', CONFIDENCE.shot)
  if (reading.side === 'left' || reading.side === 'right') say('framing', `subject on the ${reading.side}`, 'side', CONFIDENCE.side)
  if (reading.side === 'centre') say('framing', 'centred composition', 'side', CONFIDENCE.side)
  if (reading.symmetric) say('framing', 'symmetrical composition', 'symmetric', CONFIDENCE.symmetric)
  if (reading.thirds && reading.side !== 'centre') say('framing', 'rule of thirds', 'thirds', CONFIDENCE.thirds)
  if (reading.horizon !== null) say('framing', reading.horizon < 0.4 ? 'high horizon' : reading.horizon > 0.6 ? 'low horizon' : 'horizon in the middle', 'horizon', CONFIDENCE.horizon)
  if (reading.where.horizon && Math.abs(reading.where.horizon.tilt) >= TILTED) say('framing', 'tilted horizon', 'horizon', CONFIDENCE.horizon)
  if (reading.busy) say('framing', 'dense composition', 'busy', CONFIDENCE.busy)
  else if (reading.space) say('framing', `empty space ${SPACE_AT[reading.space]}`, 'space', CONFIDENCE.space)
  else if (reading.busy === false) say('framing', 'empty space', 'busy', CONFIDENCE.busy)
  if (reading.pattern) say('framing', 'repeating pattern', 'pattern', CONFIDENCE.pattern)
  if (reading.texture === 'rough' && !reading.pattern) say('detail', 'rough texture', 'texture', CONFIDENCE.texture)
  if (reading.key === 'low') say('light', 'low-key light', 'key', CONFIDENCE.key)
  if (reading.key === 'high') say('light', 'high-key light', 'key', CONFIDENCE.key)
  const hard = reading.lightHard === null ? '' : reading.lightHard ? 'hard ' : 'soft '
  if (reading.lightSide) say('light', `${hard}light from ${reading.lightSide === 'above' ? 'above' : `the ${reading.lightSide}`}`, 'lightSide', CONFIDENCE.lightSide)
  else if (hard) say('light', `${hard}light`, 'lightHard', CONFIDENCE.lightHard)
  if (reading.contrast === 'high') say('light', 'strong contrast', 'contrast', CONFIDENCE.contrast)
  if (reading.contrast === 'low') say('light', 'low contrast', 'contrast', CONFIDENCE.contrast)
  if (reading.mono) say('colour', 'monochrome', 'mono', CONFIDENCE.mono)
  else {
    const colours = paletteWords(reading.palette)
    if (colours.some((name) => !GREYS.has(name))) say('colour', `palette of ${list(colours)}`, 'palette', CONFIDENCE.palette)
    if (reading.temperature === 'warm') say('colour', 'warm colours', 'temperature', CONFIDENCE.temperature)
    if (reading.temperature === 'cool') say('colour', 'cool colours', 'temperature', CONFIDENCE.temperature)
    if (reading.saturation === 'vivid') say('colour', 'vivid colours', 'saturation', CONFIDENCE.saturation)
    if (reading.saturation === 'muted') say('colour', 'muted colours', 'saturation', CONFIDENCE.saturation)
    if (reading.cast && reading.cast !== 'none') say('colour', `${reading.cast} cast`, 'cast', CONFIDENCE.cast)
  }
  if (reading.medium) say('medium', reading.mono && reading.medium === 'photo' ? 'black and white photograph' : MEDIUM_PHRASE[reading.medium], 'medium', mediumConfidence)
  if (reading.focus) say('technique', reading.focus === 'shallow' ? 'shallow depth of field' : 'deep focus', 'focus', CONFIDENCE.focus)
  if (reading.grain) say('technique', reading.medium === 'photo' ? 'film grain' : 'visible grain', 'grain', CONFIDENCE.grain)
  if (reading.lettering.present && reading.lettering.text.length < 80) say('lettering', `with the words “${reading.lettering.text.replaceAll('\n', ' ')}”`, 'lettering', CONFIDENCE.lettering)
  return phrases
}
