/** The tagger's numbers that the reading of a story asks for (see read/tagger.ts). */
export const ADJ = 1
export const ADP = 2
export const ADV = 3
export const AUX = 4
export const CCONJ = 5
export const DET = 6
export const NOUN = 8
export const NUM = 9
export const PART = 10
export const PRON = 11
export const PROPN = 12
export const SCONJ = 14
export const VERB = 16
