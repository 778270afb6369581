import type { Caption, TurnState } from '@idolon/contract'
import { claimsOf, type PictureReading, recordOf } from '@idolon/core/look'
import type { Database } from '../database/connect.ts'
import { READING_MAKER } from '../pictures/sight/reader.ts'
import { promptReader } from '../phrases/prompt-reader.ts'

/** The helper that models are asked through. */
const HELPER = 'describe-picture'
/** So many of what models said of other pictures are held against measures. */
const MOST_BEFORE = 60

interface Row {
  id: string
  model: Caption['model']
  state: TurnState
  problem: string | null
  said: string | null
  picture: string
  reading: PictureReading | null
}

/** What is said, as claims by facet. */
export async function claimsIn(text: string): Promise<ReturnType<typeof claimsOf>> {
  return claimsOf((await promptReader()).read(text).phrases)
}

/** The newest that each model said of a picture, in a project; and how much of what it said of others held. */
export async function captionsOf(db: Database, projectId: string, picture: string): Promise<Caption[]> {
  const { rows: own } = await db.raw<{ rows: Row[] }>(
    `select distinct on (model->>'id') id, model, state, problem, value->>'prompt' as said
     from turns where helper_id = '${HELPER}' and project_id = ? and given->>'picture' = ? and state <> 'stopped' order by model->>'id', asked_at desc`,
    [projectId, picture],
  )
  if (own.length === 0) return []
  const { rows: others } = await db.raw<{ rows: Row[] }>(
    `select t.model, t.value->>'prompt' as said, g.reading from turns t join picture_readings g on g.picture = t.given->>'picture' and g.maker = ? and g.stage = 'read'
     where t.helper_id = '${HELPER}' and t.state = 'done' and t.given->>'picture' <> ? order by t.asked_at desc limit ${MOST_BEFORE}`,
    [READING_MAKER, picture],
  )
  const records = new Map<string, { held: number; refuted: number }>()
  for (const { model, said, reading } of others) {
    if (!said || !reading) continue
    const { held, refuted } = recordOf(await claimsIn(said), reading)
    const known = records.get(model.id) ?? { held: 0, refuted: 0 }
    records.set(model.id, { held: known.held + held, refuted: known.refuted + refuted })
  }
  return own.map(({ id, model, state, problem, said }) => ({ turnId: id, model: { id: model.id, name: model.name, simulated: model.simulated }, state, text: said ?? '', problem, record: records.get(model.id) ?? { held: 0, refuted: 0 } }))
}
