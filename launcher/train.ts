import { join } from 'node:path'
import { bundleForNode } from './build.ts'
import { BUILD, ROOT } from './places.ts'
import { run } from './shell.ts'

/** Scripts beside the one that trains the reading. */
const SCRIPTS: Readonly<Record<string, string>> = { checks: 'checks', glossary: 'make-glossary', medium: 'medium', measures: 'measures', stories: 'stories' }

/** `./idolon train [measure|judge]`: runs the training scripts of the reading; `train checks` judges the checks, `train glossary` makes the glossary's tables, `train medium` the one that tells kinds of picture apart, `train stories` what tells that a scene turns, `train measures` what tells a key and a depth of field. */
export async function train(args: string[]): Promise<number> {
  const script = SCRIPTS[args[0] ?? '']
  const file = join(BUILD, 'train.mjs')
  await bundleForNode(`packages/core/training/${script ?? 'reading/train'}.ts`, file)
  const { code } = await run('node', ['--enable-source-maps', file, ...(script ? args.slice(1) : args)], { cwd: ROOT, env: { ...process.env, IDOLON_ROOT: ROOT }, show: true })
  return code
}
