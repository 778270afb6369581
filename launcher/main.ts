import { backup } from './backup.ts'
import { bench } from './bench.ts'
import { Refusal } from './refusal.ts'
import { restore } from './restore.ts'
import { start } from './start.ts'
import { test } from './test.ts'

const HELP = `Idolon

  ./idolon start      start Idolon and print its address
      --port N        serve on this port (4310, or the next free one)
      --data DIR      keep everything in DIR (./data)
      --empty         start without the demo world
      --no-delay      let the simulated engine answer at once
      DATABASE_URL    use this PostgreSQL instead of an own one
  ./idolon test       run every check: lint, types, unit, server, end to end
      [lint|types|unit|server|web|e2e ...]   only these
  ./idolon bench      measure speed and size; writes docs/figures.md
      [NAME ...]      only these
  ./idolon train      train the reading on the corpus; see docs/reading.md
      [measure|judge] cross-validate it, or judge it on the prompts held back
      stories [held-back]    fit what tells that a scene turns; see docs/series.md
      checks [FILE] [show]   judge the checks by labelled drafts; see docs/checks.md
  ./idolon backup FILE [--data DIR]              write the whole database to FILE
  ./idolon restore FILE [--data DIR] [--replace]   read it back

The core on text, as JSON, from a file or standard input (--jsonl: one JSON object a line):
  ./idolon read [FILE] [--jsonl]                 phrases by facet, leave-outs, settings, noise
  ./idolon check [FILE] [--jsonl]                what is wrong with a draft before it is tried
  ./idolon output [FILE] [--jsonl]               a draft as an engine is given it
  ./idolon compare [FILE] [--jsonl]              what two prompts have in common and where they part
  ./idolon learn [FILE] [--jsonl]                the template that texts share, with what stands in its slots
  ./idolon scenes [FILE] [--jsonl]               a story split into scenes, with who is in each, where and when
And on pictures:
  ./idolon look FILE ...                         what can be measured of each, a line of JSON a file
`

const VERBS: Record<string, (args: string[]) => Promise<number>> = {
  start,
  test,
  bench,
  backup,
  restore,
  // Loaded when they are called, since their language models are not needed to start.
  output: async (args) => (await import('./verbs/output.ts')).output(args),
  check: async (args) => (await import('./verbs/check.ts')).check(args),
  compare: async (args) => (await import('./verbs/compare.ts')).compare(args),
  learn: async (args) => (await import('./verbs/learn.ts')).learn(args),
  scenes: async (args) => (await import('./verbs/scenes.ts')).scenes(args),
  look: async (args) => (await import('./verbs/look.ts')).look(args),
  read: async (args) => (await import('./verbs/read.ts')).read(args),
  train: async (args) => (await import('./train.ts')).train(args),
}

const [verb = 'help', ...args] = process.argv.slice(2)
const run = VERBS[verb]
if (!run) {
  const asked = verb === 'help' || verb === '--help' || verb === '-h'
  ;(asked ? process.stdout : process.stderr).write(asked ? HELP : `There is no verb “${verb}”.\n\n${HELP}`)
  process.exitCode = asked ? 0 : 2
} else {
  try {
    process.exitCode = await run(args)
  } catch (error) {
    if (!(error instanceof Refusal)) throw error
    process.stderr.write(`${error.message}\n`)
    process.exitCode = error.status
  }
}
