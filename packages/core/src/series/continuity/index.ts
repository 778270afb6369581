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
import { type Slip, withDismissed } from './slip.ts'
import type { SlipKind } from './slip-kind.ts'
import { style } from './style.ts'
import { time } from './time.ts'
import { trait } from './trait.ts'
import { weather } from './weather.ts'

/** Every kind of slip and the check that finds it. */
const CHECKS: Readonly<Record<SlipKind, (series: SeenSeries) => Slip[]>> = { trait, dress, time, season, weather, place, absent, alike, direction, style, engine, 'aspect-ratio': aspectRatio, framing, palette, key, medium }

/** Where a series does not hold together, scene by scene; what the writer lets stand is marked. */
export const continuityOf = (series: SeenSeries): Slip[] =>
  withDismissed(
    Object.values(CHECKS).flatMap((check) => check(series)),
    series.scenes.map(({ body }) => body),
  ).sort((a, b) => a.scene - b.scene)
