import { singularOf } from '../../english/noun.ts'
import type { WordTable } from '../../read/words/word-table.ts'
import { TITLES } from './beings.ts'
import { AUX, DET, NOUN, PROPN, VERB } from '../../read/parts-of-speech.ts'
import { placeWorth } from './place-words.ts'
import type { Word } from '../../structure/word.ts'
import type { Sentence } from './sentences.ts'

const CALENDAR = /^(?:mon|tues|wednes|thurs|fri|satur|sun)days?$|^(?:january|february|march|april|may|june|july|august|september|october|november|december)$|^(?:christmas|easter|spring|summer|autumn|winter|english|french|german|bc|ad|i|i['’](?:m|d|ll|ve)|ok|tv|dna|sir|madam|god|int|ext|north|south|east|west)$/
const OPENERS = /^(?:the|an?|he|she|it|they|we|you|his|her|its|their|our|my|your|this|that|these|those|there|here|then|now|when|while|where|what|who|why|how|as|at|in|on|by|for|from|to|of|with|without|but|and|or|so|yet|if|once|one|two|three|four|five|six|seven|eight|nine|ten|all|both|some|no|not|nobody|nothing|everybody|everything|everyone|someone|somebody|something|each|every|many|most|after|before|until|since|because|although|though|suddenly|finally|outside|inside|meanwhile|later|soon|only|even|still|just|never|always|perhaps|maybe|yes|oh|well|let|do|did|please|down|up|out|back|again|behind|beyond|beside|between|under|over|through|across|along|around|near|above|below|into|onto|off|against|toward|towards|during|another|several|few|such|first|second|third|next|last|today|tomorrow|yesterday|tonight|slowly|quietly|gently|together|instead|like|than|whoever|whatever|neither|either|none|had|was|were|is|are|has|have|would|could|should|will|can|may|might|must)$/

/** What stands before the name of a place. */
const PLACED = /^(?:in|at|to|from|into|near|through|across|towards?|of|above|below|over|around|outside|leaving|left|reached|for)$/
const capital = ({ text, kind }: Word) => kind === 'word' && /^\p{Lu}/u.test(text)
const plain = (token: Word) => token.text.replace(/['’]s$|['’]$/, '')

/** Which words of a story are names, and which of those are names of places. */
export class Names {
  readonly #names = new Set<string>()
  readonly #places = new Set<string>()
  readonly #acting: ReadonlyMap<string, number>

  constructor(sentences: readonly Sentence[], words: WordTable) {
    const lower = new Set<string>()
    const mid = new Map<string, number>()
    const first = new Map<string, { times: number; acts: number }>()
    const inPlace = new Map<string, number>()
    const acting = new Map<string, number>()
    const count = (map: Map<string, number>, key: string) => map.set(key, (map.get(key) ?? 0) + 1)
    for (const { tokens, heading } of sentences) {
      tokens.forEach((token, i) => {
        if (token.kind !== 'word') return
        if (!capital(token)) {
          lower.add(token.lower)
          return
        }
        const name = plain(token)
        const key = name.toLowerCase()
        if (CALENDAR.test(key) || heading) return
        const before = tokens[i - 1]
        const after = tokens[i + 1]
        const opens = i === 0 || !before || /["“„«‘'’”.!?:…–—-]/.test(before.text.slice(-1)) || (before.kind === 'mark' && before.text !== ',' && before.text !== '&')
        if (opens) {
          if (OPENERS.test(key) || (token.tag !== PROPN && token.tag !== NOUN && words.indexOf(key) >= 0)) return
          const own = first.get(key) ?? { times: 0, acts: 0 }
          own.times++
          if (after && (after.tag === VERB || after.tag === AUX || (after.kind === 'word' && after.tag !== NOUN && /(?:ed|s)$/.test(after.lower))) && /[^s]$|[^aeiou]s$/.test(key)) own.acts++
          if (after && capital(after)) own.acts++
          // “Sam’s sister”
          if (/['’]s$/.test(token.lower)) own.acts++
          // “Sol and Idris rowed”
          const partner = after?.lower === 'and' ? tokens[i + 2] : undefined
          if (partner && capital(partner)) own.acts++
          first.set(key, own)
        } else count(mid, key)
        if (/['’]s$/.test(token.lower)) count(acting, key)
        if (before && /^(?:said|asked|answered|replied|cried|whispered|shouted|called|and|with|told)$/.test(before.lower)) count(acting, key)
        // “near Harrow Fell”: the words of a name are at one place.
        let from = i
        while (from > 0 && capital(tokens[from - 1]!) && !OPENERS.test(tokens[from - 1]!.lower) && !/['’]s$/.test(tokens[from - 1]!.lower)) from--
        const lead = tokens[from - 1]?.tag === DET ? tokens[from - 2] : tokens[from - 1]
        const placed = lead !== undefined && PLACED.test(lead.lower)
        // “The ferry at Tarrow ran”: what is at a place acts, not the place.
        if (!placed && after?.kind === 'word' && (after.tag === VERB || after.tag === AUX)) count(acting, key)
        if (lead && placed && !(lead.lower === 'to' && /^(?:said|spoke|turned|whispered|gave|called)$/.test(tokens[from - (tokens[from - 1]?.tag === DET ? 3 : 2)]?.lower ?? ''))) count(inPlace, key)
      })
    }
    // “said Will”: a word that opens sentences may be a name, where it is written as one within them.
    for (const key of mid.keys()) if (!OPENERS.test(key) || (key === 'will' && acting.has(key))) this.#names.add(key)
    for (const [key, { times, acts }] of first) {
      if (this.#names.has(key) || lower.has(key)) continue
      const facts = words.find(key)
      const known = facts !== undefined && words.indexOf(key) >= 0
      if (singularOf(key) !== key && words.indexOf(singularOf(key)) >= 0) continue
      if (!known || (acts > 0 && (facts.classes & ADJECTIVE) === 0 && ((facts.main === 0 && (times > 1 || COUNTABLE.has(facts.noun1))) || facts.main === 255)) || TITLES.has(key)) this.#names.add(key)
    }
    this.#acting = acting
    for (const key of this.#names) {
      const placed = inPlace.get(key) ?? 0
      if ((placed > 0 && placed >= (acting.get(key) ?? 0) * 2) || (placeWorth(key, words) === 1 && !acting.has(key))) this.#places.add(key)
    }
  }

  /** Whether a token belongs to a name of somebody or something. */
  isName(token: Word): boolean {
    return capital(token) && !CALENDAR.test(plain(token).toLowerCase()) && this.#names.has(plain(token).toLowerCase())
  }

  /** Whether something is done by who is called so. */
  acts(token: Word): boolean {
    return this.#acting.has(plain(token).toLowerCase())
  }

  /** Whether a name is said as places are. */
  isPlace(token: Word): boolean {
    return this.#places.has(plain(token).toLowerCase())
  }
}
const ADJECTIVE = 4
/** WordNet's files of things one of which wants an article: animal, artifact, person, object, plant, body. */
const COUNTABLE = new Set([5, 6, 8, 17, 18, 20])
