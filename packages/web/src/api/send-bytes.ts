import { ApiProblem, refusalOf } from './problem.ts'

/** Sends a file as it is. @throws {ApiProblem} with one of the sentences where the server cannot be reached, or refuses without saying why. */
export async function sendBytes(address: string, body: Blob, otherwise: { unreachable: string; refused: string }): Promise<unknown> {
  const response = await fetch(address, { method: 'POST', body, headers: { 'content-type': 'application/octet-stream' } }).catch(() => {
    throw new ApiProblem('unreachable', otherwise.unreachable)
  })
  const answer: unknown = await response.json().catch(() => undefined)
  if (!response.ok) throw refusalOf(answer, otherwise.refused)
  return answer
}
