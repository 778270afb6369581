/**
 * How often each fact is right where it is told, on 186 pictures labelled by eye (docs/pictures.md), each share with one right and
 * one wrong added (Laplace), so that nothing is certain.
 */
export const CONFIDENCE = {
  medium: 0.91,
  key: 0.95,
  temperature: 0.94,
  focus: 0.87,
  palette: 0.9,
  side: 0.86,
  horizon: 0.62,
  symmetric: 0.72,
  mono: 0.9,
  busy: 0.94,
  shot: 0.94,
  people: 0.97,
  lettering: 0.94,
  contrast: 0.81,
  saturation: 0.91,
  cast: 0.87,
  lightSide: 0.85,
  lightHard: 0.75,
  grain: 0.8,
  texture: 0.9,
  pattern: 0.83,
  balance: 0.75,
  thirds: 0.8,
  space: 0.75,
} as const

/** Of a thing, by the detector's score: how often what it says is there. */
export const thingConfidence = (score: number): number => Math.round(Math.min(0.97, Math.max(0.4, 0.35 + 0.95 * score)) * 100) / 100

/** Of a medium, by how likely the model takes it for: how often it was right there, on packages that others taught (training/medium/figures.json). */
export const mediumConfidence = (share: number): number => (share >= 0.9 ? 0.98 : share >= 0.8 ? 0.94 : 0.71)
