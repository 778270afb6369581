import type { Check, Checked } from './checked.ts'
import { DIVIDED, isMeant } from './meant.ts'
import { type Finding, inText } from './finding.ts'
import { removing } from './fixes.ts'
import { dimension, type Dimension, saidOf } from './values/dimension.ts'

/** Ways of making a picture, by what is left on the surface. */
export const MEDIA: Dimension = dimension(
  'two media',
  ['medium', 'technique', 'subject', 'detail'],
  {
    photograph: `(?:photo(?:graph)?|photography)|(?:film|movie|cinematic) still|snapshot|photo ?realis(?:m|tic)(?: \\p{L}+)?|polaroid|daguerreotype|tintype|photojournalism|photorealistic|dslr(?: photo(?:graph)?| shot)?`,
    paint: '(?:oil|acrylic|fresco|tempera|egg tempera|encaustic|casein|impasto)(?: painting| portrait| sketch| on canvas| on board)?|oils(?: on canvas)?',
    water: '(?:loose )?(?:water ?colou?r|gouache|aquarelle)(?: painting| illustration| sketch| drawing| wash(?: on paper)?)?|wash drawing',
    drawing: '(?:pencil|charcoal|ink|pen|chalk|crayon|graphite|line|pastel|ballpoint|silverpoint|colou?red pencil)(?: \\p{L}+)? (?:drawing|sketch|study)|charcoal(?: drawing| sketch| study)?|pen and ink|colou?red pencil|soft pastel|(?:black )?ink drawing|silverpoint',
    print: '(?:reduction )?(?:lino ?cut|lino print|wood ?cut|wood engraving|wood ?block print|engraving|etching|lithograph|screen ?print|risograph(?: print)?|aquatint|mezzotint|drypoint|block print)',
    render: '3 ?d (?:render(?:ing)?|illustration|model)|cgi|computer render|ray traced render|clay render|voxel art',
    flat: '(?:flat )?vector (?:illustration|art|graphic|drawing)|flat (?:illustration|design)|pixel art|isometric illustration',
    sculpture: '(?:bronze|marble|stone|clay|wooden|plaster|terracotta|wire|paper|glass|steel)? ?(?:sculpture|statue|bust|relief|carving|figurine)|(?:clay|plasticine|papercraft) model',
    animated: 'claymation|stop[ -]motion(?: animation| still)?|cel animation|anime(?: still| style)?|puppet animation',
    textile: 'embroider(?:y|ed)(?: (?:patch|panel|hoop|sampler|portrait|picture))?|tapestry|needlepoint|cross stitch(?: \\p{L}+)?|patchwork quilt|beadwork|needle felt(?:ed)?(?: \\p{L}+)?',
    glass: 'stained glass(?: window| panel)?|mosaic',
  },
  (a, b) => a !== b && !TOGETHER.has(`${a} ${b}`),
)
/** Media that are used together on one sheet. */
const TOGETHER = new Set(['drawing water', 'water drawing', 'drawing drawing', 'print water', 'water print', 'flat print', 'print flat', 'render sculpture', 'photograph textile', 'photograph sculpture', 'sculpture photograph', 'textile photograph', 'photograph glass', 'glass photograph', 'textile paint', 'paint textile', 'photograph render', 'photograph animated', 'animated photograph', 'animated sculpture', 'sculpture animated', 'animated flat', 'flat animated', 'animated render', 'render animated', 'water flat', 'flat water'])
/** Read as a technique, these are still what the picture is. */
const SURFACES = new Set(['paint', 'water', 'print', 'drawing', 'render', 'flat'])
/** What may also be a thing in another picture; it is the medium where the text begins with it. */
const OBJECTS = new Set(['sculpture', 'textile', 'glass'])
const MIXED = /\b(?:mixed[- ]media|collage|montage|overpaint\p{L}*|hand[- ](?:tinted|coloured|colored)|based on a photograph|combined with|blend of|mix of|(?:layered|printed|painted|drawn|stitched|glued) (?:over|on)|on top of|with touches of|pinned|taped|hanging|framed|in a frame|on the (?:wall|table|desk)|holding (?:an?|the|his|her)|style of|in the manner of|like an?)\b/iu

/** Whether words stand by themselves between commas: then they are what the picture is, whatever they were read as. */
const isAlone = ({ shown }: Checked, start: number, end: number): boolean => /(?:^|[,;.\n])\s*(?:an?\s+|the\s+)?$/i.test(shown.slice(0, start)) && /^\s*(?:[,;.\n]|$)/.test(shown.slice(end))

export const mixedMedium: Check = (checked) => {
  if (MIXED.test(checked.shown) || DIVIDED.test(checked.shown)) return []
  const first = checked.phrases[0]?.start
  const terms = saidOf(checked, MEDIA).filter(({ start, end, value, phrase }) => phrase.facet === 'medium' || isAlone(checked, start, end) || (OBJECTS.has(value) && phrase.start === first) || (phrase.facet === 'technique' && (phrase.start === start || phrase.end === end) && SURFACES.has(value)))
  const found: Finding[] = []
  terms.forEach((b, i) => {
    if (found.length) return
    const a = terms.slice(0, i).find((other) => (other.phrase !== b.phrase || !/\b(?:of|on|over|with|and ink|after|from)\b/i.test(checked.shown.slice(other.end, b.start))) && MEDIA.clash(other.value, b.value) && !isMeant(checked.shown, other, b))
    if (!a) return
    found.push({
      kind: 'mixed-medium',
      severity: 'caution',
      where: inText(a),
      with: inText(b),
      facet: 'medium',
      reason: `A picture is “${checked.said(a)}” or “${checked.said(b)}”; asked for both, an engine gives a smear between them.`,
      fix: removing(checked, a.phrase === b.phrase ? b : b.phrase),
    })
  })
  return found
}
