import type { Trial, TrialFactor } from '@idolon/contract'

const NONE = { asked: 0, sent: 0, stored: 0, failed: 0, stopped: 0, unknown: 0 }

/** A trial plan over two words and two engines; `states` says how many of its pictures are in which. */
export const aTrial = (states: Partial<Trial['states']> = { stored: 4 }, more: Partial<Trial> = {}): Trial =>
  ({
    id: 'tr1',
    promptId: 'x',
    projectId: 'j',
    promptTitle: 'A fox',
    body: { name: 'Fox or hen', frame: 'a {{ subject }}', slots: [], values: {}, factors: [{ kind: 'words', slot: 'subject', options: ['fox', 'hen'] }, { kind: 'engine', options: [{ engine: 'burin' }, { engine: 'brayer' }] }], way: { kind: 'all' }, skip: [], count: 1 },
    combinations: 4,
    askedAt: '2026-01-01T10:00:00Z',
    stoppedAt: null,
    states: { ...NONE, ...states },
    judged: 0,
    keepers: 0,
    cost: [{ unit: 'credit', amount: 16 }],
    ...more,
  }) as Trial

export const aFactor = (more: Partial<TrialFactor> = {}): TrialFactor => ({
  name: 'subject',
  says: 'The fox did better than the hen.',
  told: 'fox',
  options: [
    { name: 'hen', judged: 2, mean: 0.25, effect: -0.25, low: -0.5, high: 0, best: 0.04 },
    { name: 'fox', judged: 3, mean: 0.75, effect: 0.25, low: 0, high: 0.5, best: 0.96 },
    { name: 'owl', judged: 0, mean: null, effect: 0, low: 0, high: 0, best: 0 },
  ],
  ...more,
})
