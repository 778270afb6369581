import { expect, it } from 'vitest'
import { bestPath } from '../src/read/model/chain.ts'
import { GAPS, type Item } from '../src/read/model/features.ts'
import { firstLayer, lastLayer, recur } from '../src/read/model/network.ts'
import { packTables, unpackTables } from '../src/read/model/tables.ts'
import { packWords } from '../src/read/words/word-table.ts'
import { type Sequence, trainNetwork } from './network.ts'

/** Words are numbers; a word's label depends on the word two before it, which no window of neighbours alone would show. */
function echo(words: number[]): Sequence {
  const items = words.map((word): Item => ({ token: { start: 0, end: 1, text: '', lower: '', kind: 'word' }, at: 0, gap: 'none', preposition: 0, features: Uint32Array.of(word) }))
  return { items, labels: Uint8Array.from(words, (_, i) => (i < 2 ? 0 : 1 + words[i - 2]!)), vectors: words.map(() => undefined) }
}

it('learns what a word far before decides, and keeps it through packing', () => {
  const all = Array.from({ length: 81 }, (_, n) => echo([n % 3, Math.floor(n / 3) % 3, Math.floor(n / 9) % 3, Math.floor(n / 27) % 3]))
  const net = trainNetwork(all, { vector: 24, input: 12, hidden: 12, epochs: 60, rate: 0.02, seed: 1, atLeast: 1, dropFeature: 0, drop: 0, decay: 0 })
  const right = (network: typeof net) =>
    all.filter(({ items, labels }) => {
      const n = items.length
      const x = firstLayer(network, n, (i) => [network.index.get(items[i]!.features[0]!)!], () => undefined)
      const unary = lastLayer(network, n, x, recur(network, network.gates[0], x, n, false), recur(network, network.gates[1], x, n, true))
      return bestPath({ n, unary, pairs: network.pairs, gaps: Uint8Array.from(items, ({ gap }) => GAPS.indexOf(gap)) }).join() === labels.join()
    }).length
  expect(right(net)).toBe(all.length)
  const { network } = unpackTables(packWords([], [], []), packTables(net, []))
  expect(right(network)).toBe(all.length)
}, 60_000)
