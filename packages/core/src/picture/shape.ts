import { type Static, Type } from '@sinclair/typebox'
import { ReferenceRole } from '../draft/shape.ts'
import { Facet } from '../facet.ts'

/** Shapes of what is read of a picture. What a picture does not settle is null, never a guess. */
const orNull = <const T extends readonly string[]>(values: T) => Type.Union([...values.map((value) => Type.Literal(value as T[number])), Type.Null()])
const Share = Type.Number({ minimum: 0, maximum: 1 })
const Truth = Type.Union([Type.Boolean(), Type.Null()])

export const COLOUR_NAMES = ['red', 'orange', 'yellow', 'green', 'blue', 'purple', 'pink', 'brown', 'beige', 'grey', 'black', 'white'] as const
export type ColourName = (typeof COLOUR_NAMES)[number]
export const PaletteColour = Type.Object({ hex: Type.String({ pattern: '^#[0-9a-f]{6}$' }), name: Type.Union(COLOUR_NAMES.map((name) => Type.Literal(name))), share: Share }, { title: 'PaletteColour' })
export type PaletteColour = Static<typeof PaletteColour>

/** What a glance at a picture tells: its colours and its light. */
const GLANCE = { key: orNull(['high', 'mid', 'low']), temperature: orNull(['warm', 'cool', 'neutral']), mono: Truth, palette: Type.Array(PaletteColour) }
export const LIGHT_SIDES = ['left', 'upper left', 'above', 'upper right', 'right'] as const
export type LightSide = (typeof LIGHT_SIDES)[number]
export const FirstFacts = Type.Object(GLANCE, { title: 'FirstFacts' })
export type FirstFacts = Static<typeof FirstFacts>

/** How wide an edge is (the deviation of the blur it went through, in pixels of a view of 768) where it is sharp, and where it is blurred. */
export const SHARP_EDGE = 1.35
export const BLURRED_EDGE = 3.2

/** Corners as shares of a picture's width and height, from the left and the top. */
export const BoxShape = Type.Array(Share, { minItems: 4, maxItems: 4, description: 'x0, y0, x1, y1.' })

/** Where in the picture the measures found what they say. */
export const Where = Type.Object({
  /** Which colour of the palette each cell is nearest to, row by row. */
  colours: Type.Object({ columns: Type.Integer(), of: Type.Array(Type.Integer({ minimum: 0 })) }),
  /** Lightness from 0 to 99 of the picture squeezed to 32 by 32, row by row. */
  tones: Type.Array(Type.Integer({ minimum: 0, maximum: 99 })),
  /** The largest empty rectangle, where there is room for lettering. */
  space: Type.Union([BoxShape, Type.Null()]),
  /** From one repeat to the next, as shares of the width and height. */
  repeat: Type.Union([Type.Object({ x: Type.Number(), y: Type.Number() }), Type.Null()]),
  eye: Type.Union([Type.Object({ x: Share, y: Share }), Type.Null()]),
  horizon: Type.Union([Type.Object({ y: Share, tilt: Type.Number({ description: 'Degrees, clockwise.' }) }), Type.Null()]),
  /** Cells of the picture, row by row: how wide their edges are in pixels of a view of 768, null where there are none. */
  edges: Type.Object({ columns: Type.Integer(), widths: Type.Array(Type.Union([Type.Number(), Type.Null()])) }),
})
export type Where = Static<typeof Where>

/** All that can be measured of a picture's pixels. */
const MEASURED = {
  ...GLANCE,
  focus: orNull(['shallow', 'deep']),
  side: orNull(['left', 'centre', 'right']),
  horizon: Type.Union([Type.Number({ description: 'In the middle, as a share of the height, from the top.' }), Type.Null()]),
  symmetric: Truth,
  busy: Truth,
  contrast: orNull(['high', 'mid', 'low']),
  saturation: orNull(['vivid', 'moderate', 'muted']),
  /** A tint over all, seen where there should be greys. */
  cast: orNull([...COLOUR_NAMES, 'none']),
  lightSide: orNull(LIGHT_SIDES),
  lightHard: Truth,
  grain: Truth,
  texture: orNull(['rough', 'smooth']),
  pattern: Truth,
  balance: orNull(['left', 'even', 'right']),
  thirds: Truth,
  space: orNull(['top', 'bottom', 'left', 'right']),
  where: Where,
}
export const Facts = Type.Object(MEASURED, { title: 'Facts' })
export type Facts = Static<typeof Facts>

/** Kinds of picture: a photograph; flat colours as in print; paint; lines; what is designed rather than drawn, as signs and screens are. */
export const MEDIA = ['photo', 'flat', 'painting', 'drawing', 'graphic'] as const
export type Medium = (typeof MEDIA)[number]
/** How near the main figure is seen: its head and shoulders, to its waist or knees, all of it, or small in its surroundings. */
export const SHOTS = ['close-up', 'medium', 'full', 'wide'] as const
export type Shot = (typeof SHOTS)[number]

/** A phrase that a picture suggests, in the trade's terms, with how often one on such evidence is right, and the fact that bears it out. */
export const Phrased = Type.Object({ facet: Facet, text: Type.String(), confidence: Share, evidence: Type.String({ description: 'The name of a fact, or “object” and its place among the objects.' }) }, { title: 'Phrased' })
export type Phrased = Static<typeof Phrased>

/** All that is read of a picture. */
export const PictureReading = Type.Object(
  {
    ...MEASURED,
    /** Width by height. */
    aspect: Type.Number({ exclusiveMinimum: 0 }),
    medium: orNull(MEDIA),
    shot: orNull(SHOTS),
    people: Type.Union([Type.Integer({ minimum: 0 }), Type.Null()]),
    objects: Type.Array(Type.Object({ name: Type.String(), broader: Type.String(), score: Share, box: BoxShape })),
    lettering: Type.Object({ present: Truth, text: Type.String(), boxes: Type.Array(BoxShape) }),
    /** The main figure, where there is one. */
    figure: Type.Union([BoxShape, Type.Null()]),
    phrases: Type.Array(Phrased),
  },
  { title: 'PictureReading' },
)
export type PictureReading = Static<typeof PictureReading>

/** In what a picture is held against its reference. */
export const RESPECT_NAMES = ['medium', 'palette', 'key', 'contrast', 'temperature', 'saturation', 'light', 'framing', 'things', 'focus', 'horizon', 'lettering', 'format', 'layout'] as const
export type RespectName = (typeof RESPECT_NAMES)[number]
/** What would bring a picture nearer to another: a phrase to say, an entry of the leave-out list, a setting, or the reference itself given to the engine for a part of it. */
export const Closing = Type.Union(
  [Type.Object({ facet: Facet, say: Type.String() }), Type.Object({ leaveOut: Type.String() }), Type.Object({ setting: Type.String(), value: Type.String() }), Type.Object({ follow: ReferenceRole, strength: Type.Integer({ minimum: 0, maximum: 100 }) })],
  { title: 'Closing' },
)
export type Closing = Static<typeof Closing>
const CLOSE = {
  close: Type.Number({ minimum: 0, maximum: 1, description: '0: nothing of it is there; 1: no eye would tell them apart.' }),
  says: Type.String({ description: 'The difference in plain units.' }),
  closing: Type.Array(Closing, { description: 'What would close it, where words can; the likeliest first.' }),
}
export const Close = Type.Object(CLOSE)
export type Close = Static<typeof Close>
const RESPECT = { respect: Type.Union(RESPECT_NAMES.map((name) => Type.Literal(name))) }
/** How close a picture is to its reference: the weighted mean of what is settled, and each respect, the largest difference that counts first. */
export const Closeness = Type.Object({ whole: Type.Union([Share, Type.Null()]), by: Type.Array(Type.Object({ ...RESPECT, ...CLOSE })) }, { title: 'Closeness' })
export type Closeness = Static<typeof Closeness>
/** What to change next to come closer, and how often it did before. */
export const Advice = Type.Object({ ...RESPECT, closing: Closing, past: Type.Object({ tried: Type.Integer({ minimum: 0 }), closer: Type.Integer({ minimum: 0 }) }) }, { title: 'Advice' })
export type Advice = Static<typeof Advice>
