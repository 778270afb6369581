import type { Dimension } from '../dimension.ts'
import { colourfulness, contrast } from './colour.ts'
import { arms, baldness, beard, company, dress, expression, eyes, feet, hairColour, hairLength, hands, head, motion, mouth, posture } from './figure.ts'
import { shadow, side, source, sunHeight } from './light.ts'
import { background, element, exposure, foreground, grain, handsHold, heading, mask, outline, paintSurface, spirit } from './manner.ts'
import { media } from './media.ts'
import { room, tide, water } from './place.ts'
import { fullness, material, QUALITIES } from './qualities.ts'
import { hour, season } from './time.ts'
import { angle, facing, focus, format, gaze, layout, lens, shot, shutter, tilt } from './view.ts'
import { foliage, heat, lamps, moon, stars, sun, traffic, trees, weather } from './weather.ts'

export { material, colourfulness, company, focus, hour, layout, media, room, shadow, shot, side, tide, water, weather }

/** Everything of which a picture, a figure or a thing can have one value at a time. */
export const DIMENSIONS: readonly Dimension[] = [
  hour, season, weather, heat, moon, stars, sun, trees, lamps, traffic, foliage, shadow, sunHeight, side, source, shot, angle, layout, format, tilt, lens, focus, shutter, facing, gaze, colourfulness, contrast, background, exposure, grain, outline, paintSurface, spirit, element, foreground, heading, handsHold, mask,
  expression, motion, posture, eyes, mouth, beard, baldness, hairColour, hairLength, feet, head, dress, hands, arms, company, room, water, tide, fullness, material, ...QUALITIES, media,
]
