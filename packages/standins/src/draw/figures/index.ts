import type { SubjectKind } from '../../scene/scene.ts'
import { ANIMALS } from './animals.ts'
import { BIRDS } from './birds.ts'
import { BUILDINGS } from './buildings.ts'
import type { Figure } from './figure.ts'
import { PEOPLE } from './people.ts'
import { PLANTS } from './plants.ts'
import { ABSTRACTS, FURNITURE, MACHINES } from './room-things.ts'
import { FISH, INSECTS } from './small-life.ts'
import { DRINKS, FOOD, TOOLS } from './table-things.ts'
import { VEHICLES, VESSELS } from './vehicles.ts'

/** Everything this engine can draw by itself; a landscape is drawn by its setting. */
export const FIGURES: readonly Figure[] = [...PEOPLE, ...ANIMALS, ...BIRDS, ...INSECTS, ...FISH, ...PLANTS, ...VEHICLES, ...VESSELS, ...BUILDINGS, ...FOOD, ...DRINKS, ...TOOLS, ...FURNITURE, ...MACHINES, ...ABSTRACTS]

const byName = new Map(FIGURES.map((figure) => [`${figure.kind}/${figure.variant}`, figure]))
export const figureOf = (kind: SubjectKind, variant: string): Figure | undefined => byName.get(`${kind}/${variant}`)
