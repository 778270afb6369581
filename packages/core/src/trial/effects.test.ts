import { describe, expect, it } from 'vitest'
import { normal } from '../random/normal.ts'
import { seededRandom } from '../random/seeded.ts'
import { effectsOf, type Judged } from './effects.ts'
import { effectSentence } from './sentence.ts'
import { everyPair } from './ways/pairs.ts'

const SIZES = [3, 4]
const rows = everyPair(SIZES, () => true)
/** Verdicts by chance: how likely a keep is depends on the options alone. */
function judge(truth: readonly (readonly number[])[], each: number, seed: number): Judged[] {
  const random = seededRandom(seed)
  return rows.flatMap((row) => Array.from({ length: each }, () => ({ row, score: random() < 0.5 + row.reduce((sum, option, f) => sum + truth[f]![option]!, 0) ? 1 : 0 })))
}
const NONE = [[0, 0, 0], [0, 0, 0, 0]]
const seeds = Array.from({ length: 60 }, (_, i) => i + 1)

describe('what the options of a plan did', () => {
  it('is told where one does better, and which', () => {
    const [light, place] = effectsOf(judge([[0.4, -0.2, -0.2], [0, 0, 0, 0]], 4, 1), SIZES)
    expect(light!.told).toBe(0)
    expect(light!.options[0]!.low).toBeGreaterThan(0)
    expect(place!.told).toBeNull()
    expect(effectSentence(light!, 'light', ['rim', 'flat', 'noon'], 'verdicts')).toMatch(/^Light: “rim” did best \(\d+ % of a keep on average, of 16\), sure to \d+ %/)
    expect(effectSentence(place!, 'place', ['a', 'b', 'c', 'd'], 'verdicts')).toMatch(/^This plan cannot tell which place does best/)
  })

  it('is seldom told where nothing differs', () => {
    const told = seeds.flatMap((seed) => effectsOf(judge(NONE, 3, seed), SIZES)).filter((effect) => effect.told !== null)
    expect(told.length / (seeds.length * 2)).toBeLessThan(0.1)
  })

  it('lies within its interval nine times in ten', () => {
    let [inside, all] = [0, 0]
    for (const seed of seeds) {
      const random = seededRandom(seed)
      const truth = SIZES.map((n) => Array.from({ length: n }, () => 0.15 * normal(random)))
      const effects = effectsOf(judge(truth, 3, seed + 1_000), SIZES)
      effects.forEach(({ options }, f) => {
        const mean = truth[f]!.reduce((sum, x) => sum + x, 0) / truth[f]!.length
        for (const { option, low, high } of options) {
          all++
          if (low <= truth[f]![option]! - mean && truth[f]![option]! - mean <= high) inside++
        }
      })
    }
    expect(inside / all).toBeGreaterThan(0.86)
    expect(inside / all).toBeLessThan(0.97)
  })

  it('does not thank an option for the company it was tried in', () => {
    // Option 1 of the second thing was tried with the good option of the first only.
    const judged = [[0, 0, 1], [0, 1, 1], [0, 1, 1], [0, 0, 1], [1, 0, 0], [1, 0, 0], [1, 0, 0], [0, 1, 1], [0, 0, 1], [1, 0, 0]].map(([a, b, score]) => ({ row: [a!, b!], score: score! }))
    const [first, second] = effectsOf(judged, [2, 2])
    expect(first!.told).toBe(0)
    expect(Math.abs(second!.options[1]!.effect)).toBeLessThan(first!.options[0]!.effect / 2)
  })

  it('says what is missing before anything can be said', () => {
    expect(effectSentence(effectsOf([], [2])[0]!, 'light', ['rim', 'flat'], 'verdicts')).toBe('Nothing is judged yet that tells of light.')
    expect(effectSentence(effectsOf([{ row: [0], score: 1 }], [2])[0]!, 'light', ['rim', 'flat'], 'verdicts')).toMatch(/before “flat” is judged, too/)
  })
})
