import { strToU8, Zip, ZipDeflate, ZipPassThrough } from 'fflate'
import type { Response } from 'express'

/** A ZIP archive written into an answer as its files come, so that it takes no room. */
export class ZipAnswer {
  readonly #zip: Zip
  #drained: Promise<void> = Promise.resolve()

  constructor(response: Response, name: string) {
    response.attachment(name).type('application/zip')
    this.#zip = new Zip((error, data, final) => {
      if (error) response.destroy(error)
      else if (!response.write(data)) this.#drained = new Promise((resolve) => response.once('drain', resolve).once('close', resolve))
      if (final) response.end()
    })
  }

  /** Adds a file. Pictures are packed already and are put in as they are. */
  async add(name: string, content: string | Uint8Array): Promise<void> {
    const packed = typeof content === 'string' ? new ZipDeflate(name, { level: 6 }) : new ZipPassThrough(name)
    // The same files make the same archive, whenever it is written.
    packed.mtime = '2000-01-01T00:00:00'
    this.#zip.add(packed)
    packed.push(typeof content === 'string' ? strToU8(content) : content, true)
    await this.#drained
  }

  end(): void {
    this.#zip.end()
  }
}
