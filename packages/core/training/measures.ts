/**
 * Trains what tells a key and a depth of field from a few numbers of a picture, and measures it.
 *   ./idolon train measures     leaves out a twentieth after another, writes measures/figures.json and src/picture/measure/learned.ts
 *
 * measures/key.tsv and focus.tsv have those numbers of pictures of Debian packages that were labelled by eye, by package and hash;
 * none is in the repository. A label with a bar says either.
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { likeliest, scaled, sharesOf } from '../src/picture/logistic.ts'
import { bySureness, fitLogistic, type Taught } from './logistic.ts'

const CORE = join(process.env['IDOLON_ROOT'] ?? process.cwd(), 'packages/core')
const FOLDS = 20
const PRIOR = 0.002
const EPOCHS = 600
const RATE = 0.03
const CLASSES = { key: ['high', 'mid', 'low'], focus: ['shallow', 'deep'] } as const
const round = (n: number) => Math.round(n * 1e4) / 1e4

interface Row {
  labels: string[]
  numbers: number[]
}
function rowsOf(name: keyof typeof CLASSES): Row[] {
  const [, ...lines] = readFileSync(join(CORE, `training/measures/${name}.tsv`), 'utf8').trim().split('\n')
  return lines.map((line) => {
    const [label = '', , , ...numbers] = line.split('\t')
    return { labels: label.split('|'), numbers: numbers.map(Number) }
  })
}

/** The mean and deviation of each number. */
function scaleOf(rows: readonly Row[]) {
  const columns = rows[0]!.numbers.map((_, k) => rows.map(({ numbers }) => numbers[k]!))
  const mean = columns.map((column) => column.reduce((sum, value) => sum + value, 0) / column.length)
  return { mean: mean.map(round), deviation: columns.map((column, k) => round(Math.sqrt(column.reduce((sum, value) => sum + (value - mean[k]!) ** 2, 0) / column.length))) }
}

const models = Object.entries(CLASSES).map(([name, classes]) => {
  const rows = rowsOf(name as keyof typeof CLASSES)
  const scale = scaleOf(rows)
  const taught = rows.map(({ labels, numbers }): Taught => ({ features: scaled(numbers, scale), shares: classes.map((one) => (labels.includes(one) ? 1 / labels.length : 0)), worth: 1 }))
  const fit = (set: readonly Taught[]) => fitLogistic(set, classes.length, { prior: PRIOR, epochs: EPOCHS, rate: RATE })
  const told = Array.from({ length: FOLDS }, (_, fold) => {
    const weights = fit(taught.filter((_one, i) => i % FOLDS !== fold))
    return taught.flatMap(({ features }, i) => {
      if (i % FOLDS !== fold) return []
      const { value, share } = likeliest<string>(sharesOf(features, weights), classes)
      return [{ share, right: rows[i]!.labels.includes(value) }]
    })
  }).flat()
  const figures = bySureness(told, [0, 0.5, 0.55, 0.6, 0.65, 0.7, 0.75, 0.8])
  for (const { least, told: said, right } of figures) process.stdout.write(`${name}, at least ${least} sure: told ${said}, right ${right}\n`)
  return { name, pictures: rows.length, figures, model: { ...scale, weights: fit(taught).map((row) => row.map(round)) } }
})
writeFileSync(join(CORE, 'training/measures/figures.json'), `${JSON.stringify(models.map(({ name, pictures, figures }) => ({ name, pictures, bySureness: figures })), null, 1)}\n`)
writeFileSync(
  join(CORE, 'src/picture/measure/learned.ts'),
  `import type { Logistic } from '../logistic.ts'\n\n/** Written by \`./idolon train measures\`; docs/pictures.md has what was learned from and how right it is. */\n${models.map(({ name, model }) => `export const ${name.toUpperCase()}: Logistic = ${JSON.stringify(model).replaceAll(/"(\w+)":/g, '$1: ').replaceAll(',', ', ')}`).join('\n')}\n`,
)
