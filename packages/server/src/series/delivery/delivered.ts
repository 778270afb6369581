import type { Proof } from '@idolon/contract'
import { type DeliveredScene, type Provenance, sceneFile, shownText } from '@idolon/core'
import type { Database } from '../../database/connect.ts'
import { notFound } from '../../http/problem.ts'
import { partsNow } from '../../parts/store.ts'
import { proofsById } from '../../proofs/proof-rows.ts'
import { sceneRows, seriesRow } from '../store.ts'

/** A scene with all that goes out of it. */
export interface OutScene extends DeliveredScene {
  proof: Proof | undefined
}
export interface OutSeries {
  name: string
  style: string
  scenes: OutScene[]
}

/** A series as it goes out: names instead of ids, and what was chosen. */
export async function outSeries(db: Database, id: string): Promise<OutSeries> {
  const series = await seriesRow(db, id)
  if (!series) throw notFound('series')
  const [rows, parts] = await Promise.all([sceneRows(db, { series: id }), partsNow(db, series.project_id)])
  const proofs = await proofsById(db, rows.flatMap(({ chosen }) => chosen ?? []))
  const nameOf = (part: string) => parts.get(part)?.body.name ?? ''
  return {
    name: series.name,
    style: series.style ? (parts.get(series.style)?.body.says.map(({ text }) => text).join(', ') ?? '') : '',
    scenes: rows.map(({ body, draft, chosen }, i): OutScene => {
      const proof = chosen ? proofs.get(chosen) : undefined
      return {
        number: i + 1,
        body,
        cast: body.cast.map(({ part }) => nameOf(part)).filter(Boolean),
        place: body.place ? nameOf(body.place.part) : body.where,
        text: shownText(draft),
        leaveOut: draft.leaveOut,
        file: proof?.picture ? sceneFile(i + 1, rows.length, body.beat, '.png') : '',
        engine: proof ? `${proof.engine.name} ${proof.engine.revision}` : '',
        proof,
      }
    }),
  }
}

/** What made the chosen picture of a scene; its own output, not what the scene says by now. */
export const provenanceOf = ({ body, number }: OutScene, proof: Proof, series: string): Provenance => ({
  title: `${series}, scene ${number}${body.beat ? `: ${body.beat}` : ''}`,
  prompt: proof.output.text,
  leaveOut: proof.output.leaveOut,
  engine: proof.engine.name,
  revision: proof.engine.revision,
  simulated: proof.engine.simulated,
  seed: proof.seed,
  madeAt: proof.storedAt ?? proof.askedAt,
})
