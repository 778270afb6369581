import { LABELS } from './chain.ts'
import type { WordTable } from '../words/word-table.ts'
import { GAPS, MOST_FEATURES, type Sequence } from './features.ts'
import { KERNEL } from './kernel.ts'
import { gateWidth, type Network, outputWidth, ROWS_OUT } from './network.ts'
import { REMEMBERED, type WordEntry } from './word-features.ts'

/** The part of the language's WebAssembly interface that is used here; core is typed without any platform's library. */
interface Wasm {
  Module: new (bytes: Uint8Array) => object
  Instance: new (module: object) => { exports: unknown }
}
interface Kernel {
  memory: { readonly buffer: ArrayBuffer; grow(pages: number): number }
  addProducts(out: number, from: number, fromStep: number, matrix: number, x: number, rows: number, columns: number, n: number): void
  addRows(out: number, matrix: number, list: number, width: number, n: number): void
  listPositive(list: number, x: number, width: number, n: number): void
  addListed(out: number, from: number, fromStep: number, matrix: number, list: number, rows: number, width: number, n: number): void
  recur(sums: number, toGates: number, toCandidate: number, recurrent: number, h: number, n: number, hidden: number, backwards: number, scale: number): void
  chain(p: number, scores: number, list: number, back: number, room: number, n: number): void
}

const PAGE = 65_536
/** Bytes of one row of the chain, and of one gap's pairs. */
const ROW = ROWS_OUT * 4
const PAIRS = ROWS_OUT * ROW
/** What is added to the score of a label that may not be. */
const NEVER = -1e9

/** What 1 is as a whole number of what the recurrent layer carries, as in the kernel. */
const ONE = 8_191
/** Steps of the recurrent layer's weights on either side of 0: as many as leave the sum of WIDEST products within 32 bits, and a multiple of the 127 they are packed in. */
const MOST_STEPS = 127 * 16
const WIDEST = 128
const stepOf = (weights: Float64Array): number => weights.reduce((top, weight) => Math.max(top, Math.abs(weight)), 1e-9) / MOST_STEPS

/** Where one direction's weights lie in memory. */
interface Direction {
  fromInput: number
  toGates: number
  toCandidate: number
  /** What a step of the two matrices before, which are whole numbers, is worth, times one of what they are multiplied with. */
  scale: number
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

  /** What each pair of neighbouring labels weighs, by the gap between them: columns by the label before, then all again by the label after. */
  readonly #pairs: number
  /** Rows to add to a word's scores: all labels may be, then each label alone. */
  readonly #allowed: number
  /** What the first layer knows of a word by itself, a row for each slot, and whose it is. */
  readonly #own: number
  readonly #owners = new Array<WordEntry | undefined>(REMEMBERED)

  private constructor(
    private readonly net: Network,
    kernel: Kernel,
  ) {
    this.#kernel = kernel
    const pairs = new Float32Array((2 * GAPS * PAIRS) / 4)
    net.pairs.forEach((score, at) => {
      const [gap, x, y] = [Math.floor(at / LABELS ** 2), Math.floor(at / LABELS) % LABELS, at % LABELS]
      pairs[gap * ROWS_OUT ** 2 + x * ROWS_OUT + y] = pairs[(GAPS + gap) * ROWS_OUT ** 2 + y * ROWS_OUT + x] = Math.exp(score)
    })
    this.#pairs = this.#keep(pairs)
    this.#allowed = this.#keep(Float32Array.from({ length: (LABELS + 1) * ROWS_OUT }, (_, at) => {
      const [only, y] = [Math.floor(at / ROWS_OUT) - 1, at % ROWS_OUT]
      return y < LABELS && (only < 0 || only === y) ? 0 : NEVER
    }))
    const { input, hidden, vector } = net
    const width = gateWidth(net)
    this.#bias = this.#keep(net.bias)
    this.#rows = this.#keep(net.rows)
    this.#own = this.#place(REMEMBERED * input)
    // The kernel reads a matrix column by column.
    this.#project = this.#turned(net.project, 0, input, vector, 0, vector)
    const direction = (weights: Float64Array, step = stepOf(weights)): Direction => ({
      fromInput: this.#turned(weights, 0, 3 * hidden, width, 0, input),
      toGates: this.#paired(weights, 0, 2 * hidden, width, input, hidden, step),
      toCandidate: this.#paired(weights, 2 * hidden, hidden, width, input, hidden, step),
      scale: step / ONE,
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
    if (!wasm || net.input % 16 || net.hidden % 16 || net.hidden > WIDEST) return undefined
    try {
      const bytes = Uint8Array.from(KERNEL.match(/../g) ?? [], (pair) => Number.parseInt(pair, 16))
      return new FastNetwork(net, new wasm.Instance(new wasm.Module(bytes)).exports as Kernel)
    } catch {
      return undefined
    }
  }

  /**
   * How probable each label of each item is, items x LABELS; see chain.ts. `held` has the one label an item may have, or -1.
   */
  probabilities({ steps, items }: Sequence, held: Int8Array, words: WordTable): Float64Array {
    const n = steps.length
    const m = items.length
    if (m === 0) return new Float64Array(0)
    const { input, hidden } = this.net
    const kernel = this.#kernel
    const all = 3 * hidden
    const start = this.#free
    const xAt = this.#place(n * input)
    const listAt = this.#place(n * (MOST_FEATURES + 2))
    const aboveAt = this.#place(n * 2 * (input + 1))
    const sumsAt = this.#place(n * all)
    const recurrentAt = this.#place(2 * hidden)
    const hAt = [this.#place((n + 2) * hidden), this.#place((n + 2) * hidden)] as const
    const toldAt = [this.#place(m * hidden), this.#place(m * hidden), this.#place(m * input)] as const
    const scoresAt = this.#place(m * ROWS_OUT)
    const chainAt = this.#place(m * 2)
    const roomAt = this.#place(4 * ROWS_OUT)
    const pAt = this.#place((m + 1) * ROWS_OUT) + ROW
    this.#free = start
    // Views are made once the memory has grown to what is needed.
    const memory = new Float32Array(kernel.memory.buffer)
    const list = new Uint32Array(kernel.memory.buffer)
    for (const { entry } of steps) if (this.#owners[entry.slot] !== entry) this.#keepOwn(entry, words, memory, list, listAt)
    for (let i = 0, at = listAt / 4; i < n; i++) {
      const { entry, context } = steps[i]!
      let end = at + 2
      for (let k = 0; k < context.length; k++) {
        const row = this.net.index.rowOf(context[k]!)
        if (row >= 0) list[end++] = row
      }
      list[at] = this.#own + entry.slot * input * 4
      list[at + 1] = end - at - 2
      at = end
    }
    items.forEach(({ gap }, i) => {
      list[chainAt / 4 + 2 * i] = this.#pairs + gap * PAIRS
      list[chainAt / 4 + 2 * i + 1] = this.#allowed + (held[i]! + 1) * ROW
    })
    kernel.addRows(xAt, this.#rows, listAt, input, n)
    // Numbers below 0 count as 0, and most are.
    kernel.listPositive(aboveAt, xAt, input, n)
    this.#directions.forEach(({ fromInput, toGates, toCandidate, scale, bias }, backwards) => {
      kernel.addListed(sumsAt, bias, 0, fromInput, aboveAt, all, input, n)
      // A row of zeros on either side, where a direction begins.
      const h = hAt[backwards]!
      memory.fill(0, h / 4, h / 4 + hidden)
      memory.fill(0, h / 4 + (n + 1) * hidden, h / 4 + (n + 2) * hidden)
      kernel.recur(sumsAt, toGates, toCandidate, recurrentAt, h + hidden * 4, n, hidden, backwards, scale)
    })
    // Only items get a label: what the layers before say of them, row beside row.
    items.forEach(({ step }, i) => {
      const gather = (to: number, from: number, width: number) => memory.copyWithin(to / 4 + i * width, from / 4 + step * width, from / 4 + (step + 1) * width)
      gather(toldAt[0], hAt[0] + hidden * 4, hidden)
      gather(toldAt[1], hAt[1] + hidden * 4, hidden)
      gather(toldAt[2], xAt, input)
    })
    for (let k = toldAt[2] / 4, last = k + m * input; k < last; k++) if (memory[k]! < 0) memory[k] = 0
    const { bias, forwards, backwards, input: fromInput } = this.#output
    kernel.addProducts(scoresAt, bias, 0, forwards, toldAt[0], ROWS_OUT, hidden, m)
    kernel.addProducts(scoresAt, scoresAt, ROW, backwards, toldAt[1], ROWS_OUT, hidden, m)
    kernel.addProducts(scoresAt, scoresAt, ROW, fromInput, toldAt[2], ROWS_OUT, input, m)
    memory.fill(0, roomAt / 4, roomAt / 4 + ROWS_OUT)
    memory.fill(1, roomAt / 4 + ROWS_OUT, roomAt / 4 + 2 * ROWS_OUT)
    // A chain begins as if after a word without a facet.
    const before = (pAt - ROW) / 4
    memory.fill(0, before, before + ROWS_OUT)
    memory[before] = 1
    kernel.chain(pAt, scoresAt, chainAt, GAPS * PAIRS, roomAt, m)
    const p = new Float64Array(m * LABELS)
    for (let i = 0, from = pAt / 4; i < m; i++, from += ROWS_OUT) for (let y = 0; y < LABELS; y++) p[i * LABELS + y] = memory[from + y]!
    return p
  }

  /** Works out what the first layer knows of a word by itself, with room for numbers from `at` on. */
  #keepOwn(entry: WordEntry, words: WordTable, memory: Float32Array, list: Uint32Array, at: number): void {
    const { input, vector } = this.net
    const own = this.#own + entry.slot * input * 4
    list[at / 4] = this.#bias
    list[at / 4 + 1] = entry.rows.length
    list.set(entry.rows, at / 4 + 2)
    this.#kernel.addRows(own, this.#rows, at, input, 1)
    if (entry.index >= 0) {
      words.vectorInto(entry.index, memory, at / 4)
      this.#kernel.addProducts(own, own, 0, this.#project, at, input, vector, 1)
    }
    this.#owners[entry.slot] = entry
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
  /** As `turned`, in whole steps of 16 bits: for each pair of columns all rows, two numbers each. `columns` is even. */
  #paired(matrix: Float64Array, from: number, rows: number, width: number, skip: number, columns: number, step: number): number {
    const whole = Int16Array.from({ length: rows * columns }, (_, at) => {
      const [pair, row, which] = [Math.floor(at / (2 * rows)), (at >> 1) % rows, at & 1]
      return Math.round(matrix[(from + row) * width + skip + 2 * pair + which]! / step)
    })
    const place = this.#place(whole.length / 2)
    new Int16Array(this.#kernel.memory.buffer).set(whole, place / 2)
    return place
  }
}
