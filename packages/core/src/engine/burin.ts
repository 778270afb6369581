import type { EngineProfile } from './profile.ts'

/** Burin, revision 1: the simulated engine that reads whole sentences. */
export const burin1: EngineProfile = {
  id: 'burin',
  name: 'Burin',
  revision: '1',
  simulated: true,
  reads: 'sentences',
  leaveOut: false,
  limit: { unit: 'characters', max: 1_800 },
  emphasis: 'order',
  settings: [
    {
      key: 'guidance',
      label: 'Guidance',
      kind: 'number',
      min: 0,
      max: 12,
      step: 0.25,
      default: 6.75,
      says: 'How literally the text is followed.',
    },
    { key: 'steps', label: 'Steps', kind: 'number', min: 8, max: 60, step: 1, default: 30, says: 'How far the drawing is worked out.' },
  ],
  sizes: [
    { aspectRatio: '3:2', width: 768, height: 512, cost: 4 },
    { aspectRatio: '2:3', width: 512, height: 768, cost: 4 },
    { aspectRatio: '1:1', width: 640, height: 640, cost: 4 },
    { aspectRatio: '4:3', width: 720, height: 540, cost: 4 },
    { aspectRatio: '3:4', width: 540, height: 720, cost: 4 },
    { aspectRatio: '16:9', width: 896, height: 504, cost: 5 },
  ],
  costUnit: 'credit',
  honoursIdempotencyKey: true,
  references: ['base', 'layout', 'palette', 'person', 'finish'],
  figures: 5,
  lettering: 3,
  notes: 'Reads whole sentences and draws in a painterly hand. Ignores the leave-out list; what comes early in the text weighs more. Holds numbers well and forgets now and then where the light comes from.',
}

/** Burin, revision 2: holds the light that was asked for, and counts less well. */
export const burin2: EngineProfile = {
  ...burin1,
  revision: '2',
  figures: 3,
  notes: 'Reads whole sentences and draws in a painterly hand. Ignores the leave-out list; what comes early in the text weighs more. Holds the light that is asked for, and counts less well than the revision before.',
}
