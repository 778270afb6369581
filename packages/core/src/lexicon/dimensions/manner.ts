import { ANYWHERE, dimension } from '../dimension.ts'

export const background = dimension(
  'two backgrounds',
  'picture',
  ['setting', 'framing', 'detail', 'colour', 'light', 'medium', 'technique'],
  {
    plain: 'plain|white|blank|seamless|empty|black|grey|solid|neutral|featureless _? background|backdrop|ground, isolated on white|black|plain, no background, cut out on white, on plain white, background left blank|white|empty',
    full: 'busy|detailed|cluttered|crowded|elaborate|intricate|packed|teeming background|backdrop, background full of _, background crowded|cluttered|packed|teem with _',
  },
  'plain full',
)

export const exposure = dimension(
  'two exposures',
  'picture',
  ['technique', 'light', 'medium'],
  { over: 'over exposed, over exposure, blown out highlight, blown highlight, washed out by light, bleached by light', under: 'under exposed, under exposure, crushed black, deliberately dark' },
  'over under',
)

export const grain = dimension(
  'grain and none',
  'picture',
  ['technique', 'medium', 'detail'],
  { none: 'grain free, grainless, no grain, without grain, noise free, clean digital, perfectly clean image', much: 'grainy, heavy|coarse|strong|visible|thick|pronounced _? grain, film grain, pushed film, high iso noise' },
  'none much',
)

export const outline = dimension(
  'outlines and none',
  'picture',
  ['technique', 'medium', 'detail', 'framing'],
  { none: 'no outline, without outline, lineless, outline free, no line work', drawn: 'bold|thick|black|heavy|crisp|dark|strong|inked _? outline, bold black outline, outlined in black|ink, contour line' },
  'none drawn',
)

export const paintSurface = dimension(
  'two ways to lay on paint',
  'picture',
  ['technique', 'medium', 'detail'],
  { smooth: 'smooth|flat|thin|invisible|seamless _? brushwork|brush|paint|surface|glaze, no visible brushstroke, no brush mark, smoothly blended, airbrush', thick: 'thick|heavy|loose|visible|bold|rough _? impasto|brushwork|brushstroke|paint, impasto, palette knife, paint laid on thick' },
  'smooth thick',
)

export const spirit = dimension(
  'two moods',
  'picture',
  ['mood'],
  {
    joy: 'joyful, joyous, jubilant, merry, cheerful, festive, gleeful, happy, exuberant, jolly',
    grief: 'mournful, sorrowful, grieving, tragic, desolate, despairing, funereal, heartbroken, sad',
    calm: 'serene, tranquil, peaceful, calm, placid, restful, still, quiet',
    frenzy: 'frantic, frenzied, chaotic, hectic, wild, turbulent, panicked, violent, explosive',
    cosy: 'cosy, homely, snug, inviting, welcoming, warm and safe',
    menace: 'menacing, threatening, sinister, terrifying, nightmarish, horrifying',
  },
  'joy grief, calm frenzy, cosy menace',
)

/** Where in the world: each is somewhere else. */
export const element = dimension(
  'two places at once',
  'picture',
  ANYWHERE,
  {
    underwater: 'under water, underwater, on sea bed, on ocean floor, deep under sea, below surface of sea|lake|water, on lake bed, fathom down, under sea',
    underground: 'under ground, deep in mine|cave|cavern, in cellar|crypt|catacomb|mine shaft, in coal mine',
    space: 'in outer? space, in orbit, on moon, on mars, zero gravity, weightless in cabin, on spacewalk, on surface of moon|planet',
    summit: 'on mountain top, on summit, on peak, at summit, on high ridge, above cloud line',
    air: 'in mid air, high in air, above cloud, in flight over, aloft',
  },
  'underwater summit, underwater space, underwater air, underground summit, underground air, underground space, space summit',
)

export const foreground = dimension(
  'near and far at once',
  'figure',
  ['framing', 'setting', 'detail', 'action'],
  { near: 'in foreground, in near foreground, close to lens|camera|us|viewer, right before us, at arm length', far: 'in far? distance, far off, far away, on horizon, in background, in far background, at far end' },
  'near far',
)

export const heading = dimension(
  'two ways to go',
  'figure',
  ['action', 'framing'],
  {
    toUs: 'walk|run|come|stride|ride|march|step|gallop|sail|drive toward|towards us|camera|viewer|lens, come at us, approach us|camera|viewer',
    away: 'walk|run|stride|ride|march|step|gallop|sail|drive away|off, walk|run|stride|ride away|off from us|camera|viewer|lens, retreat, recede into distance',
    up: 'climb up, ascend, go|walk|run upstairs|uphill, mount stair',
    down: 'climb down, descend, go|walk|run downstairs|downhill, come down stair',
  },
  'toUs away, up down',
)

export const handsHold = dimension(
  'two things for the hands to do',
  'figure',
  ['action', 'detail', 'subject'],
  {
    free: 'empty handed, empty hand, hand empty, with empty hand, hand in pocket, both hand in pocket, hand behind back, hand clasp behind, arm fold|folded|cross|crossed, hand on hip, hand tie|tied|bind|bound',
    busy: 'hold _? _ aloft|up, carry _? _ in both|arm|hand, wave both|arm|hand, wave to|at, clap, play violin|guitar|piano|flute|cello|harp|drum, hold out both|hand, in both hand, arm full of, juggle, knead, row boat, raise both arm|hand, arm outstretched|raised|wide',
  },
  'free busy',
)

export const mask = dimension(
  'a face that shows and one that does not',
  'figure',
  ['action', 'detail', 'subject', 'framing'],
  { hidden: 'face hide|hidden|cover|covered|mask|masked|veil|veiled|unseen, masked, veiled, face in shadow, faceless, behind mask|veil, balaclava, face turned? away', shown: 'every line|wrinkle of|on face, freckle on nose|cheek, face uncovered, bare face, face bare, rosy cheek, face clearly visible, beaming face, smiling face' },
  'hidden shown',
)
