import type { EngineProfile } from './profile.ts'

/** Brayer, revision 1: the simulated engine that reads lists of keywords and weighs what is repeated. */
export const brayer1: EngineProfile = {
  id: 'brayer',
  name: 'Brayer',
  revision: '1',
  simulated: true,
  reads: 'keywords',
  leaveOut: true,
  limit: { unit: 'words', max: 60 },
  pastLimit: 'ignores',
  emphasis: 'repetition',
  settings: [
    { key: 'guidance', label: 'Guidance', kind: 'number', min: 0, max: 12, step: 0.25, default: 4.5, says: 'How literally the list is followed.' },
    { key: 'steps', label: 'Steps', kind: 'number', min: 10, max: 80, step: 1, default: 40, says: 'How far the picture is worked out.' },
    { key: 'spread', label: 'Spread', kind: 'choice', values: ['close', 'apart', 'wide'], default: 'apart', says: 'How far the results of one run lie from one another.' },
  ],
  sizes: [
    { aspectRatio: '3:2', width: 768, height: 512, cost: 3 },
    { aspectRatio: '2:3', width: 512, height: 768, cost: 3 },
    { aspectRatio: '1:1', width: 640, height: 640, cost: 3 },
    { aspectRatio: '16:9', width: 896, height: 504, cost: 3 },
  ],
  costUnit: 'credit',
  honoursIdempotencyKey: true,
  references: ['base', 'layout', 'palette', 'person', 'finish'],
  figures: 3,
  lettering: 0,
  facetOrder: ['subject', 'detail', 'action', 'setting', 'moment', 'light', 'colour', 'framing', 'medium', 'technique', 'mood', 'lettering'],
  notes: 'Reads lists of about sixty words and nothing after them. Lens and aperture show as depth of field; what stands twice weighs more. Doubles figures in crowds and spells badly.',
}

/** Brayer, revision 2: holds small numbers and doubles figures less often. */
export const brayer2: EngineProfile = {
  ...brayer1,
  revision: '2',
  figures: 5,
  notes: 'Reads lists of about sixty words and nothing after them. Lens and aperture show as depth of field; what stands twice weighs more. Holds numbers up to four, and spells badly.',
}
