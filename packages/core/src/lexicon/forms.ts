/** Irregular forms of verbs and nouns as they stand in prompts, by the form that dictionaries list. */
const IRREGULAR = `
arise arose arisen; bear bore borne; beat beaten; bend bent; bind bound; bite bit bitten; blow blew blown; break broke broken; build built; burn burnt; burst burst; catch caught; choose chose chosen; cling clung; come came; creep crept
dig dug; draw drew drawn; drink drank drunk; drive drove driven; eat ate eaten; fall fell fallen; feed fed; feel felt; fight fought; find found; fling flung; fly flew flown; forsake forsook forsaken; freeze froze frozen; give gave given; go went gone; grind ground; grow grew grown
hang hung; have has had; hear heard; hide hid hidden; hold held; keep kept; kneel knelt; know knew known; lay laid; lead led; lean leant; leap leapt; leave left; light lit; lie lay lain lying; lose lost; make made; mean meant; meet met; pay paid
ride rode ridden; ring rang rung; rise rose risen; run ran; saw sawn; say said; see saw seen; sell sold; send sent; sew sewn; shake shook shaken; shear shorn; shine shone; shoot shot; show shown; shrink shrank shrunk; sing sang sung; sink sank sunk; sit sat; sleep slept; slide slid; sling slung
speak spoke spoken; spend spent; spill spilt; spin spun; split split; spring sprang sprung; stand stood; steal stole stolen; stick stuck; strew strewn; stride strode stridden; strike struck stricken; string strung; swear swore sworn; sweep swept; swell swollen; swim swam swum; swing swung
take took taken; teach taught; tear tore torn; tell told; think thought; throw threw thrown; tie tying; die dying; tread trod trodden; wake woke woken; wear wore worn; weave wove woven; weep wept; win won; wind wound; wring wrung; write wrote written
man men; woman women; child children; person people; foot feet; tooth teeth; goose geese; mouse mice; ox oxen; leaf leaves; loaf loaves; wolf wolves; shelf shelves; knife knives; life lives; wife wives; half halves; scarf scarves; hoof hooves; calf calves; thief thieves; elf elves; dwarf dwarves; wharf wharves; cactus cacti; axe axes
be is are was were been being; do does did done; fisherman fishermen; passer passers
`
const dictionaryForm = new Map<string, string[]>()
for (const entry of IRREGULAR.split(/[;\n]/)) {
  const [plain = '', ...forms] = entry.trim().split(' ')
  for (const form of forms) dictionaryForm.set(form, [...(dictionaryForm.get(form) ?? []), plain])
}

/** Spellings that differ between the two sides of the ocean, part by part; the tables are written in the first. */
const SPELLINGS: readonly (readonly [ours: string, theirs: string])[] = [['colour', 'color'], ['grey', 'gray'], ['centre', 'center'], ['theatre', 'theater'], ['harbour', 'harbor'], ['armour', 'armor'], ['moustache', 'mustache'], ['pyjama', 'pajama'], ['neighbour', 'neighbor'], ['jewellery', 'jewelry'], ['plough', 'plow'], ['sceptre', 'scepter'], ['mould', 'mold'], ['vapour', 'vapor'], ['aluminium', 'aluminum'], ['cosy', 'cozy'], ['travell', 'travel'], ['metre', 'meter'], ['centring', 'centering'], ['sombre', 'somber'], ['lustre', 'luster']]
const MARK_OF_SPELLING = /colo|gray|cent|theat|harbor|armor|must|paj|neighb|jewel|plow|scep|mold|vapor|alum|coz|meter|somb|lust/
function ourSpelling(word: string): string {
  if (!MARK_OF_SPELLING.test(word)) return word
  const pair = SPELLINGS.find(([ours, theirs]) => word.includes(theirs) && !word.includes(ours) && ours !== 'travell')
  return pair ? word.replace(pair[1], pair[0]) : word
}

const DOUBLED = /([bdgklmnprtvz])\1$/
const remembered = new Map<string, readonly string[]>()
const MOST = 20_000

/**
 * A lower-case word and what it may be a form of, itself first: “leaves” may be of “leaf” and of “leave”. Whether those are
 * words nobody asks; a table is only asked for what it has. Sources: the regular endings of English, and the list above.
 */
export function formsOf(lower: string): readonly string[] {
  let forms = remembered.get(lower)
  if (!forms) {
    const word = ourSpelling(lower)
    const found = new Set([lower, word, ...(dictionaryForm.get(word) ?? [])])
    const stem = (ending: number, ...added: string[]) => {
      const base = word.slice(0, -ending)
      found.add(base)
      for (const end of added) found.add(base + end)
      if (DOUBLED.test(base)) found.add(base.slice(0, -1))
    }
    if (word.length > 3 && word.endsWith('s') && !word.endsWith('ss')) {
      stem(1)
      if (word.endsWith('es')) stem(2)
      if (word.endsWith('ies')) stem(3, 'y')
      if (word.endsWith('ves')) stem(3, 'f', 'fe')
    }
    if (word.length > 4 && word.endsWith('ing')) stem(3, 'e')
    if (word.length > 4 && word.endsWith('ed')) {
      stem(2, 'e')
      if (word.endsWith('ied')) stem(3, 'y')
    }
    if (remembered.size >= MOST) remembered.clear()
    remembered.set(lower, (forms = [...found]))
  }
  return forms
}
