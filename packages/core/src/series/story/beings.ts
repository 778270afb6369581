import { singularOf } from '../../english/noun.ts'
import type { WordTable } from '../../read/words/word-table.ts'
import { placeWorth } from './place-words.ts'

const set = (list: string) => new Set(list.trim().split(/\s+/))

export type Gender = 'male' | 'female'

const FEMALE = set(`woman women girl girls lady mother mum mom mummy mommy mama grandmother grandma granny gran nana aunt auntie aunty sister daughter wife niece queen princess duchess countess baroness empress nun abbess priestess witch fairy goddess
mermaid nymph maid maiden bride widow stewardess waitress actress hostess heroine nurse midwife seamstress hen cow mare ewe sow vixen lioness tigress doe goose landlady saleswoman policewoman businesswoman fisherwoman stepmother stepsister godmother schoolgirl mrs ms miss madam dame sister
governess mistress matron granddaughter girlfriend spinster ballerina`)
const MALE = set(`man men boy boys gentleman father dad daddy papa grandfather grandpa granddad grandad uncle brother son husband nephew king prince duke count baron emperor monk abbot friar priest bishop wizard god groom bridegroom widower steward waiter actor hero ram bull stallion rooster cockerel cock
gander stag landlord salesman policeman businessman fisherman fireman postman milkman stepfather stepbrother godfather schoolboy mr sir lord knight squire shepherd blacksmith woodcutter lumberjack sailor ferryman gardener miller tailor cobbler butcher carter coachman emperor tsar sultan pharaoh headmaster grandson boyfriend bachelor
brother watchman nightwatchman henchman huntsman craftsman workman foreman chairman clergyman hangman snowman`)

/** Beings that dictionaries give first as something else, and groups of them. */
const MORE = set(`
fox crow wolf bear owl cat dog mouse rat rabbit hare deer stag hedgehog badger squirrel horse donkey mule goat sheep lamb pig cow bull hen rooster duck goose swan heron stork raven magpie sparrow robin eagle hawk falcon dove pigeon gull parrot whale dolphin shark fish carp pike eel perch goldfish catfish salmon octopus crab turtle tortoise frog toad snake lizard dragon
unicorn giant dwarf troll goblin elf fairy ghost spirit witch wizard monster robot android machine-man scarecrow snowman puppet doll creature beast bird animal bee bees ant spider butterfly moth snail lion tiger elephant giraffe monkey camel kangaroo penguin seal bat beetle kitten puppy foal calf chick duckling
crew team party expedition delegation household family couple crowd guards soldiers villagers townspeople townsfolk passengers customers guests visitors tourists spectators audience pupils students schoolchildren children people neighbours neighbors workers labourers farmers peasants settlers traders merchants monks nuns novices sailors pirates rescuers volunteers firefighters reporters residents
twins siblings parents grandparents relatives colleagues friends boys girls men women elders ancestors refugees pilgrims dancers musicians band orchestra choir troupe army police patrol jury committee council staff squad gang herd flock swarm pack class commuters shoppers onlookers strangers diners
keeper lighthouse-keeper beekeeper shopkeeper innkeeper goalkeeper zookeeper gatekeeper clockmaker watchmaker shoemaker toymaker mapmaker baker cook chef driver engineer captain pilot conductor guard officer inspector detective doctor surgeon nurse vet dentist teacher professor headmistress headmaster principal librarian clerk secretary boss manager director owner mayor minister
president judge lawyer journalist reporter photographer painter artist sculptor musician singer dancer actor poet writer scientist astronomer archaeologist geologist explorer climber hiker runner cyclist swimmer diver skier surfer astronaut traveller traveler stranger messenger courier ferryman porter postman maid servant butler housekeeper
apprentice master smith miller weaver spinner potter dyer mason carpenter joiner builder farmer shepherd shepherdess fisherman hunter trapper woodcutter miner sailor soldier knight squire king queen prince princess duke count emperor abbot abbess monk nun priest bishop vicar hermit pilgrim healer dowser fortune-teller peddler pedlar trader merchant
baby toddler infant child kid boy girl teenager youth man woman lady gentleman old-man fellow lad lass friend neighbour neighbor companion enemy rival thief robber burglar pirate smuggler spy witness prisoner patient customer guest visitor tourist passenger commuter pupil student classmate orphan twin heir bride groom widow widower
volunteer rescuer firefighter ranger warden attendant waiter waitress barista bartender seller vendor salesman cashier dealer buyer collector curator restorer technician mechanic electrician plumber gardener cleaner janitor caretaker watchman sentry scout guide keeper rider jockey ringmaster clown acrobat juggler magician ventriloquist
mother father sister brother aunt uncle grandmother grandfather grandma grandpa daughter son wife husband cousin niece nephew mum mom dad mama papa granny godmother stepmother stepfather moderator host presenter speaker player coach referee champion
`)
/** Person nouns of dictionaries that in stories are mostly something else. */
const NO_BEING = set('trawler liner freighter tanker cruiser clipper steamer cutter tender destroyer carrier transporter dredger tug egg eggs shell feather wool world fur screw peel ward city wind-bag same comic chosen page host-body minister-ship head hand heart star match mark second model cook-off head-on face figure number character part post dish pick back no-one one ones other others nobody somebody someone anyone everyone everybody self body soul voice eye eyes thing time life love light counter case subject object agent patient-care double standard original native relative minor senior junior major general private master-key captain-s runner-up cutter sinker speaker-box cracker boiler cooker drawer kettle timer poker beer hammer washer dresser rocker lighter sweet dear darling fool savage brick duck-down snake-pit ham turkey fish lamb chicken salmon trout prawn prawns shrimp crab-meat oyster mussel mussels sole bacon beef mackerel cod tuna herring sardines anchovies maker makers killer lead leads leader-board principal-sum cast lot lots sort kind')
/** Groups spoken of in general, who are seldom in the picture. */
const GENERAL = set('people everyone everybody person persons man-kind mankind humans humanity ancestor ancestors reader readers society nation government public')
const FOOD_KINDS = new Set([25, 26, 27])
const BODY_KINDS = new Set([39, 40])
const PERSON_FILE = 18
const ANIMAL_FILE = 5

/** Trades that no dictionary has, by their endings. */
const TRADE = /^[a-z]{3,}(?:ist|ologist|ographer|picker|catcher|tamer|seller|digger|walker|rider|racer|juggler|blower|monger|mender|hunter|dealer|polisher|counter|cutter|carver|tender)s?$/
/** How likely a noun names somebody who can act: 1 surely, 0.6 by its kind, 0 not. Lower case. */
export function beingWorth(lower: string, words: WordTable): number {
  const last = lower.split('-').at(-1) ?? lower
  const singular = singularOf(last)
  if (NO_BEING.has(lower)) return 0
  if (GENERAL.has(lower)) return 0.3
  if (MORE.has(lower) || MORE.has(last) || MORE.has(singular) || FEMALE.has(singular) || MALE.has(singular)) return 1
  if (NO_BEING.has(singular)) return 0
  // A plural is known by its one: dictionaries have “Fields” and “Gates” as people of that name.
  const facts = words.indexOf(singular) >= 0 ? words.find(singular) : words.find(last)
  if (!facts || (facts.classes & 1) === 0 || FOOD_KINDS.has(facts.kind1) || BODY_KINDS.has(facts.kind1) || placeWorth(lower, words) > 0) return /(?:[^aeiou]|e)(?:keeper|maker|woman|man|men|women|smith|wright|herd|girl|boy)s?$/.test(last) || (!facts && TRADE.test(last)) ? 1 : 0
  if (facts.noun1 === PERSON_FILE || facts.noun1 === ANIMAL_FILE) return facts.main === 0 ? 0.8 : facts.main === 255 ? 0.5 : 0
  return 0
}

export function genderOf(lower: string): Gender | undefined {
  const last = lower.split('-').at(-1) ?? lower
  const singular = singularOf(last)
  if (FEMALE.has(last) || FEMALE.has(singular) || /(?:woman|women|girl)$/.test(last)) return 'female'
  if (MALE.has(last) || MALE.has(singular) || /(?:^|[^o])(?:man|men|boy)$/.test(last)) return 'male'
  return undefined
}

const ANIMALS = set('carp pike eel perch goldfish catfish bee bees wasp ant fly fox crow wolf bear owl cat dog mouse rat rabbit hare deer stag hedgehog badger squirrel horse donkey mule goat sheep lamb pig cow bull hen rooster duck goose swan heron stork raven magpie sparrow robin eagle hawk falcon dove pigeon gull parrot whale dolphin shark fish turtle frog toad snake dragon bird animal beast creature giraffe lion tiger elephant monkey kitten puppy robot ram ewe')
/** What dictionaries have as an animal first, and stories as somebody. */
const PEOPLE_FIRST = set('queen king emperor kid worker soldier admiral monarch major painter lady pauper buccaneer darling pet orphan youngster')
/** Those that “it” may stand for. */
export const isAnimal = (lower: string, words: WordTable): boolean => ANIMALS.has(lower) || HERDS.has(lower) || ANIMALS.has(singularOf(lower)) || (words.find(lower)?.noun1 === ANIMAL_FILE && !PEOPLE_FIRST.has(lower))

const HERDS = set('swarm herd flock pack shoal brood litter')
const COLLECTIVE = set('party expedition delegation household crew team family couple crowd band orchestra choir troupe army police patrol jury committee council staff squad gang herd flock swarm pack class audience column procession caravan queue line row circle handful troop band party group people children men women pair group')
export const isGroup = (lower: string): boolean => COLLECTIVE.has(lower) || lower !== singularOf(lower)

/** Kinship and the like by several words, the commonest first. */
const SAME_AS: Readonly<Record<string, string>> = {
  grandpa: 'grandfather', granddad: 'grandfather', grandad: 'grandfather', grandma: 'grandmother', granny: 'grandmother', gran: 'grandmother', nana: 'grandmother', mum: 'mother', mom: 'mother', mummy: 'mother', mommy: 'mother', mama: 'mother',
  dad: 'father', daddy: 'father', papa: 'father', auntie: 'aunt', aunty: 'aunt', kid: 'child', bike: 'bicycle', policewoman: 'police officer', policeman: 'policeman', puppy: 'puppy',
}
export const plainBeing = (lower: string): string => SAME_AS[lower] ?? lower

export const TITLES = set('mr mrs ms miss dr doctor professor sir lord lady king queen prince princess duke duchess count countess baron baroness emperor empress captain colonel major general sergeant lieutenant admiral inspector detective constable officer father mother sister brother abbot abbess bishop uncle aunt auntie grandpa grandma granny old young little big saint master mistress madame president mayor judge')
