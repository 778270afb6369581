import type { Part, Place } from './scenes.ts'

/** An hour with the lights that it has: outdoors, in a room by day or by lamp, under water. */
export interface HourWords {
  /** Without its preposition. */
  said: readonly string[]
  out: readonly string[]
  in: readonly string[]
  colours: readonly string[]
  moods: readonly string[]
}

export const HOURS: Readonly<Record<Part, HourWords>> = {
  dawn: {
    said: ['a windless dawn', 'daybreak', 'a pale dawn'],
    out: ['soft low light from the left', 'pale side light with long soft shadows', 'cool diffuse light'],
    in: ['pale window light from the left', 'cool diffuse window light'],
    colours: ['pale slate blue and rose', 'muted grey and straw yellow', 'cool grey-blue tones'],
    moods: ['hushed and expectant', 'calm', 'still and tender'],
  },
  morning: {
    said: ['a mild morning', 'an early morning', 'a quiet morning'],
    out: ['clear side light from the left', 'gentle light with light shadows', 'soft sidelight'],
    in: ['soft window light from the left', 'clear side light from a tall window'],
    colours: ['sage green and cream', 'muted ochre and pale blue', 'soft earth tones'],
    moods: ['calm and attentive', 'cheerful', 'quiet and hopeful'],
  },
  noon: {
    said: ['a still midday', 'noon', 'a bright noon'],
    out: ['hard overhead light with short shadows', 'clear overhead light'],
    in: ['bright even window light', 'clear side light from a tall window'],
    colours: ['chalk white and deep green', 'sun-bleached sand and blue', 'clear primary colours'],
    moods: ['matter-of-fact', 'drowsy', 'bold and direct'],
  },
  afternoon: {
    said: ['a late afternoon', 'a long afternoon', 'a quiet afternoon'],
    out: ['warm raking light from the right', 'low side light with long shadows', 'warm side light'],
    in: ['warm window light from the right', 'slanting window light'],
    colours: ['ochre and umber', 'warm earth tones', 'honey yellow and dark green'],
    moods: ['contented', 'wistful', 'calm and warm-hearted'],
  },
  dusk: {
    said: ['dusk', 'early dusk', 'a mild dusk'],
    out: ['fading light with soft edges', 'low warm light from behind', 'soft rim light'],
    in: ['warm lamplight from one side', 'soft lamplight'],
    colours: ['plum and slate', 'deep blue and amber', 'muted violet and grey'],
    moods: ['wistful', 'pensive', 'quiet and a little melancholy'],
  },
  night: {
    said: ['night', 'a quiet night', 'a still night'],
    out: ['moonlight from the left', 'warm lantern light in deep shadow', 'cool moonlight'],
    in: ['candlelight from one side', 'a single warm lamp in deep shadow'],
    colours: ['deep blue and silver grey', 'ink blue with amber accents', 'dark green and brass'],
    moods: ['mysterious', 'hushed', 'solemn'],
  },
}

/** Seasons that an hour may be given beside, where nothing says one. */
export const SEASONS = ['in early spring', 'in late summer', 'in late autumn', 'in early autumn'] as const

/** Lights that go with any hour and any place. */
export const NEUTRAL_LIGHTS = ['soft directional light', 'gentle side light', 'soft light from the left'] as const
export const WATER_LIGHTS = ['soft light filtering down', 'dappled light', 'dim green light'] as const
export const STUDIO_LIGHTS = ['soft directional light', 'large soft key light from the left', 'soft light with a gentle fill'] as const

/** What the weather makes of light and colour. */
export const WEATHERS: Readonly<Record<'rain' | 'storm' | 'mist' | 'snow' | 'overcast' | 'wind' | 'clear' | 'cloudy', { day: readonly string[]; night: readonly string[]; colours: readonly string[]; sky: string }>> = {
  rain: { day: ['flat grey light with wet reflections'], night: ['lamplight on wet ground'], colours: ['slate grey and wet black', 'dark blue with amber reflections'], sky: 'low rain clouds' },
  storm: { day: ['dark uneven light under heavy clouds'], night: ['dim light under heavy clouds'], colours: ['leaden grey and deep green'], sky: 'heavy dark clouds' },
  mist: { day: ['pale diffuse light'], night: ['blurred lamplight'], colours: ['pale grey and faded green'], sky: 'a white veil of mist' },
  snow: { day: ['soft white light without shadows'], night: ['pale light reflected from the ground'], colours: ['white, pale blue and slate'], sky: 'a pale snow-laden sky' },
  overcast: { day: ['flat even light'], night: ['dim even light'], colours: ['muted grey and brown'], sky: 'a closed grey sky' },
  wind: { day: ['changing light between clouds'], night: ['moonlight between clouds'], colours: ['steel blue and straw'], sky: 'torn clouds' },
  clear: { day: ['clear light with crisp shadows'], night: ['clear moonlight'], colours: ['clear blue and ochre'], sky: 'a clear sky' },
  cloudy: { day: ['soft light under broken clouds'], night: ['moonlight between clouds'], colours: ['grey-blue and ochre'], sky: 'broken clouds' },
}

export const lightsOf = (part: Part | undefined, place: Place): readonly string[] => (place === 'water' ? WATER_LIGHTS : part ? HOURS[part][place] : NEUTRAL_LIGHTS)
