import type { Told } from './told.ts'

/** How a model behaves when nobody asks it to misbehave: rates from 0 to 1, where it is told and where it is not. */
export interface Habits {
  terse: boolean
  rates: Readonly<Record<Slip, { told: number; untold: number }>>
}
export type Slip = 'praise' | 'leadIn' | 'settings' | 'madeUpWord' | 'losesLocked' | 'tooLong' | 'twoLights'

/** Which part of an instruction keeps a model from a slip. */
export const KEPT_BY: Readonly<Record<Slip, keyof Told>> = { praise: 'noPraise', leadIn: 'noLeadIn', settings: 'noSettings', madeUpWord: 'ordinaryWords', losesLocked: 'keepLocked', tooLong: 'words', twoLights: 'onePicture' }

/** The simulated models, by what a request calls them. */
export const MODELS: Readonly<Record<string, Habits>> = {
  'quoin-1': {
    terse: true,
    rates: { praise: { told: 0, untold: 0.02 }, leadIn: { told: 0, untold: 0.02 }, settings: { told: 0, untold: 0.03 }, madeUpWord: { told: 0, untold: 0.02 }, losesLocked: { told: 0, untold: 0.25 }, tooLong: { told: 0, untold: 0 }, twoLights: { told: 0, untold: 0.02 } },
  },
  'flourish-1': {
    terse: false,
    rates: { praise: { told: 0.03, untold: 0.8 }, leadIn: { told: 0.04, untold: 0.5 }, settings: { told: 0.01, untold: 0.25 }, madeUpWord: { told: 0.02, untold: 0.15 }, losesLocked: { told: 0, untold: 0.6 }, tooLong: { told: 0.25, untold: 0.8 }, twoLights: { told: 0.02, untold: 0.2 } },
  },
}

/** Whether a model makes a slip this time. */
export function slips(slip: Slip, { rates }: Habits, told: Told, random: () => number): boolean {
  const rate = rates[slip]
  return random() < (told[KEPT_BY[slip]] ? rate.told : rate.untold)
}
