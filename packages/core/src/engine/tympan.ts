import type { EngineProfile } from './profile.ts'

/** Tympan, revision 1: the simulated engine that reads JSON by facet and takes weights as a field. */
export const tympan1: EngineProfile = {
  id: 'tympan',
  name: 'Tympan',
  revision: '1',
  simulated: true,
  reads: 'json',
  leaveOut: true,
  limit: { unit: 'tokens', max: 400 },
  pastLimit: 'refuses',
  emphasis: 'weights',
  settings: [
    { key: 'guidance', label: 'Guidance', kind: 'number', min: 0, max: 12, step: 0.25, default: 6, says: 'How literally each facet is followed.' },
    { key: 'latitude', label: 'Latitude', kind: 'choice', values: ['none', 'some', 'free'], default: 'some', says: 'How much the engine may add that was not asked.' },
  ],
  sizes: [
    { aspectRatio: '3:2', width: 768, height: 512, cost: 6 },
    { aspectRatio: '2:3', width: 512, height: 768, cost: 6 },
    { aspectRatio: '1:1', width: 640, height: 640, cost: 6 },
    { aspectRatio: '4:3', width: 720, height: 540, cost: 6 },
    { aspectRatio: '16:9', width: 896, height: 504, cost: 8 },
  ],
  costUnit: 'credit',
  honoursIdempotencyKey: true,
  references: ['base', 'layout', 'palette', 'person', 'finish'],
  figures: 6,
  lettering: 0,
  notes: 'Reads a JSON object by facet and takes weights as a field of their own. Strong in line work and print looks; spoils lettering.',
}

/** Tympan, revision 2: understands values that are written as sentences. */
export const tympan2: EngineProfile = {
  ...tympan1,
  revision: '2',
  notes: 'Reads a JSON object by facet and takes weights as a field of their own; whole sentences are understood better than lists. Strong in line work and print looks; spoils lettering.',
}
