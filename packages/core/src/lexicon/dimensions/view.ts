import { dimension } from '../dimension.ts'

/** From very near to very far; two steps apart cannot be one picture. */
const NEARNESS: Readonly<Record<string, number>> = { detail: 0, close: 1, mediumClose: 1.5, medium: 2, full: 3, wide: 4, farthest: 5 }
export const shot = dimension(
  'two distances',
  'picture',
  ['framing', 'medium', 'technique'],
  {
    detail: 'extreme|very|super close up, extreme close up shot|view, macro, macro shot|close|photograph|photo|view|photography, extreme macro, detail shot, magnified view, under magnifying glass',
    close: `close up, tight|intimate close up, close up shot|view|portrait|photograph|of, tight? head shot, tight crop|shot|portrait|framing|close, cropped? tight|close|in _? at|to|on|around|in shoulder|neck|chin|face|eye|head, tight on _? face|eye|hand|head, close on _? face|eye|hand, zoomed in, every pore visible|shown, face to face with lens
      // _? face|head|mouth|hand|eye|eyelash|lip|snout|beak|petal|muzzle fill _? frame|picture|screen|image, fill frame|picture edge to edge, so near|close _ fill frame|picture|view`,
    mediumClose: 'medium close up, bust shot|length|portrait, head and shoulder, head and shoulder view|shot|portrait, chest up, shoulder up, from chest up',
    medium: 'medium|mid shot, waist up, from waist up, half length|body, half length|body portrait|shot, three quarter length, knee up, from knee up, waist high shot, american shot',
    full: 'full body|length|figure, full body|length|figure shot|view|portrait, full shot, whole|entire figure|body|person|outfit, head to toe|foot|heel, from head to toe|foot // boot|foot|shoe|sandal|leg|knee visible|show|shown|in view|frame',
    wide: `wide|long|establishing shot, very wide|long shot, wide establishing shot, wide|landscape|general|distant view, see far|mile away|off, from afar, from great|long|far distance|way, zoomed out, far off view, seen from across _ _?
      // tiny|small|lost|speck|dot in frame|distance|landscape, speck, mere speck, dwarf by, whole|entire scene|room|building|hall|square|field|ship|tree|mountain visible|in view|frame, tiny|small|minute|minuscule|lone figure|man|woman|pilgrim|climber|rider|boat|ship in|against|at|under|below|on _? vast|huge|immense|endless|great|wide _, tiny|minute|minuscule figure|person|climber|man|woman|rider|train|boat|skater|hiker|pilgrim|walker|traveller, whole|entire _? _? <structure>|<district>|<country>|front|county|firth|cliff, cutaway|section|elevation of _? _? <ship>|<building>|liner|tower|castle|mine, no bigger|larger than _, small as ant|grain|speck|dot, high|low aerial, tiny|minuscule against _`,
    farthest: `extreme|ultra wide|long shot|view, panorama, panoramic, panoramic view|shot|vista, vast|sweeping|wide panorama|vista, aerial|satellite|drone view|shot|photograph|photo|panorama|picture, bird's eye panorama, from space|orbit|stratosphere, see from space|orbit|plane|aeroplane|air, horizon to horizon, rim to rim, view of entire|whole|all _
      // entire|whole valley|city|town|village|coast|coastline|landscape|range|island|street|bay|region|country|mountain|planet|fleet|battlefield|harbour _? visible|view|frame|below|spread|show|shown|stretch|lay|shot|picture`,
  },
  (a, b) => Math.abs(NEARNESS[a]! - NEARNESS[b]!) >= 2,
)

export const angle = dimension(
  'two viewpoints',
  'picture',
  ['framing', 'action', 'technique'],
  {
    high: `high angle, high angle shot|view, overhead, overhead shot|view, directly overhead, from|seen|view|shot from? directly|far|high|straight above, from above, bird's eye, bird eye, bird's eye view, bird eye view, top down, top down view|shot, top view, flat lay, aerial view|shot, straight down, look straight|steeply down, look down on|from|at|over|into, from rooftop|ceiling|rafter|sky|tower|treetop|balcony|drone|helicopter|plane|aeroplane|balloon|air|hilltop|steeple, from high up, ceiling|plan|map view, god's eye view, drone shot|view|photograph, high viewpoint|vantage|view|camera, camera high|above|overhead, from church tower`,
    low: `low angle, low angle shot|view, from directly|far? below, from below|underneath, worm's eye, worm eye, worm's eye view, camera _? look up, look up from ground|floor|below, look steeply|straight up, camera low, low camera|viewpoint|vantage, at|from ankle|knee|floor|ground|paw|pavement|cobble|shoe|kerb|mouse|grass height|level, ankle|knee|floor|ground|paw|pavement|grass level|height, from floor|ground|gutter, lens|camera on floor|ground|pavement, mouse's view, ant's eye view, frog's eye view, frog's|mouse's|ant's|worm's perspective, tower|loom above|over us|viewer|camera, see from ground|floor|below, ground level view|shot`,
    level: 'eye level, at eye level, eye level shot|view, straight on, straight on view|shot, head on, head on view|shot, level view|camera',
  },
  'high low, high level, low level',
)

export const layout = dimension(
  'two layouts',
  'picture',
  ['framing'],
  {
    centred: 'centred, dead|exact centre, centred composition, symmetrical, symmetric, symmetrical composition|framing|layout|elevation, perfect symmetry, subject|figure in centre, in very|dead|exact centre, in middle of frame|picture',
    offside: 'off centre, rule of third, left|right of centre, far? off|set|placed? on|at|to far? left|right, on|at|to far? left|right edge|third|side, off balance, asymmetric, asymmetrical, asymmetrical composition|layout, in left|right third, subject|figure|person left|right',
    sparse: 'minimal|minimalist|sparse|spare|uncluttered composition|framing|layout, uncluttered, lot|plenty|deal of empty|negative space, vast negative|empty space, nothing else in frame|picture, single object in frame|picture, mostly empty, empty background',
    dense: 'clutter|cram|crowd|pile|overflow with _? _? object|thing|detail|ornament|book|clutter|trinket|toy|figure|jar|plant, crowded|cluttered|busy|dense|crammed|packed|teeming composition|layout, horror vacui, densely pack, every inch fill|cover, no empty space, full to edge, fill every corner|inch',
  },
  'centred offside, sparse dense',
  'offside dense',
)

export const format = dimension(
  'two formats',
  'picture',
  ['framing', 'medium'],
  {
    upright: 'portrait orientation|format|mode, vertical|upright format|composition|frame|poster|picture|canvas, tall narrow? format|picture|frame, upright composition|format',
    wide: 'landscape orientation|format|mode, horizontal format|composition|frame|canvas, wide panoramic? format, panoramic format|strip, wide screen, letter boxed, wide strip',
    square: 'square format|composition|crop|frame|picture|canvas, on square canvas',
  },
  'upright wide, upright square, wide square',
)

export const tilt = dimension(
  'a level frame and a tilted one',
  'picture',
  ['framing', 'technique'],
  {
    tilted: 'dutch|canted angle|tilt, canted|tilted|slanted|crooked|skewed|tipped frame|camera|horizon|angle|view|framing, horizon tilt|slant|crooked, camera tilt',
    level: 'level|straight|horizontal horizon|frame|camera|framing, horizon level|straight, camera level, dead level',
  },
  'tilted level',
)

export const lens = dimension(
  'two lenses',
  'picture',
  ['technique', 'framing', 'medium'],
  {
    wide: 'wide angle, ultra|super|extreme wide angle, wide angle lens|view|shot|photograph, wide lens, fish eye, fish eye lens|view, #10..28 mm, #10..28 mm lens',
    long: 'tele photo, super|long telephoto, telephoto lens|view|shot|compression|photo|photograph, long lens, #135..800 mm, #135..800 mm lens, tele lens',
    macro: 'macro lens, extreme macro',
  },
  'wide long',
  'wide long macro',
)

export const focus = dimension(
  'two depths of focus',
  'picture',
  ['technique', 'framing', 'setting', 'light', 'detail'],
  {
    soft: 'soft focus, soft focus throughout|everywhere|lens, everything soft|blur|hazy|blurred, everything out of focus, dreamy|hazy|soft blur, blur all over|throughout|everywhere, blurred|blurry all over, gauzy focus',
    tack: 'every _? _? tack|razor|pin|needle|crystal? sharp, tack|razor|pin|crystal|needle sharp, tack|razor|pin|crystal|needle sharp focus|detail|everywhere, crisp focus throughout',
    deep: `everything _? _? in focus, everything _? _? sharp|crisp, everything _? _? in sharp focus, everything from _ to _ _? sharp|crisp|focus, all plane|layer sharp|crisp, all plane|layer in focus, no blur anywhere, sharp|crisp foreground|near and|to background|far, sharp focus? from front|foreground|near to back|background|horizon|far, sharp throughout|everywhere, sharp all over, deep focus, deep|great|large|infinite|maximum depth of field, great|infinite|maximum focus, front to back sharpness|focus, in focus from _ to _, f/ #11..64, hyperfocal, hyperfocal focus, sharp from _ to _`,
    shallow: `shallow|thin|narrow|paper depth of field, razor thin depth of field|focus, shallow|thin|narrow focus, bokeh, creamy|soft|smooth|heavy bokeh, blurred|blurry background|backdrop|foreground, background|backdrop blur|blurred|blurry|soft, background|backdrop melt|dissolve|fade|fall into|away|out _?, background|backdrop throw|fall|go out of focus, background|backdrop out of focus, out of focus background|backdrop, selective focus, f/ #0..2, only _? _ sharp, only _? _ in focus, rest|everything else blur|blurred|dissolve|melt|lost, rest|everything else out of focus, dissolve|melt|fade|throw into _? _? blur`,
  },
  'deep shallow, soft deep, soft tack',
)

export const shutter = dimension(
  'two ways to catch movement',
  'picture',
  ['technique', 'action', 'light', 'detail'],
  {
    long: 'long exposure, very long exposure, slow shutter, slow shutter speed, bulb exposure, #1..600 second|s|sec|minute|min|hour exposure, _ second|minute|hour exposure, smooth to milk|silk|glass|mist, motion blur, motion blurred, intentional camera movement, time exposure // motion|light|star|tail trail, silky water, smooth silky water, streak of light|movement, blur by|with|in movement|motion, smear by movement, light streak',
    short: 'freeze motion|frame|action, frozen motion|action|movement, motion freeze|frozen, fast shutter, fast shutter speed, high speed flash|photograph|photography|capture|shutter, 1/ #800..10000, stop action, split second // droplet|drop|splash of _ _? nail|freeze|frozen|hang|catch|pin, each|every _? _? drop|droplet|splash|grain|spark|bead nail|freeze|frozen|sharp|crisp|hang|pin, every _? _? drop|droplet|splash|grain frozen, frozen _? sharp, catch|caught|hang|suspend|frozen|freeze in mid air|leap|step|flight, frozen mid _, freeze mid _',
  },
  'long short',
)

export const facing = dimension(
  'two sides of it',
  'figure',
  ['framing', 'action'],
  {
    front: 'face us|camera|viewer|lens, front|frontal view, see|view|shot from front, head on view|shot|portrait, face on, full face, from front',
    rear: 'rear|back view, from behind|rear, see|view|shot from behind|back|rear, from back, over shoulder from behind',
    side: 'side view, side on, in? strict|side|pure|exact|full profile, profile view|shot|portrait, in profile, see|view|shot from side, from side',
  },
  'front rear, front side, rear side',
)

export const gaze = dimension(
  'two directions of looking',
  'figure',
  ['action', 'framing', 'subject', 'detail'],
  {
    viewer: `look|stare|gaze|glare|glance|peer|smile|grin straight|directly|right|intently|boldly|out? at|into|to|toward|towards camera|lens|viewer|us, look|stare out at us, face camera|viewer|us, direct gaze|stare|eye, eye contact, meet our gaze|eye, gaze|eye fix|fixed|lock on viewer|us|camera|lens, lock eye with us|viewer|camera, look us in eye|face, watch us, full face to us|camera, look at us, straight into camera|lens`,
    away: `profile portrait|view, in strict|full|side? profile, face turn|turned away|aside, look|stare|gaze|glance away|down|aside|off, look|stare|gaze at floor|ground|foot|hand|horizon|sea|sky|window, gaze|eye lower|lowered|avert|averted|downcast|down|close|closed|shut, gaze|eye turn|cast away|down, lowered|averted|downcast gaze|eye, back to|toward|towards us|camera|viewer, back turn|turned, turn|turned away, see|view|shot from behind, asleep, sleep, look|gaze|stare out of|to|over _, look|gaze into distance, look over shoulder, face hide|hidden|bury|buried|avert|averted, face in _? hand, head turn|turned away, blindfold, back of head, eye cover|covered|bandage|bandaged`,
  },
  'viewer away',
)
