import { type LabPlanes, labPlanes, type Plane, shrunk } from './planes.ts'
import type { Raster } from './raster.ts'

/** A picture as the measures see it: planes of OKLab at the sizes they ask for, each made once. */
export class View {
  readonly width: number
  readonly height: number
  #full: LabPlanes | undefined
  readonly #smaller = new Map<number, LabPlanes>()

  constructor(readonly raster: Raster) {
    this.width = raster.width
    this.height = raster.height
  }

  get full(): LabPlanes {
    return (this.#full ??= labPlanes(this.raster))
  }

  /** With a long edge of at most so many pixels, by means over areas. */
  at(edge: number): LabPlanes {
    const known = this.#smaller.get(edge)
    if (known) return known
    const { l, a, b } = this.full
    const small = (plane: Plane) => shrunk(plane, edge)
    const planes = { l: small(l), a: small(a), b: small(b) }
    this.#smaller.set(edge, planes)
    return planes
  }
}
