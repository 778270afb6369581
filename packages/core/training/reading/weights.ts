import { readFileSync } from 'node:fs'
import { FeatureIndex } from '../../src/read/model/feature-index.ts'
import { LABELS } from '../../src/read/model/chain.ts'
import { outputWidth, ROWS_OUT, type Network } from '../../src/read/model/network.ts'

interface Header {
  vector: number
  input: number
  hidden: number
  parts: { name: string; count: number }[]
}

/** The network that train.py wrote: the length of a header (32-bit, little-endian), the header as JSON, then 32-bit numbers part by part. */
export function readWeights(file: string): Network {
  const bytes = readFileSync(file)
  const length = bytes.readUInt32LE(0)
  const { vector, input, hidden, parts } = JSON.parse(bytes.toString('utf8', 4, 4 + length)) as Header
  let at = 4 + length
  const found = new Map<string, Buffer>()
  for (const { name, count } of parts) {
    found.set(name, bytes.subarray(at, at + 4 * count))
    at += 4 * count
  }
  const numbers = (name: string): Float64Array => {
    const part = found.get(name) ?? Buffer.alloc(0)
    return Float64Array.from({ length: part.length / 4 }, (_, i) => part.readFloatLE(4 * i))
  }
  const keys = found.get('keys') ?? Buffer.alloc(0)
  // The reader's last layer has its rows rounded up.
  const output = new Float64Array(ROWS_OUT * outputWidth({ vector, input, hidden }))
  output.set(numbers('output').subarray(0, LABELS * outputWidth({ vector, input, hidden })))
  return {
    vector,
    input,
    hidden,
    index: new FeatureIndex(Uint32Array.from({ length: keys.length / 4 }, (_, i) => keys.readUInt32LE(4 * i))),
    rows: numbers('rows'),
    project: numbers('project'),
    bias: numbers('bias'),
    gates: [numbers('forwards'), numbers('backwards')],
    output,
    pairs: numbers('pairs'),
  }
}
