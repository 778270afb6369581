import { type Close, type Closeness, type PictureReading, RESPECT_NAMES, type RespectName } from '../shape.ts'
import { contrastCloseness } from './contrast.ts'
import { focusCloseness } from './focus.ts'
import { formatCloseness } from './format.ts'
import { framingCloseness } from './framing.ts'
import { horizonCloseness } from './horizon.ts'
import { keyCloseness } from './key.ts'
import { layoutCloseness } from './layout.ts'
import { letteringCloseness } from './lettering.ts'
import { lightCloseness } from './light.ts'
import { mediumCloseness } from './medium.ts'
import { paletteCloseness } from './palette.ts'
import { saturationCloseness } from './saturation.ts'
import { temperatureCloseness } from './temperature.ts'
import { thingsCloseness } from './things.ts'

/** One respect: undefined where the reference does not settle it, and there is nothing to come close to. */
export type Respect = (reference: PictureReading, proof: PictureReading) => Close | undefined

const RESPECTS = {
  medium: mediumCloseness,
  palette: paletteCloseness,
  key: keyCloseness,
  contrast: contrastCloseness,
  temperature: temperatureCloseness,
  saturation: saturationCloseness,
  light: lightCloseness,
  framing: framingCloseness,
  things: thingsCloseness,
  focus: focusCloseness,
  horizon: horizonCloseness,
  lettering: letteringCloseness,
  format: formatCloseness,
  layout: layoutCloseness,
} as const satisfies Record<RespectName, Respect>

/** How much each respect counts in the whole: what the eye sees first counts most. */
export const WEIGHTS: Readonly<Record<RespectName, number>> = { medium: 2, palette: 3, key: 2, contrast: 1, temperature: 1, saturation: 1, light: 1, framing: 2, things: 2, focus: 1, horizon: 1, lettering: 1, format: 1, layout: 2 }

/** How close a proof is to its reference, respect by respect, and what would close what is left. */
export function closenessOf(reference: PictureReading, proof: PictureReading): Closeness {
  const by = RESPECT_NAMES.flatMap((respect) => {
    const found = RESPECTS[respect](reference, proof)
    return found ? [{ respect, ...found, close: Math.round(Math.min(1, Math.max(0, found.close)) * 100) / 100 }] : []
  })
  const weight = by.reduce((sum, { respect }) => sum + WEIGHTS[respect], 0)
  const missing = ({ respect, close }: (typeof by)[number]) => (1 - close) * WEIGHTS[respect]
  return {
    whole: weight ? Math.round((1 - by.reduce((sum, one) => sum + missing(one), 0) / weight) * 100) / 100 : null,
    by: by.sort((x, y) => missing(y) - missing(x)),
  }
}
