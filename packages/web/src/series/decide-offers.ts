import { type SceneOffer, takeSceneOffers } from '@idolon/contract'
import { call } from '../api/call.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'

/** Takes and leaves what changed parts offer to the scenes of a series, and says what came of it. */
export function useDeciding(series: () => string) {
  const notices = useNotices()
  const task = useTask()
  return (take: readonly SceneOffer[], leave: readonly SceneOffer[]) =>
    task(async () => {
      const { taken, passedOver } = await call(takeSceneOffers, { params: { series: series() }, body: { take: take.map(({ sceneId, partId, revision }) => ({ sceneId, partId, revision })), leave: leave.map(({ sceneId, partId }) => ({ sceneId, partId })) } })
      if (taken) notices.show(`${counted(taken, 'scene')} changed. What was kept is as it was.`)
      if (passedOver.length) notices.show(`Passed over, since their texts changed meanwhile: ${passedOver.slice(0, 5).join('; ')}. Look at them and take the change again.`, { problem: true })
    })
}
