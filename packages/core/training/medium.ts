/**
 * Trains what tells one kind of picture from another, and near from far, from the styles in training/medium, and measures it.
 *   ./idolon train medium     leaves out one source of pictures after another, writes medium-figures.json and tables/medium.json
 *
 * A style is the means and deviations of what a network trained on photographs answers to, channel by channel (after Gatys, Ecker
 * & Bethge 2016, of whose matrices these are the parts that a few hundred pictures can teach); the model is a multinomial logistic
 * one with a Gaussian prior. pictures.tsv says of each style which picture it is, by package and hash; none is in the repository.
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { likeliest, sharesOf } from '../src/picture/logistic.ts'
import { FAR_AND_NEAR } from '../src/picture/medium/medium.ts'
import { MEDIA, type Medium } from '../src/picture/shape.ts'
import { bySureness, fitLogistic, type Told } from './logistic.ts'

const CORE = join(process.env['IDOLON_ROOT'] ?? process.cwd(), 'packages/core')
const FOLDER = join(CORE, 'training/medium')
const STEPS_A_DEVIATION = 31
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

function fit(set: readonly Example[]): number[][] {
  const often = new Map(MEDIA.map((medium) => [medium, set.filter((one) => one.medium === medium).length]))
  return fitLogistic(set.map(({ medium, source, style }) => ({ features: style, shares: MEDIA.map((one) => (one === medium ? 1 : 0)), worth: Math.sqrt(1 / often.get(medium)!) * (source.startsWith('engine') ? SIMULATED : 1) })), MEDIA.length, { prior: PRIOR })
}

interface Said extends Told {
  byEye: boolean
}
const sources = [...new Set(examples.map(({ source }) => source))]
const said: Said[] = sources.flatMap((source) => {
  const weights = fit(examples.filter((one) => one.source !== source))
  say(`without ${source}`)
  return examples
    .filter((one) => one.source === source)
    .map(({ medium, style }) => {
      const { value, share } = likeliest(sharesOf(style, weights), MEDIA)
      return { share, right: value === medium, byEye: source.startsWith('eye') }
    })
})
const round = (n: number, by: number) => Math.round(n * by) / by
const LEVELS = [0, 0.5, 0.6, 0.7, 0.8, 0.9]
const figures = [true, false].map((byEye) => {
  const set = said.filter((one) => one.byEye === byEye)
  return { set: byEye ? 'labelled by eye, of packages that others taught' : 'sources that nothing like them taught', pictures: set.length, bySureness: bySureness(set, LEVELS) }
})

/** Pictures without a figure that are seen from near or from afar: shots.tsv and shots.bin, as pictures.tsv and styles.bin. */
const shotStyles = new Int8Array(readFileSync(join(FOLDER, 'shots.bin')))
const shots = readFileSync(join(FOLDER, 'shots.tsv'), 'utf8')
  .trim()
  .split('\n')
  .slice(1)
  .map((line, i) => ({ shot: line.split('\t')[0]!, features: Float64Array.from(shotStyles.subarray(i * size, (i + 1) * size), (v) => v / STEPS_A_DEVIATION) }))
const taught = (set: typeof shots) => fitLogistic(set.map(({ shot, features }) => ({ features, shares: FAR_AND_NEAR.map((one) => (one === shot ? 1 : 0)), worth: 1 })), FAR_AND_NEAR.length, { prior: PRIOR })
const toldShots = shots.map(({ shot, features }, i) => {
  const { value, share } = likeliest(sharesOf(features, taught(shots.filter((_, other) => other !== i))), FAR_AND_NEAR)
  return { share, right: value === shot }
})
figures.push({ set: 'near or far, each left out once', pictures: shots.length, bySureness: bySureness(toldShots, LEVELS) })

for (const { set, pictures, bySureness: rows } of figures) {
  say(`${set}: ${pictures}`)
  for (const { least, told, right } of rows) say(`  at least ${least} sure: told ${told}, right ${right}`)
}
writeFileSync(join(FOLDER, 'figures.json'), `${JSON.stringify(figures, null, 1)}\n`)
const weights = fit(examples)
const rounded = (rows: number[][]) => rows.map((row) => row.map((n) => round(n, 1e4)))
writeFileSync(join(CORE, 'tables/medium.json'), `${JSON.stringify({ ...scale, weights: rounded(weights), shot: rounded(taught(shots)) })}\n`)
