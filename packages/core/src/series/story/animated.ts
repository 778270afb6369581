import type { WordTable } from '../../read/words/word-table.ts'
import { beingWorth } from './beings.ts'
import type { NounPhrase } from '../../structure/noun-phrases.ts'
import { ADV, AUX, VERB } from '../../read/parts-of-speech.ts'
import { placeWorth } from './place-words.ts'
import type { Word } from '../../structure/word.ts'

/** What only somebody does. */
const ALIVE =
  /^(?:said|says|asked|asks|answered|answers|replied|replies|whispered|whispers|shouted|cried|laughed|laughs|sang|sings|spoke|speaks|sighed|sighs|thought|thinks|wondered|wonders|decided|decides|wanted|wants|wished|wishes|hoped|hopes|knew|knows|saw|sees|heard|hears|remembered|forgot|loved|loves|hated|hates|feared|fears|believed|dreamed|dreamt|dreams|smiled|smiles|wept|weeps|blushed|begged|begs|winked|nodded|yawned|noticed|understood|learned|refused|agreed|promised|listened|listens|snored|snores|giggled|grinned|bowed|bows|danced|dances|whistled|whistles|shivered|pretended|complained)$/

/**
 * Things that a story tells of as if they were alive: they speak or think, or, where nobody else acts, they are what the
 * sentences are about. Nouns in lower case.
 */
export function animatedNouns(sentences: readonly { tokens: readonly Word[]; phrases: readonly NounPhrase[] }[], words: WordTable): Set<string> {
  const found = new Set<string>()
  const leads = new Map<string, number>()
  let somebody = 0
  for (const { tokens, phrases } of sentences) {
    phrases.forEach((phrase, i) => {
      const head = tokens[phrase.head]!
      if (head.quoted || head.kind !== 'word') return
      const end = (phrase.of ?? phrase).to
      const verb = tokens[end]?.tag === ADV ? tokens[end + 1] : tokens[end]
      if (!verb || verb.quoted || (verb.tag !== VERB && verb.tag !== AUX)) return
      if (phrase.name || beingWorth(head.lower, words) >= 0.5) {
        somebody++
        return
      }
      if (phrase.determiner === '' || head.tag === VERB) return
      if (ALIVE.test(verb.lower) && !NO_LIFE.test(head.lower) && placeWorth(head.lower, words) < 1) found.add(head.lower)
      else if (i === 0) leads.set(head.lower, (leads.get(head.lower) ?? 0) + 1)
    })
  }
  if (somebody === 0) {
    const [first] = [...leads].sort((a, b) => b[1] - a[1])
    if (first && first[1] >= 2) found.add(first[0])
  }
  return found
}
/** Parts of somebody and marks of them, by which the somebody is meant. */
const NO_LIFE = /^(?:eyes?|hands?|face|faces|voices?|heart|hearts|head|heads|lips|mouth|fingers?|mind|soul|look|letter|sign|page|book|story|report|paper|rest|others?|many|few|time|day|night|morning|evening|law|rule|world|country|nation)$/
