import type { SheetProof } from '@idolon/contract'

/** “Burin 2”. */
export const engineName = ({ engine }: Pick<SheetProof, 'engine'>): string => `${engine.name} ${engine.revision}`

/** “The heron, version 3, Burin 2, seed 318”; without its title “Version 3, Burin 2, seed 318”. */
export const proofName = (proof: SheetProof, titled = true): string =>
  `${titled ? `${proof.promptTitle}, version` : 'Version'} ${proof.version}, ${engineName(proof)}${proof.seed === null ? '' : `, seed ${proof.seed}`}`
