import { type Run, addPart, addScenes, addSeries, changeProof, changeScene, changeSeries, listSeries, savePartVersion, startRun, splitStory } from '@idolon/contract'
import { blankPart, blankScene, type CameraMove, type PartBody, type SceneBody } from '@idolon/core'
import { randomUUID } from 'node:crypto'
import type { Call } from './call.ts'

const STORY = `At dusk in late autumn, Hedda Brenn closed the last straw hive of the apiary above the village. "They will not sleep," said Corin, her apprentice, and held the lantern higher. Instead of creeping into their hives, the bees were circling his light.

At night the two of them followed the swarm down to the stone bridge. On the railing stood the Brass Heron, tall and jointed and shining. It bent down, put its beak into the lantern and drank the light to the last drop.

The next morning not a single lamp would burn in the village street. Corin ran from door to door with a basket of candles, and every wick stayed cold.

That evening they climbed the clock tower. The heron had built its nest among the wheels, and in the nest, packed like eggs, lay all the lights of the valley.

At midnight Hedda opened her hive inside the clock tower, and the bees settled on the heron, one by one, until it looked like a bird of gold. The Brass Heron shivered, sat down and slept.

At dawn Hedda and Corin carried the lights home through the snow. In the apiary the first lantern of winter was hung between the hives, and on the roof, very quietly, stood the heron and kept watch.`

const part = (kind: PartBody['kind'], name: string, more: Partial<PartBody>): PartBody => ({ ...blankPart(kind, name), ...more })
/** What a part always says, phrase by phrase. */
export const says = (...texts: string[]) => texts.map((text, i) => ({ key: `p${i + 1}`, text }))

const PARTS = {
  hedda: part('character', 'Hedda Brenn', { also: ['Hedda'], again: 'the beekeeper', says: says('an old beekeeper', 'with a white plait', 'small and upright'), variants: [{ key: 'waxed', aspect: 'dress', name: 'waxed coat', text: 'in a long waxed coat' }, { key: 'winter', aspect: 'dress', name: 'winter coat', text: 'in a red wool coat with horn buttons' }], never: ['veil'], seed: 417 }),
  corin: part('character', 'Corin', { also: ['the apprentice'], again: 'the boy', says: says('a freckled boy of twelve', 'with a patched cap') }),
  heron: part('character', 'Brass Heron', { also: ['the heron'], again: 'the brass heron', says: says('a tall clockwork heron of riveted brass', 'with glass eyes'), variants: [{ key: 'gold', aspect: 'state', name: 'covered in bees', text: 'covered all over in golden bees' }], never: ['real bird'] }),
  apiary: part('place', 'Apiary', { again: 'the apiary', says: says('a terraced apiary above a mountain village', 'straw hives on wooden shelves'), variants: [{ key: 'snow', aspect: 'season', name: 'in snow', text: 'everything under first snow' }] }),
  bridge: part('place', 'Stone bridge', { again: 'the bridge', says: says('an old stone bridge over a gorge', 'with an iron railing') }),
  street: part('place', 'Village street', { again: 'the street', says: says('a steep cobbled village street', 'dark windows on both sides') }),
  tower: part('place', 'Clock tower', { again: 'the tower', says: says('inside a clock tower', 'tall brass wheels and oak beams') }),
  look: part('style', 'Lamplight gouache', { says: says('gouache picture book illustration', 'muted ochre and slate', 'soft lamplight'), settings: { aspectRatio: '3:2', count: 1 } }),
}
type Name = keyof typeof PARTS

interface DemoScene {
  beat: string
  words: string
  cast: [Name, ...string[]][]
  place: [Name, ...string[]]
  moment: string
  framing: string
  camera: CameraMove
  seconds: number
  moves: string
  caption: string
}
/** In the order of the story’s paragraphs. */
const SCENES: DemoScene[] = [
  { beat: 'The bees will not sleep', words: 'Hedda Brenn closes a straw hive while Corin holds up a lantern that bees circle', cast: [['hedda', 'waxed'], ['corin']], place: ['apiary'], moment: 'dusk, late autumn', framing: 'Wide shot', camera: 'push in', seconds: 5, moves: 'bees circle the lantern', caption: 'The bees would not sleep.' },
  { beat: 'The Brass Heron drinks the light', words: 'the Brass Heron dips its beak into the lantern that Corin holds', cast: [['hedda', 'waxed'], ['corin'], ['heron']], place: ['bridge'], moment: 'night', framing: 'Low angle, the heron tall against the sky', camera: 'tilt up', seconds: 6, moves: 'the light runs up its beak', caption: 'It drank the light to the last drop.' },
  { beat: 'No lamp will burn', words: 'Corin runs from door to door with a basket of candles', cast: [['corin']], place: ['street'], moment: 'grey morning', framing: 'Long shot from above', camera: 'pan right', seconds: 4, moves: 'he runs', caption: 'Every wick stayed cold.' },
  { beat: 'The nest of lights', words: 'Hedda Brenn and Corin look into a nest of glowing lights that the Brass Heron guards', cast: [['hedda', 'waxed'], ['corin'], ['heron']], place: ['tower'], moment: 'evening', framing: 'Medium shot', camera: 'pull back', seconds: 5, moves: 'the wheels turn', caption: 'All the lights of the valley, packed like eggs.' },
  { beat: 'A bird of gold', words: 'Hedda Brenn kneels by her open hive and the Brass Heron sleeps', cast: [['hedda', 'winter'], ['heron', 'gold']], place: ['tower'], moment: 'midnight', framing: 'Close-up of the heron', camera: 'circle', seconds: 6, moves: 'bees settle on the heron', caption: 'Until it looked like a bird of gold.' },
  { beat: 'The first lantern of winter', words: 'Hedda Brenn and Corin hang a lantern between the hives, and the Brass Heron keeps watch on the roof', cast: [['hedda', 'winter'], ['corin'], ['heron']], place: ['apiary', 'snow'], moment: 'dawn, first snow', framing: 'Wide shot, the valley below', camera: 'pull back', seconds: 7, moves: 'snow falls', caption: 'And on the roof, very quietly, the heron kept watch.' },
]

/** The picture book in six scenes, tried and chosen; its beekeeper puts on a winter coat half way, of which the story does not tell, and its apprentice was changed since, which no scene has taken yet. */
export async function makeDemoSeries(call: Call, finished: (run: Run) => Promise<Run>, projectId: string): Promise<void> {
  if ((await call(listSeries, { query: { project: projectId } })).length) return
  const ids = Object.fromEntries(Object.keys(PARTS).map((name) => [name, randomUUID()])) as Record<Name, string>
  for (const [name, body] of Object.entries(PARTS)) await call(addPart, { body: { id: ids[name as Name], projectId, body, why: '' } })
  const id = randomUUID()
  await call(addSeries, { body: { id, projectId, name: 'The Lantern Bees', story: STORY } })
  await call(changeSeries, { params: { series: id }, body: { revision: 0, style: ids.look } })
  let at = 0
  const starts = STORY.split('\n\n').map((paragraph) => {
    const start = at
    at += paragraph.length + 2
    return start
  })
  const { scenes: passages } = await call(splitStory, { body: { story: STORY, starts } })
  const use = ([name, ...variants]: [Name, ...string[]]) => ({ part: ids[name], variants })
  const scenes = SCENES.map((scene, i) => {
    const body: SceneBody = { ...blankScene(), beat: scene.beat, words: scene.words, cast: scene.cast.map(use), place: use(scene.place), moment: scene.moment, framing: scene.framing, motion: { camera: scene.camera, subject: scene.moves, seconds: scene.seconds }, caption: scene.caption }
    return { id: randomUUID(), body, story: { start: passages[i]!.start, end: passages[i]!.end } }
  })
  const made = await call(addScenes, { params: { series: id }, body: { after: null, scenes } })
  for (const scene of made.scenes) {
    const run = await finished(await call(startRun, { params: { prompt: scene.promptId }, body: { id: randomUUID(), revision: scene.revision } }))
    const proof = run.proofs.find(({ state }) => state === 'stored')
    if (!proof) continue
    await call(changeProof, { params: { proof: proof.id }, body: { verdict: 'keep' } })
    await call(changeScene, { params: { scene: scene.id }, body: { chosen: proof.id } })
  }
  await call(savePartVersion, { params: { part: ids.corin }, body: { on: 1, body: { ...PARTS.corin, says: says('a freckled boy of twelve', 'with a patched cap', 'a lantern at his belt') }, why: 'He needs a lantern of his own.' } })
}
