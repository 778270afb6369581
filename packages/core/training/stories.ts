/**
 * Fits what tells that a scene turns, and measures the splitting of stories.
 *   ./idolon train stories              fits on the told stories, prints figures with each story left out and every mistake
 *   ./idolon train stories held-back    prints figures of the stories that only count
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { englishAnalyser } from '../src/reader.ts'
import { unpackTables } from '../src/read/model/tables.ts'
import { divide, heldAfter, longIn, type Turn, turnAt } from '../src/series/story/divide.ts'
import { scenesBetween, scenesOf, toldSentences } from '../src/series/story/scenes.ts'
import { BIAS, WEIGHTS } from '../src/series/story/turn-weights.ts'
import { storyCases } from './story-cases.ts'
import { StoryScore } from './story-score.ts'

const CORE = join(process.env['IDOLON_ROOT'] ?? process.cwd(), 'packages/core')
const table = (name: string) => readFileSync(join(CORE, `tables/${name}.bin`))
const { words } = unpackTables(table('words'), table('reader'))
const analyse = englishAnalyser()

/** How strongly the weights are drawn to 0, the step and the number of steps of the descent. */
const PRIOR = 2
const RATE = 0.01
const STEPS = 1_500
const KEYS = Object.keys(WEIGHTS) as (keyof Turn)[]

interface Row {
  x: number[]
  y: number
}

/** Logistic regression with a Gaussian prior, all rows at a step. */
function fit(rows: readonly Row[]): number[] {
  const weights = KEYS.map(() => 0).concat(0)
  for (let step = 0; step < STEPS; step++) {
    const slope = weights.map((weight, k) => (k < KEYS.length ? PRIOR * weight : 0))
    for (const { x, y } of rows) {
      const p = 1 / (1 + Math.exp(-x.reduce((sum, value, k) => sum + value * weights[k]!, 0)))
      x.forEach((value, k) => (slope[k]! += (p - y) * value))
    }
    weights.forEach((_, k) => (weights[k]! -= RATE * slope[k]!))
  }
  return weights
}
const weighingOf = (fitted: readonly number[]) => ({ weights: Object.fromEntries(KEYS.map((key, k) => [key, fitted[k]!])) as unknown as Turn, bias: fitted.at(-1)! })

if (process.argv[2] === 'held-back') {
  const score = new StoryScore()
  for (const told of storyCases(CORE, 'held-back')) score.add(told, scenesOf(told.story, words, analyse))
  console.log(JSON.stringify(score.figures))
  if (process.argv[3] === 'mistakes') console.log(score.mistakes.join('\n'))
} else {
  const stories = storyCases(CORE, 'told').map((told) => {
    const { sentences, beings } = toldSentences(told.story, words, analyse)
    const starts = new Set(told.scenes.map(({ start }) => start))
    const rows: Row[] = []
    let held = heldAfter(undefined, 0, sentences[0]!)
    for (let i = 1; i < sentences.length; i++) {
      const turn = turnAt(sentences, i, held, longIn(sentences))
      const y = starts.has(sentences[i]!.start) ? 1 : 0
      if (!sentences[i]!.spoken) rows.push({ x: [...KEYS.map((key) => turn[key]), 1], y })
      held = heldAfter(held, y ? i : undefined, sentences[i]!)
    }
    return { told, sentences, beings, rows }
  })
  const score = new StoryScore()
  for (const one of stories) {
    const weighing = weighingOf(fit(stories.filter((other) => other !== one).flatMap(({ rows }) => rows)))
    score.add(one.told, scenesBetween(one.told.story, one.sentences, one.beings, divide(one.sentences, weighing)))
  }
  console.log('each story left out:', JSON.stringify(score.figures))
  console.log(score.mistakes.join('\n'))
  const fitted = fit(stories.flatMap(({ rows }) => rows)).map((weight) => Math.round(weight * 100) / 100)
  const lines = KEYS.map((key, k) => `  ${key}: ${fitted[k]},\n`).join('')
  writeFileSync(
    join(CORE, 'src/series/story/turn-weights.ts'),
    `import type { Turn } from './divide.ts'\n\n/** What each sign of a turn is worth; a scene begins where their sum is above 0. Made by \`./idolon train stories\`. */\nexport const WEIGHTS: Turn = {\n${lines}}\nexport const BIAS = ${fitted.at(-1) ?? BIAS}\n`,
  )
}
