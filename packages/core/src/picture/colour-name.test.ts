import { expect, it } from 'vitest'
import { colourName } from './colour-name.ts'
import { hexOf, labOf } from './oklab.ts'
import type { ColourName } from './shape.ts'

const nameOf = (hex: string) => colourName(labOf(hex))
/** Colours of the CSS Color Module by the basic term that is in their name or their definition. */
const KNOWN: [ColourName, string][] = [
  ['red', '#ff0000 #8b0000 #b22222 #dc143c'],
  ['orange', '#ffa500 #ff8c00 #ff7f50'],
  ['yellow', '#ffff00 #ffd700 #9acd32 #f0e68c'],
  ['green', '#008000 #006400 #90ee90 #98fb98 #228b22 #2e8b57 #556b2f #adff2f'],
  ['blue', '#0000ff #00008b #add8e6 #87ceeb #4169e1 #191970 #5f9ea0 #b0e0e6 #1e90ff'],
  ['purple', '#800080 #663399 #9370db #4b0082'],
  ['pink', '#ffc0cb #ffb6c1 #ff69b4 #ff1493'],
  ['brown', '#8b4513 #a0522d #5c4033'],
  ['beige', '#f5f5dc #f5deb3 #d2b48c'],
  ['grey', '#808080 #a9a9a9 #696969 #d3d3d3 #708090'],
  ['black', '#000000 #0a0a0c #141414'],
  ['white', '#ffffff #fffafa #f5f5f5'],
]

it.each(KNOWN)('calls these %s: %s', (name, hexes) => {
  const given = hexes.split(' ').map((hex) => [hex, nameOf(hex)])
  // Yellow-green may be called by either.
  expect(given.filter(([hex, said]) => said !== name && hex !== '#9acd32')).toEqual([])
})

it('gives a colour back from OKLab', () => {
  for (const hex of ['#000000', '#ffffff', '#a0522d', '#00ced1', '#7f7f80']) expect(hexOf(labOf(hex))).toBe(hex)
})
