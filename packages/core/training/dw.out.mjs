// training/debug-w.tmp.ts
import { readFileSync } from "node:fs";

// src/read/model/ascii.ts
function asciiText(bytes) {
  const parts = [];
  for (let at = 0; at < bytes.length; at += 8192) parts.push(String.fromCharCode(...bytes.subarray(at, at + 8192)));
  return parts.join("");
}

// src/read/words/word-table.ts
var COLUMNS = ["noun1", "noun2", "verb", "kind1", "kind2", "kind3", "classes", "main", "coarse", "middle"];
var VECTOR = 24;
var VECTOR_SCALE = 64;
var NO_FACTS = { noun1: 255, noun2: 255, verb: 255, kind1: 255, kind2: 255, kind3: 255, classes: 0, main: 255, coarse: 255, middle: 255, fine: 65535 };
var WordTable = class {
  /** The words in their order; a word's place is its index here. */
  list;
  #index;
  #facts;
  #vectors;
  /** @throws when the bytes are no table of words. */
  constructor(bytes) {
    const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
    const count = view.getUint32(0, true);
    const length = view.getUint32(4, true);
    const start = 8 + length;
    const vectors = start + count * (COLUMNS.length + 2);
    if (bytes.length !== vectors + count * VECTOR) throw new Error("The table of words is damaged.");
    const words2 = asciiText(bytes.subarray(8, start)).split("\n");
    this.list = words2;
    this.#index = new Map(words2.map((word, i) => [word, i]));
    this.#facts = words2.map((_, i) => {
      const column = (n) => bytes[start + n * count + i] ?? 255;
      const fact = {};
      COLUMNS.forEach((name, n) => fact[name] = column(n));
      fact.fine = column(COLUMNS.length) | column(COLUMNS.length + 1) << 8;
      return fact;
    });
    this.#vectors = new Int8Array(bytes.buffer, bytes.byteOffset + vectors, count * VECTOR);
  }
  /** The vector of a lower-case word; undefined for one that is not in the table. */
  vector(word) {
    const at = this.indexOf(word);
    return at < 0 ? void 0 : Float64Array.from(this.#vectors.subarray(at * VECTOR, (at + 1) * VECTOR), (whole) => whole / VECTOR_SCALE);
  }
  /** Writes the vector of the word at a place of the table to `out` from `into` on; nothing for no place. */
  vectorInto(index, out, into) {
    if (index < 0) return;
    for (let k = 0; k < VECTOR; k++) out[into + k] = this.#vectors[index * VECTOR + k] / VECTOR_SCALE;
  }
  /** The place of a lower-case word in the table, or of what it most likely is a form or the last part of; -1 for none. */
  indexOf(word) {
    const own = this.#index.get(word);
    if (own !== void 0) return own;
    for (const base of plainer(word)) {
      const at = this.#index.get(base);
      if (at !== void 0) return at;
    }
    return -1;
  }
  /** The facts at a place of the table. */
  factsAt(index) {
    return this.#facts[index] ?? NO_FACTS;
  }
  find(word) {
    return this.#facts[this.indexOf(word)];
  }
};
function plainer(word) {
  const list = [];
  const bare = word.normalize("NFD").replace(/\p{M}/gu, "");
  if (bare !== word) list.push(bare);
  const parts = bare.split(/[-’'/]/);
  const last = parts[parts.length - 1] ?? "";
  if (parts.length > 1 && last.length > 2) list.push(last);
  if (parts.length > 1 && (parts[0]?.length ?? 0) > 2) list.push(parts[0] ?? "");
  if (last.endsWith("s")) list.push(last.slice(0, -1));
  if (last.endsWith("ed")) list.push(last.slice(0, -2), last.slice(0, -1));
  if (last.endsWith("ing")) list.push(last.slice(0, -3), `${last.slice(0, -3)}e`);
  if (last.endsWith("ly") || last.endsWith("er")) list.push(last.slice(0, -2));
  if (last.endsWith("y")) list.push(last.slice(0, -1));
  return list;
}

// src/read/model/feature-index.ts
var FeatureIndex = class {
  /** Feature i has row i. */
  constructor(features) {
    this.features = features;
    const size = 2 ** Math.ceil(Math.log2(Math.max(features.length, 4) * 2));
    this.#mask = size - 1;
    this.#places = new Uint32Array(2 * size);
    features.forEach((feature, row) => {
      let at = feature & this.#mask;
      while (this.#places[2 * at + 1] > 0) at = at + 1 & this.#mask;
      this.#places[2 * at] = feature;
      this.#places[2 * at + 1] = row + 1;
    });
  }
  features;
  /** For each place the feature and its row plus one; 0 where nothing is kept. */
  #places;
  #mask;
  get size() {
    return this.features.length;
  }
  /** The row of a feature; -1 for one that was not learned. */
  rowOf(feature) {
    const places = this.#places;
    for (let at = feature & this.#mask; ; at = at + 1 & this.#mask) {
      const row = places[2 * at + 1];
      if (row === 0 || places[2 * at] === feature) return row - 1;
    }
  }
  /** The rows of those features that were learned. */
  rowsOf(features) {
    return Array.from(features, (feature) => this.rowOf(feature)).filter((row) => row >= 0);
  }
};

// src/read/model/tables.ts
var VERSION = 1;
function unpackTables(words2, file) {
  const length = new DataView(file.buffer, file.byteOffset, file.byteLength).getUint32(0, true);
  const { version, vector, input, hidden, calibration, parts } = JSON.parse(asciiText(file.subarray(4, 4 + length)));
  if (version !== VERSION) throw new Error(`The reading's tables are of version ${version}, not ${VERSION}.`);
  let at = 4 + length;
  const found = /* @__PURE__ */ new Map();
  for (const part of parts) {
    found.set(part.name, { bytes: new Uint8Array(file.subarray(at, at + part.bytes)), scale: part.scale });
    at += part.bytes;
  }
  const bytesOf = (name) => found.get(name)?.bytes ?? new Uint8Array();
  const numbersOf = (name) => {
    const { bytes, scale } = found.get(name) ?? { bytes: new Uint8Array(), scale: 1 };
    return Float64Array.from(new Int8Array(bytes.buffer), (whole) => whole * scale);
  };
  const keys = new Uint32Array(bytesOf("keys").buffer);
  return {
    words: new WordTable(words2),
    calibration,
    network: {
      vector,
      input,
      hidden,
      index: new FeatureIndex(keys),
      rows: numbersOf("rows"),
      project: numbersOf("project"),
      bias: numbersOf("bias"),
      gates: [numbersOf("forwards"), numbersOf("backwards")],
      output: numbersOf("output"),
      pairs: numbersOf("pairs")
    }
  };
}

// src/english/noun.ts
var UNCOUNTED = new Set(
  `armor armour art artwork bamboo bedding bread brickwork bronze bunting calligraphy camouflage cardboard cash chalk chiffon china clay clothing cloth coal concrete copper cotton crockery cutlery
damask debris denim driftwood embroidery enamel equipment felt fencing filigree firewood flesh foliage footwear fretwork frost fur furniture gauze gear gilding glass glassware gold gossamer gouache graffiti grass gravel hair
hay headgear heather ice ink iron ironwork ivory ivy jewellery jewelry knitwear lace lacquer land laundry leather light linen luggage lumber machinery marble masonry mesh metal metalwork mist mortar moss mud muslin
netting oak ornamentation paint paper parchment pastel pewter plaster plastic plumage porcelain pottery public rain rigging rope rubber rubble rust sackcloth sand satin scaffolding scenery seaweed shade silk silver
skin slate snow soil stationery steel stone stonework straw stubble stucco swimwear tapestry tartan text thatch tile timber tin tracery traffic tulle turf tweed type typography underwear upholstery vegetation veneer velvet verdigris
wallpaper water watercolor watercolour wax weather wickerwork wildlife wire wood woodland woodwork wool writing yarn lettering handwriting undergrowth white black dusk
brushwork hatching shading grain handling misregistration daybreak midday space
dawn noon midnight night film photography charcoal crayon oil tempera acrylic pencil`.split(/\s+/)
);
var PLURAL_OF_OWN = new Set("people men women children feet teeth geese mice oxen cattle police sheep deer fish fungi cacti dice clothes trousers jeans shorts scissors glasses spectacles goggles pyjamas overalls".split(" "));
var IRREGULAR = { people: "person", children: "child", feet: "foot", teeth: "tooth", geese: "goose", mice: "mouse", oxen: "ox", leaves: "leaf", wolves: "wolf", knives: "knife", loaves: "loaf", shelves: "shelf", scarves: "scarf", halves: "half", calves: "calf", hooves: "hoof", wives: "wife", lives: "life" };
function singularOf(word) {
  const own = IRREGULAR[word];
  if (own) return own;
  if (/(?:^|\p{L})(?:wo)?men$/u.test(word) && !/^(?:omen|semen|specimen|regimen|abdomen|acumen|stamen|bitumen|lumen|hymen|ramen|yemen|amen)$/.test(word)) return word.replace(/men$/, "man");
  if (word.endsWith("ies")) return `${word.slice(0, -3)}y`;
  if (/(?:ch|sh|x|ss)es$/.test(word)) return word.slice(0, -2);
  return word.endsWith("s") && !word.endsWith("ss") ? word.slice(0, -1) : word;
}
var PLURALS = Object.fromEntries(Object.entries(IRREGULAR).map(([many, one]) => [one, many]));

// src/series/story/beings.ts
var set = (list) => new Set(list.trim().split(/\s+/));
var FEMALE = set(`woman women girl girls lady mother mum mom mummy mommy mama grandmother grandma granny gran nana aunt auntie aunty sister daughter wife niece queen princess duchess countess baroness empress nun abbess priestess witch fairy goddess
mermaid nymph maid maiden bride widow stewardess waitress actress hostess heroine nurse midwife seamstress hen cow mare ewe sow vixen lioness tigress doe goose landlady saleswoman policewoman businesswoman fisherwoman stepmother stepsister godmother schoolgirl mrs ms miss madam dame sister
governess mistress matron granddaughter girlfriend spinster ballerina`);
var MALE = set(`man men boy boys gentleman father dad daddy papa grandfather grandpa granddad grandad uncle brother son husband nephew king prince duke count baron emperor monk abbot friar priest bishop wizard god groom bridegroom widower steward waiter actor hero ram bull stallion rooster cockerel cock
gander stag landlord salesman policeman businessman fisherman fireman postman milkman stepfather stepbrother godfather schoolboy mr sir lord knight squire shepherd blacksmith woodcutter lumberjack sailor ferryman gardener miller tailor cobbler butcher carter coachman emperor tsar sultan pharaoh headmaster grandson boyfriend bachelor
brother watchman nightwatchman henchman huntsman craftsman workman foreman chairman clergyman hangman snowman`);
var MORE = set(`
fox crow wolf bear owl cat dog mouse rat rabbit hare deer stag hedgehog badger squirrel horse donkey mule goat sheep lamb pig cow bull hen rooster duck goose swan heron stork raven magpie sparrow robin eagle hawk falcon dove pigeon gull parrot whale dolphin shark fish salmon octopus crab turtle tortoise frog toad snake lizard dragon
unicorn giant dwarf troll goblin elf fairy ghost spirit witch wizard monster robot android machine-man scarecrow snowman puppet doll creature beast bird animal bee bees ant spider butterfly moth snail lion tiger elephant giraffe monkey camel kangaroo penguin seal bat beetle kitten puppy foal calf chick duckling
crew team family couple crowd guards soldiers villagers townspeople townsfolk passengers customers guests visitors tourists spectators audience pupils students schoolchildren children people neighbours neighbors workers labourers farmers peasants settlers traders merchants monks nuns novices sailors pirates rescuers volunteers firefighters reporters residents
twins siblings parents grandparents relatives colleagues friends boys girls men women elders ancestors refugees pilgrims dancers musicians band orchestra choir troupe army police patrol jury committee council staff squad gang herd flock swarm pack class commuters shoppers onlookers strangers diners
keeper lighthouse-keeper beekeeper shopkeeper innkeeper goalkeeper zookeeper gatekeeper clockmaker watchmaker shoemaker toymaker mapmaker baker cook chef driver engineer captain pilot conductor guard officer inspector detective doctor surgeon nurse vet dentist teacher professor headmistress headmaster principal librarian clerk secretary boss manager director owner mayor minister
president judge lawyer journalist reporter photographer painter artist sculptor musician singer dancer actor poet writer scientist astronomer archaeologist geologist explorer climber hiker runner cyclist swimmer diver skier surfer astronaut traveller traveler stranger messenger courier ferryman porter postman maid servant butler housekeeper
apprentice master smith miller weaver spinner potter dyer mason carpenter joiner builder farmer shepherd shepherdess fisherman hunter trapper woodcutter miner sailor soldier knight squire king queen prince princess duke count emperor abbot abbess monk nun priest bishop vicar hermit pilgrim healer dowser fortune-teller peddler pedlar trader merchant
baby toddler infant child kid boy girl teenager youth man woman lady gentleman old-man fellow lad lass friend neighbour neighbor companion enemy rival thief robber burglar pirate smuggler spy witness prisoner patient customer guest visitor tourist passenger commuter pupil student classmate orphan twin heir bride groom widow widower
volunteer rescuer firefighter ranger warden attendant waiter waitress barista bartender seller vendor salesman cashier dealer buyer collector curator restorer technician mechanic electrician plumber gardener cleaner janitor caretaker watchman sentry scout guide keeper rider jockey ringmaster clown acrobat juggler magician ventriloquist
mother father sister brother aunt uncle grandmother grandfather grandma grandpa daughter son wife husband cousin niece nephew mum mom dad mama papa granny godmother stepmother stepfather moderator host presenter speaker player coach referee champion fan
`);
var NO_BEING = set("screw peel ward city wind-bag same comic chosen page host-body minister-ship head hand heart star match mark second model cook-off head-on face figure number character part post dish pick back no-one one ones other others nobody somebody someone anyone everyone everybody self body soul voice eye eyes thing time life love light counter case subject object agent patient-care double standard original native relative minor senior junior major general private master-key captain-s runner-up cutter sinker speaker-box cracker boiler cooker drawer kettle timer poker beer hammer washer dresser rocker lighter sweet dear darling fool savage brick duck-down snake-pit ham turkey fish lamb chicken salmon trout prawn prawns shrimp crab-meat oyster mussel mussels sole bacon beef mackerel cod tuna herring sardines anchovies maker makers killer lead leads leader-board principal-sum cast lot lots sort kind");
var GENERAL = set("people everyone everybody person persons man-kind mankind humans humanity ancestor ancestors reader readers engine society nation government public world");
var FOOD_KINDS = /* @__PURE__ */ new Set([25, 26, 27]);
var PERSON_FILE = 18;
var ANIMAL_FILE = 5;
function beingWorth(lower, words2) {
  const last = lower.split("-").at(-1) ?? lower;
  const singular = singularOf(last);
  if (NO_BEING.has(lower)) return 0;
  if (GENERAL.has(lower)) return 0.3;
  if (MORE.has(lower) || MORE.has(last) || MORE.has(singular) || FEMALE.has(singular) || MALE.has(singular)) return 1;
  if (NO_BEING.has(singular)) return 0;
  const facts = words2.find(last);
  if (!facts || (facts.classes & 1) === 0 || FOOD_KINDS.has(facts.kind1)) return /(?:[^aeiou]|e)(?:keeper|maker|woman|man|men|women|smith|wright|herd|girl|boy)s?$/.test(last) ? 1 : 0;
  if (facts.noun1 === PERSON_FILE || facts.noun1 === ANIMAL_FILE) return facts.main === 0 || facts.main === 255 ? 0.8 : 0.5;
  return 0;
}
var ANIMALS = set("bee bees wasp ant fly fox crow wolf bear owl cat dog mouse rat rabbit hare deer stag hedgehog badger squirrel horse donkey mule goat sheep lamb pig cow bull hen rooster duck goose swan heron stork raven magpie sparrow robin eagle hawk falcon dove pigeon gull parrot whale dolphin shark fish turtle frog toad snake dragon bird animal beast creature giraffe lion tiger elephant monkey kitten puppy robot ram ewe");
var HERDS = set("swarm herd flock pack shoal brood litter");
var COLLECTIVE = set("crew team family couple crowd band orchestra choir troupe army police patrol jury committee council staff squad gang herd flock swarm pack class audience people children men women pair group");
var TITLES = set("mr mrs ms miss dr doctor professor sir lord lady king queen prince princess duke duchess count countess baron baroness emperor empress captain colonel major general sergeant lieutenant admiral inspector detective constable officer father mother sister brother abbot abbess bishop uncle aunt auntie grandpa grandma granny old young little big saint master mistress madame president mayor judge");

// training/debug-w.tmp.ts
var table = (name) => readFileSync(new URL(`../tables/${name}.bin`, import.meta.url));
var { words } = unpackTables(table("words"), table("reader"));
for (const w of process.argv.slice(2)) console.log(w, beingWorth(w, words), JSON.stringify(words.find(w)));
