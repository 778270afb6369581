/** What a picture will show, as the engine understood the words. Kept in the answer under the test-only key. */
export interface Scene {
  subject: Thing
  /** Things beside, behind or before the subject, in order of mention. */
  others: Thing[]
  setting: Setting
  moment: Moment
  season: Season
  weather: Weather
  shot: Shot
  angle: Angle
  light: { from: LightSide; hard: boolean }
  /** -1 cool to 1 warm; 0 as the hour has it. */
  warmth: number
  /** -1 gloomy to 1 bright. */
  mood: number
  /** How much of what is behind the subject is out of focus, 0 to 1. */
  blur: number
  /** Colours of the whole, by name, in order of mention. */
  palette: string[]
  /** How far the named colours take over, 0 to 1. */
  paletteShare: number
  medium: Medium
  lettering: { words: string; face: Face } | null
  extras: Extra[]
  /** What must not come in, not even by the way. */
  without: (Extra | 'shadows')[]
  /** How large the subject is beside its usual size. */
  subjectSize: number
  /** Faces without features, as an engine leaves them that draws too many. */
  smeared: boolean
  /** What the drawing made of it: shares of the picture's height. */
  drawn?: { horizon: number; subjectHeight: number }
}

/** One thing, or several alike. */
export interface Thing {
  kind: SubjectKind
  variant: string
  count: number
  /** The word it was understood from, if any. */
  word: string | null
  /** Colours said of it or of what it wears. */
  colours: string[]
  pose: Pose
  wears: Worn[]
  holds: Held[]
}

export const SUBJECT_KINDS = ['person', 'animal', 'bird', 'insect', 'fish', 'plant', 'vehicle', 'vessel', 'building', 'food', 'drink', 'tool', 'furniture', 'machine', 'landscape', 'abstract'] as const
export type SubjectKind = (typeof SUBJECT_KINDS)[number]
export type Setting = 'mountains' | 'village' | 'meadow' | 'forest' | 'water' | 'city' | 'desert' | 'garden' | 'interior' | 'workshop' | 'studio' | 'underwater'
export type Moment = 'dawn' | 'morning' | 'noon' | 'afternoon' | 'dusk' | 'night'
export type Season = 'spring' | 'summer' | 'autumn' | 'winter'
export type Weather = 'clear' | 'cloudy' | 'overcast' | 'mist' | 'rain' | 'storm' | 'snow' | 'wind'
export type Shot = 'panorama' | 'wide' | 'medium' | 'close' | 'detail'
export type Angle = 'level' | 'low' | 'high' | 'overhead' | 'tilted'
export type LightSide = 'left' | 'right' | 'behind' | 'front' | 'above'
export type Medium = 'gouache' | 'oil painting' | 'watercolour' | 'ink wash' | 'engraving' | 'charcoal' | 'flat print' | 'linocut' | 'photograph' | 'paper cut'
export type Face = 'block' | 'roman' | 'script'
export type Pose = 'standing' | 'walking' | 'sitting' | 'running' | 'lying' | 'flying'
export type Worn = 'hat' | 'scarf' | 'coat' | 'dress' | 'apron' | 'robe' | 'armour' | 'crown' | 'glasses' | 'beard' | 'suit' | 'hood' | 'helmet'
export type Held = 'lantern' | 'book' | 'umbrella' | 'basket' | 'staff' | 'sword' | 'flowers' | 'rod' | 'cup' | 'letter' | 'balloon' | 'fiddle'
/** Things about the place that change what is drawn. */
export type Extra = 'hives' | 'bees' | 'flowers' | 'trees' | 'houses' | 'viaduct' | 'steam' | 'moon' | 'stars' | 'birds' | 'fence' | 'boats' | 'rocks' | 'lamps' | 'clouds' | 'reflections' | 'path' | 'reeds' | 'sun'
