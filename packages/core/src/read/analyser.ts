import type { Token } from './scan.ts'

/** What is known of a token in its sentence. */
export interface TokenFacts {
  /** Part of speech, numbered as in parts-of-speech.ts; 0 when unknown. */
  tag: number
  /** The form that dictionaries list, in lower case: “geese”, “goose”. */
  lemma: string
}

/** Tells of each token of a text what part of speech and which dictionary form it is (see tagger.ts). */
export type Analyser = (text: string, tokens: readonly Token[]) => TokenFacts[]
