/** What can stand beside the text. */
export const SIDES = { checks: 'Checks', output: 'Output', history: 'History', proofs: 'Proofs', helpers: 'Helpers' } as const
export type Side = keyof typeof SIDES
