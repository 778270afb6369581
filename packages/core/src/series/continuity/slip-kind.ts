import { Type, type Static } from '@sinclair/typebox'

/** Where a series does not hold together, by kind. */
export const SLIPS = ['trait', 'dress', 'time', 'season', 'weather', 'place', 'absent', 'alike', 'direction', 'style', 'engine', 'aspect-ratio', 'framing', 'palette', 'key', 'medium'] as const
export const SlipKind = Type.Unsafe<(typeof SLIPS)[number]>(Type.Union(SLIPS.map((kind) => Type.Literal(kind)), { title: 'SlipKind' }))
export type SlipKind = Static<typeof SlipKind>
