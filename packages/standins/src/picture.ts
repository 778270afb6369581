import { bytes, paletteFor } from './draw/colour.ts'
import { drawScene, type Variation } from './draw/draw.ts'
import { type Guided, overBase } from './engines/references.ts'
import { FINISHES } from './finish/media.ts'
import { grainAt, type Pixels } from './finish/pixels.ts'
import { encodePng, rasterise } from './png/render.ts'
import type { Scene } from './scene/scene.ts'

/** A picture left early: coarse patches and specks, the more the less of it was worked out. */
function unfinished({ width, height, data }: Pixels, left: number, seed: number): Pixels {
  if (left <= 0) return { width, height, data }
  const cell = 1 + Math.round(left * 5)
  const out = new Uint8Array(data.length)
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const from = ((y - (y % cell)) * width + (x - (x % cell))) * 3
      const at = (y * width + x) * 3
      const speck = (grainAt(x, y, seed) - 0.5) * 46 * left
      for (let c = 0; c < 3; c++) out[at + c] = Math.max(0, Math.min(255, data[from + c]! + speck))
    }
  }
  return { width, height, data: out }
}

/** What a picture is made from beside its scene. */
export interface Making extends Variation {
  /** How far it is worked out, 0 to 1; from a third on nothing more is seen to be missing. */
  finish: number
  base?: Guided['base'] | undefined
}

/** A scene drawn, taken through its medium, and written as a PNG that carries `xmp`. The same values give the same bytes. */
export async function makePicture(guided: Guided, seed: number, width: number, height: number, xmp: string, making: Making): Promise<{ png: Buffer; drawn: NonNullable<Scene['drawn']> }> {
  const { scene } = guided
  const { ink, paper } = paletteFor(scene)
  const { svg, drawn } = drawScene(scene, seed, width, height, { spread: making.spread, ...(guided.layout ? { layout: guided.layout } : {}), ...(guided.person === undefined ? {} : { person: guided.person }) })
  const plain = await rasterise(svg)
  const based = guided.base ? await overBase(plain, guided.base) : plain
  const finished = FINISHES[scene.medium](based, seed % 9973, bytes(ink), bytes(paper))
  const whole = guided.base?.mask ? await overBase(finished, guided.base) : finished
  return { png: await encodePng(unfinished(whole, Math.max(0, 0.33 - making.finish) * 3, seed), xmp), drawn }
}
