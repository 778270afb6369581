import { ANYWHERE, dimension } from '../dimension.ts'

/** Media that are used together on one sheet, or of which one may show the other. */
const TOGETHER = new Set(['drawing water', 'print water', 'flat print', 'render sculpture', 'photograph sculpture', 'photograph textile', 'glass photograph', 'paint textile', 'photograph render', 'animated photograph', 'animated sculpture', 'animated render', 'animated paper', 'cartoon flat', 'cartoon water', 'cartoon drawing', 'cartoon print', 'cartoon animated', 'flat water', 'drawing flat', 'paper print', 'paper flat', 'paper photograph', 'photograph street'].map((pair) => pair.split(' ').sort().join(' ')))

/** Ways of making a picture, by what is left on the surface. */
export const media = dimension(
  'two media',
  'picture',
  [...ANYWHERE, 'medium'],
  {
    photograph: `photograph, photo, photography, photographic, real photo|photograph, film|movie|cinematic still, film|press|product|studio|editorial|documentary|colour photo|photograph, snap shot, polaroid, daguerreotype, tintype, ambrotype, albumen print, albumen, cyanotype, photo journalism, instant photo, wet plate, contact sheet, reportage, dslr photo|shot, shot on film, photographed, 35 mm film|snapshot|photo|photograph, shot on 35 mm film, shot on film|camera, dslr`,
    paint: 'oil, oils, acrylic, acrylics, fresco, tempera, egg tempera, encaustic, casein, impasto, oil|acrylic|tempera|fresco|casein|mural painting|portrait|sketch|landscape, oil|acrylic|oils|acrylics on canvas|board|panel|wood|linen|copper, mural, painted in oil, alla prima',
    water: 'water colour, gouache, aquarelle, watercolour|gouache painting|illustration|sketch|drawing|wash, wash drawing, ink wash, loose watercolour wash',
    drawing: 'charcoal, pencil|charcoal|ink|pen|chalk|crayon|graphite|line|pastel|ballpoint|silverpoint|biro|marker _? drawing|sketch|study|doodle, pen and ink, pen ink, coloured pencil, crayon, crayons, wax crayon, wax crayon drawing, soft|oil|chalk|impressionist|expressionist pastel, pastel on _, pastel, pastel drawing|painting, sanguine, sanguine drawing, silverpoint, pen drawing, pencil, ballpoint doodle, line drawing, drawn in pencil|ink|charcoal',
    print: 'lino cut, lino print, wood cut, wood engraving, wood block print, woodblock, engraving, etching, lithograph, lithography, screen print, silk screen, risograph, riso, aquatint, mezzotint, dry point, block print, mono print, monotype, letter press, linoleum print, collagraph, pochoir, pochoir print, stencil print',
    render: '3 d render|rendering|model|illustration, cgi, computer render|rendering, ray traced render, clay render, voxel art, rendered in 3 d, photorealistic cgi, low poly',
    flat: 'vector illustration|art|graphic|drawing, flat vector, flat illustration|design, pixel art, pixel, isometric illustration|vector, infographic, clip art',
    sculpture: 'bronze|marble|stone|clay|wooden|plaster|terracotta|wire|glass|steel|ice sculpture|statue|bust|relief|carving|figurine, sculpture, clay|plasticine|papercraft model, bas relief, low relief',
    animated: 'claymation, stop motion, stop motion animation|still, puppet animation, animated film still',
    cartoon: 'cel animation|drawing, anime, anime cel|still|style|drawing, cel shaded, cartoon, cel shaded cartoon, cartoon strip, animation cel, comic strip|panel, comic book panel',
    textile: 'embroidery, embroidered patch|panel|hoop|sampler|portrait|picture, tapestry, needlepoint, cross stitch, patchwork quilt, beadwork, needle felt, felted wool, batik',
    glass: 'stained glass, stained glass window|panel, mosaic',
    paper: 'paper cut, cut paper, papercut illustration, origami, paper collage',
    street: 'graffiti, spray paint graffiti, spray paint mural, stencil graffiti, spray paint',
  },
  (a, b) => a !== b && !TOGETHER.has([a, b].sort().join(' ')),
)
