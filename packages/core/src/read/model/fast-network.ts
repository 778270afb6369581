import { LABELS } from './chain.ts'
import type { WordTable } from '../words/word-table.ts'
import { type Item, MOST_FEATURES } from './features.ts'
import { KERNEL } from './kernel.ts'
import { gateWidth, type Network, outputWidth, ROWS_OUT } from './network.ts'

/** The part of the language's WebAssembly interface that is used here; core is typed without any platform's library. */
interface Wasm {
  Module: new (bytes: Uint8Array) => object
  Instance: new (module: object) => { exports: unknown }
}
interface Kernel {
  memory: { readonly buffer: ArrayBuffer; grow(pages: number): number }
  addProducts(out: number, from: number, fromStep: number, matrix: number, x: number, rows: number, columns: number, n: number): void
  addRows(out: number, from: number, matrix: number, list: number, width: number, n: number): void
  rectify(at: number, count: number): void
  recur(sums: number, toGates: number, toCandidate: number, recurrent: number, h: number, n: number, hidden: number, backwards: number): void
}

const PAGE = 65_536
/** Words after which the chain's numbers are brought back to a sum of one; each word changes them by a few orders of magnitude at most. */
const EVEN_EVERY = 4
/** Bytes of one gap's pairs. */
const PAIRS = ROWS_OUT ** 2 * 4

/** Where one direction's weights lie in memory. */
interface Direction {
  fromInput: number
  toGates: number
  toCandidate: number
  bias: number
}

/**
 * The network and the chain over its labels in 32-bit numbers, by a kernel of fixed-width SIMD (kernel.wat): the same
 * as network.ts and chain.ts to within rounding, several times as fast. Layers must be multiples of 16 wide.
 */
export class FastNetwork {
  readonly #kernel: Kernel
  /** Where the next words may be kept, in bytes. */
  #free = 0
  readonly #bias: number
  readonly #rows: number
  readonly #project: number
  readonly #directions: [Direction, Direction]
  readonly #output: { forwards: number; backwards: number; input: number; bias: number }

  /** What each pair of neighbouring labels weighs, by the gap between them: columns by the label before, and by the label after. */
  readonly #pairs: { forwards: number; backwards: number }
  readonly #zeros: number

  private constructor(
    private readonly net: Network,
    kernel: Kernel,
  ) {
    this.#kernel = kernel
    this.#zeros = this.#keep(new Float32Array(ROWS_OUT))
    const pairs = (turned: boolean) => {
      const kept = new Float32Array((net.pairs.length / LABELS ** 2) * ROWS_OUT ** 2)
      net.pairs.forEach((score, at) => {
        const [gap, x, y] = [Math.floor(at / LABELS ** 2), Math.floor(at / LABELS) % LABELS, at % LABELS]
        kept[gap * ROWS_OUT ** 2 + (turned ? y * ROWS_OUT + x : x * ROWS_OUT + y)] = Math.exp(score)
      })
      return this.#keep(kept)
    }
    this.#pairs = { forwards: pairs(false), backwards: pairs(true) }
    const { input, hidden, vector } = net
    const width = gateWidth(net)
    this.#bias = this.#keep(net.bias)
    this.#rows = this.#keep(net.rows)
    // The kernel reads a matrix column by column.
    this.#project = this.#turned(net.project, 0, input, vector, 0, vector)
    const direction = (weights: Float64Array): Direction => ({
      fromInput: this.#turned(weights, 0, 3 * hidden, width, 0, input),
      toGates: this.#turned(weights, 0, 2 * hidden, width, input, hidden),
      toCandidate: this.#turned(weights, 2 * hidden, hidden, width, input, hidden),
      bias: this.#turned(weights, 0, 3 * hidden, width, width - 1, 1),
    })
    this.#directions = [direction(net.gates[0]), direction(net.gates[1])]
    const out = outputWidth(net)
    this.#output = {
      forwards: this.#turned(net.output, 0, ROWS_OUT, out, 0, hidden),
      backwards: this.#turned(net.output, 0, ROWS_OUT, out, hidden, hidden),
      input: this.#turned(net.output, 0, ROWS_OUT, out, 2 * hidden, input),
      bias: this.#turned(net.output, 0, ROWS_OUT, out, out - 1, 1),
    }
  }

  /** Undefined where the platform has no such kernel, or the network is not of a fitting width. */
  static of(net: Network): FastNetwork | undefined {
    const wasm = (globalThis as { WebAssembly?: Wasm }).WebAssembly
    if (!wasm || net.input % 16 || net.hidden % 16) return undefined
    try {
      const bytes = Uint8Array.from(KERNEL.match(/../g) ?? [], (pair) => Number.parseInt(pair, 16))
      return new FastNetwork(net, new wasm.Instance(new wasm.Module(bytes)).exports as Kernel)
    } catch {
      return undefined
    }
  }

  /**
   * How probable each label of each word is, n x LABELS; see chain.ts. `held` has the one label a word may have, or -1.
   */
  probabilities(items: readonly Item[], held: Int8Array, words: WordTable): Float64Array {
    const n = items.length
    if (n === 0) return new Float64Array(0)
    const { input, hidden, vector } = this.net
    const kernel = this.#kernel
    const all = 3 * hidden
    const start = this.#free
    const xAt = this.#place(n * input)
    const listAt = this.#place(n * (MOST_FEATURES + 1))
    const vectorAt = this.#place(n * vector)
    const sumsAt = this.#place(n * all)
    const recurrentAt = this.#place(hidden)
    const hAt = [this.#place((n + 2) * hidden), this.#place((n + 2) * hidden)] as const
    const scoresAt = this.#place(n * ROWS_OUT)
    const [alphaAt, betaAt, afterAt] = [this.#place(n * ROWS_OUT), this.#place(n * ROWS_OUT), this.#place(ROWS_OUT)]
    this.#free = start
    // Views are made once the memory has grown to what is needed.
    const memory = new Float32Array(kernel.memory.buffer)
    const list = new Uint32Array(kernel.memory.buffer)
    memory.fill(0, vectorAt / 4, vectorAt / 4 + n * vector)
    for (let i = 0, at = listAt / 4; i < n; i++) {
      const { entry, context } = items[i]!
      let end = at + 1
      for (let k = 0; k < entry.rows.length; k++) list[end++] = entry.rows[k]!
      for (let k = 0; k < context.length; k++) {
        const row = this.net.index.rowOf(context[k]!)
        if (row >= 0) list[end++] = row
      }
      list[at] = end - at - 1
      at = end
      words.vectorInto(entry.index, memory, vectorAt / 4 + i * vector)
    }
    kernel.addRows(xAt, this.#bias, this.#rows, listAt, input, n)
    kernel.addProducts(xAt, xAt, input * 4, this.#project, vectorAt, input, vector, n)
    kernel.rectify(xAt, n * input)
    this.#directions.forEach(({ fromInput, toGates, toCandidate, bias }, backwards) => {
      kernel.addProducts(sumsAt, bias, 0, fromInput, xAt, all, input, n)
      // A row of zeros on either side, where a direction begins.
      const h = hAt[backwards]!
      memory.fill(0, h / 4, h / 4 + hidden)
      memory.fill(0, h / 4 + (n + 1) * hidden, h / 4 + (n + 2) * hidden)
      kernel.recur(sumsAt, toGates, toCandidate, recurrentAt, h + hidden * 4, n, hidden, backwards)
    })
    const { bias, forwards, backwards, input: fromInput } = this.#output
    kernel.addProducts(scoresAt, bias, 0, forwards, hAt[0] + hidden * 4, ROWS_OUT, hidden, n)
    kernel.addProducts(scoresAt, scoresAt, ROWS_OUT * 4, backwards, hAt[1] + hidden * 4, ROWS_OUT, hidden, n)
    kernel.addProducts(scoresAt, scoresAt, ROWS_OUT * 4, fromInput, xAt, ROWS_OUT, input, n)
    return this.#marginals(memory, items, held, scoresAt, alphaAt, betaAt, afterAt)
  }

  /** Forwards and backwards over the chain, as in chain.ts, in rows of ROWS_OUT. The scores' place is used up. */
  #marginals(memory: Float32Array, items: readonly Item[], held: Int8Array, scoresAt: number, alphaAt: number, betaAt: number, afterAt: number): Float64Array {
    const n = items.length
    const kernel = this.#kernel
    const row = (at: number, i: number) => at / 4 + i * ROWS_OUT
    /** Divides a row by its sum, so that no number grows out of bounds. */
    const even = (from: number) => {
      let sum = 0
      for (let y = 0; y < LABELS; y++) sum += memory[from + y]!
      for (let y = 0; y < LABELS; y++) memory[from + y]! /= sum
    }
    for (let i = 0; i < n; i++) {
      const at = row(scoresAt, i)
      let top = -Infinity
      for (let y = 0; y < LABELS; y++) if (memory[at + y]! > top) top = memory[at + y]!
      for (let y = 0; y < ROWS_OUT; y++) memory[at + y] = y < LABELS && (held[i]! < 0 || held[i] === y) ? Math.exp(memory[at + y]! - top) : 0
    }
    for (let i = 0; i < n; i++) {
      const at = row(alphaAt, i)
      const pairs = this.#pairs.forwards + items[i]!.gap * PAIRS
      if (i === 0) for (let y = 0; y < ROWS_OUT; y++) memory[at + y] = memory[pairs / 4 + y]!
      else kernel.addProducts(at * 4, this.#zeros, 0, pairs, row(alphaAt, i - 1) * 4, ROWS_OUT, ROWS_OUT, 1)
      for (let y = 0; y < ROWS_OUT; y++) memory[at + y]! *= memory[row(scoresAt, i) + y]!
      if (i % EVEN_EVERY === 0) even(at)
    }
    memory.fill(1, row(betaAt, n - 1), row(betaAt, n))
    for (let i = n - 2; i >= 0; i--) {
      for (let y = 0; y < ROWS_OUT; y++) memory[afterAt / 4 + y] = memory[row(scoresAt, i + 1) + y]! * memory[row(betaAt, i + 1) + y]!
      kernel.addProducts(row(betaAt, i) * 4, this.#zeros, 0, this.#pairs.backwards + items[i + 1]!.gap * PAIRS, afterAt, ROWS_OUT, ROWS_OUT, 1)
      if (i % EVEN_EVERY === 0) even(row(betaAt, i))
    }
    const p = new Float64Array(n * LABELS)
    for (let i = 0; i < n; i++) {
      let sum = 0
      for (let y = 0; y < LABELS; y++) sum += p[i * LABELS + y] = memory[row(alphaAt, i) + y]! * memory[row(betaAt, i) + y]!
      for (let y = 0; y < LABELS; y++) p[i * LABELS + y]! /= sum
    }
    return p
  }

  /** Room for so many 32-bit numbers; its address. */
  #place(count: number): number {
    const at = this.#free
    this.#free = Math.ceil((at + count * 4) / 16) * 16
    const short = this.#free - this.#kernel.memory.buffer.byteLength
    if (short > 0) this.#kernel.memory.grow(Math.ceil(short / PAGE))
    return at
  }

  #keep(numbers: ArrayLike<number>): number {
    const at = this.#place(numbers.length)
    new Float32Array(this.#kernel.memory.buffer).set(numbers, at / 4)
    return at
  }

  /** A part of a matrix of rows of `width`, kept column by column. */
  #turned(matrix: Float64Array, from: number, rows: number, width: number, skip: number, columns: number): number {
    return this.#keep(Float32Array.from({ length: rows * columns }, (_, at) => matrix[(from + (at % rows)) * width + skip + Math.floor(at / rows)]!))
  }
}
