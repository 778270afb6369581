/** What is known of a word beside the glossary, in a compact form; made by training/companions.ts. */
export interface AssociationRow {
  /** What it brings along: the thing, how strongly in hundredths, and from where. */
  b?: [what: string, hundredths: number, source: SourceLetter][]
  /** What it means, in the words of a dictionary. */
  m?: string
  /** Other words for it. */
  s?: string[]
  /** What it is a kind of. */
  k?: string
  /** Other kinds of the same, nearest first. */
  n?: string[]
}
/** l: listed by hand; d: the dictionary's definitions; p: prompts; u: how words are used. */
export type SourceLetter = 'l' | 'd' | 'p' | 'u'
/** By word, lower case, in the singular. */
export type AssociationTable = Readonly<Record<string, AssociationRow>>
