import { type LabPlanes, labPlanes, shrunk } from './planes.ts'
import type { Raster } from './raster.ts'

/** A picture as the measures see it: planes of OKLab at the sizes they ask for, each made once, from the next larger that there is. */
export class View {
  readonly width: number
  readonly height: number
  readonly #rasters: [edge: number, raster: Raster][]
  readonly #planes = new Map<number, LabPlanes>()

  constructor(raster: Raster) {
    this.width = raster.width
    this.height = raster.height
    this.#rasters = [[Infinity, raster]]
  }

  /** With a long edge of at most so many pixels, by means over areas. */
  at(edge: number): LabPlanes {
    const known = this.#planes.get(edge)
    if (known) return known
    const larger = this.#rasters.filter(([of]) => of >= edge).reduce((least, one) => (one[0] < least[0] ? one : least))
    const raster = larger[0] === edge ? larger[1] : shrunk(larger[1], edge)
    this.#rasters.push([edge, raster])
    const planes = labPlanes(raster)
    this.#planes.set(edge, planes)
    return planes
  }
}
