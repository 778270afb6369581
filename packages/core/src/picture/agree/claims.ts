import type { Claim } from './verdict.ts'

/** What a describer puts before what it says of a facet. */
const ABOUT = /^(?:(?:the|its|an?) )?(?:overall )?(?:framing|composition|light|lighting|mood|atmosphere|palette|colou?rs?|medium|style|technique|picture|image|scene|photo|painting) (?:is|are|shows?|depicts?|features?|has|feels?|looks?) /i
const BATHED = /^(?:bathed|set|shown|rendered|made|done|seen|captured|shot|drawn|painted) (?:in|as|with|at|from) /i
/** Words that say nothing by themselves. */
const EMPTY = /^(?:it|this|that|there|one|here|they|its|the|an?|and|of|in|on|over|with|as|is|are|was|be|has|have|show\w*|see\w*|depict\w*|featur\w*|lies?|stands?|sits?|appears?|seems?|looks?|single|some|very|quite|scene|picture|image|all)$/i

/** What a description claims, of the phrases it was read as: without what only leads up to it, and nothing that says nothing. */
export function claimsOf(phrases: readonly Claim[]): Claim[] {
  return phrases.flatMap(({ facet, text }) => {
    const bare = text.trim().replace(ABOUT, '').replace(BATHED, '').trim()
    const words = bare.match(/[\p{L}\p{N}]+/gu) ?? []
    return words.every((word) => EMPTY.test(word)) ? [] : [{ facet, text: bare }]
  })
}
