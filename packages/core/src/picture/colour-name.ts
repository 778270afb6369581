import { chromaOf, hueOf, type Lab } from './oklab.ts'
import type { ColourName } from './shape.ts'


/** Less chroma than this is no colour to the eye; in the dark it takes more. */
const GREY = 0.022
/** Of the warm hues it takes a little more: between light and dark, a greyish brown is called grey. */
const WARM_GREY = 0.03
const DARK = 0.24
const LIGHT = 0.945

/** A region of hue, from its first degree on, and what it is called there by lightness and chroma. */
const HUES: readonly (readonly [from: number, name: (l: number, c: number) => ColourName])[] = [
  [0, (l, c) => (l > 0.64 && c < 0.21 ? 'pink' : c < 0.075 && l < 0.5 ? 'brown' : 'red')],
  [16, (l, c) => (l > 0.69 && c < 0.165 ? 'pink' : c < 0.055 ? (l > 0.66 ? 'pink' : 'brown') : c < 0.115 ? 'brown' : l < 0.5 && c < 0.14 ? 'brown' : 'red')],
  [36, (l, c) => (l > 0.8 && c < 0.09 ? 'beige' : l > 0.66 && c > 0.1 ? 'orange' : c > 0.19 ? (l > 0.64 ? 'orange' : 'red') : l > 0.6 && c > 0.13 ? 'orange' : l > 0.78 ? 'beige' : 'brown')],
  [56, (l, c) => (l > 0.74 && c < 0.085 ? 'beige' : l > 0.66 && c > 0.095 ? 'orange' : l > 0.6 && c > 0.13 ? 'orange' : 'brown')],
  [78, (l, c) => (c < 0.085 ? (l > 0.72 ? 'beige' : l > 0.62 && c < 0.05 ? 'grey' : 'brown') : l > 0.72 ? 'yellow' : l > 0.66 ? 'orange' : 'brown')],
  [92, (l, c) => (c < 0.065 ? (l > 0.72 ? 'beige' : l < 0.5 && c > 0.035 ? 'brown' : c > 0.045 ? 'brown' : 'grey') : l > 0.68 ? 'yellow' : l < 0.45 ? 'brown' : c > 0.1 ? 'yellow' : 'brown')],
  [104, (l, c) => (c < 0.04 ? (l > 0.82 ? 'beige' : 'grey') : l > 0.82 && c > 0.06 ? 'yellow' : l > 0.85 ? 'beige' : l > 0.7 && c > 0.075 ? 'yellow' : 'green')],
  [116, (l, c) => (c < 0.028 ? 'grey' : l > 0.93 && c > 0.17 && c < 0.2 ? 'yellow' : 'green')],
  [188, (_, c) => (c < 0.034 ? 'grey' : 'blue')],
  [290, (_, c) => (c < 0.03 ? 'grey' : 'purple')],
  [318, (l, c) => (l > 0.72 || (l > 0.6 && c > 0.2) ? 'pink' : 'purple')],
  [346, (l, c) => (l > 0.56 || c > 0.2 ? 'pink' : c < 0.08 ? 'purple' : 'red')],
]

/** What a colour is called in plain English: one of the eleven basic terms (Berlin & Kay 1969), or beige. */
export function colourName(lab: Lab): ColourName {
  const [l] = lab
  const c = chromaOf(lab)
  if (c < GREY || (l < DARK && c < 0.05) || (l > LIGHT && c < 0.028)) return l < DARK + 0.02 ? 'black' : l > 0.93 ? 'white' : 'grey'
  if (l < 0.19 && c < 0.09) return 'black'
  const hue = hueOf(lab)
  if (c < WARM_GREY && hue > 30 && hue < 110 && l > 0.3 && l < 0.76) return 'grey'
  return (HUES.findLast(([from]) => hue >= from) ?? HUES[0]!)[1](l, c)
}
