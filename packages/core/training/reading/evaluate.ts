import { FACETS } from '../../src/facets.ts'
import type { Facet } from '../../src/facet.ts'
import type { Reading } from '../../src/read/reading.ts'
import { wordsThatCount } from './examples.ts'
import { type Example, facetNo } from './corpus.ts'


/** What a reading of labelled prompts got right, counted as the labelling guide says: by word, less articles, prepositions and “and”. */
export class Score {
  /** Right label by given label, 0 for none. */
  readonly confusion = Array.from({ length: FACETS.length + 1 }, () => new Array<number>(FACETS.length + 1).fill(0))
  readonly mistakes: string[] = []
  /** Confidence of each phrase, and how much of it was right. */
  readonly confidences: { raw: number; right: number }[] = []

  add(example: Example, { phrases }: Reading): void {
    const rights = new Map<number, { words: number; right: number }>()
    for (const { word, start, end } of wordsThatCount(example.text)) {
      const gold = facetNo(example.labels.find((label) => label.facet && label.start <= start && end <= label.end)?.facet)
      const at = phrases.findIndex((phrase) => phrase.start <= start && end <= phrase.end)
      const given = facetNo(phrases[at]?.facet)
      this.confusion[gold]![given]!++
      if (at >= 0) {
        const so = rights.get(at) ?? { words: 0, right: 0 }
        rights.set(at, { words: so.words + 1, right: so.right + (gold === given ? 1 : 0) })
      }
      if (gold !== given) {
        const around = example.text.slice(Math.max(0, start - 40), end + 30).replaceAll('\n', ' / ')
        this.mistakes.push(`${example.id}\t${FACETS[gold - 1] ?? 'none'} -> ${FACETS[given - 1] ?? 'none'}\t${word}\t${around}`)
      }
    }
    for (const [at, { words, right }] of rights) this.confidences.push({ raw: phrases[at]!.confidence, right: right / words })
  }

  of(facet: Facet): { precision: number; recall: number; f1: number; words: number } {
    const f = facetNo(facet)
    const hit = this.confusion[f]![f]!
    const given = this.confusion.reduce((sum, row) => sum + row[f]!, 0)
    const words = this.confusion[f]!.reduce((sum, n) => sum + n, 0)
    return { precision: hit / (given || 1), recall: hit / (words || 1), f1: (2 * hit) / (given + words || 1), words }
  }

  get macro(): number {
    return FACETS.reduce((sum, facet) => sum + this.of(facet).f1, 0) / FACETS.length
  }

  merge(other: Score): void {
    other.confusion.forEach((row, gold) => row.forEach((n, given) => (this.confusion[gold]![given]! += n)))
    this.mistakes.push(...other.mistakes)
    this.confidences.push(...other.confidences)
  }

  table(): string {
    const short = ['none', ...FACETS].map((name) => name.slice(0, 8))
    return [
      ...FACETS.map((facet) => {
        const { precision, recall, f1, words } = this.of(facet)
        return `${facet.padEnd(10)} F1 ${f1.toFixed(3)}  precision ${precision.toFixed(3)}  recall ${recall.toFixed(3)}  words ${words}`
      }),
      `macro-F1   ${this.macro.toFixed(4)}`,
      `${''.padEnd(9)}${short.map((name) => name.padStart(9)).join('')}`,
      ...this.confusion.map((row, i) => `${short[i]!.padEnd(9)}${row.map((n) => String(n).padStart(9)).join('')}`),
    ].join('\n')
  }
}

/** Points that turn a raw confidence into the share of times it is right: means of equal bins, made to rise (pool adjacent violators; Ayer et al. 1955). */
export function calibrationOf(found: readonly { raw: number; right: number }[], bins = 20): [number, number][] {
  const sorted = [...found].sort((a, b) => a.raw - b.raw)
  const size = Math.max(1, Math.ceil(sorted.length / bins))
  const blocks: { raw: number; right: number; n: number }[] = []
  for (let i = 0; i < sorted.length; i += size) {
    const bin = sorted.slice(i, i + size)
    blocks.push({ raw: bin.reduce((sum, one) => sum + one.raw, 0) / bin.length, right: bin.reduce((sum, one) => sum + one.right, 0) / bin.length, n: bin.length })
    while (blocks.length > 1 && blocks[blocks.length - 2]!.right > blocks[blocks.length - 1]!.right) {
      const b = blocks.pop()!
      const a = blocks.pop()!
      const n = a.n + b.n
      blocks.push({ raw: (a.raw * a.n + b.raw * b.n) / n, right: (a.right * a.n + b.right * b.n) / n, n })
    }
  }
  return blocks.map(({ raw, right }) => [Math.round(raw * 1e4) / 1e4, Math.round(right * 1e4) / 1e4])
}

/** How far said confidence lies from the truth, bin by bin of a tenth. */
export function reliability(found: readonly { raw: number; right: number }[]): { from: number; n: number; said: number; right: number }[] {
  return Array.from({ length: 10 }, (_, b) => {
    const bin = found.filter(({ raw }) => Math.min(9, Math.floor(raw * 10)) === b)
    const mean = (key: 'raw' | 'right') => bin.reduce((sum, one) => sum + one[key], 0) / (bin.length || 1)
    return { from: b / 10, n: bin.length, said: mean('raw'), right: mean('right') }
  }).filter(({ n }) => n > 0)
}
