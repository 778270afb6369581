import { mkdir, readFile, writeFile } from 'node:fs/promises'
import { cpus, totalmem } from 'node:os'
import { join } from 'node:path'
import { autosave } from './autosave.ts'
import { closingIn } from './closing-in.ts'
import { lookedAt } from './looked-at.ts'
import { look } from './look.ts'
import { checks } from './checks.ts'
import { type Bench, type Figure } from './figure.ts'
import { importing } from './import.ts'
import { helpers } from './helpers.ts'
import { firstLoad } from './first-load.ts'
import { pictures } from './pictures.ts'
import { ranking } from './ranking.ts'
import { reading } from './reading.ts'
import { run } from './run.ts'
import { secondStart } from './second-start.ts'
import { series } from './series.ts'
import { sheet } from './sheet.ts'
import { shelf } from './shelf.ts'

const BENCHES: Record<string, Bench> = { autosave, reading, checks, pictures, run, sheet, series, ranking, helpers, shelf, import: importing, 'second-start': secondStart, 'first-load': firstLoad, look, 'looked-at': lookedAt, 'closing-in': closingIn }

const FILE = join(process.env['IDOLON_ROOT'] ?? '.', 'docs/figures.md')
const shown = (value: number) => value.toLocaleString('en', { maximumFractionDigits: value < 10 ? 2 : 1 })

const row = (date: string, { what, value, unit, baseline, limit }: Figure) =>
  `| ${what} | ${shown(value)} ${unit} | ${shown(limit)} ${unit} | ${shown(baseline.value)} ${unit}, ${baseline.what} | ${date} |`

/** Rows measured now replace older ones of the same name; others stay with their date. */
async function write(figures: Figure[]): Promise<void> {
  const date = new Date().toISOString().slice(0, 10)
  const before = (await readFile(FILE, 'utf8').catch(() => '')).split('\n').filter((line) => line.startsWith('| ') && !line.startsWith('| What') && !line.startsWith('| ---'))
  const now = figures.map((figure) => row(date, figure))
  const kept = before.filter((line) => !figures.some(({ what }) => line.startsWith(`| ${what} |`)))
  const text = `# Figures

Measured by \`./idolon bench\` on ${cpus().length} cores and ${Math.round(totalmem() / 2 ** 30)} GiB, each beside its baseline in the same run.

| What | Measured | May be at most | Baseline | When |
| --- | --- | --- | --- | --- |
${[...now, ...kept].sort().join('\n')}
`
  await mkdir(join(FILE, '..'), { recursive: true })
  await writeFile(FILE, text)
}

const asked = process.argv.slice(2)
const unknown = asked.find((name) => !(name in BENCHES))
if (unknown) {
  console.error(`There is no bench “${unknown}”; choose from ${Object.keys(BENCHES).join(', ')}.`)
  process.exit(2)
}
const figures: Figure[] = []
for (const name of asked.length ? asked : Object.keys(BENCHES)) {
  console.log(`${name} ...`)
  for (const figure of (await BENCHES[name]?.()) ?? []) {
    figures.push(figure)
    const { what, value, unit, baseline, limit } = figure
    console.log(`  ${what}: ${shown(value)} ${unit} (at most ${shown(limit)}; ${baseline.what}: ${shown(baseline.value)})${value > limit ? '  TOO MUCH' : ''}`)
  }
}
await write(figures)
process.exit(figures.some(({ value, limit }) => value > limit) ? 1 : 0)
