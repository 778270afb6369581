import { headOf, singularOf } from '../english/noun.ts'
import type { LexicalWord } from '../lexicon/words.ts'
import { entriesOf } from '../read/noise/leave-out.ts'
import type { TextRange } from '../text-range.ts'
import type { Checked } from './checked.ts'
import { type Finding, inText } from './finding.ts'
import { removing } from './fixes.ts'
import { DIVIDED, isMeant } from './meant.ts'

/** Beginnings of words in “-less” and “-free” that have nothing to do with a thing that could be seen. */
const NO_THING = new Set(
  `end count home care fear price time tire seam flaw spot shape rest harm help hope job mind motion name need point power reck ruth self sense speech state use weight worth breath bound effort relent rim form cord wire taste match hap list feck guile
age sleep shadow leaf beard colour color lawn people breath cloud wind moon star sun tree car hat shoe weapon`.split(/\s+/),
)
const ENDINGS = ['less', 'free']
/** WordNet's files of things and parts of the body. */
const SEEN = new Set([5, 6, 8, 17, 18, 20])
const DENIES = new Set('no not without never single other'.split(' '))
/** Words that put two things apart: what one lacks the other may have. */
const APART = new Set('while but yet against turning becoming carrying holding beside another other far behind off hand hands'.split(' '))

/** Something said not to be there, and there it is: “a windowless cellar, sun through its tall windows”. */
export function thereAfterAll(checked: Checked): Finding[] {
  const { shown, words, language } = checked
  if (DIVIDED.test(shown)) return []
  const inPicture = (at: number) => !['lettering', 'medium', undefined].includes(checked.phraseAt(at)?.facet)
  const isDenied = (i: number) => [1, 2].some((back) => DENIES.has(words[i - back]?.lower ?? ''))
  const pairs: { a: TextRange; b: LexicalWord }[] = []
  // “No shadows”, and then “long shadows on the wall”.
  for (const one of checked.noise) {
    if (one.kind !== 'leave-out') continue
    const head = singularOf(headOf(entriesOf(checked.said(one))[0] ?? '').toLowerCase())
    const b = head.length > 2 ? words.find((word, i) => word.forms.includes(head) && !isDenied(i)) : undefined
    if (b) pairs.push({ a: one, b })
  }
  // “Windowless”, “snow-free”: what the rest of the word names is not there.
  words.forEach((word, i) => {
    const ending = ENDINGS.find((end) => word.lower.endsWith(end))
    if (!ending) return
    const joined = word.lower === ending
    const before = joined && word.gap === 'hyphen' ? words[i - 1] : undefined
    const thing = before ? before.lower : word.lower.slice(0, -ending.length)
    if (thing.length < 3 || NO_THING.has(thing) || (joined && !before)) return
    const facts = language.words.find(thing)
    const b = words.find((other, k) => other !== before && other !== word && (other.forms.includes(thing) || (facts !== undefined && SEEN.has(facts.noun1) && other.forms.some((form) => form !== thing && checked.isKind(form, thing)))) && !isDenied(k))
    if (b) pairs.push({ a: { start: before?.start ?? word.start, end: word.end }, b })
  })
  const pair = pairs.find(({ a, b }) => {
    const between = words.filter(({ start }) => start >= Math.min(a.end, b.end) && start < Math.max(a.start, b.start))
    return (inPicture(a.start) || checked.noise.some(({ start }) => start === a.start)) && inPicture(b.start) && !isMeant(shown, a, b) && !between.some(({ lower }) => APART.has(lower))
  })
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
