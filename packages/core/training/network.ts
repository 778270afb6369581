import { type Random, seededRandom } from '../src/random/seeded.ts'
import { LABELS, marginals } from '../src/read/model/chain.ts'
import { FeatureIndex } from '../src/read/model/feature-index.ts'
import { featuresOf, GAPS, type Item } from '../src/read/model/features.ts'
import { gateWidth, lastLayer, type Network, outputWidth, recur, ROWS_OUT, type Shape } from '../src/read/model/network.ts'

export interface Sequence {
  items: readonly Item[]
  /** The right label of each item. */
  labels: Uint8Array
  /** The vector of each item's word, or undefined. */
  vectors: readonly (Float64Array | undefined)[]
  /** The same prompt otherwise put, which half the time is learned from in its place. */
  otherwise?: readonly Sequence[]
}
export interface Options extends Shape {
  epochs: number
  rate: number
  seed: number
  /** Features seen less often are left out. */
  atLeast: number
  /** The chance that a feature, or a number between the layers, is left out of a step (Srivastava et al. 2014). */
  dropFeature: number
  drop: number
  decay: number
  /** How much of the running mean of the weights, which is what is kept in the end, stays at each step (Polyak & Juditsky 1992). */
  average: number
}

const SQUARE = LABELS * LABELS

/** Adam (Kingma & Ba 2015) with weight decay kept apart from the gradient (Loshchilov & Hutter 2019). */
class Adam {
  readonly g: Float64Array
  readonly #m: Float64Array
  readonly #v: Float64Array
  #t = 0
  #mean: Float64Array
  constructor(readonly w: Float64Array) {
    this.#mean = w.slice()
    this.g = new Float64Array(w.length)
    this.#m = new Float64Array(w.length)
    this.#v = new Float64Array(w.length)
  }
  step(rate: number, decay: number, ranges?: Iterable<[number, number]>): void {
    this.#t++
    const t = Math.min(this.#t, 2_000)
    const fix = Math.sqrt(1 - 0.999 ** t) / (1 - 0.9 ** t)
    for (const [from, to] of ranges ?? [[0, this.w.length]]) {
      for (let k = from; k < to; k++) {
        const g = this.g[k]!
        this.#m[k] = 0.9 * this.#m[k]! + 0.1 * g
        this.#v[k] = 0.999 * this.#v[k]! + 0.001 * g * g
        this.w[k]! -= rate * ((fix * this.#m[k]!) / (Math.sqrt(this.#v[k]!) + 1e-8) + decay * this.w[k]!)
        this.g[k] = 0
      }
    }
  }
  /** Draws the running mean towards the weights. */
  follow(share: number): void {
    for (let k = 0; k < this.w.length; k++) this.#mean[k]! += share * (this.w[k]! - this.#mean[k]!)
  }
  /** Makes the running mean the weights. */
  settle(): void {
    this.w.set(this.#mean)
  }
}
/** Steps between two looks at the running mean of the weights. */
const FOLLOW_EVERY = 8

const randomly = (length: number, scale: number, random: Random) => Float64Array.from({ length }, () => (random() * 2 - 1) * scale)

export function trainNetwork(sequences: readonly Sequence[], options: Options): Network {
  const { input, hidden, vector, epochs, seed, atLeast, dropFeature, drop, decay, average } = options
  const counts = new Map<number, number>()
  for (const { items } of sequences) for (const item of items) for (const feature of featuresOf(item)) counts.set(feature, (counts.get(feature) ?? 0) + 1)
  const index = new FeatureIndex(Uint32Array.from([...counts].filter(([, count]) => count >= atLeast), ([feature]) => feature))
  const random = seededRandom(seed)
  const width = gateWidth(options)
  const net: Network = {
    input,
    hidden,
    vector,
    index,
    rows: randomly(index.size * input, 0.05, random),
    project: randomly(input * vector, 0.15, random),
    bias: new Float64Array(input).fill(0.05),
    gates: [randomly(3 * hidden * width, 1 / Math.sqrt(width), random), randomly(3 * hidden * width, 1 / Math.sqrt(width), random)],
    output: randomly(ROWS_OUT * outputWidth(options), 1 / Math.sqrt(outputWidth(options)), random),
    pairs: new Float64Array(GAPS * SQUARE),
  }
  const rows = new Adam(net.rows)
  const project = new Adam(net.project)
  const bias = new Adam(net.bias)
  const gates = net.gates.map((w) => new Adam(w))
  const output = new Adam(net.output)
  const pairs = new Adam(net.pairs)
  const parts = [rows, project, bias, ...gates, output, pairs]
  const ids = new Map(sequences.flatMap((sequence) => [sequence, ...(sequence.otherwise ?? [])]).map((sequence) => [sequence, sequence.items.map((item) => index.rowsOf(featuresOf(item)))]))
  const oneOf = (sequence: Sequence): Sequence => {
    const { otherwise = [] } = sequence
    return otherwise.length && random() < 0.5 ? otherwise[Math.floor(random() * otherwise.length)]! : sequence
  }
  const order = sequences.map((_, i) => i).filter((s) => sequences[s]!.items.length > 0)
  const BATCH = 4
  let steps = 0
  const total = epochs * Math.ceil(order.length / BATCH)
  for (let epoch = 0; epoch < epochs; epoch++) {
    for (let i = order.length - 1; i > 0; i--) {
      const j = Math.floor(random() * (i + 1))
      ;[order[i], order[j]] = [order[j]!, order[i]!]
    }
    let touched = new Set<number>()
    order.forEach((s, at) => {
      backward(oneOf(sequences[s]!), touched)
      if ((at + 1) % BATCH && at + 1 < order.length) return
      steps++
      // Up for a little while, then down along a cosine.
      const rate = options.rate * Math.min(1, steps / 100) * (0.5 + 0.5 * Math.cos((Math.PI * steps) / total))
      const every = function* (): Generator<[number, number]> {
        for (const row of touched) yield [row * input, (row + 1) * input]
      }
      rows.step(rate, decay, every())
      for (const part of [project, bias, ...gates, output]) part.step(rate, decay)
      pairs.step(rate, 0)
      touched = new Set()
      // Early on the mean keeps less, since there is little to average.
      const kept = Math.min(average, (1 + steps) / (10 + steps)) ** FOLLOW_EVERY
      if (steps % FOLLOW_EVERY === 0) for (const part of parts) part.follow(1 - kept)
    })
  }
  for (const part of parts) part.settle()
  return net

  function backward(sequence: Sequence, touched: Set<number>): void {
    const { items, labels, vectors } = sequence
    const rowsOf = ids.get(sequence)!
    const n = items.length
    // First layer, with features and numbers left out at random.
    const x = new Float64Array(n * input)
    const kept: number[][] = []
    const keptVector: boolean[] = []
    for (let i = 0; i < n; i++) {
      const own = rowsOf[i]!.filter(() => random() >= dropFeature)
      kept.push(own)
      for (let d = 0; d < input; d++) x[i * input + d] = net.bias[d]!
      const scale = 1 / (1 - dropFeature)
      for (const row of own) for (let d = 0; d < input; d++) x[i * input + d]! += net.rows[row * input + d]! * scale
      const v = vectors[i]
      keptVector.push(v !== undefined && random() >= 0.05)
      if (v && keptVector[i]) for (let d = 0; d < input; d++) for (let k = 0; k < vector; k++) x[i * input + d]! += net.project[d * vector + k]! * v[k]!
    }
    const maskX = new Float64Array(n * input)
    for (let k = 0; k < x.length; k++) {
      maskX[k] = x[k]! > 0 && random() >= drop ? 1 / (1 - drop) : 0
      x[k]! *= maskX[k]!
    }
    const traces = [0, 1].map(() => ({ g: new Float64Array(n * 3 * hidden), c: new Float64Array(n * hidden) }))
    const h = [recur(net, net.gates[0], x, n, false, traces[0]), recur(net, net.gates[1], x, n, true, traces[1])]
    const maskH = [0, 1].map(() => Float64Array.from({ length: n * hidden }, () => (random() >= drop ? 1 / (1 - drop) : 0)))
    const out = h.map((one, d) => one.map((value, k) => value * maskH[d]![k]!))
    const unary = lastLayer(net, n, x, out[0]!, out[1]!)
    const gaps = Uint8Array.from(items, ({ gap }) => gap)
    const { p } = marginals({ n, unary, pairs: net.pairs.slice(), gaps }, (_i, gap, a, b, probability) => {
      pairs.g[gap * SQUARE + a * LABELS + b]! += probability
    })
    for (let i = 0; i < n; i++) {
      const at = gaps[i]! * SQUARE + (i === 0 ? 0 : labels[i - 1]!) * LABELS + labels[i]!
      pairs.g[at]! -= 1
    }
    // Back through the last layer.
    const outWidth = outputWidth(net)
    const dx = new Float64Array(n * input)
    const dh = [new Float64Array(n * hidden), new Float64Array(n * hidden)]
    for (let i = 0; i < n; i++) {
      for (let y = 0; y < LABELS; y++) {
        const e = p[i * LABELS + y]! - (labels[i] === y ? 1 : 0)
        if (e === 0) continue
        const at = y * outWidth
        for (let k = 0; k < hidden; k++) {
          output.g[at + k]! += e * out[0]![i * hidden + k]!
          output.g[at + hidden + k]! += e * out[1]![i * hidden + k]!
          dh[0]![i * hidden + k]! += e * net.output[at + k]! * maskH[0]![i * hidden + k]!
          dh[1]![i * hidden + k]! += e * net.output[at + hidden + k]! * maskH[1]![i * hidden + k]!
        }
        for (let d = 0; d < input; d++) {
          output.g[at + 2 * hidden + d]! += e * x[i * input + d]!
          dx[i * input + d]! += e * net.output[at + 2 * hidden + d]!
        }
        output.g[at + outWidth - 1]! += e
      }
    }
    for (const direction of [0, 1] as const) backThrough(direction, n, x, h[direction]!, traces[direction]!, dh[direction]!, dx)
    // Back through the first layer.
    for (let i = 0; i < n; i++) {
      const scale = 1 / (1 - dropFeature)
      for (let d = 0; d < input; d++) {
        const e = dx[i * input + d]! * maskX[i * input + d]!
        dx[i * input + d] = e
        bias.g[d]! += e
      }
      for (const row of kept[i]!) {
        touched.add(row)
        for (let d = 0; d < input; d++) rows.g[row * input + d]! += dx[i * input + d]! * scale
      }
      const v = vectors[i]
      if (v && keptVector[i]) for (let d = 0; d < input; d++) for (let k = 0; k < vector; k++) project.g[d * vector + k]! += dx[i * input + d]! * v[k]!
    }
  }

  /** Back through time, one direction (Werbos 1990). */
  function backThrough(direction: 0 | 1, n: number, x: Float64Array, h: Float64Array, { g, c }: { g: Float64Array; c: Float64Array }, dh: Float64Array, dx: Float64Array): void {
    const weights = net.gates[direction]
    const grad = gates[direction]!.g
    const carry = new Float64Array(hidden)
    const zero = new Float64Array(hidden)
    const a = new Float64Array(3 * hidden)
    for (let step = n - 1; step >= 0; step--) {
      const i = direction ? n - 1 - step : step
      const j = direction ? i + 1 : i - 1
      const before = step === 0 ? zero : h.subarray(j * hidden, (j + 1) * hidden)
      const next = new Float64Array(hidden)
      for (let k = 0; k < hidden; k++) {
        const e = dh[i * hidden + k]! + carry[k]!
        const reset = g[(i * 3 + 0) * hidden + k]!
        const keep = g[(i * 3 + 1) * hidden + k]!
        const candidate = g[(i * 3 + 2) * hidden + k]!
        next[k]! += e * keep
        const dCandidate = e * (1 - keep) * (1 - candidate * candidate)
        a[hidden + k] = e * (before[k]! - candidate) * keep * (1 - keep)
        a[2 * hidden + k] = dCandidate
        a[k] = dCandidate * c[i * hidden + k]! * reset * (1 - reset)
      }
      for (let k = 0; k < 3 * hidden; k++) {
        const e = a[k]!
        if (e === 0) continue
        const at = k * width
        // The candidate sees the state before through its reset gate.
        const through = k < 2 * hidden ? e : e * g[(i * 3 + 0) * hidden + (k - 2 * hidden)]!
        for (let d = 0; d < input; d++) {
          grad[at + d]! += e * x[i * input + d]!
          dx[i * input + d]! += e * weights[at + d]!
        }
        for (let d = 0; d < hidden; d++) {
          grad[at + input + d]! += through * before[d]!
          next[d]! += through * weights[at + input + d]!
        }
        grad[at + width - 1]! += e
      }
      carry.set(next)
    }
  }
}
