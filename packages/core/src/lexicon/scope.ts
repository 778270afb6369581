import type { IsKind } from './matcher.ts'
import type { Saying } from './lexicon.ts'
import type { LexicalWord } from './words.ts'

/** What a word that stands right before it only tells which: a winter coat, a night porter, a storm lantern say nothing of the picture's own winter, night or storm. */
const TOLD_APART = ['person', 'animal', 'clothing', 'footwear', 'headdress', 'instrumentality', 'food', 'furniture', 'toy', 'color', 'gem', 'lamp', 'weapon']
/** Of those kinds, things that do show what stands before them: a winter street, a night sky, snow boots do not. */
const SHOWS = new Set('light lamplight lighting sunlight sky sun moon scene air morning day evening afternoon street road'.split(' '))
const DENIES = new Set("no not without never hardly scarcely neither nor isn't aren't doesn't don't wasn't cannot lacking minus".split(' '))
const BEFORE_OR_AFTER = new Set('before after since until till awaiting expecting remembering dreaming recalling missing last next past former coming'.split(' '))
const GONE = new Set('gone departed dispersed'.split(' '))
/** With “is” or “has” before them these say the same: “the storm is over”. */
const ENDED = new Set('left over past passed lifted cleared ended finished gone departed dispersed'.split(' '))
const IS = new Set('is are was were has have had'.split(' '))
const LIKE = new Set(['like', 'resembling', 'than'])
const ARTICLES = new Set('a an the any some his her its their of single'.split(' '))
/** Titles and ends that make a word before them part of something else: “the eve of winter”, “ready for the night”. */
const AWAITS = new Set(['eve', 'ready', 'prepare', 'dream', 'memory', 'end', 'forecast', 'promise', 'threat', 'season'])

/** Words right before a place that a mark does not part from it, nearest first. */
function before(words: readonly LexicalWord[], from: number): LexicalWord[] {
  const found: LexicalWord[] = []
  for (let i = from; i > 0 && found.length < LOOKED_AT && words[i]!.gap !== 'mark'; i--) found.push(words[i - 1]!)
  return found
}
const LOOKED_AT = 4

/**
 * Whether a text says something of its own moment: not where it is denied (“no rain”), was or will be (“after the storm”), is only
 * likened to (“hair like snow”), or belongs to the name of a thing (“a winter coat”, “a snow-white horse”).
 */
export function holds(words: readonly LexicalWord[], { from, to, dimension }: Saying, isKind: IsKind): boolean {
  const [next, following] = [words[to], words[to + 1]]
  const said = words[to - 1]!
  if (next?.gap === 'hyphen' || (to - from === 1 && from > 0 && words[from]!.gap === 'hyphen')) return false
  if (dimension.of === 'picture') {
    if (next?.gap === 'space' && !SHOWS.has(next.lower) && to - from === 1 && isThing(next, isKind)) return false
    if (next && next.gap !== 'mark' && (GONE.has(next.lower) || (IS.has(next.lower) && following && ENDED.has(following.lower)))) return false
  }
  let passed = 0
  for (const word of before(words, from)) {
    if (DENIES.has(word.lower)) return false
    if (LIKE.has(word.lower) || (word.lower === 'as' && before(words, words.indexOf(word)).some(({ lower }) => lower === 'as'))) return false
    if (dimension.of === 'picture' && (BEFORE_OR_AFTER.has(word.lower) || word.forms.some((form) => AWAITS.has(form))) && said.lower !== 'light') return false
    if (!ARTICLES.has(word.lower) && ++passed > 1) break
  }
  return true
}

const isThing = (word: LexicalWord, isKind: IsKind): boolean => word.forms.some((form) => TOLD_APART.some((kind) => isKind(form, kind)))
