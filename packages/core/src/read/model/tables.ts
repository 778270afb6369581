import type { Calibration } from '../phrases.ts'
import { asciiBytes, asciiText } from './ascii.ts'
import { WordTable } from '../words/word-table.ts'
import { FeatureIndex } from './feature-index.ts'
import type { Network, Shape } from './network.ts'

/** All that reading needs beside the code, made by the scripts in training/. */
export interface ReadingTables {
  words: WordTable
  network: Network
  calibration: Calibration
}

interface Header extends Shape {
  version: number
  calibration: Calibration
  /** Length of each part in bytes, in order, and the number its whole numbers are multiplied by; 1 for parts that are bytes. */
  parts: { name: string; bytes: number; scale: number }[]
}

const VERSION = 2
const NUMBERS = ['project', 'bias', 'forwards', 'backwards', 'output', 'pairs'] as const

/** Rounds numbers to 8 bits, the largest to 127. */
function rounded(numbers: ArrayLike<number>): { bytes: Uint8Array; scale: number } {
  let top = 1e-9
  for (let i = 0; i < numbers.length; i++) top = Math.max(top, Math.abs(numbers[i]!))
  const scale = top / 127
  const whole = Int8Array.from({ length: numbers.length }, (_, i) => Math.round(numbers[i]! / scale))
  return { bytes: new Uint8Array(whole.buffer), scale }
}

/** A row's numbers lie between -MOST and MOST of its own step. */
const MOST = 7

/**
 * Rounds the rows of features, most of the file, to 4 bits, two a byte: each row has a step of its own, the one of 1 to 255
 * parts of the widest that its largest number needs. `sizes` has those parts, and `scale` is the size of one.
 */
function packRows(rows: Float64Array, width: number): { steps: Uint8Array; sizes: Uint8Array; scale: number } {
  const tops = Array.from({ length: rows.length / width }, (_, row) => rows.subarray(row * width, (row + 1) * width).reduce((top, number) => Math.max(top, Math.abs(number)), 0))
  const scale = (tops.reduce((top, own) => Math.max(top, own), 0) / MOST || 1) / 255
  const sizes = Uint8Array.from(tops, (top) => Math.max(1, Math.ceil(top / MOST / scale - 1e-9)))
  const steps = new Uint8Array(rows.length / 2)
  rows.forEach((number, i) => {
    const step = Math.round(number / (sizes[Math.floor(i / width)]! * scale)) + MOST + 1
    steps[i >> 1]! |= step << (4 * (i & 1))
  })
  return { steps, sizes, scale }
}

const unpackRows = (steps: Uint8Array, sizes: Uint8Array, scale: number, width: number): Float64Array =>
  Float64Array.from({ length: steps.length * 2 }, (_, i) => (((steps[i >> 1]! >> (4 * (i & 1))) & 15) - MOST - 1) * sizes[Math.floor(i / width)]! * scale)

/** The network as one file: the length of the header (32-bit, little-endian), the header as JSON, the parts. */
export function packTables(network: Network, calibration: Calibration): Uint8Array {
  const keys = new Uint8Array(network.index.features.slice().buffer)
  const numbers: Record<(typeof NUMBERS)[number], ArrayLike<number>> = {
    project: network.project,
    bias: network.bias,
    forwards: network.gates[0],
    backwards: network.gates[1],
    output: network.output,
    pairs: network.pairs,
  }
  const rows = packRows(network.rows, network.input)
  const parts = [
    { name: 'keys', bytes: keys, scale: 1 },
    { name: 'rows', bytes: rows.steps, scale: rows.scale },
    { name: 'row sizes', bytes: rows.sizes, scale: 1 },
    ...NUMBERS.map((name) => ({ name, ...rounded(numbers[name]) })),
  ]
  const { vector, input, hidden } = network
  const header: Header = { version: VERSION, vector, input, hidden, calibration, parts: parts.map(({ name, bytes, scale }) => ({ name, bytes: bytes.length, scale })) }
  const head = asciiBytes(JSON.stringify(header))
  const file = new Uint8Array(4 + head.length + parts.reduce((sum, { bytes }) => sum + bytes.length, 0))
  new DataView(file.buffer).setUint32(0, head.length, true)
  file.set(head, 4)
  let at = 4 + head.length
  for (const { bytes } of parts) {
    file.set(bytes, at)
    at += bytes.length
  }
  return file
}

/** The tables from their two files, words.bin and reader.bin. @throws when the bytes are no tables of this version. */
export function unpackTables(words: Uint8Array, file: Uint8Array): ReadingTables {
  const length = new DataView(file.buffer, file.byteOffset, file.byteLength).getUint32(0, true)
  const { version, vector, input, hidden, calibration, parts } = JSON.parse(asciiText(file.subarray(4, 4 + length))) as Header
  if (version !== VERSION) throw new Error(`The reading's tables are of version ${version}, not ${VERSION}.`)
  let at = 4 + length
  const found = new Map<string, { bytes: Uint8Array; scale: number }>()
  for (const part of parts) {
    // A copy, since wider numbers must be aligned.
    found.set(part.name, { bytes: new Uint8Array(file.subarray(at, at + part.bytes)), scale: part.scale })
    at += part.bytes
  }
  const bytesOf = (name: string) => found.get(name)?.bytes ?? new Uint8Array()
  const numbersOf = (name: string): Float64Array => {
    const { bytes, scale } = found.get(name) ?? { bytes: new Uint8Array(), scale: 1 }
    return Float64Array.from(new Int8Array(bytes.buffer), (whole) => whole * scale)
  }
  const keys = new Uint32Array(bytesOf('keys').buffer)
  return {
    words: new WordTable(words),
    calibration,
    network: {
      vector,
      input,
      hidden,
      index: new FeatureIndex(keys),
      rows: unpackRows(bytesOf('rows'), bytesOf('row sizes'), found.get('rows')?.scale ?? 1, input),
      project: numbersOf('project'),
      bias: numbersOf('bias'),
      gates: [numbersOf('forwards'), numbersOf('backwards')],
      output: numbersOf('output'),
      pairs: numbersOf('pairs'),
    },
  }
}
