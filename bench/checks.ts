import { type AssociationTable, emptyDraft, type GlossaryEntry, outputFor, SHIPPED_ENGINES } from '@idolon/core'
import { checkDraft, createLanguage } from '@idolon/core/check'
import { createReader, Suggester } from '@idolon/core/reader'
import { gzipSync } from 'node:zlib'
import { perCall, prompts, table, texts } from './corpus.ts'
import { type Bench, percentile } from './figure.ts'

/** All checks and one output of a draft of 60 words, beside reading it; the size of their tables. */
export const checks: Bench = async () => {
  const [kin, known, associations, glossary] = await Promise.all(['kin.bin', 'known.bin', 'associations.json', 'glossary.json'].map(table)) as [Buffer, Buffer, Buffer, Buffer]
  const tables = [kin, known, associations, glossary]
  const reader = createReader(await table('words.bin'), await table('reader.bin'))
  const language = createLanguage(reader, { kin, known, associations: JSON.parse(associations.toString()) as AssociationTable, glossary: JSON.parse(glossary.toString()) as GlossaryEntry[] })
  const engine = SHIPPED_ENGINES[0]!
  const list = texts(await prompts(), 60)
  const whole = (text: string) => {
    const draft = { ...emptyDraft(), text, leaveOut: ['text', 'people'] }
    const reading = reader.read(text)
    checkDraft(draft, reading, language, { engine })
    outputFor(draft, engine, { reading, words: reader.words })
  }
  const half = Math.floor(list.length / 2)
  perCall(list.slice(0, half), whole)
  const passes = Array.from({ length: 5 }, () => ({ read: perCall(list.slice(half), (text) => reader.read(text)), all: perCall(list.slice(half), whole) }))
  const read = percentile(passes.map((one) => one.read), 50)
  const all = percentile(passes.map((one) => one.all), 50)
  // What stands before the caret is a term's beginning; each is completed in a draft of 60 words.
  const suggester = new Suggester(reader.words)
  const readings = list.slice(half, half + 200).map((text) => ({ text, phrases: reader.read(text).phrases }))
  const typed = ['sof', 'clo', 'mor', 'wat', 'mut', 'wid', 'gou', 'sid']
  suggester.complete('low', '', [], 8)
  const times = readings.map(({ text, phrases }, i) => {
    const from = performance.now()
    suggester.complete(typed[i % typed.length]!, text, phrases, 8)
    return performance.now() - from
  })
  return [
    { what: 'Completion of a term by facet and fit, p95', value: percentile(times, 95), unit: 'ms', baseline: { what: 'reading the draft', value: read }, limit: 20 },
    { what: 'All checks and one output of a draft of 60 words', value: all - read, unit: 'ms', baseline: { what: 'reading it', value: read }, limit: Math.max(6, 3 * read) },
    { what: 'Glossary, associations and tables of the checks, gzip', value: tables.reduce((sum, one) => sum + gzipSync(one).length, 0) / 1000, unit: 'kB', baseline: { what: 'unpacked', value: tables.reduce((sum, one) => sum + one.length, 0) / 1000 }, limit: 2_000 },
  ]
}
