/** What can be measured of a picture: loaded by workers, the server and the command line, not by the page. */
export { closenessOf } from './picture/close/closeness.ts'
export { factsOf, firstFactsOf } from './picture/facts.ts'
export type { MediumTable } from './picture/medium/medium.ts'
export { PROXY_EDGE, type Raster } from './picture/raster.ts'
export { readingOf, type Seen } from './picture/reading.ts'
export { type Pose, type Sighting, type WordSeen } from './picture/seen/seen.ts'
export type { Facts, FirstFacts, PictureReading } from './picture/shape.ts'
export { View } from './picture/view.ts'
