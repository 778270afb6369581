/** A range of a text, in UTF-16 code units. */
export interface TextRange {
  start: number
  end: number
}
