import type { Side } from './said-nouns.ts'

/** Ways of making a picture; a name, the words that say it, and what it is a kind of. */
const MEDIA: readonly (readonly [name: string, words: string, of?: string])[] = [
  ['photograph', 'photos?|photograph\\w*|photography|snapshot|polaroid|daguerreotype|tintype|cyanotype|photo[ -]?realis\\w*|film[ -]still'],
  ['painting', 'painting|painted|painterly|fresco|mural'],
  ['oil', 'oils?|impasto', 'painting'],
  ['acrylic', 'acrylics?', 'painting'],
  ['watercolour', 'watercolou?rs?|water[ -]colou?rs?|aquarelle', 'painting'],
  ['gouache', 'gouache', 'painting'],
  ['tempera', 'tempera', 'painting'],
  ['matte', 'matte[ -]painting', 'painting'],
  ['digital', 'digital[ -](?:art\\w*|painting|illustration)|concept[ -]art'],
  ['drawing', 'drawings?|drawn|sketch\\w*|doodle|line[ -]art'],
  ['pencil', 'pencils?|graphite|crayons?', 'drawing'],
  ['charcoal', 'charcoal', 'drawing'],
  ['pastel', 'pastel[ -](?:drawing|painting)|soft[ -]pastels?|oil[ -]pastels?|pastels', 'drawing'],
  ['ink', 'ink|pen', 'drawing'],
  ['print', 'prints?|printed|printmaking'],
  ['linocut', 'lino\\w*|lino[ -](?:cut|print)', 'print'],
  ['woodcut', 'woodcuts?|wood[ -](?:cut|engraving)s?|woodblock|block[ -]print\\w*', 'print'],
  ['etching', 'etchings?|engravings?|drypoint|aquatint|mezzotint', 'print'],
  ['screen', 'screen[ -]?print\\w*|silk[ -]?screen\\w*|serigraph\\w*', 'print'],
  ['risograph', 'risograph|riso', 'print'],
  ['lithograph', 'lithograph\\w*', 'print'],
  ['render', '3[ -]?d|cgi|rendering|voxel'],
  ['pixel', 'pixel[ -]art'],
  ['vector', 'vector\\w*|flat[ -](?:design|illustration)'],
  ['isometric', 'isometric'],
  ['collage', 'collage|montage'],
  ['textile', 'embroider\\w*|tapestry|needlepoint'],
  ['glass', 'stained[ -]glass|mosaic'],
  ['sculpture', 'sculpture|statue|bust|figurine'],
  ['animation', 'claymation|stop[ -]motion|anime|cel[ -]animation'],
  ['format', 'posters?|logos?|icons?|stickers?|labels?|maps?|infographics?|diagrams?|blueprints?|(?:seamless|repeating) pattern|colou?ring (?:page|book)|storyboard'],
  ['illustration', 'illustrat\\w*|picture[ -]book|storybook|comic|cartoon'],
]
const KINDS = MEDIA.map(([name, words, of]) => ({ name, of, pattern: new RegExp(`(?<![\\p{L}-])(?:${words})(?![\\p{L}])`, 'iu') }))
/** What says how a picture is used more than how it is made, and so goes with every way of drawing, printing or painting it. */
const MADE_ANYHOW = new Set(['illustration', 'format'])
const NOT_BY_HAND = new Set(['photograph', 'render', 'sculpture', 'textile', 'glass'])

type Kind = Pick<(typeof KINDS)[number], 'name' | 'of'>

function mediaOf({ phrases }: Side): Kind[] {
  const said = phrases.filter(({ facet }) => facet === 'medium' || facet === 'technique').map(({ text }) => text).join('; ')
  const found = KINDS.filter(({ pattern }) => pattern.test(said))
  return found.filter(({ name }) => !found.some(({ of }) => of === name))
}

const includes = (one: Kind, other: Kind) => other.of === one.name || (MADE_ANYHOW.has(one.name) && !NOT_BY_HAND.has(other.name))

/** Whether both texts say what kind of picture it is, and nothing that one says can be what the other does. */
export function mediumDiffers(a: Side, b: Side): boolean {
  const [own, theirs] = [mediaOf(a), mediaOf(b)]
  return own.length > 0 && theirs.length > 0 && !own.some((one) => theirs.some((other) => one.name === other.name || includes(one, other) || includes(other, one)))
}
