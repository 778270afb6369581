import type { Pose, Raster } from '@idolon/core/look'
import type { GraphModel } from '@tensorflow/tfjs-converter'
import * as tf from '@tensorflow/tfjs-core'
import { fitted } from './fitted.ts'
import { graph } from './graph.ts'

const EDGE = 256
const JOINTS = 17
const LEAST = 0.15
let model: Promise<GraphModel> | undefined

/** People by their joints, six at most (MoveNet, multi-pose). */
export async function poses(raster: Raster): Promise<Pose[]> {
  model ??= graph('movenet-multipose', '19828492d4a69c2e08915916c70f4d22c421c3b59152dfa5601834fc54f54118')
  const [network, square] = await Promise.all([model, fitted(raster, EDGE)])
  const input = tf.tensor(Int32Array.from(square.rgb), [1, EDGE, EDGE, 3], 'int32')
  const output = network.execute(input) as tf.Tensor3D
  const rows = (await output.array())[0]!
  tf.dispose([input, output])
  const x = (share: number) => square.x(share * EDGE)
  const y = (share: number) => square.y(share * EDGE)
  return rows.flatMap((row) => {
    const [y0, x0, y1, x1, score] = row.slice(JOINTS * 3)
    if (score! < LEAST) return []
    const joints = Array.from({ length: JOINTS }, (_, i) => ({ x: x(row[i * 3 + 1]!), y: y(row[i * 3]!), score: row[i * 3 + 2]! }))
    return { score: score!, box: [x(x0!), y(y0!), x(x1!), y(y1!)], joints }
  })
}
