import type { WordTable } from '../read/words/word-table.ts'
import { isFunctionWord } from '../read/words/function-words.ts'

/** WordNet's files whose nouns are mostly things that can be counted: act, animal, artifact, body, cognition, communication, event, group, location, object, person, plant, possession, quantity, shape. */
const COUNTED = new Set([4, 5, 6, 8, 9, 10, 11, 14, 15, 17, 18, 20, 21, 23, 25])
/** Nouns of those files that are not counted, and endings that tell them. */
const UNCOUNTED = new Set(
  `armor armour art artwork bamboo bedding bread brickwork bronze bunting calligraphy camouflage cardboard cash chalk chiffon china clay clothing cloth coal concrete copper cotton crockery cutlery
damask debris denim driftwood embroidery enamel equipment felt fencing filigree firewood flesh foliage footwear fretwork frost fur furniture gauze gear gilding glass glassware gold gossamer gouache graffiti grass gravel hair
hay headgear heather ice ink iron ironwork ivory ivy jewellery jewelry knitwear lace lacquer land laundry leather light linen luggage lumber machinery marble masonry mesh metal metalwork mist mortar moss mud muslin
netting oak ornamentation paint paper parchment pastel pewter plaster plastic plumage porcelain pottery public rain rigging rope rubber rubble rust sackcloth sand satin scaffolding scenery seaweed shade silk silver
skin slate snow soil stationery steel stone stonework straw stubble stucco swimwear tapestry tartan text thatch tile timber tin tracery traffic tulle turf tweed type typography underwear upholstery vegetation veneer velvet verdigris
wallpaper water watercolor watercolour wax weather wickerwork wildlife wire wood woodland woodwork wool writing yarn lettering handwriting undergrowth white black dusk
brushwork hatching shading grain handling misregistration daybreak midday space
dawn noon midnight night film photography charcoal crayon oil tempera acrylic pencil`.split(/\s+/),
)
const PLURAL_OF_OWN = new Set('people men women children feet teeth geese mice oxen cattle police sheep deer fish fungi cacti dice clothes trousers jeans shorts scissors glasses spectacles goggles pyjamas overalls'.split(' '))
const NEVER_PLURAL = /(?:ss|us|is|ous|ness|lens|canvas|gas|atlas|chaos|christmas|cosmos|asparagus|series|species)$/
const UNCOUNTED_PLANTS = /(?:grass|moss|ivy|foliage|bamboo)$/
const NUMBERS = /^(?:two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|dozens?|several|many|few|both|some|various|countless|all|\d+)$/i
const MODIFIES_AFTER = /^(?:that|which|who|whose|where|while|as|left|right|seen)$/i

/** The words of a noun phrase that stand before what is said after it: “glass jar” of “glass jar of honey with a lid”. */
function core(said: string): string[] {
  const list = said.toLowerCase().match(/[\p{L}\p{N}][\p{L}\p{N}'’-]*/gu) ?? []
  const end = list.findIndex((word, i) => i > 0 && ((isFunctionWord(word) && word !== 'and' && word !== '&') || MODIFIES_AFTER.test(word) || (i > 1 && /(?:[^aeiou]ing|ed)$/.test(word) && i < list.length - 1)))
  return end < 0 ? list : list.slice(0, end)
}

const IRREGULAR: Readonly<Record<string, string>> = { people: 'person', children: 'child', feet: 'foot', teeth: 'tooth', geese: 'goose', mice: 'mouse', oxen: 'ox', leaves: 'leaf', wolves: 'wolf', knives: 'knife', loaves: 'loaf', shelves: 'shelf', scarves: 'scarf', halves: 'half', calves: 'calf', hooves: 'hoof', wives: 'wife', lives: 'life' }

/** A lower-case word in the singular, by its ending or where it is one of the irregular ones; any word may be given, and most that are no plurals stay as they are. */
export function singularOf(word: string): string {
  const own = IRREGULAR[word]
  if (own) return own
  if (/(?:^|\p{L})(?:wo)?men$/u.test(word) && !/^(?:omen|semen|specimen|regimen|abdomen|acumen|stamen|bitumen|lumen|hymen|ramen|yemen|amen)$/.test(word)) return word.replace(/men$/, 'man')
  if (word.endsWith('ies')) return `${word.slice(0, -3)}y`
  if (/(?:ch|sh|x|ss)es$/.test(word)) return word.slice(0, -2)
  return word.endsWith('s') && !word.endsWith('ss') ? word.slice(0, -1) : word
}

const PLURALS: Readonly<Record<string, string>> = Object.fromEntries(Object.entries(IRREGULAR).map(([many, one]) => [one, many]))
const SAME_IN_BOTH = /^(?:sheep|deer|fish|trout|salmon|aircraft|spacecraft|series|species|bison|swine|offspring)$/

/** The plural of a lower-case noun in the singular. */
export function pluralOf(word: string): string {
  if (SAME_IN_BOTH.test(word)) return word
  if (PLURALS[word]) return PLURALS[word]
  if (/(?:wo)?man$/.test(word) && !/^(?:human|german|roman|norman|ottoman|talisman|caiman)$/.test(word)) return word.replace(/man$/, 'men')
  if (/(?:s|x|z|ch|sh)$/.test(word)) return `${word}es`
  if (/[^aeiou]y$/.test(word)) return `${word.slice(0, -1)}ies`
  return /^(?:potato|tomato|hero|echo|volcano|buffalo|mosquito|mango)$/.test(word) ? `${word}es` : `${word}s`
}

/** The noun that a noun phrase is about, in lower case; an empty string for none. */
export const headOf = (said: string): string => core(said).at(-1) ?? ''

/** “a fox and a crow”, “fox and crow”; not “black and white cat” or “a pub and its sign's light”. */
function joinsThings(said: string, words: WordTable): boolean {
  const [, before = '', article = ''] = /^\s*(?:\S+\s+){0,4}?(\p{L}+)\s+(?:and|&)\s+(an?\s|the\s|two\s)?/iu.exec(said) ?? []
  if (!before) return false
  const facts = words.find(before.toLowerCase())
  return article !== '' || (facts !== undefined && facts.main === 0 && facts.noun1 !== ATTRIBUTE && facts.noun1 !== SUBSTANCE)
}
const ATTRIBUTE = 7
const SUBSTANCE = 27

/** Whether a noun phrase speaks of more than one. */
export function isPlural(said: string, words: WordTable): boolean {
  const list = core(said)
  const head = list.at(-1) ?? ''
  if (/^(?:an?|one|single|each|every)$/.test(list[0] ?? '')) return false
  if (NUMBERS.test(list[0] ?? '') || PLURAL_OF_OWN.has(head) || joinsThings(said, words)) return true
  return /s$/.test(head) && !NEVER_PLURAL.test(head)
}

/**
 * Whether a noun phrase wants “a” or “an” before it: one countable thing, nothing before it that does the article's work.
 * With `counted` the noun is known to be countable.
 */
export function wantsArticle(said: string, words: WordTable, counted = false): boolean {
  const list = core(said)
  const first = list[0] ?? ''
  const head = list.at(-1) ?? ''
  if (!head || /^(?:an?|the|this|that|these|those|its|his|her|their|my|our|your|one|no|each|every|another|half|no)$/.test(first) || /['’]s?$/.test(first)) return false
  // A name has a capital inside the phrase and needs none.
  if (/^\p{Lu}\p{Ll}/u.test(said) && words.find(first) === undefined) return false
  if (isPlural(said, words)) return false
  if (counted) return !isFunctionWord(first)
  const last = head.split('-').at(-1) ?? head
  if (UNCOUNTED.has(head) || UNCOUNTED.has(last)) return false
  const facts = words.find(head)
  // A word that no dictionary has is more often the name of a thing than of a stuff.
  if (!facts) return /^\p{L}{3,}$/u.test(last)
  if ((facts.classes & 1) === 0) return false
  return (COUNTED.has(facts.noun1) || COUNTED.has(facts.noun2)) && !UNCOUNTED_PLANTS.test(head)
}
