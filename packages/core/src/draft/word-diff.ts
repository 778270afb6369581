import { diffWordsWithSpace } from 'diff'

/** A run of words that two texts share, or that one of them has and the other has not. */
export interface WordPiece {
  change: 'same' | 'added' | 'removed'
  text: string
}

/** The two texts as one sequence of shared, added and removed runs of words (Myers 1986, by jsdiff). */
export function wordDiff(before: string, after: string): WordPiece[] {
  return diffWordsWithSpace(before, after).map(({ added, removed, value }) => ({
    change: added ? 'added' : removed ? 'removed' : 'same',
    text: value,
  }))
}
