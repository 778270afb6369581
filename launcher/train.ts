import { join } from 'node:path'
import { bundleForNode } from './build.ts'
import { BUILD, ROOT } from './places.ts'
import { run } from './shell.ts'

/** `./idolon train [measure|judge]`: runs the training scripts of the reading; `./idolon train checks` judges the checks. */
export async function train(args: string[]): Promise<number> {
  const checks = args[0] === 'checks'
  const file = join(BUILD, 'train.mjs')
  await bundleForNode(`packages/core/training/${checks ? 'judge-checks' : 'train'}.ts`, file)
  const { code } = await run('node', ['--enable-source-maps', file, ...(checks ? args.slice(1) : args)], { cwd: ROOT, env: { ...process.env, IDOLON_ROOT: ROOT }, show: true })
  return code
}
