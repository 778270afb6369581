import { changeProof, changeProofs, type Proof, type Verdict } from '@idolon/contract'
import type { Fault } from '@idolon/core'
import { call } from '../api/call.ts'
import { faultFor, verdictFor } from '../keys/key-map.ts'
import { useNotices } from '../notices/notices.ts'

type Marked = Pick<Proof, 'id' | 'verdict' | 'faults'>

/** The change of one proof that a key press on it asks for: a verdict or a fault, and none of it when it has it already. */
export function changeFor(event: KeyboardEvent, proof: Marked): { verdict: Verdict | null } | { faults: Fault[] } | undefined {
  const verdict = verdictFor(event)
  if (verdict) return { verdict: turned(proof.verdict, verdict) }
  const fault = faultFor(event)
  return fault && { faults: toggled(proof.faults, fault) }
}
/** A verdict that is given again is taken back. */
export const turned = (now: Verdict | null, given: Verdict): Verdict | null => (now === given ? null : given)
export const toggled = (faults: readonly Fault[], fault: Fault): Fault[] => (faults.includes(fault) ? faults.filter((one) => one !== fault) : [...faults, fault])

type ProofChange = Parameters<typeof call<typeof changeProof>>[1]['body']
let last: Promise<unknown> = Promise.resolve()
let open = 0
/** Whether changes are on their way: what the server has is then older than what is shown. */
export const isMarking = (): boolean => open > 0
/** Changes of proofs go one after the other, however fast the keys: the last one made is the last one kept. */
export function markProof(id: string, change: ProofChange): Promise<Proof> {
  open++
  const mine = last.then(() => call(changeProof, { params: { proof: id }, body: change, keepalive: true })).finally(() => open--)
  last = mine.catch(() => undefined)
  return mine
}

/** The verdict that all of them have, if one. */
export const sharedVerdict = ([first, ...others]: readonly Pick<Marked, 'verdict'>[]): Verdict | null => (first && others.every(({ verdict }) => verdict === first.verdict) ? first.verdict : null)

/** What is to be done with many: when all have it, it is taken away from all. */
export function manyChangeFor(event: KeyboardEvent, proofs: readonly Marked[]): { verdict?: Verdict | null; addFaults?: Fault[]; removeFaults?: Fault[] } | undefined {
  const verdict = verdictFor(event)
  if (verdict) return { verdict: turned(sharedVerdict(proofs), verdict) }
  const fault = faultFor(event)
  return fault && (proofs.every(({ faults }) => faults.includes(fault)) ? { removeFaults: [fault] } : { addFaults: [fault] })
}

/** Puts proofs into the bin and says so, with the way back. */
export async function binProofs(ids: readonly string[], done: () => void): Promise<void> {
  const notices = useNotices()
  const set = async (deleted: boolean) => {
    await call(changeProofs, { body: { proofs: [...ids], deleted } })
    done()
  }
  await set(true)
  notices.show(ids.length === 1 ? 'The proof is in the bin.' : `${ids.length} proofs are in the bin.`, { action: { label: 'Restore', run: () => void set(false).catch((error: unknown) => notices.showError(error)) } })
}
