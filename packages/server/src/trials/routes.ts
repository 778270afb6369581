import { goOnWithTrial, listTrials, readTrial, startTrial, stopTrial } from '@idolon/contract'
import type { Register } from '../http/register.ts'
import type { Trials } from './service.ts'

export function trialRoutes(on: Register, trials: Trials): void {
  on(startTrial, ({ actor, params, body }) => trials.start(actor, params.prompt, body))
  on(listTrials, ({ query }) => trials.list(query))
  on(readTrial, ({ params }) => trials.whole(params.trial))
  on(stopTrial, ({ actor, params }) => trials.stop(actor, params.trial))
  on(goOnWithTrial, ({ actor, params }) => trials.goOn(actor, params.trial))
}
