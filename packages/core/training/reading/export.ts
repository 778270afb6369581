/** Writes what train.py learns from into a folder: lessons.jsonl, mixed.jsonl, vectors.f32. */
import { createWriteStream, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { once } from 'node:events'
import { join } from 'node:path'
import { WordEntries } from '../../src/read/model/word-features.ts'
import { englishAnalyser } from '../../src/read/tagger.ts'
import { VECTOR, WordTable } from '../../src/read/words/word-table.ts'
import { readCorpus } from './corpus.ts'
import { lessonOf } from './examples.ts'
import { recombined } from './recombined.ts'

/** Recombined prompts for each of the corpus, and their seed. */
const EACH = 4
const SEED = 7

async function writeLines(file: string, objects: Iterable<unknown>): Promise<void> {
  const out = createWriteStream(file)
  for (const object of objects) if (!out.write(`${JSON.stringify(object)}\n`)) await once(out, 'drain')
  out.end()
  await once(out, 'close')
}

export async function exportLessons(core: string, folder: string): Promise<void> {
  mkdirSync(folder, { recursive: true })
  const table = new WordTable(readFileSync(join(core, 'tables/words.bin')))
  const words = new WordEntries(table)
  const examples = readCorpus(join(core, 'corpus'), /^(?:\d|hand)/)
  await writeLines(join(folder, 'lessons.jsonl'), examples.map((example) => lessonOf(example, words)))
  const mixed = recombined(examples, englishAnalyser(), EACH, SEED)
  await writeLines(join(folder, 'mixed.jsonl'), (function* () {
    for (const one of mixed) yield lessonOf(one, words)
  })())
  const vectors = new Float32Array(table.list.length * VECTOR)
  table.list.forEach((_, i) => table.vectorInto(i, vectors, i * VECTOR))
  writeFileSync(join(folder, 'vectors.f32'), new Uint8Array(vectors.buffer))
}
