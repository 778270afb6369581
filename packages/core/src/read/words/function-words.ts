/** Words that join and carry no facet of their own. */
export const ARTICLES: ReadonlySet<string> = new Set(['a', 'an', 'the'])

export const PREPOSITIONS: ReadonlySet<string> = new Set(
  `about above across after against along alongside amid amidst among amongst around as at atop before behind below beneath beside besides between beyond by
despite down during except for from in inside into like near of off on onto opposite out outside over past per round since through throughout till to toward towards
under underneath until unto up upon via with within without`.split(/\s+/),
)

export const JOINERS: ReadonlySet<string> = new Set(['and', 'or', '&'])

/** Articles, prepositions and joining words: they belong to the gap between two words, not to either. */
export const isFunctionWord = (lower: string): boolean => ARTICLES.has(lower) || PREPOSITIONS.has(lower) || JOINERS.has(lower)
