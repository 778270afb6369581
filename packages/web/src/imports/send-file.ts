import type { Import, Problem, ProblemName } from '@idolon/contract'
import type { Encoding } from '@idolon/core'
import { ApiProblem } from '../api/problem.ts'

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
  const response = await fetch(`/api/imports?${new URLSearchParams({ name, ...(encoding ? { encoding } : {}) }).toString()}`, { method: 'POST', body, headers: { 'content-type': 'application/octet-stream' } }).catch(() => {
    throw new ApiProblem('unreachable', 'The server does not answer. Nothing was brought in; try again.')
  })
  const answer: unknown = await response.json().catch(() => undefined)
  if (response.ok) return answer as Import
  const problem = answer as Problem | undefined
  throw new ApiProblem((problem?.type.split('/').at(-1) as ProblemName | undefined) ?? 'internal', problem?.detail ?? 'The file could not be read. Nothing was brought in.', problem)
}
