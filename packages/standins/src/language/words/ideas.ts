/** Who, doing what: the subject says with what number its verb stands; every line fits every place. */
export const ACTORS: readonly (readonly [who: string, does: string])[] = [
  ['a ferryman', 'asleep against his oar'],
  ['a lamplighter', 'climbing a short ladder'],
  ['two sisters', 'carrying a heavy basket between them'],
  ['a clockmaker', 'listening to an opened clock'],
  ['a shepherd girl', 'whistling through two fingers'],
  ['a red fox', 'drinking from a puddle'],
  ['an old postman', 'emptying gravel from his boot'],
  ['a grey heron', 'stalking past on thin legs'],
  ['a baker', 'airing three trays of loaves'],
  ['a stray dog', 'waiting beside a closed door'],
  ['a schoolboy', 'balancing a jar on his head'],
  ['a basket weaver', 'soaking willow rods'],
  ['a brass band', 'tuning up in a loose circle'],
  ['a white goat', 'standing on an upturned barrow'],
  ['a cartographer', 'pinning down a map with stones'],
  ['three choirboys', 'sharing one umbrella'],
  ['a kite maker', 'untangling a long tail of ribbon'],
  ['a barn owl', 'gliding low without a sound'],
  ['a travelling tinker', 'mending a copper kettle'],
  ['a bride', 'lifting her hem to run'],
  ['a retired wrestler', 'feeding a kitten'],
  ['a violin mender', 'sanding a thin spruce plate'],
  ['a hare', 'sitting bolt upright'],
  ['a night watchman', 'warming his hands at a brazier'],
  ['a diver', 'wringing out a long wet cloth'],
  ['an orchard keeper', 'counting pears into a crate'],
  ['a puppeteer', 'packing a box of wooden heads'],
  ['a carthorse', 'shaking water from its mane'],
  ['a chimney sweep', 'eating bread with black hands'],
  ['a seamstress', 'holding a thread up to the light'],
  ['a flock of geese', 'crossing in single file'],
  ['a signalman', 'waving a folded flag'],
  ['twin toddlers', 'pulling at one wooden horse'],
  ['a beekeeper', 'lifting a frame with bare hands'],
  ['an astronomer', 'polishing a long brass tube'],
  ['a street sweeper', 'dancing with his broom'],
  ['a black cat', 'squeezing under a gate'],
  ['a stonemason', 'sleeping with a hat over his eyes'],
  ['a milkmaid', 'pouring milk for a row of cats'],
  ['an acrobat', 'walking on her hands'],
]
/** Creatures and things of other kinds, for ideas that are unlike the rest. */
export const PLACES: readonly string[] = ['on a wooden footbridge', 'in a walled orchard', 'at a deserted crossroads', 'on the steps of a small chapel', 'in a courtyard hung with washing', 'beside a mill pond', 'on a ferry landing', 'under a railway arch', 'in a market hall after closing', 'on a flat roof among chimneys', 'at the edge of a quarry', 'in a beech wood', 'on a shingle beach', 'in a narrow stairway street', 'before a shuttered inn', 'in a hay barn', 'on a mountain path', 'at the end of a pier', 'in a greenhouse full of ferns', 'beside a frozen canal', 'in a bell tower', 'on a sand bank', 'at a well in a dusty square', 'in a reading room', 'under a great walnut tree', 'in an empty theatre', 'on a terraced vineyard slope', 'at a level crossing', 'in a potter’s yard', 'on a moor with standing stones']
export const TIMES: readonly string[] = ['at first light', 'in a spring shower', 'on a windless noon', 'at dusk', 'on a foggy morning', 'under a full moon', 'in the last light of autumn', 'on a bright cold morning', 'during a summer storm', 'in falling snow', 'at midnight', 'on a hazy afternoon', 'just after rain', 'in early spring', 'on a hot still evening', 'in the blue hour before sunrise']
/** How a theme that is a thing, a place or a creature comes into each idea. */
export const WITH_THING: readonly string[] = ['beside {a}', 'with {a} close behind', 'in front of {a}', 'near {a}', 'looking towards {a}', 'in the shadow of {a}', 'on the way to {a}', 'turned away from {a}', 'at the foot of {a}']
export const QUALITIES: Readonly<Record<'person' | 'creature' | 'other', readonly string[]>> = {
  person: ['young', 'stooped', 'barefoot', 'tall', 'weary', 'cheerful', 'left-handed', 'grey-haired', 'sunburnt', 'absent-minded', 'short-sighted', 'rain-soaked', 'proud', 'shy', 'freckled', 'round-faced'],
  creature: ['young', 'shaggy', 'one-eyed', 'curious', 'pale', 'dusty', 'sleepy', 'long-legged', 'speckled', 'thin', 'bold', 'lame', 'wet', 'nervous', 'scarred', 'well-fed'],
  other: ['old', 'small', 'weathered', 'forgotten', 'half-hidden', 'freshly painted', 'lopsided', 'moss-grown', 'distant', 'borrowed', 'enormous', 'plain', 'patched', 'narrow', 'silent', 'crooked'],
}
/** What somebody or something of any kind may do, for a theme that names who. */
export const DOINGS: Readonly<Record<'person' | 'creature' | 'other', readonly string[]>> = {
  person: ['mending a torn map', 'asleep over an open book', 'carrying a ladder', 'laughing in the rain', 'peeling an orange', 'writing on a steamed window', 'sharing bread with a dog', 'tying a boot', 'listening at a door', 'washing a brass bell', 'planting a row of bulbs', 'chasing a blown hat', 'lighting a small stove', 'counting coins into a jar', 'waving from far off', 'balancing on a wall'],
  creature: ['stealing a crust of bread', 'asleep in a pool of light', 'leaping across a gap', 'watching from behind a curtain', 'drinking from a bucket', 'following a child', 'shaking off water', 'hiding among flower pots', 'calling into the distance', 'sheltering from rain', 'playing with a fallen leaf', 'walking along a narrow wall', 'looking at its own reflection', 'crossing a road', 'digging in loose earth', 'waiting at a gate'],
  other: ['half covered by a cloth', 'seen through a wet window', 'lit by a single lamp', 'overgrown with ivy', 'reflected in still water', 'surrounded by children', 'being carried by two men', 'standing among tall weeds', 'dusted with snow', 'tied up with string', 'casting a long shadow', 'crowned with a bird’s nest', 'drawn on a blackboard', 'at the end of a long table', 'floating on a slow river', 'wrapped for a journey'],
}
