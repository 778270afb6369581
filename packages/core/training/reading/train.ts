/**
 * Trains the reading from the corpus and measures it. Needs PyTorch (Debian: python3-torch libopenblas0-pthread).
 *   ./idolon train                 trains on all of the corpus and writes tables/reader.bin
 *   ./idolon train measure         leaves each of the other hands out in turn, calibrates, writes figures.json and mistakes.tsv
 *   ./idolon train judge [FILE]    judges the reader that ships by blind.txt, or by another file of the corpus
 */
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { FACETS } from '../../src/facets.ts'
import { packTables, unpackTables } from '../../src/read/model/tables.ts'
import { Reader } from '../../src/read/reader.ts'
import { englishAnalyser } from '../../src/read/tagger.ts'
import { type Example, handOf, readCorpus } from './corpus.ts'
import { calibrationOf, reliability, Score } from './evaluate.ts'
import { exportLessons } from './export.ts'
import { readWeights } from './weights.ts'

const ROOT = process.env['IDOLON_ROOT'] ?? process.cwd()
const CORE = join(ROOT, 'packages/core')
const HERE = join(CORE, 'training/reading')
const LESSONS = process.env['LESSONS'] ?? join(ROOT, '.build/lessons')
const PYTHON = process.env['PYTHON'] ?? '/usr/bin/python3'
/** Hands that are left out together, since a training takes minutes: each is judged by a reader that saw nothing of it. */
const FOLDS = ['a,e,i', 'b,f,j', 'c,g,k', 'd,h']

const say = (line: string) => process.stdout.write(`${line}\n`)
const wordBytes = readFileSync(join(CORE, 'tables/words.bin'))
const readerOf = (packed: Uint8Array) => new Reader(unpackTables(wordBytes, packed), englishAnalyser())

/** Runs train.py, one thread each, so that two go side by side. @throws when it fails. */
async function fit(out: string, without = ''): Promise<void> {
  const args = [join(HERE, 'train.py'), '--folder', LESSONS, '--out', out, '--without', without]
  const child = spawn(PYTHON, args, { stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, OPENBLAS_NUM_THREADS: '1', OMP_NUM_THREADS: '1' } })
  const code = await new Promise((done) => child.on('close', done))
  if (code !== 0) throw new Error(`train.py ended with ${String(code)}; it needs PyTorch (apt-get install python3-torch libopenblas0-pthread).`)
}

function score(reader: Reader, examples: readonly Example[]): Score {
  const total = new Score()
  for (const example of examples) total.add(example, reader.read(example.text))
  return total
}

async function measure(): Promise<void> {
  mkdirSync(LESSONS, { recursive: true })
  await exportLessons(CORE, LESSONS)
  const byHand = new Map<string, Score>()
  const hands = readCorpus(join(CORE, 'corpus'), /^hand/)
  const waiting = [...FOLDS]
  const work = async () => {
    for (let fold = waiting.shift(); fold !== undefined; fold = waiting.shift()) {
      const out = join(LESSONS, `without-${fold.replaceAll(',', '')}.bin`)
      await fit(out, fold)
      // Packed as it would ship, so that rounding is measured too.
      const reader = readerOf(packTables(readWeights(out), []))
      for (const hand of fold.split(',')) byHand.set(hand, score(reader, hands.filter((example) => handOf(example) === hand)))
    }
  }
  await Promise.all([work(), work()])
  const total = new Score()
  for (const [hand, found] of [...byHand].sort()) {
    say(`hand ${hand}: macro-F1 ${found.macro.toFixed(4)}`)
    total.merge(found)
  }
  say(total.table())
  writeFileSync(join(HERE, 'mistakes.tsv'), total.mistakes.join('\n'))
  const calibration = calibrationOf(total.confidences)
  writeFileSync(join(HERE, 'calibration.json'), `${JSON.stringify(calibration)}\n`)
  const figures = {
    prompts: hands.length,
    macroF1: total.macro,
    hands: Object.fromEntries([...byHand].sort().map(([hand, found]) => [hand, found.macro])),
    facets: Object.fromEntries(FACETS.map((facet) => [facet, total.of(facet)])),
    confusion: total.confusion,
  }
  writeFileSync(join(HERE, 'figures.json'), `${JSON.stringify(figures, null, 1)}\n`)
}

async function train(): Promise<void> {
  mkdirSync(LESSONS, { recursive: true })
  await exportLessons(CORE, LESSONS)
  const out = join(LESSONS, 'all.bin')
  await fit(out)
  const known = join(HERE, 'calibration.json')
  const calibration = existsSync(known) ? (JSON.parse(readFileSync(known, 'utf8')) as [number, number][]) : []
  const bytes = packTables(readWeights(out), calibration)
  writeFileSync(join(CORE, 'tables/reader.bin'), bytes)
  say(`reader.bin: ${bytes.length} bytes`)
}

/** Figures only, never the mistakes: what judges stays unread. */
function judge(file = 'blind'): void {
  const found = score(readerOf(readFileSync(join(CORE, 'tables/reader.bin'))), readCorpus(join(CORE, 'corpus'), new RegExp(`^${file}`)))
  say(found.table())
  for (const { from, n, said, right } of reliability(found.confidences)) say(`confidence ${from.toFixed(1)}: ${n} phrases, said ${said.toFixed(3)}, right ${right.toFixed(3)}`)
}

const [verb = 'train', file] = process.argv.slice(2)
if (verb === 'measure') await measure()
else if (verb === 'judge') judge(file)
else await train()
