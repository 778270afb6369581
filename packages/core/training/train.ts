/**
 * Trains the reading from the corpus and measures it.
 *   ./idolon train            trains on all of the corpus and writes tables/reader.bin
 *   ./idolon train measure    cross-validates by subject world, calibrates, judges the held-back set, writes figures.json
 */
import { spawn } from 'node:child_process'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { FACETS } from '../src/facets.ts'
import { packTables, unpackTables } from '../src/read/model/tables.ts'
import { Reader } from '../src/read/reader.ts'
import { englishTagger } from '../src/read/tagger.ts'
import { WordEntries } from '../src/read/model/word-features.ts'
import { WordTable } from '../src/read/words/word-table.ts'
import { type Example, readCorpus } from './corpus.ts'
import { calibrationOf, reliability, Score } from './evaluate.ts'
import { sequencesOf } from './examples.ts'
import { shuffled } from './shuffled.ts'
import { type Options, type Sequence, trainNetwork } from './network.ts'

const CORE = join(process.env['IDOLON_ROOT'] ?? process.cwd(), 'packages/core')
const FOLDS = 10
/** Orders of a list that are learned from, beside its own. */
const ORDERS = 6
const OPTIONS: Options = { vector: 24, input: 48, hidden: 32, epochs: 26, rate: 0.004, seed: 1, atLeast: 2, dropFeature: 0.25, drop: 0.5, decay: 0.01, average: 0.999 }

const say = (line: string) => process.stdout.write(`${line}\n`)
const wordBytes = readFileSync(join(CORE, 'tables/words.bin'))
const words = new WordEntries(new WordTable(wordBytes))
const corpus = readCorpus(join(CORE, 'corpus'), /^\d/)

/** Worlds are dealt to folds in turn, so that no world is both learned from and judged. */
function foldOf(example: Example): number {
  const worlds = [...new Set(corpus.map(({ world }) => world))]
  return worlds.indexOf(example.world) % FOLDS
}
/** A prompt's units; a list of one unit also in other orders of its items, mostly begun as it is, as most writers begin with the subject. */
function lessonsOf(example: Example, i: number): Sequence[] {
  const own = sequencesOf(example, words)
  if (own.length !== 1) return own
  const otherwise = Array.from({ length: ORDERS }, (_, n) => shuffled(example, 1 + i * ORDERS + n, n % 3 === 0 ? 0 : 1)).flatMap((one) => (one ? sequencesOf(one, words) : []))
  return [{ ...own[0]!, otherwise }]
}
const fit = (examples: readonly Example[]) => trainNetwork(examples.flatMap(lessonsOf), OPTIONS)

function score(reader: Reader, examples: readonly Example[]): Score {
  const total = new Score()
  for (const example of examples) total.add(example, reader.read(example.text))
  return total
}

async function inProcess(fold: number): Promise<Score> {
  const child = spawn(process.execPath, [...process.execArgv, process.argv[1] ?? '', 'fold', String(fold)], { stdio: ['ignore', 'pipe', 'inherit'], env: process.env })
  let out = ''
  for await (const chunk of child.stdout) out += String(chunk)
  const found = JSON.parse(out) as Pick<Score, 'confusion' | 'mistakes' | 'confidences'>
  return Object.assign(new Score(), found)
}

async function measure(): Promise<void> {
  const total = new Score()
  const waiting = Array.from({ length: FOLDS }, (_, fold) => fold)
  const work = async () => {
    for (let fold = waiting.shift(); fold !== undefined; fold = waiting.shift()) {
      const found = await inProcess(fold)
      say(`fold ${fold}: macro-F1 ${found.macro.toFixed(4)}`)
      total.merge(found)
    }
  }
  await Promise.all([work(), work()])
  say(total.table())
  writeFileSync(join(CORE, 'training/mistakes.tsv'), total.mistakes.join('\n'))
  const calibration = calibrationOf(total.confidences)
  writeFileSync(join(CORE, 'training/calibration.json'), `${JSON.stringify(calibration)}\n`)
  const figures: Record<string, unknown> = {
    prompts: corpus.length,
    worlds: new Set(corpus.map(({ world }) => world)).size,
    folds: FOLDS,
    macroF1: total.macro,
    facets: Object.fromEntries(FACETS.map((facet) => [facet, total.of(facet)])),
    confusion: total.confusion,
  }
  writeFileSync(join(CORE, 'training/figures.json'), `${JSON.stringify(figures, null, 1)}\n`)
}

function train(): void {
  const known = join(CORE, 'training/calibration.json')
  const calibration = existsSync(known) ? (JSON.parse(readFileSync(known, 'utf8')) as [number, number][]) : []
  const bytes = packTables(fit(corpus), calibration)
  writeFileSync(join(CORE, 'tables/reader.bin'), bytes)
  say(`reader.bin: ${bytes.length} bytes`)
}

/** The held-back prompts: figures only, never the mistakes. */
function judge(): void {
  const reader = new Reader(unpackTables(wordBytes, readFileSync(join(CORE, 'tables/reader.bin'))), englishTagger())
  const found = score(reader, readCorpus(join(CORE, 'corpus'), /^blind/))
  say(found.table())
  for (const { from, n, said, right } of reliability(found.confidences)) say(`confidence ${from.toFixed(1)}: ${n} phrases, said ${said.toFixed(3)}, right ${right.toFixed(3)}`)
}

const [verb = 'train', fold] = process.argv.slice(2)
if (verb === 'fold') {
  const own = Number(fold)
  const network = fit(corpus.filter((example) => foldOf(example) !== own))
  // Through the packed form, so that what rounding costs is measured too.
  const reader = new Reader(unpackTables(wordBytes, packTables(network, [])), englishTagger())
  process.stdout.write(JSON.stringify(score(reader, corpus.filter((example) => foldOf(example) === own))))
} else if (verb === 'measure') await measure()
else if (verb === 'judge') judge()
else train()
