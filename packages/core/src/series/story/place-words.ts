import { singularOf } from '../../english/noun.ts'
import type { WordTable } from '../../read/words/word-table.ts'

const set = (list: string) => new Set(list.trim().split(/\s+/))

/** Nouns that are places by themselves: rooms, buildings, ways, lands, waters, and what people are carried in. */
const PLACES = set(`
house home cottage hut cabin shack mansion villa manor palace castle tower fortress fort citadel keep dungeon apartment flat hotel inn tavern pub bar café cafe coffeehouse restaurant diner bistro canteen bakery butchery shop store supermarket boutique mall
market marketplace bazaar fair fairground stall kiosk school schoolhouse schoolyard classroom kindergarten nursery university college academy library archive museum gallery theatre theater cinema opera studio atelier workshop workroom factory mill sawmill watermill windmill
warehouse depot foundry forge smithy mine quarry pit office boardroom headquarters courtroom courthouse court prison jail cell police-station hospital clinic surgery ward infirmary pharmacy laboratory lab observatory planetarium church chapel cathedral abbey
monastery convent cloister temple mosque shrine synagogue graveyard cemetery churchyard tomb crypt vault farm farmhouse farmyard barn stable stables shed byre henhouse greenhouse glasshouse hothouse garage carport kennel
kitchen kitchens bedroom bathroom parlour parlor lounge hall hallway corridor passage passageway dining-room living-room cellar basement attic loft pantry larder scullery nursery study den lobby foyer reception porch veranda balcony terrace patio rooftop roof
courtyard yard backyard garden gardens orchard vineyard field fields meadow meadows pasture paddock lawn park playground pitch stadium arena gym gymnasium racecourse track zoo circus aquarium pool swimming-pool bathhouse spa
street streets lane alley alleyway avenue boulevard road roadside highway motorway path footpath trail track pavement sidewalk square plaza crossroads crossing junction roundabout bridge footbridge viaduct tunnel underpass gate gateway gatehouse
village town city capital suburb hamlet settlement colony camp campsite encampment district quarter neighbourhood neighborhood country kingdom countryside homeland border frontier station platform airport terminal harbour harbor port dock docks dockyard boatyard shipyard wharf quay pier jetty marina
train carriage compartment wagon tram bus coach car taxi truck lorry van ship boat ferry barge raft canoe yacht submarine spaceship spacecraft starship shuttle rocket plane aeroplane airplane airship helicopter balloon cockpit cabin deck galley bridge hold engine-room
forest forests wood woods woodland woodlands jungle rainforest grove thicket copse clearing glade undergrowth heath moor moorland marsh swamp bog wetland fen desert dunes dune oasis steppe prairie savannah savanna tundra plain plains plateau hill hills hillside hilltop mountain mountains mountainside
mountaintop summit peak ridge slope cliff cliffs ledge crag gorge canyon ravine valley glen dale pass gully cave cavern grotto den burrow nest lair hollow crater volcano glacier iceberg snowfield river riverbank riverside stream brook creek waterfall rapids ford canal
lake lakeside lakeshore pond lagoon bay cove fjord inlet estuary delta sea seaside seabed ocean coast coastline shore shoreline beach seashore island islet isle reef sandbank headland cape peninsula rocks spring well fountain dam reservoir weir lock
sky clouds space orbit moon planet earth world underworld heaven hell lighthouse beacon windmill tent marquee pavilion bandstand gazebo treehouse igloo wigwam yurt caravan trailer bunker shelter trench battlefield battlements rampart ramparts wall walls
stage backstage auditorium ballroom banquet-hall throne-room throne chamber chambers suite penthouse staircase stairs stairwell stairway steps elevator lift escalator landing vestibule cloakroom changing-room locker-room
waiting-room wash-house laundry launderette salon barbershop hairdresser bank post-office town-hall guildhall embassy barracks base outpost hideout headland archway arcade colonnade refectory dormitory dorm cloisters sacristy belfry steeple
apiary aviary allotment nursery-garden plantation ranch estate grounds premises site building skyscraper block tower-block construction-site ruins ruin remains excavation wreck shipwreck riverbed lakebed seafloor surface dome hangar launchpad launch-site control-room
crossroad finish start start-line finish-line pit-lane grandstand ringside backroom storeroom stockroom storehouse granary silo pigsty coop dovecote hedge hedgerow verge ditch trenches embankment levee dyke dike causeway towpath breakwater promenade boardwalk esplanade
hostel guesthouse lodge chalet bungalow dwelling residence home-town hometown birthplace neighbourhood gym-hall assembly-hall car-park carpark parking-lot driveway forecourt filling-station petrol-station service-station bus-stop tram-stop bus-station railway-station
shop-floor checkout cubicle hearth fireside fireplace bedside sickroom operating-theatre operating-room recovery-room nurses-station maternity lecture-hall seminar-room staffroom playroom sandpit treetop treetops canopy
office-block canteen mess-hall mess galley crow's-nest hayloft haystack hayfield cornfield wheatfield ricefield paddies paddy vineyard rice-field stairhead underside trapdoor tramway railway tracks siding signal-box
gallows scaffold marketsquare piazza souk caravanserai monastery pagoda stupa ziggurat pyramid amphitheatre colosseum forum agora acropolis aqueduct baths room rooms place shopfront window-seat area zone region land lands province county parish coastland mainland interior outskirts shaft scriptorium kiln lounge loggia gatepost footbridge hatchery planetarium shrine
cantina saloon scrapyard junkyard landfill compound hammam sauna brewery distillery winery tannery dairy creamery cannery conservatory orangery pergola slipway cage enclosure pen hutch teahouse tearoom tea-room newsroom darkroom salesroom showroom booth dojo rink ice-rink lido jacuzzi latrine lavatory washroom restroom
outhouse toilet laundromat storage catacombs mausoleum necropolis sanctuary hermitage priory turret parapet battlement drawbridge moat armoury armory treasury guardhouse watchtower bivouac basecamp refuge hospice geyser oilrig refinery plant assembly-line layby backstreet cul-de-sac skatepark funfair golf-course racetrack
velodrome ballpark bleachers ministry parliament senate consulate checkpoint customs runway tarmac lifeboat airlock spacecraft moonbase asteroid icefield taiga mangrove sandbar mesa bayou strait atoll disco nightclub casino motel cafeteria newsstand drugstore bookshop bookstore toyshop pawnshop junkshop showground sheepfold
cowshed barnyard taxi-rank concourse ticket-hall funicular gondola chairlift piste visiting-room meeting-room conference-room engine-shed tool-shed garden-shed beach-bar coffee-shop clock-shop printing-shop fire-station police-station space-station
`)
/** Things people stand or sit at: a place only where nothing better is said. */
const SPOTS = set(`
hive beehive table bed bench chair armchair sofa couch stool window windowsill sill door doorstep threshold floor ceiling corner counter desk board stove oven hearth fire fireplace campfire bonfire shelf cupboard wardrobe chest tree oak willow bush rock stone boulder log branch
ground grass snow ice mud sand edge side middle top bottom end centre center bank kerb curb wall fence railing banister ladder rope carriage saddle seat bathtub sink fridge refrigerator freezer pot bowl tub basin bucket worktop workbench altar pulpit
queue throne chimney doorway entrance exit beam rafters hammock bunk cradle lamp grave mat rug carpet blanket tray cloth plate
`)
/** They say where in a place: what follows “of” is the place. */
const PART_OF = set('underside inside outside surface edge side middle top bottom end foot back front centre center heart mouth head corner outskirts rim brink depths depth shore shores bank banks summit slope slopes floor walls walls walls gates gate entrance lip tip border borders shadow ruins steps stairs staircase hall halls rooms roof door doors window windows')

/** WordNet's kinds that are places (see training/wordnet.ts): building, house, room, structure, way, road, body of water, land, geological formation, location, region. */
const PLACE_KINDS = new Set([7, 8, 9, 10, 11, 12, 32, 33, 34, 35, 36])
/** Of those kinds, nouns that stories use for something else. */
/** Rooms and parts of buildings: to come there is not to leave the building. */
const ROOMS = set('kitchen bedroom bathroom hall hallway corridor passage room rooms cellar basement attic loft pantry study lobby foyer reception staircase stairs stairwell landing ward classroom office chamber dining-room living-room throne-room balcony terrace courtyard entrance doorway canteen gym laboratory')
const BUILDINGS = set('house home castle palace school hospital hotel inn museum factory theatre theater university college abbey monastery church villa mansion manor farmhouse tower building station prison cottage clinic library institute')
export const isWithin = (room: string, building: string): boolean => ROOMS.has(room) && BUILDINGS.has(building)

const NO_PLACE = set('name hope hands number sound smell taste look feel thought kind sort time fear wake way ways step steps line lines point points part parts side turn direction distance course case head face arm arms hand hands back foot feet leg end ends beginning time top bottom view sight scene rest others left right north south east west position spot spots address zero mark number door doors window windows floor ceiling frame bars post column line lines trap nail rope rail rails key lock cover table net web thread root branch fork grave grave neck mouth eye shoulder shoulders heel heels knee knees lap chest toe toes elbow elbows finger fingers mercy dust sand ground earth hole holes crack gap opening page pages course nowhere everywhere somewhere anywhere memory mind future past middle midst thought danger trouble love silence peace hurry front tears half quarter pocket pockets turn order fact general particular person secret private public name names story stories life lives dream dreams sleep bloom flames piece pieces row rows')

/** How much of a place a noun names: 1 a place, 0.5 one only by its kind, 0.3 a spot within one, 0 none. With `whole`, only as it is spelt. */
export function placeWorth(lower: string, words: WordTable, whole = false): number {
  if (whole) return PLACES.has(lower) ? 1 : 0
  const last = lower.split(/[-’']/).at(-1) ?? lower
  const forms = [lower, singularOf(lower), last, singularOf(last)]
  const spot = SPOTS.has(lower) || SPOTS.has(singularOf(lower))
  if (NO_PLACE.has(lower) && !spot) return 0
  if (forms.some((form) => PLACES.has(form)) && !NO_PLACE.has(lower)) return 1
  if (spot || forms.some((form) => SPOTS.has(form))) return 0.3
  const facts = words.find(lower)
  if (!facts || (facts.classes & 1) === 0 || (facts.main !== 0 && facts.main !== 255)) return 0
  return PLACE_KINDS.has(facts.kind1) ? 0.5 : 0
}

export const isNoPlace = (lower: string): boolean => NO_PLACE.has(lower)
export const isPartOf = (lower: string): boolean => PART_OF.has(lower)
