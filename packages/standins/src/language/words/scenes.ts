import type { Kind } from '../kinds.ts'

/** Where and when a phrase can be said without contradicting another: indoors or out, and by which part of the day. */
export type Part = 'dawn' | 'morning' | 'noon' | 'afternoon' | 'dusk' | 'night'
export type Place = 'in' | 'out' | 'water'

export interface SettingWords {
  /** With its preposition, as it follows what is done. */
  said: string
  place: Place
}
const out = (said: string): SettingWords => ({ said, place: 'out' })
const inside = (said: string): SettingWords => ({ said, place: 'in' })
const under = (said: string): SettingWords => ({ said, place: 'water' })

const OPEN = [out('on a grassy hillside above a valley'), out('at the edge of a village square'), out('beside a dry stone wall'), out('on a worn wooden quay'), out('in a walled kitchen garden')]
const ROOMS = [inside('in a whitewashed room with a flagstone floor'), inside('in a narrow workshop lined with shelves'), inside('in a bare attic under sloping beams'), inside('in a farmhouse kitchen with a scrubbed table')]
const TABLES = [inside('on a scrubbed oak table'), inside('on a slate counter in a quiet kitchen'), inside('on a windowsill with peeling paint'), inside('on a folded linen cloth'), inside('on a plain shelf against a plaster wall')]
const WILD = [out('at the edge of a birch wood'), out('on a stony mountain slope'), out('in tall dry grass beside a stream'), out('in a mossy clearing'), out('on a heath with scattered boulders')]

/** Places where a kind is at home. */
export const SETTINGS: Readonly<Record<Kind, readonly SettingWords[]>> = {
  person: [...OPEN, ...ROOMS],
  animal: WILD,
  bird: [out('in a reed bed at the edge of a lake'), out('on a weathered fence post above a meadow'), out('among the bare branches of an old orchard'), out('on a shingle bank beside a river')],
  insect: [out('on a thistle head in a hay meadow'), out('on a broad leaf in a walled garden'), out('on the rough bark of a plum tree')],
  fish: [under('in clear water over a bed of pebbles'), under('among waving weed beside a drowned wall'), under('above pale sand in a sheltered bay')],
  plant: [out('in a walled garden beside a brick path'), out('at the foot of a dry stone wall'), out('on a terrace above a valley'), out('in a mossy clearing')],
  food: TABLES,
  vehicle: [out('on a road between stone walls'), out('at the foot of a mountain pass'), out('beside a small country station'), out('on a bridge over a gorge')],
  vessel: [out('at a wooden quay'), out('on a broad grey lake'), out('in a small harbour behind a stone mole'), out('off a low rocky shore')],
  building: [out('on a headland above a bay'), out('at the end of a poplar avenue'), out('among terraced fields'), out('on the bank of a slow river')],
  place: [out('below a range of low hills'), out('between steep wooded slopes'), out('at the end of a long valley'), out('beyond a foreground of rough grass')],
  thing: TABLES,
  event: [out('in a village square with stone arcades'), out('on a meadow below a wooded ridge'), inside('in a timbered hall with high windows')],
  idea: [inside('in a bare room with one tall window'), inside('on an empty stage with wooden boards'), out('on a wide plain under an open sky')],
}

/** What a kind does, as what follows “is” or stands by itself. */
export const ACTIONS: Readonly<Record<Kind, readonly string[]>> = {
  person: ['pausing with one hand raised', 'looking back over one shoulder', 'turning towards the light', 'leaning forward in thought', 'walking slowly towards the viewer', 'kneeling to look closer'],
  animal: ['standing quite still with its head turned', 'stepping forward with care', 'looking back over its shoulder', 'pausing in the middle of a stride', 'sniffing the ground'],
  bird: ['standing on one leg', 'stretching its wings', 'turning its head to listen', 'preening a wing feather', 'stooping over its own reflection'],
  insect: ['crawling towards the light', 'resting with its legs spread', 'feeling ahead with its legs', 'turning slowly on the spot'],
  fish: ['gliding from left to right', 'turning in a slow curve', 'hanging motionless in the current', 'rising slowly'],
  plant: ['leaning towards the light', 'swaying in a light wind', 'spreading its leaves wide', 'bending under its own weight'],
  food: ['steaming gently', 'standing ready to be served', 'resting on a plain plate', 'waiting to be shared'],
  vehicle: ['climbing a gentle slope', 'waiting with its doors closed', 'rounding a wide bend', 'standing at rest'],
  vessel: ['lying at anchor', 'drifting with slack ropes', 'turning slowly with the current', 'riding low in the water'],
  building: ['standing alone', 'rising above its own shadow', 'leaning slightly to one side', 'looking out over the land'],
  place: ['stretching away into the distance', 'lying quite still', 'opening towards the viewer', 'narrowing towards the horizon'],
  thing: ['standing a little to one side', 'lying at an angle', 'casting a clear shadow', 'catching the light along one edge'],
  event: ['coming slowly to its height', 'drawing everyone to the middle', 'spreading from group to group', 'just beginning'],
  idea: ['turning towards the light', 'walking away with slow steps', 'kneeling with bowed shoulders', 'holding out both open hands'],
}

/** What a kind wears, carries or is made of. */
export const DETAILS: Readonly<Record<Kind, readonly string[]>> = {
  person: ['a patched wool coat', 'a worn leather satchel', 'rolled linen sleeves', 'a knitted scarf', 'sturdy laced boots'],
  animal: ['a scarred flank', 'mud on its feet', 'alert dark eyes', 'a thick ruff of hair'],
  bird: ['ruffled wing feathers', 'a dark glossy eye', 'scaled grey feet', 'a pale breast'],
  insect: ['fine veins in its wings', 'a bristled back', 'jointed glossy legs', 'drops of dew on its body'],
  fish: ['overlapping bright scales', 'a torn tail fin', 'a pale underside', 'small bubbles along its side'],
  plant: ['veined leaves', 'one broken stem', 'drops of water on the leaves', 'curled dry edges'],
  food: ['a chipped enamel plate', 'a bone-handled knife', 'scattered crumbs', 'a folded linen napkin'],
  vehicle: ['dented side panels', 'brass fittings', 'mud along the wheels', 'a folded canvas cover'],
  vessel: ['coiled ropes on the deck', 'flaking paint', 'a patched canvas sail', 'iron rings along the side'],
  building: ['a slate roof', 'crooked wooden shutters', 'lichen on the stones', 'a weathered oak door'],
  place: ['a single bent tree', 'scattered grey boulders', 'a dry stone wall', 'a wooden gate'],
  thing: ['a worn rim', 'a fine crack along one side', 'dull brass fittings', 'traces of old paint'],
  event: ['strings of plain paper flags', 'long tables with white cloths', 'stacked wooden crates', 'baskets of green branches'],
  idea: ['a length of grey cloth', 'a heavy plain cloak', 'a broken plate', 'a bowl of clear water'],
}

/** How a kind is best seen. */
const OBJECTS = ['close view from slightly above', 'three-quarter view at eye level', 'close-up with open space around it', 'centred composition seen straight on']
const BODIES = ['medium shot at eye level', 'low-angle medium shot', 'three-quarter view with the figure left of centre', 'full-length view at eye level']
const WIDE = ['wide shot at eye level', 'low-angle wide shot', 'wide view with a low horizon', 'symmetrical composition seen straight on']
export const FRAMINGS: Readonly<Record<Kind, readonly string[]>> = {
  person: BODIES,
  animal: BODIES,
  bird: ['medium shot at eye level', 'side view with the bird right of centre', 'low-angle medium shot'],
  insect: ['macro shot from the side', 'extreme close-up at eye level'],
  fish: ['side view at eye level', 'low-angle medium shot'],
  plant: ['close view from slightly above', 'medium shot at eye level', 'side view left of centre'],
  food: OBJECTS,
  vehicle: ['three-quarter view from a low angle', 'wide shot at eye level', 'side view with room ahead'],
  vessel: ['wide shot at eye level', 'three-quarter view from a low angle'],
  building: WIDE,
  place: WIDE,
  thing: OBJECTS,
  event: ['wide shot at eye level', 'high-angle wide shot', 'medium shot at eye level'],
  idea: BODIES,
}
