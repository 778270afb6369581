import { FACETS } from '../facets.ts'
import type { Facet } from '../facet.ts'
import { blankSlot, type TemplateBody } from './body.ts'

/** A slot as it is written below: its name, its facet where the name does not say it, what it says by itself, and other options. */
type Line = readonly [name: string, facet: Facet | undefined, fallback: string, options: string, hint?: string]

const frame = (id: string, name: string, does: string, text: string, lines: readonly Line[], leaveOut: readonly string[] = []): { id: string; body: TemplateBody } => ({
  id,
  body: {
    name,
    does,
    text,
    slots: lines.map(([slot, facet = FACETS.find((one) => one === slot), fallback, options, hint = '']) => ({ ...blankSlot(slot, facet), hint, fallback, options: [...new Set([fallback, ...options.split('; ')])].filter(Boolean) })),
    leaveOut: [...leaveOut],
  },
})

const LIGHT: Line = ['light', undefined, 'soft window light from the left', 'low sun from the right; overcast light; candlelight; rim light; hard noon sun']
const MOMENT: Line = ['moment', undefined, 'dusk', 'dawn; noon; a rainy evening; late autumn; deep winter']
const MOOD: Line = ['mood', undefined, 'calm', 'expectant; playful; solemn; tense; cosy']
const PALETTE: Line = ['palette', 'colour', 'ochre and slate', 'cream and rust; deep green and gold; coral and navy; black and one red']

/** Frames for common jobs, written for Idolon. An id never changes once it has shipped. */
export const SHIPPED_TEMPLATES: readonly { id: string; body: TemplateBody }[] = [
  frame('0f9e2d7a-1b52-4b0e-9d2f-6c1a4e5b7001', 'Product on a surface', 'One thing to sell, on a ground that suits it.', 'A {{ product }} on {{ surface }}, with {{ props }} beside it, {{ background }}, {{ light }}, {{ framing }}, product photograph, 85mm lens', [
    ['product', 'subject', 'jar of dark honey', 'tin of black tea; glass teapot; bar of soap; leather notebook', 'The thing itself, with its make and material.'],
    ['surface', 'setting', 'a pale oak board', 'polished slate; folded linen; white marble; wet river stones'],
    ['props', 'detail', 'a wooden honey dipper', 'dried flowers; a folded cloth; scattered leaves', 'Left empty, it stands alone.'],
    ['background', 'setting', 'plain warm grey background', 'dark background; blurred kitchen behind it; white wall'],
    LIGHT,
    ['framing', undefined, 'eye-level close-up', 'top-down view; three-quarter view; centred with room above'],
  ]),
  frame('0f9e2d7a-1b52-4b0e-9d2f-6c1a4e5b7002', 'Portrait', 'One person, near enough to read the face.', '{{ framing }} of a {{ person }}, {{ expression }}, wearing {{ clothes }}, {{ background }}, {{ light }}, {{ medium }}', [
    ['framing', undefined, 'Close-up portrait', 'Head-and-shoulders portrait; Medium shot; Profile'],
    ['person', 'subject', 'weathered ferryman with a grey beard', 'girl with freckles; clockmaker with round spectacles; young dancer'],
    ['expression', 'action', 'looking past the camera', 'laughing; eyes closed; half smiling; frowning in thought'],
    ['clothes', 'detail', 'a knitted blue jersey', 'a waxed coat; a linen shirt; a high lace collar'],
    ['background', 'setting', 'plain dark background', 'harbour out of focus behind; whitewashed wall'],
    LIGHT,
    ['medium', undefined, 'photograph', 'oil painting; charcoal drawing; gouache illustration'],
  ]),
  frame('0f9e2d7a-1b52-4b0e-9d2f-6c1a4e5b7003', 'Place', 'Where something happens, with nobody in it or somebody small.', '{{ framing }} of {{ place }} at {{ moment }}, {{ weather }}, {{ figure }} in the distance, {{ light }}, {{ mood }} mood, {{ medium }}', [
    ['framing', undefined, 'Wide shot', 'Aerial view; View from below; Long view down the street'],
    ['place', 'setting', 'a terraced village above a lake', 'an empty market hall; a harbour; a forest clearing; a mountain pass'],
    MOMENT,
    ['weather', 'moment', 'thin mist', 'heavy clouds; fresh snow; clear sky; after rain'],
    ['figure', 'detail', '', 'a lone walker; a small boat; two children'],
    ['light', undefined, 'long shadows', 'diffuse light; lamplight in the windows; a shaft of sun'],
    MOOD,
    ['medium', undefined, 'watercolour', 'photograph; oil painting; ink and wash'],
  ]),
  frame('0f9e2d7a-1b52-4b0e-9d2f-6c1a4e5b7004', 'Pattern', 'A repeat for paper or cloth.', 'Seamless repeating pattern of {{ motif }} and {{ second motif }}, {{ arrangement }}, {{ palette }} on a {{ ground }} ground, {{ medium }}, even spacing', [
    ['motif', 'subject', 'honeybees', 'swallows; teacups; acorns; sailing boats'],
    ['second motif', 'subject', 'clover leaves', 'wheat ears; lemon slices; oak leaves; small stars'],
    ['arrangement', 'framing', 'scattered', 'in rows; in a half-drop repeat; mirrored'],
    PALETTE,
    ['ground', 'colour', 'cream', 'pale blue; charcoal; mustard'],
    ['medium', undefined, 'block print', 'linocut; gouache; screen print'],
  ], ['lettering', 'frame', 'shadow']),
  frame('0f9e2d7a-1b52-4b0e-9d2f-6c1a4e5b7005', 'Cutaway', 'How a thing is made inside.', 'Cutaway view of a {{ object }} showing {{ inside }}, {{ view }}, {{ medium }}, {{ paper }}, clear outlines', [
    ['object', 'subject', 'straw beehive', 'rack locomotive; lighthouse; grandfather clock; sailing ship'],
    ['inside', 'detail', 'combs, brood and honey stores', 'gears and springs; stairs and rooms; the boiler and pistons'],
    ['view', 'framing', 'side view', 'front view; isometric view; cross-section from above'],
    ['medium', undefined, 'fine ink line with pale washes', 'engraving; technical drawing; coloured pencil'],
    ['paper', 'technique', 'cream paper', 'blue paper with white line; squared paper'],
  ]),
  frame('0f9e2d7a-1b52-4b0e-9d2f-6c1a4e5b7006', 'Poster with lettering', 'A bold picture with a few words on it.', 'Travel poster of {{ scene }}, {{ moment }}, flat bold shapes, {{ palette }}, {{ composition }}, the words "{{ words }}" in {{ letters }} at the {{ where }}, {{ medium }}', [
    ['scene', 'subject', 'a red train on a stone viaduct', 'a lake steamer; a village under peaks; a cable car over pines'],
    MOMENT,
    PALETTE,
    ['composition', 'framing', 'strong diagonal', 'low horizon; centred; seen from below'],
    ['words', 'lettering', 'Tarrow Line', 'Ride Higher; Skep & Cup', 'Short: engines spell one to three words best.'],
    ['letters', 'lettering', 'wide capitals', 'narrow capitals; rounded letters'],
    ['where', 'lettering', 'top', 'bottom'],
    ['medium', undefined, 'screen print', 'lithograph; gouache; linocut'],
  ]),
  frame('0f9e2d7a-1b52-4b0e-9d2f-6c1a4e5b7007', 'Colouring page', 'Outlines to be filled in by hand.', 'Colouring page of {{ subject }} {{ action }} in {{ setting }}, {{ detail }}, thick clean outlines, no shading, large open areas, black line drawing on white', [
    ['subject', undefined, 'a young dragon', 'two hedgehogs; a clockwork heron; a baker'],
    ['action', undefined, 'reading a book', 'having a picnic; repairing a clock; flying a kite'],
    ['setting', undefined, 'a tree house', 'a garden; a lighthouse; a kitchen'],
    ['detail', undefined, 'mushrooms and ferns around', 'stars overhead; a sleeping cat beside'],
  ], ['grey tones', 'colour', 'hatching']),
  frame('0f9e2d7a-1b52-4b0e-9d2f-6c1a4e5b7008', 'Two figures in a scene', 'Who does what to whom, and where.', 'A {{ first figure }} {{ action }} while a {{ second figure }} {{ second action }} in {{ setting }} at {{ moment }}. {{ framing }}, {{ light }}, {{ mood }}. {{ medium }}.', [
    ['first figure', 'subject', 'old beekeeper in a waxed coat', 'young apprentice; ferryman; tall woman in red'],
    ['action', undefined, 'lifts a frame from a hive', 'points at the sky; pours tea; ties a rope'],
    ['second figure', 'subject', 'girl in a straw hat', 'boy with a lantern; small dog; market trader'],
    ['second action', 'action', 'watches from behind the fence', 'laughs; holds the lamp; waits by the door'],
    ['setting', undefined, 'a terraced apiary', 'a narrow kitchen; a harbour; a snowy street'],
    MOMENT,
    ['framing', undefined, 'Medium wide shot', 'Wide shot; Over-the-shoulder shot'],
    LIGHT,
    MOOD,
    ['medium', undefined, 'Gouache illustration', 'Oil painting; Photograph; Ink and wash'],
  ]),
  frame('0f9e2d7a-1b52-4b0e-9d2f-6c1a4e5b7009', 'Dish on a table', 'Food as it is about to be eaten.', '{{ framing }} of {{ dish }} in a {{ vessel }}, {{ garnish }}, on {{ table }}, {{ steam }}, {{ light }}, food photography', [
    ['framing', undefined, 'Top-down view', 'Close-up at table height; Three-quarter view'],
    ['dish', 'subject', 'barley soup', 'porridge with figs; a wheel of cheese; honey cake'],
    ['vessel', 'detail', 'glazed bowl', 'copper pan; wooden plate; paper wrap'],
    ['garnish', 'detail', 'topped with chives', 'honey running down; toasted seeds on top'],
    ['table', 'setting', 'a dark wooden table', 'a linen cloth; a stone sill; a café counter'],
    ['steam', 'detail', 'steam rising', 'crumbs scattered around', 'Left empty for cold dishes.'],
    LIGHT,
  ]),
  frame('0f9e2d7a-1b52-4b0e-9d2f-6c1a4e5b7010', 'Animal in the wild', 'One animal where it lives.', 'A {{ animal }} {{ action }} in {{ habitat }}, {{ weather }}, {{ framing }}, {{ light }}, shallow depth of field, wildlife photograph', [
    ['animal', 'subject', 'red fox', 'grey heron; barn owl; mountain hare; brown bear'],
    ['action', undefined, 'listening for mice', 'drinking; taking off; asleep; looking back'],
    ['habitat', 'setting', 'tall dry grass', 'a snowy forest; shallow water; a rocky slope'],
    ['weather', 'moment', 'light snowfall', 'morning mist; after rain; midsummer'],
    ['framing', undefined, 'eye-level close-up', 'wide shot with the animal small; profile'],
    LIGHT,
  ]),
  frame('0f9e2d7a-1b52-4b0e-9d2f-6c1a4e5b7011', 'Room', 'An interior, and how one lives in it.', '{{ room }} with {{ furniture }}, {{ surface }} walls, {{ view }}, {{ palette }}, {{ moment }}, {{ light }}, wide interior photograph', [
    ['room', 'setting', 'A narrow kitchen', 'An attic bedroom; A reading corner; A workshop'],
    ['furniture', 'detail', 'copper pans and a long table', 'a low bed and linen curtains; an armchair and shelves of books'],
    ['surface', 'detail', 'whitewashed', 'dark panelled; papered; bare brick'],
    ['view', 'setting', 'a window onto the valley', 'a door open to the garden', 'Left empty for a closed room.'],
    PALETTE,
    ['moment', undefined, 'early morning', 'dusk; noon; a winter evening'],
    LIGHT,
  ], ['people']),
  frame('0f9e2d7a-1b52-4b0e-9d2f-6c1a4e5b7012', 'Mark or badge', 'A small sign that is told at a glance.', 'Simple emblem of {{ motif }} inside a {{ shape }}, {{ line }}, {{ palette }}, flat vector illustration, centred, plain white background', [
    ['motif', 'subject', 'a straw skep with one bee', 'a cup and steam; a heron; a mountain peak'],
    ['shape', 'framing', 'circle', 'shield; hexagon; square with cut corners', 'Left empty, the motif stands alone.'],
    ['line', 'technique', 'one even line', 'bold solid shapes; cut-paper shapes'],
    PALETTE,
  ], ['lettering', 'shading', 'photograph']),
  frame('0f9e2d7a-1b52-4b0e-9d2f-6c1a4e5b7013', 'Picture-book page', 'A scene of a story, with room for its text.', '{{ character }} {{ action }} in {{ place }} at {{ moment }}, {{ companion }}, {{ framing }} with empty space {{ room }} for text, {{ mood }}, picture book illustration, {{ medium }}', [
    ['character', 'subject', 'An old beekeeper in a waxed canvas coat', 'A boy with a lantern; A clockwork heron'],
    ['action', undefined, 'climbs a narrow stair', 'peers through a keyhole; runs across a bridge'],
    ['place', 'setting', 'a dark clock tower', 'a snowy village; her kitchen; a night market'],
    MOMENT,
    ['companion', 'detail', 'a cat at her heels', 'bees circling her hat; nobody else about'],
    ['framing', undefined, 'wide shot', 'low angle; seen from above'],
    ['room', 'framing', 'above', 'below; on the left'],
    MOOD,
    ['medium', undefined, 'ink and wash', 'gouache; coloured pencil'],
  ]),
]
