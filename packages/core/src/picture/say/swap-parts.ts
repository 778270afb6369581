import type { Facet } from '../../facet.ts'

/** What of a picture a writer puts something else in the place of. */
export const SWAPS = ['subject', 'dress', 'hour', 'colour', 'medium'] as const
export type SwapPart = (typeof SWAPS)[number]
/** The facet that what is put there instead is said in. */
export const SWAP_FACET: Readonly<Record<SwapPart, Facet>> = { subject: 'subject', dress: 'detail', hour: 'moment', colour: 'colour', medium: 'medium' }
