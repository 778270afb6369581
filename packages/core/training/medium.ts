/**
 * Trains what tells one kind of picture from another, from the styles in training/medium, and measures it.
 *   ./idolon train medium     leaves out one source of pictures after another, writes medium-figures.json and tables/medium.json
 *
 * A style is the means and deviations of what a network trained on photographs answers to, channel by channel (after Gatys, Ecker
 * & Bethge 2016, of whose matrices these are the parts that a few hundred pictures can teach); the model is a multinomial logistic
 * one with a Gaussian prior. pictures.tsv says of each style which picture it is, by package and hash; none is in the repository.
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { mediumShares } from '../src/picture/medium/medium.ts'
import { MEDIA, type Medium } from '../src/picture/shape.ts'

const CORE = join(process.env['IDOLON_ROOT'] ?? process.cwd(), 'packages/core')
const FOLDER = join(CORE, 'training/medium')
const STEPS_A_DEVIATION = 31
const EPOCHS = 120
const RATE = 0.01
const PRIOR = 0.05
/** Drawn pictures of one hand teach less than pictures of many. */
const SIMULATED = 0.6

interface Example {
  medium: Medium
  source: string
  style: Float64Array
}
interface Scale {
  mean: number[]
  deviation: number[]
}

const say = (line: string) => process.stdout.write(`${line}\n`)
const scale = JSON.parse(readFileSync(join(FOLDER, 'scale.json'), 'utf8')) as Scale
const styles = new Int8Array(readFileSync(join(FOLDER, 'styles.bin')))
const size = scale.mean.length
const examples: Example[] = readFileSync(join(FOLDER, 'pictures.tsv'), 'utf8')
  .trim()
  .split('\n')
  .slice(1)
  .map((line, i) => {
    const [medium = '', source = ''] = line.split('\t')
    return { medium: medium as Medium, source, style: Float64Array.from(styles.subarray(i * size, (i + 1) * size), (v) => v / STEPS_A_DEVIATION) }
  })

/** Weights and a constant for each medium, by Adam (Kingma & Ba 2015) over the whole set at a time. */
function fit(set: readonly Example[]): number[][] {
  const row = size + 1
  const weights = new Float64Array(MEDIA.length * row)
  const [first, second] = [new Float64Array(weights.length), new Float64Array(weights.length)]
  const often = new Map(MEDIA.map((medium) => [medium, set.filter((one) => one.medium === medium).length]))
  const worth = set.map(({ medium, source }) => Math.sqrt(1 / often.get(medium)!) * (source.startsWith('engine') ? SIMULATED : 1))
  const all = worth.reduce((sum, one) => sum + one, 0)
  const rows = () => MEDIA.map((_, m) => [...weights.subarray(m * row, (m + 1) * row)])
  for (let epoch = 1; epoch <= EPOCHS; epoch++) {
    const slope = new Float64Array(weights.length)
    const current = rows()
    set.forEach(({ medium, style }, i) => {
      mediumShares(style, current).forEach((share, m) => {
        const off = ((share - (MEDIA[m] === medium ? 1 : 0)) * worth[i]!) / all
        for (let k = 0; k < size; k++) slope[m * row + k]! += off * style[k]!
        slope[m * row + size]! += off
      })
    })
    weights.forEach((weight, k) => {
      const by = slope[k]! + ((k + 1) % row ? PRIOR * weight : 0)
      first[k] = 0.9 * first[k]! + 0.1 * by
      second[k] = 0.99 * second[k]! + 0.01 * by * by
      weights[k] = weight - (RATE * (first[k]! / (1 - 0.9 ** epoch))) / (Math.sqrt(second[k]! / (1 - 0.99 ** epoch)) + 1e-8)
    })
  }
  return rows()
}

interface Said {
  medium: Medium
  share: number
  right: boolean
  byEye: boolean
}
const sources = [...new Set(examples.map(({ source }) => source))]
const said: Said[] = sources.flatMap((source) => {
  const weights = fit(examples.filter((one) => one.source !== source))
  say(`without ${source}`)
  return examples
    .filter((one) => one.source === source)
    .map(({ medium, style }) => {
      const shares = mediumShares(style, weights)
      const best = shares.indexOf(Math.max(...shares))
      return { medium: MEDIA[best]!, share: shares[best]!, right: MEDIA[best] === medium, byEye: source.startsWith('eye') }
    })
})
const round = (n: number, by: number) => Math.round(n * by) / by
const figures = [true, false].map((byEye) => {
  const set = said.filter((one) => one.byEye === byEye)
  return {
    set: byEye ? 'labelled by eye, of packages that others taught' : 'sources that nothing like them taught',
    pictures: set.length,
    bySureness: [0, 0.5, 0.6, 0.7, 0.8, 0.9].map((least) => {
      const told = set.filter(({ share }) => share >= least)
      return { least, told: round(told.length / set.length, 1000), right: round(told.filter(({ right }) => right).length / Math.max(1, told.length), 1000) }
    }),
  }
})
for (const { set, pictures, bySureness } of figures) {
  say(`${set}: ${pictures}`)
  for (const { least, told, right } of bySureness) say(`  at least ${least} sure: told ${told}, right ${right}`)
}
writeFileSync(join(FOLDER, 'figures.json'), `${JSON.stringify(figures, null, 1)}\n`)
const weights = fit(examples)
writeFileSync(join(CORE, 'tables/medium.json'), `${JSON.stringify({ ...scale, weights: weights.map((row) => row.map((n) => round(n, 1e4))) })}\n`)
