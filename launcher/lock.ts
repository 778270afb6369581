import { readFile, rm, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { Refusal } from './refusal.ts'

interface Holder {
  pid: number
  /** When the process began, in clock ticks since boot: a pid alone may have been given to another process since. */
  began: string
  address?: string
}

async function beganAt(pid: number): Promise<string | undefined> {
  try {
    const line = await readFile(`/proc/${pid}/stat`, 'utf8')
    // The name in parentheses may hold spaces; the start time is field 22 of proc(5).
    return line.slice(line.lastIndexOf(')') + 2).split(' ')[19]
  } catch {
    return undefined
  }
}

/** One launcher a data folder. A lock whose holder is dead is taken over. */
export async function lockFolder(data: string): Promise<{ tell: (address: string) => Promise<void>; release: () => Promise<void> }> {
  const file = join(data, 'launcher.json')
  const holder = await readFile(file, 'utf8').then((text) => JSON.parse(text) as Holder, () => undefined)
  if (holder && holder.pid !== process.pid && (await beganAt(holder.pid)) === holder.began) {
    throw new Refusal(`Idolon already runs on this data${holder.address ? ` at ${holder.address}` : ''} (process ${holder.pid}). Use that one, or start another with --data.`)
  }
  const mine: Holder = { pid: process.pid, began: (await beganAt(process.pid)) ?? '' }
  const write = (more: Partial<Holder>) => writeFile(file, JSON.stringify({ ...mine, ...more }))
  await write({})
  return { tell: (address) => write({ address }), release: () => rm(file, { force: true }) }
}
