/** What can be measured of a picture: loaded by workers, the server and the command line, not by the page. */
export { type ColourName, COLOUR_NAMES, colourName } from './picture/colour-name.ts'
export { type Facts, factsOf } from './picture/facts.ts'
export type { PaletteColour } from './picture/measure/palette.ts'
export { oklabOf } from './picture/oklab.ts'
export { PROXY_EDGE, type Raster } from './picture/raster.ts'
