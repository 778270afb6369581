import { join } from 'node:path'
import { bundleForNode } from './build.ts'
import { BUILD, ROOT } from './places.ts'
import { run } from './shell.ts'

/** `./idolon train [measure|judge]`: runs the training scripts of the reading. */
export async function train(args: string[]): Promise<number> {
  const file = join(BUILD, 'train.mjs')
  await bundleForNode('packages/core/training/train.ts', file)
  const { code } = await run('node', ['--enable-source-maps', file, ...args], { cwd: ROOT, env: { ...process.env, IDOLON_ROOT: ROOT }, show: true })
  return code
}
