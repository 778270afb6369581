import { addPart, addScenes, addSeries, changeProof, changeSeries, chooseProofs, listSeries, readSeries, runScenes } from '@idolon/contract'
import { blankPart, blankScene, type PartBody, type SceneBody } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import { setTimeout as sleep } from 'node:timers/promises'
import type { Call } from './call.ts'
import { says } from './series.ts'

const NAME = 'Heather honey, five places'
const RATIOS = ['3:2', '1:1', '2:3']
/** For as long as the simulated engine may take over fifteen pictures. */
const TIMEOUT_MS = 120_000

const part = (kind: PartBody['kind'], name: string, texts: string[], more: Partial<PartBody> = {}): PartBody => ({ ...blankPart(kind, name), says: says(...texts), ...more })

const JAR = part('character', 'Honey jar', ['a squat glass jar of dark honey', 'with a waxed linen lid'], { also: ['the jar'], again: 'the jar', never: ['plastic', 'second jar'], seed: 402 })
const LOOK = part('style', 'House light', ['product photograph', 'soft light from the left', 'cream and amber'], { settings: { aspectRatio: '3:2', count: 1 }, engines: [{ engine: 'brayer' }] })
/** Where the jar stands, how it is seen and what is said under it. */
const PLACES: { name: string; says: string[]; beat: string; words: string; framing: string; moment: string; caption: string }[] = [
  { name: 'Kitchen sill', says: ['on a kitchen window sill', 'a linen curtain half drawn'], beat: 'The jar at breakfast', words: 'Honey jar beside a slice of bread', framing: 'Medium shot', moment: 'early morning', caption: 'Before anyone is up.' },
  { name: 'Railway carriage', says: ['on the folding table of a railway carriage', 'mountains in the window'], beat: 'The jar on its way', words: 'Honey jar beside a paper ticket', framing: 'Close-up', moment: 'late morning', caption: 'Goes where you go.' },
  { name: 'Market stall', says: ['on a market stall', 'striped canvas above'], beat: 'The jar for sale', words: 'Honey jar in front of a brass scale', framing: 'Medium shot, slightly from above', moment: 'noon', caption: 'By the jar, on Saturdays.' },
  { name: 'Bothy table', says: ['on a rough table in a stone hut', 'wood smoke in the air'], beat: 'The jar on the upper pasture', words: 'Honey jar beside an enamel mug', framing: 'Close-up', moment: 'afternoon', caption: 'Tastes of what grows there.' },
  { name: 'Fireside', says: ['on a hearthstone by an open fire', 'a folded blanket behind'], beat: 'The jar in winter', words: 'Honey jar beside a cup of tea', framing: 'Medium shot', moment: 'winter evening', caption: 'Keeps the summer.' },
]

/** A product in five places, one look, each tried in three aspect ratios; the one in the house’s own ratio is chosen. */
export async function makeDemoCampaign(call: Call, projectId: string): Promise<void> {
  if ((await call(listSeries, { query: { project: projectId } })).length) return
  const keep = async (body: PartBody) => {
    const id = randomUUID()
    await call(addPart, { body: { id, projectId, body, why: '' } })
    return id
  }
  const jar = await keep(JAR)
  const look = await keep(LOOK)
  const series = randomUUID()
  await call(addSeries, { body: { id: series, projectId, name: NAME, story: '' } })
  await call(changeSeries, { params: { series }, body: { revision: 0, style: look } })
  const scenes: { id: string; body: SceneBody; story: null }[] = []
  for (const { name, says: said, caption, ...own } of PLACES) {
    const place = await keep(part('place', name, said))
    scenes.push({ id: randomUUID(), body: { ...blankScene(), ...own, caption, cast: [{ part: jar, variants: [] }], place: { part: place, variants: [] }, motion: { camera: 'push in', subject: '', seconds: 3 } }, story: null })
  }
  const made = await call(addScenes, { params: { series }, body: { after: null, scenes } })
  await call(runScenes, { params: { series }, body: { scenes: made.scenes.map(({ id, revision }) => ({ sceneId: id, run: randomUUID(), revision })), ratios: RATIOS } })
  const end = Date.now() + TIMEOUT_MS
  for (;;) {
    const now = await call(readSeries, { params: { series } })
    if (now.scenes.every(({ coming }) => coming === 0)) {
      const chosen = now.scenes.flatMap(({ id, newest }) => (newest ? [{ sceneId: id, proofId: newest.id }] : []))
      for (const { proofId } of chosen) await call(changeProof, { params: { proof: proofId }, body: { verdict: 'keep' } })
      if (chosen.length) await call(chooseProofs, { params: { series }, body: { chosen } })
      return
    }
    if (Date.now() > end) throw new Error('The demo world could not be made: the simulated engine did not answer in time.')
    await sleep(150)
  }
}
