import type { Facet } from '@idolon/core'

/** How often a captioner is wrong about each facet where it says something of it, by model: what measures find can be checked against this. */
export const CAPTION_ERRORS: Readonly<Record<string, Readonly<Partial<Record<Facet, number>>>>> = {
  'quoin-1': { subject: 0.1, detail: 0.25, moment: 0.3, framing: 0.12, light: 0.1, colour: 0.08, medium: 0.2, technique: 0.12 },
  'flourish-1': { subject: 0.25, detail: 0.5, moment: 0.5, framing: 0.25, light: 0.25, colour: 0.2, medium: 0.35, technique: 0.3 },
}
