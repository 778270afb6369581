import type { Reference, ReferenceWhole } from '@idolon/contract'
import type { PictureReading } from '@idolon/core'

/** What is read of a picture with a dog in it. */
export const aReading = (more: Partial<PictureReading> = {}): PictureReading => ({
  key: 'mid', temperature: 'cool', mono: false, palette: [{ hex: '#2850a0', name: 'blue', share: 0.6 }, { hex: '#e09040', name: 'orange', share: 0.4 }], focus: null, side: 'left', horizon: 0.6, symmetric: false, busy: false, contrast: 'high', saturation: 'vivid', cast: null,
  lightSide: 'upper left', lightHard: null, grain: null, texture: null, pattern: false, balance: 'left', thirds: true, space: 'top', aspect: 1.5, medium: 'painting', shot: null, people: 0,
  objects: [{ name: 'dog', broader: 'animal', score: 0.7, box: [0.1, 0.5, 0.3, 0.9] }], lettering: { present: false, text: '', boxes: [] }, figure: [0.1, 0.5, 0.3, 0.9],
  where: { eye: { x: 0.3, y: 0.6 }, horizon: { y: 0.6, tilt: 0 }, edges: { columns: 1, widths: [1, 4] }, colours: { columns: 2, of: [0, 0, 1, 1] }, tones: Array<number>(1024).fill(50), space: [0, 0, 1, 0.4], repeat: null },
  phrases: [{ facet: 'colour', text: 'cool colours', confidence: 0.94, evidence: 'temperature' }, { facet: 'light', text: 'strong contrast', confidence: 0.81, evidence: 'contrast' }],
  ...more,
})
export const aReference = (more: Partial<Reference> = {}): Reference => ({ id: 'r1', projectId: 'p1', name: 'The quay', source: '', rights: 'own', note: '', picture: { sha256: 'a'.repeat(64), width: 300, height: 200 }, proofId: null, addedAt: '2026-01-01T10:00:00Z', stage: 'read', problem: null, ...more })
export const aWhole = (reading = aReading()): ReferenceWhole => ({ reference: aReference(), facts: reading, reading, metadata: [] })
