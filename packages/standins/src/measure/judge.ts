import type { PictureRequest } from '../request.ts'
import type { Scene } from '../scene/scene.ts'
import type { Expectation } from './answers.ts'
import { type Answer, decoded } from './measures.ts'

/** Asks the engine as any client would. */
export type Ask = (request: PictureRequest) => Promise<{ pictures: { png: string }[]; testOnly: { drawn: { scene: Scene }[] } }>

const SIZE = { width: 240, height: 160 }

async function answerTo(ask: Ask, change: Partial<PictureRequest>, seed: number): Promise<Answer> {
  const { pictures, testOnly } = await ask({ engine: 'burin', revision: '1', prompt: 'a fox', ...SIZE, seed, ...change })
  return decoded(Buffer.from(pictures[0]!.png, 'base64'), testOnly.drawn[0]!.scene)
}

/** On how many of the seeds the change shows as it should, and on how many everything else stays. */
export async function judge(ask: Ask, { before, after, measure, way, keeps = [] }: Expectation, seeds: readonly number[]): Promise<{ shown: number; kept: number }> {
  let [shown, kept] = [0, 0]
  for (const seed of seeds) {
    const [a, b] = [await answerTo(ask, before, seed), await answerTo(ask, after, seed)]
    const [x, y] = [measure(a), measure(b)]
    if (keeps.some((one) => one === measure)) {
      // What has no effect is shown by the same value.
      if (Math.abs(x - y) < 1e-9) shown++
    } else if (typeof way === 'number' ? Math.abs(y - way) < 1e-9 : way === 'up' ? y > x : y < x) shown++
    if (keeps.every((one) => Math.abs(one(a) - one(b)) <= 0.02 * Math.max(1, Math.abs(one(a))))) kept++
  }
  return { shown, kept }
}
