import { headOf, isPlural, singularOf } from '@idolon/core/reader'
import { knowledge } from './tables.ts'

/** What a picture can be of, as far as it decides what else belongs in it. */
export const KINDS = ['person', 'animal', 'bird', 'insect', 'fish', 'plant', 'food', 'vehicle', 'vessel', 'building', 'place', 'thing', 'event', 'idea'] as const
export type Kind = (typeof KINDS)[number]

/** Kinds by nouns above them in the dictionary's tree, the first that fits. */
const ABOVE: readonly (readonly [Kind, readonly string[]])[] = [
  ['bird', ['bird']],
  ['insect', ['insect', 'arachnid', 'arthropod']],
  ['fish', ['fish', 'whale', 'dolphin', 'mollusk', 'jellyfish', 'crustacean']],
  ['person', ['person', 'worker', 'child', 'family', 'crowd', 'people']],
  ['animal', ['animal', 'mammal', 'reptile', 'amphibian', 'monster']],
  ['plant', ['plant', 'tree', 'flower', 'shrub', 'herb', 'fungus', 'vegetation']],
  ['food', ['food', 'beverage', 'dish', 'fruit', 'vegetable', 'dessert', 'bread']],
  ['vessel', ['vessel', 'boat', 'ship', 'watercraft']],
  ['vehicle', ['vehicle', 'aircraft', 'train', 'car', 'carriage']],
  ['building', ['building', 'house', 'structure', 'tower', 'bridge', 'dwelling', 'monument']],
  ['place', ['location', 'geological formation', 'body of water', 'land', 'room', 'region', 'city', 'street', 'landscape']],
  ['thing', ['artifact', 'instrumentality', 'tool', 'container', 'furniture', 'clothing', 'device', 'covering', 'object', 'jewelry', 'body part', 'substance', 'material']],
  ['event', ['event', 'act', 'activity', 'celebration', 'phenomenon', 'process']],
]

/** Words of several senses, by the one that a picture has. */
const MEANT: Readonly<Record<string, Kind>> = { jar: 'thing', bottle: 'thing', cup: 'thing', pot: 'thing', vase: 'thing', bowl: 'thing', tin: 'thing', bucket: 'thing', ferry: 'vessel', boat: 'vessel', train: 'vehicle', crane: 'bird', bat: 'animal', family: 'person', crowd: 'person', people: 'person', harbour: 'place', harbor: 'place', railway: 'vehicle', orchestra: 'person', band: 'person', crew: 'person', choir: 'person', team: 'person', garden: 'place', kitchen: 'place', library: 'building', station: 'building', lighthouse: 'building', windmill: 'building', bakery: 'building', orchard: 'place', market: 'place', bouquet: 'thing', tea: 'food', honey: 'food', wine: 'food', doll: 'thing', statue: 'thing', robot: 'thing', kite: 'thing', balloon: 'vehicle', lamp: 'thing', moon: 'place', sky: 'place', sea: 'place', forest: 'place', couple: 'person', portrait: 'person', self: 'person' }

/** Endings of trades and of people, for nouns that the dictionary does not have. */
const PEOPLE = /(?:maker|keeper|worker|player|lighter|monger|smith|wright|herd|man|woman|men|women|girl|boy|child|folk|ist|ician|eer|ess|seller|driver|walker|singer|dancer|hunter|farmer|mender|catcher|binder|grinder|monk|nun)$/

export interface Subject {
  kind: Kind
  /** The noun it is about, in the singular. */
  noun: string
  many: boolean
}

/** What a noun phrase is of. */
export function subjectOf(said: string): Subject {
  const { kin, reader } = knowledge()
  const head = headOf(said)
  const noun = singularOf(head)
  const many = isPlural(said, reader.words)
  const meant = MEANT[noun] ?? MEANT[head]
  if (meant) return { kind: meant, noun, many }
  const found = ABOVE.map(([kind, nouns]) => ({ kind, steps: Math.min(...nouns.map((above) => kin.below(noun, above)).filter((steps) => steps >= 0), 99) })).find(({ steps }) => steps < 99)
  // A word that no dictionary has is more often the name of a thing than of an idea.
  const unknown = reader.words.find(noun) === undefined
  return { kind: found?.kind ?? (PEOPLE.test(noun) || (unknown && /^\p{Lu}/u.test(said.trim())) ? 'person' : unknown ? 'thing' : 'idea'), noun, many }
}
