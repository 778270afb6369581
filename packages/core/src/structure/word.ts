import type { Token } from '../read/scan.ts'

/** A word or mark with its part of speech. */
export interface Word extends Token {
  /** Numbered as by the tagger (read/parts-of-speech.ts). */
  tag: number
  /** Said by somebody the text tells of, not by the text itself. */
  quoted: boolean
}

/** A word with the form that dictionaries list it under: “geese”, “goose”; “fallen”, “fall”. */
export interface Lemmatised extends Word {
  lemma: string
}
