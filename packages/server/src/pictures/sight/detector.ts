import type { Raster, Sighting } from '@idolon/core/look'
import type { GraphModel } from '@tensorflow/tfjs-converter'
import * as tf from '@tensorflow/tfjs-core'
import { fitted } from './fitted.ts'
import { graph } from './graph.ts'

const EDGE = 512
const LEAST = 0.15
let model: Promise<GraphModel> | undefined

/** What the network answers to, coarser and coarser: its blocks after which a picture's style is taken. */
const STYLE = [5, 9, 11, 14].map((block) => `tower_0/MobilenetV3/expanded_conv_${block}/add`)

export interface Detected {
  /** Things of the eighty kinds of COCO (Lin et al. 2014); several kinds may be said of one place. */
  sightings: Sighting[]
  /** Of each channel of four blocks its mean over the picture and its deviation. */
  style: number[]
}

/** Means and deviations of channels over the part of the square that is picture. */
async function styleOf(answers: readonly tf.Tensor4D[], { width, height }: Raster): Promise<number[]> {
  const long = Math.max(width, height)
  const style: number[] = []
  for (const answer of answers) {
    const [, rows, columns, channels] = answer.shape
    const values = await answer.data()
    const [h, w] = [Math.max(1, Math.round((rows * height) / long)), Math.max(1, Math.round((columns * width) / long))]
    const [top, left] = [(rows - h) >> 1, (columns - w) >> 1]
    const sums = new Float64Array(channels)
    const squares = new Float64Array(channels)
    for (let y = top; y < top + h; y++)
      for (let x = left; x < left + w; x++)
        for (let c = 0, at = (y * columns + x) * channels; c < channels; c++, at++) {
          sums[c]! += values[at]!
          squares[c]! += values[at]! ** 2
        }
    sums.forEach((sum, c) => {
      const mean = sum / (h * w)
      style.push(mean, Math.sqrt(Math.max(0, squares[c]! / (h * w) - mean * mean)))
    })
  }
  return style
}

/** What the detector makes of a picture: CenterNet (Zhou et al. 2019) on MobileNet (Howard et al. 2019). */
export async function detect(raster: Raster): Promise<Detected> {
  model ??= graph('centernet', '1b635a15009071f506f9f2b3519b31c072c534888989f30d269ffd44734ef7ef')
  const [network, square] = await Promise.all([model, fitted(raster, EDGE)])
  const input = tf.tensor(Float32Array.from(square.rgb), [1, EDGE, EDGE, 3], 'float32')
  const [found, ...answers] = network.execute(input, ['tower_0/detections', ...STYLE]) as [tf.Tensor3D, ...tf.Tensor4D[]]
  const [rows, style] = [(await found.array())[0]!, await styleOf(answers, raster)]
  tf.dispose([input, found, ...answers])
  const sightings = rows.flatMap(([x0, y0, x1, y1, score, kind]): Sighting[] =>
    score! < LEAST ? [] : [{ kind: kind!, score: score!, box: [square.x(x0!), square.y(y0!), square.x(x1!), square.y(y1!)] }],
  )
  return { sightings, style }
}
