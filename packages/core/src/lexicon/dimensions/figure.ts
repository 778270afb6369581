import { dimension } from '../dimension.ts'

const FIGURE = ['action', 'detail', 'subject'] as const

export const expression = dimension(
  'two faces',
  'figure',
  ['action', 'detail', 'subject', 'mood'],
  {
    glad: 'smile, smiling, grin, laugh, beam at|with _, giggle, chuckle, broad|wide|big|toothy smile|grin, all smile, roar with laughter, burst out laughing, laughter, radiant with joy|happiness, overjoyed, beaming, full of joy, merry',
    dry: 'dry eyed, not tear, stony faced, expressionless, deadpan, poker faced, stone faced, straight faced, blank faced, unsmiling, impassive',
    sad: 'weep, sob, cry, wail, scowl, frown, grimace, in tears, in tear, tear stained, heart broken, grim faced, glower, sulk, scream in fear|terror|rage|pain, tear stream|run|roll down, bawl, flood of tear, burst into tear, bitter|deep sorrow, sorrowful, mournful, grief stricken, grieving, miserable, tearful, corner of mouth drag|turn|pull down, downturned mouth, mouth turn down, in grief|sorrow|despair',
  },
  'glad sad, dry sad, glad dry',
)

export const motion = dimension(
  'moving and still',
  'figure',
  FIGURE,
  {
    still: 'motionless, stock still, stand|sit|lie|hold|keep|hang still, root to spot, still as _, without move|moving, not moving, frozen to spot, immobile, statue still, not move muscle',
    moving: `gallop, at gallop, full gallop|tilt|speed|sprint, sprint, racing, race along|down|across|past|through|over, dash along|down|across|past|through|over, dashing, whirl, leap, charge, charging, run fast|hard|away|through|across|along|down|past|over, at full speed|gallop|sprint|stretch|tilt|pelt, chase, pounce, dance, spur _? horse|mare|pony|stallion|mount, bolt, hurtle, careen, tear along|down|across|past|through, pelt along|down|across, speed along|down|across|past`,
    asleep: 'asleep, fast|sound|half asleep, dozing, dozing _, doze, slumber, nap, sleep in|on|at|by|under|beside|soundly|peacefully, sleeps, sleeping, snore, in deep sleep, deep in sleep, dead to world',
  },
  'still moving, moving asleep',
)

export const posture = dimension(
  'two postures of one figure',
  'figure',
  ['action', 'detail'],
  {
    kneeling: 'kneel, on one knee, on bended knee, on knees, genuflect',
    standing: 'stand, stand tall|upright|up, on tiptoe',
    sitting: 'sit, seated, cross legged, perch on chair|stool|bench|wall, enthroned, squat on stool, astride',
    lying: 'lie down|flat|on, lie, sprawl, recline, stretch out on, flat on back, prostrate, prone, supine, curl up on|in',
    running: 'run, sprint, gallop, dash, race, at full gallop|sprint',
    walking: 'walk, stroll, stride, march, wander, pace, amble, trudge, saunter',
    jumping: 'jump, leap, mid leap|jump|air, bound over, vault',
    swimming: 'swim, dive, float on back',
    hanging: 'hang|dangle upside down, upside down, head down',
    crouching: 'crouch, squat, hunker down, hunch down',
    asleep: 'asleep, fast asleep, sleep, doze, nap, slumber',
    flying: 'fly, in mid? flight, soar, hover, glide',
  },
  // Whoever sleeps does so sitting or lying; a crouching figure may kneel; who runs may leap.
  (a, b) => a !== b && ![['asleep', 'sitting'], ['asleep', 'lying'], ['crouching', 'kneeling'], ['running', 'jumping'], ['hanging', 'asleep'], ['sitting', 'flying'], ['swimming', 'lying']].some((pair) => pair.includes(a) && pair.includes(b)),
)

export const eyes = dimension(
  'open eyes and shut ones',
  'figure',
  FIGURE,
  {
    open: 'wide eye, wide open|blue|green|brown|dark stare|eye, open eye, eye open, eye wide, eye wide open, wide eyed, bulging|staring|unblinking|goggling eye, unblinking, unblinking stare, staring eye, wide stare|gaze, fix|fixed wide? _? stare|gaze|eye on, stare at|into|out|up|down|ahead, wide blue|green|brown|grey stare, bright|piercing|sparkling|glowing|green|blue|brown|amber eye wide|fix|fixed|shine|shining|gleam|gleaming, gaze at|into|out|up|across, peer at|into|out|through|over, wide awake, wide awake eye, stare us|me|him|her|them down',
    shut: 'eye close|closed|shut, eye tight close|closed|shut, eye close|closed|shut tight, close|closed|shut eye, blindfold, blindfolded, asleep, fast|sound asleep, sleep, slumber, doze, with eye closed|shut, eyelid close|closed|lowered|shut',
  },
  'open shut',
)

export const mouth = dimension(
  'an open mouth and a closed one',
  'figure',
  FIGURE,
  {
    open: 'open mouth, open mouthed, mouth open|agape|wide, mouth wide open, shout, scream, yell, sing, roar, yawn, bellow, howl, teeth bare|bared, agape, gape',
    shut: 'lip seal|sealed|shut, lip press|pressed together, lip tight|tightly? close|closed|shut, mouth tight|firmly? shut|close|closed, tight lipped, gagged, with closed mouth',
  },
  'open shut',
)

export const beard = dimension(
  'a beard and none',
  'figure',
  FIGURE,
  {
    shaven: 'clean shaven, beardless, smooth cheeked|chinned, freshly? shaved, clean shaved, without beard',
    bearded: 'bearded, long|white|grey|full|bushy|cropped|red|black|braided|wild|thick|short|tangled|flowing|forked|big|trim|pointed _? beard|moustache|whisker, beard, stubble, stubbly, unshaven, stroke|tug|comb beard, goatee',
  },
  'shaven bearded',
)

export const baldness = dimension(
  'hair and none',
  'figure',
  FIGURE,
  {
    bald: 'bald, bald head|headed|man|woman|pate, shaven|shaved head|headed, hairless, without hair on head',
    haired: 'long|curly|flowing|thick|wavy|straight|tangled|wild|braided|golden|silver|red|dark|grey|white|black|brown|blonde|blond|unruly _? {hair}, ponytail, mop of hair, comb|brush|braid|plait|toss|tie|wash _? {hair}, hair in bun, pigtail, dreadlock',
  },
  'bald haired',
)

export const hairColour = dimension(
  'two colours of hair',
  'figure',
  FIGURE,
  {
    fair: 'blonde|blond|golden|flaxen|fair|platinum|straw|honey _? {hair}, fair|golden haired, blonde, flaxen haired',
    dark: 'black|raven|dark|brown|chestnut|ebony _? {hair}, jet black {hair}, black|dark|raven|brown haired, brunette',
    red: 'red|ginger|auburn|copper|fiery _? {hair}, red haired, red head, redhead, ginger haired',
    grey: 'grey|white|silver _? {hair}, snow white {hair}, grey|white|silver haired',
  },
  (a, b) => a !== b,
)

export const hairLength = dimension(
  'two lengths of hair',
  'figure',
  FIGURE,
  {
    long: 'long|flowing _? {hair}, waist|knee length _? {hair}, {hair} fall|flow|reach|hang|tumble _? to waist|knee|hip|ankle, {hair} down to waist|knee|hip, long haired',
    short: 'short|cropped|shorn|bobbed _? {hair}, close cropped _? {hair}, short haired, crew cut, buzz cut, pixie cut, shaved|shorn head',
  },
  'long short',
)

/** What is worn on the head, feet and hands, or not. */
export const feet = dimension(
  'bare feet and shod ones',
  'figure',
  FIGURE,
  {
    bare: 'bare foot, barefooted, bare footed, bare foot on, shoeless, unshod, with bare foot, in bare foot, no shoe',
    shod: '{worn} _? _? boot|shoe|sandal|slipper|clog|wellington|trainer|sneaker|moccasin|stocking|sock, boot on foot, shoe on foot, booted, in _? _? boot|shoe|sandal|slipper|clog, boot lace up, lace|tie|buckle|pull boot|shoe, heavy|muddy|leather|rubber|hobnailed|polished|red|black|brown boot|shoe',
  },
  'bare shod',
)
export const head = dimension(
  'a bare head and a covered one',
  'figure',
  FIGURE,
  {
    bare: 'bare headed, hatless, bare head, without hat, no hat',
    covered: '{worn} _? _? hat|cap|helmet|bonnet|hood|turban|crown|beret|fez|kepi|bowler|headscarf, hat pull|pulled down|low, in _? _? hat|cap|helmet|bonnet|hood|turban|crown, helmeted, hooded, turbaned, crowned',
  },
  'bare covered',
)
export const dress = dimension(
  'dressed and undressed',
  'figure',
  FIGURE,
  {
    naked: 'naked, nude, stark naked, unclothed, undressed',
    dressed: '{worn} _? _? coat|suit|dress|gown|uniform|robe|jacket|trousers|shirt|cloak|tunic|armour|overcoat|raincoat|apron|kimono|sari, in _? _? coat|suit|dress|gown|uniform|robe|jacket|cloak|tunic|armour|raincoat|overcoat, three piece suit, fully clothed, uniformed, robed',
  },
  'naked dressed',
)
export const hands = dimension(
  'bare hands and gloved ones',
  'figure',
  FIGURE,
  { bare: 'bare handed, bare hand, ungloved', gloved: '{worn} _? glove|mitten|gauntlet, gloved, gloved hand, in _? glove|mitten|gauntlet' },
  'bare gloved',
)
export const arms = dimension(
  'weapons and none',
  'figure',
  FIGURE,
  { none: 'unarmed, weaponless, without weapon', armed: 'armed with, {worn} _? sword|spear|rifle|pistol|dagger|bow|axe|musket|gun, draw|brandish|raise|aim|wield _? _? sword|spear|rifle|pistol|dagger|bow|axe|musket|gun, sword in hand, heavily? armed' },
  'none armed',
)
export const company = dimension(
  'alone and in company',
  'picture',
  ['subject', 'action', 'detail', 'setting', 'framing', 'moment', 'light', 'mood'],
  {
    empty: `deserted, unpeopled, uninhabited, people free, without soul, not soul, not soul in sight, not single? soul|person, no one|nobody in sight|about|around, devoid|empty of people|visitor, abandoned and empty, nobody left|there|else, without _? people|visitor|person|passer, empty {public}, empty _ {public}, {public} empty, nobody aboard|inside|on board, all alone in _`,
    crowd: `crowd, crowd of _, throng, thronged, pack with people|tourist|guest|visitor|shopper|passenger|spectator|family, heave|teem|swarm|cram|bustle with people|family|shopper|visitor, horde, full of _? people|family|child|couple|shopper|traveller|tourist|visitor|guest|dancer|diner|drinker|passenger|pupil|player|fan, packed {public}, standing room only, queue of _, wedding party|guest|reception, village|town wedding, whole|entire school|village|town|class|regiment|congregation|company line|lined|gather|gathered|turn|assemble|assembled, whole|entire school|village|town out|there|present, in front of everybody|everyone, all people of _, everybody|everyone in village|town|hall|room, terrace|stand|stadium|gallery rise|roar|cheer, passenger|commuter|spectator|people|child|dancer jam|jammed|squeezed|crammed|packed|pressed up?, great crush, crush of <person>, great crush of _, procession, congregation, jam with|up people|passenger|traffic, mob, multitude // crowded, bustling, jostle, rush hour`,
  },
  'empty crowd',
  'crowd empty',
)
