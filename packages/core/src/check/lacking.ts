import { headOf, singularOf } from '../english/noun.ts'
import { entriesOf } from '../read/noise/leave-out.ts'
import type { Checked } from './checked.ts'
import { type Finding, inText } from './finding.ts'
import { removing } from './fixes.ts'
import { DIVIDED } from './meant.ts'

/** What somebody or something is without, by kinds of thing (WordNet's) and words. */
const WITHOUT: readonly { said: RegExp; kinds?: readonly string[]; words?: RegExp }[] = [
  { said: /\bbare-?foot(?:ed)?\b/g, kinds: ['footwear'], words: /\b(?:boots?|shoes?|sandals|slippers|clogs|wellingtons|trainers|stockings|socks)\b/g },
  { said: /\b(?:bare-?headed|hat-?less)\b/g, kinds: ['headdress'], words: /\b(?:hat|cap|helmet|bonnet|hood|turban|crown)\b/g },
  { said: /\b(?:naked|nude|stark naked|unclothed)\b/g, words: /\b(?:(?:three-piece )?suit|coat|dress|gown|uniform|robes?|jacket|trousers|shirt|cloak|tunic|armou?r|overcoat|raincoat)\b/g },
  { said: /\b(?:bare-?handed)\b/g, words: /\b(?:gloves|mittens|gauntlets)\b/g },
  { said: /\b(?:unarmed|weaponless)\b/g, kinds: ['weapon'] },
  { said: /\bstar-?less\b/g, words: /\b(?:stars?|starry|starlit|milky way|constellations?)\b/g },
  { said: /\bwind-?less\b/g, words: /\b(?:wind|winds|gusts?|gale|breeze|windswept|windblown|wind-tossed)\b/g },
  { said: /\bsun-?less\b/g, words: /\b(?:sun|sunlight|sunlit|sunny|sunshine)\b/g },
  { said: /\bcloud-?less\b/g, words: /\b(?:clouds?|thunderclouds?|overcast)\b/g },
  { said: /\btree-?less\b/g, kinds: ['tree'], words: /\b(?:trees?|forest|woods|woodland|orchard|grove)\b/g },
  { said: /\b(?:unpeopled|people-free)\b/g, words: /\b(?:people|crowds?|children|men|women)\b/g },
  { said: /\bunlit (?:\p{L}+ )?(?:street|alley|room|hall|corridor|house|village|town|city|road|path|cellar|church|windows?)\b/gu, words: /\b(?:lamps?|lanterns?|lights?|chandeliers?|candles?)(?: (?:is|are|all))? (?:glow\w*|lit|burning|shining|ablaze|blazing)\b/g },
  { said: /\bcar-free\b/g, kinds: ['motor vehicle'] },
]
/** “windowless”, “snow-free”: what the rest of the word names is not there. */
const LESS = /\b(\p{L}{3,}?)(?:-?less|-free)\b/gu
/** Qualities in which the ending has nothing to do with a thing that could be seen. */
const NO_THING = /^(?:end|count|home|care|fear|price|time|tire|seam|flaw|spot|shape|rest|harm|help|hope|job|mind|motion|name|need|point|power|reck|ruth|self|sense|speech|state|use|weight|worth|breath|bound|effort|relent|rim|form|cord|wire|taste|match|hap|list|feck|guile|age|sleep|shadow|moon|leaf|water|beard|wind|star|sun|cloud|tree|hat|weapon|colou?r|lawn|car|people)$/
const WORD = /[\p{L}]+(?:['’-][\p{L}]+)*/gu

/** “an empty cage with a canary in it”: what is empty, and what is in it all the same. */
const EMPTY = /\b(?:empty|vacant|unoccupied) (?:\p{L}+ )?(\p{L}+)(?:,? (?:that is |which is )?(?:full of|filled with|brimming with|packed with|crammed with|holding|containing|overflowing with)|,? with (?:(?!,|empty)[\p{L} -]){3,40}? (?:in(?:side)?(?: it| them)?|swimming|seated|sitting|sleeping|asleep|curled up|inside|dozing)(?= |[,.;]|$))/giu

const IRREGULAR: Readonly<Record<string, string>> = { tooth: 'teeth', foot: 'feet', man: 'men', leaf: 'leaves', child: 'children' }
/** WordNet's files of things and parts of the body. */
const SEEN = new Set([5, 6, 8, 17, 18, 20])

/** Something said not to be there, and there it is: “a windowless cellar, sun through its tall windows”. */
export function thereAfterAll(checked: Checked): Finding[] {
  const { shown, lower, language } = checked
  const inPicture = (at: number) => !['lettering', 'medium', undefined].includes(checked.phraseAt(at)?.facet)
  const pairs: { a: { start: number; end: number }; b: { start: number; end: number } }[] = []
  const rangeOf = (match: RegExpMatchArray) => ({ start: match.index!, end: match.index! + match[0].length })
  const words = [...lower.matchAll(WORD)]
  for (const { said, kinds, words: named } of WITHOUT)
    for (const match of lower.matchAll(said)) {
      const a = rangeOf(match)
      const others = [...(named ? lower.matchAll(named) : []), ...(kinds ? words.filter(([word]) => kinds.some((kind) => language.kin.below(singularOf(word), kind) >= 0)) : [])]
      const b = others.map(rangeOf).find(({ start }) => start !== a.start)
      if (b) pairs.push({ a, b })
    }
  // “No shadows”, and then “long shadows on the wall”.
  for (const one of checked.noise) {
    if (one.kind !== 'leave-out') continue
    const head = singularOf(headOf(entriesOf(checked.said(one))[0] ?? '').toLowerCase())
    const b = head.length > 2 ? words.find((match) => singularOf(match[0]) === head && !/\b(?:no|not|without|never|single|other)\s+(?:\p{L}+\s+)?$/iu.test(shown.slice(0, match.index))) : undefined
    if (b && !DIVIDED.test(shown)) pairs.push({ a: one, b: rangeOf(b) })
  }
  for (const match of lower.matchAll(LESS)) {
    const thing = match[1]!
    if (NO_THING.test(thing)) continue
    const facts = language.words.find(thing)
    const b = words.find(([word]) => word === thing || singularOf(word) === thing || word === IRREGULAR[thing] || (facts && SEEN.has(facts.noun1) && language.kin.below(word, thing) > 0))
    if (b) pairs.push({ a: rangeOf(match), b: rangeOf(b) })
  }
  for (const match of shown.matchAll(EMPTY)) {
    const empty = /^\p{L}+ (?:\p{L}+ )?\p{L}+/iu.exec(match[0])!
    pairs.push({ a: { start: match.index, end: match.index + empty[0].length }, b: { start: match.index + empty[0].length + /^[\s,]*/.exec(match[0].slice(empty[0].length))![0].length, end: match.index + match[0].length } })
  }
  // With a shoe in his hand a man may go barefoot, and one figure goes so beside another who does not.
  const pair = pairs.find(({ a, b }) => (inPicture(a.start) || checked.noise.some(({ start }) => start === a.start)) && inPicture(b.start) && !DIVIDED.test(shown) && !/\b(?:while|but|yet|against|turning|becoming|dream\p{L}*|carrying|holding|beside|next to|in (?:his|her) hands?|with (?:his|her) (?:\p{L}+ )?(?:in|off)|another|the other|far|behind)\b/iu.test(shown.slice(Math.min(a.end, b.end), Math.max(a.start, b.start))))
  if (!pair) return []
  return [
    {
      kind: 'contradiction',
      severity: 'stop',
      where: inText(pair.a),
      with: inText(pair.b),
      facet: 'detail',
      reason: `“${checked.said(pair.a)}” says there is none, and “${checked.said(pair.b)}” shows it.`,
      ...(inPicture(pair.a.start) ? { fix: removing(checked, pair.a) } : {}),
    },
  ]
}
