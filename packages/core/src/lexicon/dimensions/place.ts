import { ANYWHERE, dimension } from '../dimension.ts'

export const room = dimension(
  'indoors and outdoors',
  'picture',
  ['setting', 'framing', 'medium'],
  {
    indoors: 'indoors, indoor, set|shot? indoors, inside house|room|museum|cathedral|factory|kitchen|library|shop|school|hospital|warehouse|cellar|basement|church|theatre|barn|cave, in windowless|sealed|closed room|cell|vault|cellar, interior, interior shot|view|photograph|scene, inside windowless room, studio backdrop',
    outdoors: 'outdoors, outdoor, set|shot? outdoors, out in field|open|wood|wild|street, in middle of field|ocean|desert|forest|sea|meadow|prairie, on mountain top|hilltop|sea|road|moor, on open|high sea|road, under open? sky, open sky, in open air, open air, out of doors, outside in _',
  },
  'indoors outdoors',
)

export const water = dimension(
  'two states of the water',
  'picture',
  ANYWHERE,
  {
    frozen: 'frozen over? solid? {waters}, {waters} frozen|iced over|solid, {waters} frozen, ice bound {waters}, thick|solid ice on {waters}, {waters} lock|locked in ice, iced over {waters}',
    rough: 'rough|stormy|raging|choppy|heaving|wild|mountainous|churning|boiling|angry|foaming sea|water|ocean|wave|surf|swell, huge|towering|crashing|giant|breaking|mountainous wave, white cap, breaker, breaker crash|burst|pound|break|roll, wave|surf|sea crash|pound|smash|slap|break|burst, swell run high, heavy sea, storm tossed, storm swell, pitch and roll',
    dry: 'bone dry riverbed|lakebed|well|canal|pond|fountain|pool|river, dry up|out, dried up|out, dry|parched|empty|cracked _? riverbed|lakebed|well|fountain|canal|pond|pool|trough|river bed, waterless, dry|cracked|parched bed, dry|cracked|parched bed of _, dry|cracked river|lake|stream|canal bed, in dry dock, dry dock, drained _? {waters}|pool|dock',
    flowing: 'under _ metre|foot|fathom of water, submerge, submerged, under water, full of water, splashing, gushing, spraying, bubbling, spouting, rush|flow|cascade|tumble|pour freely|down|over|through|past, in full flow|flood|spate, in flood|spate, ripple water|surface|wave, rushing _? water|rapid|river|stream|torrent, rapids, torrent, overflow, gush _, brim with water, wave|water lap|slap|wash|break against|at|on|over|round|around _, wave|water slap, afloat, boat|ship|barge|raft|canoe float|sail|glide|row|drift|rock, float across|down|along|past, in full flood, brimful',
    calm: 'calm|glassy|still|flat|placid|tranquil|motionless|unruffled|windless|quiet sea|water|ocean|lake|surface|pond|harbour|bay|river, mirror like water|lake|sea|surface, mirror calm, not ripple, without ripple, smooth as glass, glass calm, mirror smooth, like mill pond, flat|dead calm, flat calm sea|water, slack water, {waters} like mirror|glass',
  },
  'rough calm, dry flowing, frozen flowing, frozen rough',
  'flowing rough',
)

export const tide = dimension(
  'two tides',
  'picture',
  ANYWHERE,
  {
    out: 'low tide|water, tide out, tide far|right|way out, at ebb, ebb tide, bare|exposed mud|flat|seabed, tide ebb|go out|gone out|retreat|recede, dry|bare sea bed // mud flat, boat aground, aground on mud, strand at low water, strand on mud',
    in: 'high tide|water, tide in|up|full|high, at full flood, full flood, flood|spring tide, tide come in, full tide, at flood, brim with tide, tide lap|brim|fill, over sea wall, incoming tide, rising tide, swell|sea|wave|water|breaker slop|wash|break|lap|spill|burst|pour over|across|against|up _? _? _? wall|parapet|quay|rampart',
  },
  'out in',
)
