import { type GraphModel, loadGraphModel } from '@tensorflow/tfjs-converter'
import * as tf from '@tensorflow/tfjs-core'
import { setWasmPaths } from '@tensorflow/tfjs-backend-wasm'
import { createHash } from 'node:crypto'
import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { dirname } from 'node:path'

const require = createRequire(import.meta.url)

interface GraphFile {
  modelTopology: object
  weightsManifest: { weights: tf.io.WeightsManifestEntry[] }[]
}

let ready: Promise<void> | undefined
/** The same numbers on every machine: WebAssembly, one thread. */
const calculating = (): Promise<void> =>
  (ready ??= (async () => {
    setWasmPaths(`${dirname(require.resolve('@tensorflow/tfjs-backend-wasm'))}/`)
    await tf.setBackend('wasm')
    await tf.ready()
  })())

/**
 * A network from its two files in packages/server/models.
 * @throws when the weights are not those that were shipped.
 */
export async function graph(name: string, sha256: string): Promise<GraphModel> {
  await calculating()
  const file = (end: string) => readFile(require.resolve(`@idolon/server/models/${name}.${end}`))
  const [topology, weights] = await Promise.all([file('json'), file('bin')])
  if (createHash('sha256').update(weights).digest('hex') !== sha256) throw new Error(`The weights of ${name} are not those that were shipped.`)
  const { modelTopology, weightsManifest } = JSON.parse(topology.toString('utf8')) as GraphFile
  const weightData = new Uint8Array(weights).buffer
  return loadGraphModel({ load: () => Promise.resolve({ modelTopology, weightSpecs: weightsManifest.flatMap((group) => group.weights), weightData }) })
}
