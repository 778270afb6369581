import { KINDS } from '../seen/kinds.ts'
import { type Judge, verdict } from './verdict.ts'

/** Other words for what the detector knows, under the detector's names. */
const ALSO: Readonly<Record<string, string>> = { puppy: 'dog', hound: 'dog', kitten: 'cat', pony: 'horse', stallion: 'horse', ship: 'boat', sailboat: 'boat', 'rowing boat': 'boat', automobile: 'car', bike: 'bicycle', locomotive: 'train', lamb: 'sheep', bull: 'cow', heron: 'bird', owl: 'bird', kingfisher: 'bird', crow: 'bird', sofa: 'couch', armchair: 'chair', mug: 'cup', teacup: 'cup', plane: 'aeroplane', truck: 'lorry', jar: 'bottle' }
const KNOWN = new Map([...KINDS.filter(({ name }) => name !== 'person').map(({ name, broader }) => [name, { name, broader }] as const), ...Object.entries(ALSO).flatMap(([word, name]) => KINDS.filter((kind) => kind.name === name).map(({ broader }) => [word, { name, broader }] as const))])
const FINDER = new RegExp(`\\b(${[...KNOWN.keys()].sort((x, y) => y.length - x.length).join('|')})(?:s|es)?\\b`, 'gi')
/** A score from which on the detector says that a thing is there. */
const THERE = 0.35
/** Kinds that it seldom misses where they are large; of others its silence says nothing. */
const SELDOM_MISSED = new Set(['dog', 'cat', 'horse', 'elephant', 'zebra', 'giraffe', 'bear', 'car', 'bus', 'train', 'aeroplane', 'bicycle', 'motorcycle', 'boat', 'bird', 'sheep', 'cow', 'laptop', 'clock', 'umbrella'])

/** Things that the detector knows: there, or nothing like them found. */
export const thingsJudge: Judge = ({ facet, text }, { objects, medium }) => {
  if (facet !== 'subject' && facet !== 'detail') return undefined
  const said = [...text.matchAll(FINDER)].map(([, word]) => ({ word: word!.toLowerCase(), ...KNOWN.get(word!.toLowerCase())! }))
  for (const { word, name, broader } of said) {
    const at = objects.findIndex((object) => (object.name === name || object.name === broader) && object.score >= THERE)
    if (at >= 0) return verdict(`object ${at}`, true, `found, ${objects[at]!.score.toFixed(2)} sure`)
    // It was trained on photographs, and is blind to much in what is drawn.
    if (medium === 'photo' && SELDOM_MISSED.has(name) && !objects.some((object) => object.broader === broader)) return verdict('things', false, `no ${word} was found, nor a thing like it`)
  }
  return undefined
}
