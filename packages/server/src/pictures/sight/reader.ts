import type { Facts, FirstFacts, PictureReading } from '@idolon/core/look'
import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { Worker } from 'node:worker_threads'
import { NotAPicture } from '../not-a-picture.ts'
import type { Progress } from './look-at.ts'

/** Named beside each reading, so that an older maker's is made anew. */
export const READING_MAKER = 'sight-3'

/** What the thread says of the picture it was sent. */
export type Said = { first: FirstFacts } | { facts: Facts } | { reading: PictureReading } | { wrong: string; isPicture: boolean }

/** A picture that takes longer than this to read is given up, and the thread with it. */
const LONGEST_MS = 60_000

/** Named where no bundler follows it: the networks are loaded by the thread, and not when the server starts. */
const IN_THIS_THREAD = new URL('look-at.ts', import.meta.url).href

/** Reads pictures one at a time in a thread of its own, so that requests are answered meanwhile. */
export class SightReader {
  #thread: Worker | undefined
  #heard: (said: Said) => void = () => undefined
  #failed: (error: Error) => void = () => undefined

  /** One call at a time. @throws NotAPicture that says what is wrong with the bytes. */
  async read(bytes: Buffer, progress: Progress): Promise<PictureReading> {
    const file = fileURLToPath(new URL('sight.mjs', import.meta.url))
    // From its sources the server has no second bundle to run.
    if (!existsSync(file)) {
      const { lookAt } = (await import(IN_THIS_THREAD)) as typeof import('./look-at.ts')
      return lookAt(bytes, progress)
    }
    this.#thread ??= this.#start(file)
    const thread = this.#thread
    const alarm = setTimeout(() => {
      this.#failed(new Error('The picture took too long to read.'))
    }, LONGEST_MS)
    try {
      return await new Promise<PictureReading>((resolve, reject) => {
        this.#failed = reject
        this.#heard = (said) => {
          if ('first' in said) progress.first?.(said.first)
          else if ('facts' in said) progress.facts?.(said.facts)
          else if ('reading' in said) resolve(said.reading)
          else reject(said.isPicture ? new Error(said.wrong) : new NotAPicture(said.wrong))
        }
        thread.postMessage(bytes)
      })
    } catch (error) {
      // Whatever else went wrong in it, the next picture gets a fresh one.
      if (!(error instanceof NotAPicture)) await this.close()
      throw error
    } finally {
      clearTimeout(alarm)
    }
  }

  #start(file: string): Worker {
    const thread = new Worker(file)
    thread.on('message', (said: Said) => { this.#heard(said) })
    thread.on('error', (error) => { this.#failed(error) })
    thread.on('exit', () => { this.#failed(new Error('The thread that reads pictures ended.')) })
    return thread
  }

  async close(): Promise<void> {
    const thread = this.#thread
    this.#thread = undefined
    // What reads lettering is a thread of that thread, and ends with it.
    await thread?.terminate()
  }
}
