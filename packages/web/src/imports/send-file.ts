import type { Import } from '@idolon/contract'
import type { Encoding } from '@idolon/core'
import { sendBytes } from '../api/send-bytes.ts'

/** Files as one: itself, or an archive of the texts in them, by their paths in the folder. */
export async function asOne(files: readonly File[]): Promise<{ name: string; body: Blob }> {
  const [only] = files
  if (files.length === 1 && only) return { name: only.name, body: only }
  const { zip } = await import('fflate')
  const contents = await Promise.all(files.map(async (file) => [file.webkitRelativePath || file.name, new Uint8Array(await file.arrayBuffer())] as const))
  const packed = await new Promise<Uint8Array<ArrayBuffer>>((resolve, reject) => {
    zip(Object.fromEntries(contents), { level: 1 }, (error, data) => {
      if (error) reject(error)
      else resolve(data as Uint8Array<ArrayBuffer>)
    })
  })
  const folder = only?.webkitRelativePath.split('/')[0]
  return { name: `${folder || 'texts'}.zip`, body: new Blob([packed]) }
}

/** Sends a file to be read. @throws ApiProblem that says what is wrong with it, and where. */
export async function sendFile({ name, body }: { name: string; body: Blob }, encoding: Encoding | ''): Promise<Import> {
  const address = `/api/imports?${new URLSearchParams({ name, ...(encoding ? { encoding } : {}) }).toString()}`
  return (await sendBytes(address, body, { unreachable: 'The server does not answer. Nothing was imported; try again.', refused: 'The file could not be read. Nothing was imported.' })) as Import
}
