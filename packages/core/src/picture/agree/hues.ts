import type { ColourName } from '../shape.ts'
import { type Judge, verdict } from './verdict.ts'

/** What writers call colours, under the plain names that palettes have; a hue between two may be called either. */
const CALLED: Readonly<Record<ColourName, string>> = {
  red: 'red, crimson, scarlet, ruby, vermilion, burgundy, maroon, cherry',
  orange: 'orange, amber, tangerine, apricot, copper, rust, ochre, terracotta, gold, golden, peach',
  yellow: 'yellow, lemon, gold, golden, mustard, ochre, amber, saffron',
  green: 'green, emerald, olive, lime, jade, moss, teal, turquoise, sage, mint',
  blue: 'blue, navy, azure, cobalt, indigo, cerulean, teal, turquoise, cyan, sapphire, ultramarine, slate',
  purple: 'purple, violet, lavender, lilac, mauve, plum, magenta, indigo, aubergine',
  pink: 'pink, rose, salmon, magenta, coral, fuchsia, blush, peach',
  brown: 'brown, chestnut, umber, chocolate, tan, sepia, rust, bronze, copper, walnut, sienna, maroon, ochre, terracotta',
  beige: 'beige, cream, sand, tan, ivory, buff, oatmeal, parchment, peach',
  grey: 'grey, gray, silver, slate, charcoal, ash, pewter',
  black: 'black, charcoal, jet, ebony',
  white: 'white, ivory, cream, snow, silver',
}
const NAMES = new Map<string, ColourName[]>()
for (const [name, called] of Object.entries(CALLED) as [ColourName, string][]) for (const one of called.split(', ')) NAMES.set(one, [...(NAMES.get(one) ?? []), name])

/** A colour that covers less is none of the picture's. */
const LEAST = 0.04
const FAMILY: Readonly<Partial<Record<ColourName, readonly ColourName[]>>> = { orange: ['brown', 'yellow', 'red', 'beige'], brown: ['orange', 'red', 'beige'], beige: ['brown', 'white', 'grey', 'orange', 'yellow'], yellow: ['orange', 'beige'], pink: ['red', 'purple'], purple: ['pink', 'blue'], red: ['pink', 'brown', 'orange'], grey: ['black', 'white'], black: ['grey'], white: ['grey', 'beige'], green: ['yellow'], blue: ['purple'] }

/** Colours that a phrase about the whole names: each is in the palette, or is not, nor is one near it. */
export const huesJudge: Judge = ({ facet, text }, { palette }) => {
  if (facet !== 'colour' || palette.length === 0) return undefined
  const said = [...text.toLowerCase().matchAll(/\p{L}+/gu)].flatMap(([word]) => (NAMES.has(word) ? [{ word, names: NAMES.get(word)! }] : []))
  if (said.length === 0) return undefined
  const shares = new Map<ColourName, number>()
  for (const { name, share } of palette) shares.set(name, (shares.get(name) ?? 0) + share)
  const covers = (names: readonly ColourName[]) => names.reduce((sum, name) => sum + (shares.get(name) ?? 0), 0)
  const missing = said.filter(({ names }) => covers(names) < LEAST)
  const far = missing.filter(({ names }) => covers(names.flatMap((name) => FAMILY[name] ?? [])) < LEAST)
  if (far.length) return verdict('palette', false, `no ${far[0]!.word} covers ${Math.round(LEAST * 100)} % of it`)
  return missing.length ? undefined : verdict('palette', true, said.map(({ word, names }) => `${word} covers ${Math.round(covers(names) * 100)} %`).join(', '))
}
