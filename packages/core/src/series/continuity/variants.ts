import type { Aspect, PartVariant } from '../part.ts'
import type { PartUse } from '../scene.ts'
import type { SeenSeries } from './seen.ts'

/** The variant of a respect that a scene has of a part. */
export const variantsNamed = (series: SeenSeries, { part, variants }: PartUse, aspect: Aspect): PartVariant | undefined => series.parts.get(part)?.body.variants.find((variant) => variant.aspect === aspect && variants.includes(variant.key))
