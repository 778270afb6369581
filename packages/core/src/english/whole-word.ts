/** A text as a regular expression that matches it letter by letter. */
export const literal = (said: string): string => said.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')

/** A phrase where it stands as whole words; in any case unless `flags` say otherwise. */
export const wholeWords = (said: string, flags = 'iu'): RegExp => new RegExp(`(?<![\\p{L}])${literal(said)}(?![\\p{L}])`, flags)
