import { createCipheriv, createDecipheriv, createHash, randomBytes } from 'node:crypto'
import { chmod, readFile, writeFile } from 'node:fs/promises'

const KEY_BYTES = 32
const NONCE_BYTES = 12
const TAG_BYTES = 16

/** Seals secrets with AES-256-GCM (NIST SP 800-38D): nonce, tag and cipher text, as base64. What a secret belongs to is bound to it. */
export class Sealer {
  readonly #key: Buffer

  /** Any text of at least 16 characters will do as a key. */
  constructor(key: string) {
    if (key.length < 16) throw new Error('The key for secrets must have at least 16 characters.')
    this.#key = createHash('sha256').update(key).digest().subarray(0, KEY_BYTES)
  }

  seal(secret: string, owner: string): string {
    const nonce = randomBytes(NONCE_BYTES)
    const cipher = createCipheriv('aes-256-gcm', this.#key, nonce)
    cipher.setAAD(Buffer.from(owner))
    const sealed = Buffer.concat([cipher.update(secret, 'utf8'), cipher.final()])
    return Buffer.concat([nonce, cipher.getAuthTag(), sealed]).toString('base64')
  }

  /** Undefined when it was sealed with another key, for another owner, or was changed. */
  open(sealed: string, owner: string): string | undefined {
    const bytes = Buffer.from(sealed, 'base64')
    try {
      const decipher = createDecipheriv('aes-256-gcm', this.#key, bytes.subarray(0, NONCE_BYTES))
      decipher.setAAD(Buffer.from(owner))
      decipher.setAuthTag(bytes.subarray(NONCE_BYTES, NONCE_BYTES + TAG_BYTES))
      return Buffer.concat([decipher.update(bytes.subarray(NONCE_BYTES + TAG_BYTES)), decipher.final()]).toString('utf8')
    } catch {
      return undefined
    }
  }
}

/** The key in a file only its owner can read, made when there is none. */
export async function keyFrom(file: string): Promise<string> {
  const made = randomBytes(KEY_BYTES).toString('base64')
  try {
    await writeFile(file, made, { mode: 0o600, flag: 'wx' })
    return made
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error
    await chmod(file, 0o600)
    return (await readFile(file, 'utf8')).trim()
  }
}
