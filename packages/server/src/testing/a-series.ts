import { addPart, addScenes, addSeries, changeSeries, type Part, savePartVersion } from '@idolon/contract'
import { blankPart, blankScene, type PartBody, type SceneBody } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import type { TestServer } from './test-server.ts'

export const STORY = 'At dawn Orla filled sacks in the mill. She sang.\n\nIn the evening she rowed across the lake. A heron watched her.'
export const orla: PartBody = { ...blankPart('character', 'Orla'), again: 'the miller', says: [{ key: 'p1', text: 'a tall miller' }, { key: 'p2', text: 'with a grey braid' }], variants: [{ key: 'v1', aspect: 'dress', name: 'apron', text: 'in a floury apron' }, { key: 'v2', aspect: 'dress', name: 'coat', text: 'in a blue coat' }], never: ['beard'] }
const mill: PartBody = { ...blankPart('place', 'Mill'), says: [{ key: 'p1', text: 'a stone mill' }] }
const look: PartBody = { ...blankPart('style', 'Lino'), says: [{ key: 'p1', text: 'linocut' }, { key: 'p2', text: 'two colours' }] }

/** A series of two scenes with a character, a place and a style, in a project of its own. */
export async function aSeries(server: TestServer, story = STORY) {
  const { id: projectId } = await server.project()
  const part = (body: PartBody) => server.call(addPart, { body: { id: randomUUID(), projectId, body, why: '' } })
  const [who, where, style] = [await part(orla), await part(mill), await part(look)]
  const id = randomUUID()
  await server.call(addSeries, { body: { id, projectId, name: 'The Mill', story } })
  await server.call(changeSeries, { params: { series: id }, body: { revision: 0, style: style.id } })
  const scene = (body: Partial<SceneBody>, range: [number, number] | null) => ({ id: randomUUID(), body: { ...blankScene(), cast: [{ part: who.id, variants: ['v1'] }], ...body }, story: range && { start: range[0], end: range[1] } })
  const series = await server.call(addScenes, { params: { series: id }, body: { after: null, scenes: [scene({ beat: 'Orla fills sacks', words: 'Orla fills sacks', place: { part: where.id, variants: [] }, moment: 'dawn' }, [0, 48]), scene({ beat: 'Orla rows', words: 'Orla rows', where: 'lake', moment: 'evening' }, [50, STORY.length])] } })
  return { projectId, who, where, style, id, series }
}

/** Keeps a next version of a part. */
export const renewPart = (server: TestServer, part: Part, body: Partial<PartBody>) => server.call(savePartVersion, { params: { part: part.id }, body: { on: part.version, body: { ...part.body, ...body }, why: '' } })
