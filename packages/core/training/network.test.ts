import { expect, it } from 'vitest'
import { LABELS, likeliest, marginals } from '../src/read/model/chain.ts'
import { FastNetwork } from '../src/read/model/fast-network.ts'
import { GAP, type Item } from '../src/read/model/features.ts'
import { firstLayer, lastLayer, recur } from '../src/read/model/network.ts'
import { packTables, unpackTables } from '../src/read/model/tables.ts'
import { packWords } from '../src/read/words/word-table.ts'
import { type Sequence, trainNetwork } from './network.ts'

const facts = { noun1: 255, noun2: 255, verb: 255, kind1: 255, kind2: 255, kind3: 255, classes: 0, main: 255, coarse: 255, middle: 255, fine: 65_535 }

/** Words are numbers; a word's label depends on the word two before it, which no window of neighbours alone would show. */
function echo(words: number[]): Sequence {
  const items = words.map((word): Item => ({ token: { start: 0, end: 1, text: '', lower: '', kind: 'word' }, at: 0, entry: { index: -1, facts, id: 0, features: new Uint32Array(0), rows: new Uint32Array(0), slot: 0 }, gap: GAP.none, preposition: 0, context: [word] }))
  return { items, labels: Uint8Array.from(words, (_, i) => (i < 2 ? 0 : 1 + words[i - 2]!)), vectors: words.map(() => undefined) }
}

it('learns what a word far before decides, and keeps it through packing', () => {
  const all = Array.from({ length: 81 }, (_, n) => echo([n % 3, Math.floor(n / 3) % 3, Math.floor(n / 9) % 3, Math.floor(n / 27) % 3]))
  const net = trainNetwork(all, { vector: 24, input: 16, hidden: 16, epochs: 60, rate: 0.02, seed: 1, atLeast: 1, dropFeature: 0, drop: 0, decay: 0, average: 0.99 })
  const right = (network: typeof net) =>
    all.filter(({ items, labels }) => {
      const n = items.length
      const x = firstLayer(network, n, (i) => [network.index.rowOf(items[i]!.context[0]!)], () => undefined)
      const unary = lastLayer(network, n, x, recur(network, network.gates[0], x, n, false), recur(network, network.gates[1], x, n, true))
      return likeliest(n, marginals({ n, unary, pairs: network.pairs, gaps: Uint8Array.from(items, ({ gap }) => gap) }).p).join() === labels.join()
    }).length
  expect(right(net)).toBe(all.length)
  const { network, words } = unpackTables(packWords(['a', 'b', 'c'], [facts, facts, facts], Float64Array.from({ length: 72 }, (_, k) => Math.sin(k))), packTables(net, []))
  expect(right(network)).toBe(all.length)

  // The kernel says the same to within the rounding of 32-bit numbers, for texts of any length and in any order.
  const fast = FastNetwork.of(network)
  expect(fast).toBeDefined()
  for (const { items } of [echo([0, 1, 2, 0, 1, 2, 2, 1, 0]), ...all.slice(0, 9), echo([])]) {
    const vector = items.map((_, i) => words.vector(['a', 'b', 'c'][i % 3]!))
    const n = items.length
    const x = firstLayer(network, n, (i) => [network.index.rowOf(items[i]!.context[0]!)], (i) => vector[i])
    const plain = lastLayer(network, n, x, recur(network, network.gates[0], x, n, false), recur(network, network.gates[1], x, n, true))
    const gapped = items.map((item, i): Item => ({ ...item, gap: i === 0 ? GAP.start : i % 2 ? GAP.comma : GAP.none, entry: { ...item.entry, index: i % 3, slot: i } }))
    for (const held of [new Int8Array(n).fill(-1), Int8Array.from(items, (_, i) => (i === 2 ? 5 : -1))]) {
      const unary = plain.slice()
      if (held[2]! > 0) for (let y = 0; y < LABELS; y++) if (y !== 5) unary[2 * LABELS + y] = -1e4
      const p = fast!.probabilities(gapped, held, words)
      const { p: expected } = marginals({ n, unary, pairs: network.pairs, gaps: Uint8Array.from(gapped, ({ gap }) => gap) })
      expect(p).toHaveLength(expected.length)
      p.forEach((share, k) => expect(share).toBeCloseTo(expected[k]!, 4))
    }
  }
})
