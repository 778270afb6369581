import type { PictureReading } from '@idolon/core'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { stopReading } from '../packages/server/src/pictures/sight/lettering.ts'
import { lookAt } from '../packages/server/src/pictures/sight/look-at.ts'
import type { Bench } from './figure.ts'
import { picturesOf } from './looked-at/packages.ts'

const ROOT = process.env['IDOLON_ROOT'] ?? '.'
/** A horizon this far off, as a share of the height, is another line. */
const OFF = 0.06

const yes = (value: boolean | null) => (value === null ? null : value ? 'yes' : 'no')
/** What a reading says of each labelled fact; null where it says nothing. */
const SAID: Readonly<Record<string, (reading: PictureReading) => string | null>> = {
  medium: ({ medium }) => medium,
  key: ({ key }) => key,
  temperature: ({ temperature }) => temperature,
  focus: ({ focus }) => focus,
  side: ({ side }) => side,
  horizon: ({ horizon }) => (horizon === null ? 'none' : String(horizon)),
  symmetric: ({ symmetric }) => yes(symmetric),
  mono: ({ mono }) => yes(mono),
  busy: ({ busy }) => yes(busy),
  people: ({ people }) => (people === null ? null : people > 2 ? 'many' : String(people)),
  lettering: ({ lettering }) => yes(lettering.present),
  shot: ({ shot }) => shot,
}
const isRight = (fact: string, label: string, said: string) => (fact === 'horizon' && label !== 'none' ? Math.abs(Number(said) - Number(label)) < OFF : label.split('|').includes(said))

/** Pictures of Debian packages, fetched when it runs, held against labels given by eye. */
export const lookedAt: Bench = async () => {
  const [head = '', ...lines] = readFileSync(join(ROOT, 'bench/looked-at/labels.tsv'), 'utf8').trim().split('\n')
  const facts = head.split('\t').slice(2)
  const labelled = lines.map((line) => line.split('\t')).map(([name = '', hash = '', ...labels]) => ({ name, hash, labels }))
  const pictures = await picturesOf([...new Set(labelled.map(({ name }) => name))], new Set(labelled.map(({ hash }) => hash)), join(ROOT, '.build/packages'))
  console.log(`  ${pictures.size} of ${new Set(labelled.map(({ hash }) => hash)).size} pictures found`)
  const counts = new Map(facts.map((fact) => [fact, { right: 0, wrong: 0, absent: 0 }]))
  for (const { hash, labels } of labelled) {
    const bytes = pictures.get(hash)
    if (!bytes) continue
    const reading = await lookAt(bytes)
    facts.forEach((fact, i) => {
      const label = labels[i] ?? ''
      if (label === '') return
      const said = SAID[fact]!(reading)
      const count = counts.get(fact)!
      if (said === null) count.absent++
      else if (isRight(fact, label, said)) count.right++
      else {
        count.wrong++
        if (process.env['VERBOSE']) console.log(`  ${fact}: ${hash.slice(0, 8)} is ${label}, said ${said}`)
      }
    })
  }
  await stopReading()
  let [right, wrong, all] = [0, 0, 0]
  for (const [fact, count] of counts) {
    const n = count.right + count.wrong + count.absent
    console.log(`  ${fact}: of ${n} right ${(count.right / n).toFixed(3)}, absent ${(count.absent / n).toFixed(3)}, wrong ${(count.wrong / n).toFixed(3)}`)
    right += count.right
    wrong += count.wrong
    all += n
  }
  const percent = (n: number) => Math.round((1_000 * n) / all) / 10
  return [
    { what: `Of facts of ${pictures.size} labelled pictures, those told wrongly`, value: percent(wrong), unit: '%', baseline: { what: 'absent', value: percent(all - right - wrong) }, limit: 6 },
    { what: `Of facts of ${pictures.size} labelled pictures, those not told right`, value: percent(all - right), unit: '%', baseline: { what: 'told wrongly', value: percent(wrong) }, limit: 12 },
  ]
}
