import { expect, it } from 'vitest'
import { normal } from '../../random/normal.ts'
import { seededRandom } from '../../random/seeded.ts'
import { packWords, VECTOR } from '../words/word-table.ts'
import { LABELS, marginals } from './chain.ts'
import { FastNetwork } from './fast-network.ts'
import { FeatureIndex } from './feature-index.ts'
import { GAP, GAPS, type Sequence } from './features.ts'
import { gateWidth, type Network, outputWidth, ROWS_OUT, scoresOf } from './network.ts'
import { packTables, unpackTables } from './tables.ts'

const facts = { noun1: 255, noun2: 255, verb: 255, kind1: 255, kind2: 255, kind3: 255, classes: 0, main: 255, coarse: 255, middle: 255, fine: 65_535 }
const FEATURES = Uint32Array.of(11, 22, 33, 44)
const shape = { vector: VECTOR, input: 32, hidden: 16 }

function randomNetwork(): Network {
  const random = seededRandom(5)
  const numbers = (count: number) => Float64Array.from({ length: count }, () => normal(random) * 0.4)
  const output = numbers(ROWS_OUT * outputWidth(shape))
  return {
    ...shape,
    index: new FeatureIndex(FEATURES),
    rows: numbers(FEATURES.length * shape.input),
    project: numbers(shape.input * shape.vector),
    bias: numbers(shape.input),
    gates: [numbers(3 * shape.hidden * gateWidth(shape)), numbers(3 * shape.hidden * gateWidth(shape))],
    output,
    pairs: numbers(GAPS * LABELS * LABELS),
  }
}

/** Every second step is a word that gets a facet. */
function sequence(length: number): Sequence {
  const entry = (i: number) => ({ index: (i % 4) - 1, facts, id: i, features: Uint32Array.of(FEATURES[i % 4]!), rows: Uint32Array.of(i % 4), slot: i % 4 })
  const entries = [0, 1, 2, 3].map(entry)
  const steps = Array.from({ length }, (_, i) => ({ entry: entries[i % 4]!, context: i % 3 ? [22] : [44, 99] }))
  const items = steps.flatMap((_, step) => (step % 2 ? [] : [{ token: { start: step, end: step + 1, text: 'a', lower: 'a', kind: 'word' as const }, at: step, step, gap: step === 0 ? GAP.start : step % 4 ? GAP.comma : GAP.none }]))
  return { steps, items }
}

it('is the same after packing, to within the rounding, and by the kernel as by the plain code', () => {
  const net = randomNetwork()
  const { network, words } = unpackTables(packWords(['a', 'b', 'c'], [facts, facts, facts], Float64Array.from({ length: 3 * VECTOR }, (_, k) => Math.sin(k))), packTables(net, []))
  for (const name of ['project', 'bias', 'output', 'pairs'] as const) {
    const step = Math.max(...net[name].map(Math.abs)) / 127
    expect(network[name]).toHaveLength(net[name].length)
    network[name].forEach((number, i) => expect(Math.abs(number - net[name][i]!)).toBeLessThanOrEqual(step / 2 + 1e-9))
  }
  // A feature's row has sixteen steps of its own, up to its largest number or a little over.
  for (let row = 0; row < FEATURES.length; row++) {
    const own = net.rows.subarray(row * shape.input, (row + 1) * shape.input)
    const step = Math.max(...own.map(Math.abs)) / 7
    own.forEach((number, k) => expect(Math.abs(number - network.rows[row * shape.input + k]!)).toBeLessThanOrEqual(step * 0.52))
  }
  const fast = FastNetwork.of(network)!
  expect(fast).toBeDefined()
  for (const length of [9, 1, 2, 40, 0]) {
    const given = sequence(length)
    const n = given.items.length
    for (const held of [new Int8Array(n).fill(-1), Int8Array.from(given.items, (_, i) => (i === 2 ? 5 : -1))]) {
      const unary = scoresOf(network, given, words)
      held.forEach((label, i) => {
        if (label >= 0) for (let y = 0; y < LABELS; y++) if (y !== label) unary[i * LABELS + y] = -1e4
      })
      const { p: expected } = marginals({ n, unary, pairs: network.pairs, gaps: Uint8Array.from(given.items, ({ gap }) => gap) })
      const p = fast.probabilities(given, held, words)
      expect(p).toHaveLength(n * LABELS)
      p.forEach((share, k) => expect(share).toBeCloseTo(expected[k]!, 3))
    }
  }
})
