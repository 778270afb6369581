import { chmod, rename, rm, stat } from 'node:fs/promises'
import { resolve } from 'node:path'
import { fileTask, postgresTool, withDatabase } from './database-files.ts'
import { Refusal } from './refusal.ts'

/** `./idolon backup FILE`: the whole database, pictures included, in one file that appears only when it is whole. */
export async function backup(args: string[]): Promise<number> {
  const { file, data } = fileTask('backup', args)
  const target = resolve(file)
  const part = `${target}.part`
  await withDatabase(data, async (url) => {
    const dumped = await postgresTool('pg_dump', url, ['--format=custom', '--no-owner', `--file=${part}`])
    if (dumped.code !== 0) {
      await rm(part, { force: true })
      throw new Refusal(`The backup failed, and no file was written:\n${dumped.out.slice(-1_000)}`)
    }
  })
  await chmod(part, 0o600)
  await rename(part, target)
  const { size } = await stat(target)
  process.stdout.write(`Backup written to ${target} (${(size / 1_000_000).toFixed(1)} MB).\n`)
  return 0
}
