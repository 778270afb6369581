import { absent } from './absent.ts'
import { alike } from './alike.ts'
import { direction } from './direction.ts'
import { dress } from './dress.ts'
import { framing } from './framing.ts'
import { aspectRatio, engine } from './output-mixed.ts'
import { key, medium, palette } from './pictures.ts'
import { place } from './place.ts'
import { season } from './season.ts'
import type { SeenSeries } from './seen.ts'
import type { Slip, SlipKind } from './slip.ts'
import { style } from './style.ts'
import { time } from './time.ts'
import { trait } from './trait.ts'
import { weather } from './weather.ts'

/** Every kind of slip and the check that finds it. */
const CHECKS: Readonly<Record<SlipKind, (series: SeenSeries) => Slip[]>> = { trait, dress, time, season, weather, place, absent, alike, direction, style, engine, 'aspect-ratio': aspectRatio, framing, palette, key, medium }

/** Where a series does not hold together, scene by scene. */
export const continuityOf = (series: SeenSeries): Slip[] => Object.values(CHECKS).flatMap((check) => check(series)).sort((a, b) => a.scene - b.scene)
