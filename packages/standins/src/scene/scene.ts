/** What a picture will show, as the engine understood the words. Kept in the answer under the test-only key. */
export interface Scene {
  subject: { kind: SubjectKind; variant: string; count: number; /** The word it was understood from, if any. */ word: string | null }
  setting: Setting
  moment: Moment
  season: Season
  weather: Weather
  shot: Shot
  /** Where the light comes from. */
  light: 'left' | 'right' | 'behind'
  /** Colours of the whole, by name, in order of mention. */
  palette: string[]
  /** Colours said of the subject or what it wears. */
  ownColours: string[]
  medium: Medium
  lettering: string | null
  extras: Extra[]
}

export const SUBJECT_KINDS = ['person', 'animal', 'bird', 'insect', 'plant', 'vehicle', 'building', 'vessel', 'food', 'landscape', 'abstract'] as const
export type SubjectKind = (typeof SUBJECT_KINDS)[number]
export type Setting = 'mountains' | 'village' | 'meadow' | 'forest' | 'water' | 'city' | 'interior' | 'studio'
export type Moment = 'dawn' | 'day' | 'dusk' | 'night'
export type Season = 'spring' | 'summer' | 'autumn' | 'winter'
export type Weather = 'clear' | 'cloudy' | 'mist' | 'rain' | 'snow'
export type Shot = 'wide' | 'medium' | 'close'
export type Medium = 'gouache' | 'flat print' | 'wash' | 'line' | 'photograph' | 'paper cut'
/** Things beside the subject that change what is drawn. */
export type Extra = 'lantern' | 'hive' | 'bees' | 'flowers' | 'trees' | 'houses' | 'viaduct' | 'steam' | 'scarf' | 'hat' | 'moon' | 'stars' | 'birds'
