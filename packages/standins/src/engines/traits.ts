import type { Medium } from '../scene/scene.ts'

/** Ways in which a picture comes out wrong, each drawn for by itself. */
export const CAUSES = ['spoiled lettering', 'doubled figures', 'smeared faces', 'colour drift', 'modern thing', 'ignored tail', 'light forgotten', 'number missed'] as const
export type Cause = (typeof CAUSES)[number]

/** How one revision of an engine reads and errs. */
export interface Traits {
  /** What it reads well; of the other, secondary things are lost at `halfRead`. */
  reads: 'sentences' | 'lists' | 'either'
  halfRead: number
  takesLeaveOut: boolean
  /** The medium it falls into where none is said. */
  usual: Medium
  emphasis: 'order' | 'repetition' | 'weights'
  /** Of pictures to which a cause applies, the share that it spoils. */
  faults: Record<Cause, number>
}

const rates = (...shares: number[]): Traits['faults'] => Object.fromEntries(CAUSES.map((cause, i) => [cause, shares[i] ?? 0])) as Traits['faults']

/**
 * Every engine by id and revision. The second revisions differ as a writer would notice: Burin 2 holds the light and
 * Brayer 2 the number, Tympan 1 reads lists better and Tympan 2 sentences.
 */
export const TRAITS: Readonly<Record<string, Traits>> = {
  //                                                                                    lettering, doubled, faces, drift, modern, tail, light, number
  'burin 1': { reads: 'sentences', halfRead: 0.35, takesLeaveOut: false, emphasis: 'order', usual: 'gouache', faults: rates(0.08, 0.15, 0.2, 0.2, 0.12, 0.1, 0.4, 0.1) },
  'burin 2': { reads: 'sentences', halfRead: 0.3, takesLeaveOut: false, emphasis: 'order', usual: 'gouache', faults: rates(0.06, 0.2, 0.15, 0.2, 0.1, 0.08, 0.04, 0.22) },
  'brayer 1': { reads: 'lists', halfRead: 0.4, takesLeaveOut: true, emphasis: 'repetition', usual: 'photograph', faults: rates(0.7, 0.6, 0.3, 0.15, 0.15, 0.15, 0.12, 0.4) },
  'brayer 2': { reads: 'lists', halfRead: 0.3, takesLeaveOut: true, emphasis: 'repetition', usual: 'photograph', faults: rates(0.65, 0.25, 0.3, 0.15, 0.15, 0.15, 0.12, 0.05) },
  'tympan 1': { reads: 'lists', halfRead: 0.3, takesLeaveOut: true, emphasis: 'weights', usual: 'flat print', faults: rates(0.9, 0.2, 0.15, 0.1, 0.1, 0.08, 0.1, 0.12) },
  'tympan 2': { reads: 'sentences', halfRead: 0.3, takesLeaveOut: true, emphasis: 'weights', usual: 'flat print', faults: rates(0.85, 0.2, 0.15, 0.1, 0.1, 0.08, 0.1, 0.12) },
}

export const traitsOf = (engine: string, revision: string): Traits | undefined => TRAITS[`${engine} ${revision}`]
