import { distance } from 'fastest-levenshtein'
import { TERMS_BY_FACET } from '../glossary/terms-by-facet.ts'
import { scan } from '../read/scan.ts'
import type { Check, Checked } from './checked.ts'
import { inText } from './finding.ts'
import { replacementOf } from './fixes.ts'

const SHORTEST = 4
const ENDINGS = ['s', 'es', 'ed', 'd', 'ing', 'er', 'ers', 'est', 'ly', 'y', 'ish', 'ness', 'less', 'like', 'wise', 'ward', 'able', 'ist', "'s", '’s']
const BEGINNINGS = ['un', 're', 'non', 'over', 'under', 'out', 'semi', 'sub', 'super', 'pre', 'mid', 'multi', 'micro', 'mini', 'mega', 'photo', 'bio', 'retro', 'neo', 'hyper', 'ultra', 'anti', 'half', 'cyber', 'steam', 'back', 'fore', 'inter', 'pseudo', 'proto', 'trans', 'geo', 'hydro', 'electro', 'aero', 'auto', 'poly', 'mono', 'post', 'eco', 'dis', 'mis']

/** Whether a word, or what it is made of, is in any dictionary. */
function isWord(checked: Checked, word: string, deep = true): boolean {
  const { known, words } = checked.language
  if (known.has(word) || checked.ownWords.has(word)) return true
  // American and British spellings of one word.
  const swapped = [word.replace(/our(?=$|s|ed|ful|ing)/, 'or'), word.replace(/or(?=$|s|ed|ful|ing)/, 'our'), word.replace(/is(?=e|ing|ation)/, 'iz'), word.replace(/tre$/, 'ter'), word.replace(/ll(?=ed|ing|er)/, 'l')]
  if (swapped.some((one) => one !== word && known.has(one))) return true
  for (const ending of ENDINGS) {
    if (!word.endsWith(ending) || word.length - ending.length < 3) continue
    const stem = word.slice(0, -ending.length)
    if (known.has(stem) || known.has(`${stem}e`) || (/(.)\1$/.test(stem) && known.has(stem.slice(0, -1))) || (stem.endsWith('i') && known.has(`${stem.slice(0, -1)}y`))) return true
  }
  if (!deep) return false
  for (const beginning of BEGINNINGS) if (word.startsWith(beginning) && word.length - beginning.length >= 4 && isWord(checked, word.slice(beginning.length), false)) return true
  // Two words written as one, both of them common, unless one letter makes a known word of it: “lighthose”.
  for (let at = 4; at <= word.length - 4; at++) if (words.indexOf(word.slice(0, at)) >= 0 && words.indexOf(word.slice(at)) >= 0) return !isOneLetterOff(checked, word)
  return false
}

const trade = [...new Set(Object.values(TERMS_BY_FACET).flatMap((terms) => terms.flatMap((term) => term.match(/\p{L}{4,}/gu) ?? [])))]
let byLetter: { source: readonly string[]; lists: Map<string, string[]> } | undefined
/** Words that begin alike, the trade's own first. */
function candidates(list: readonly string[], word: string): string[] {
  if (byLetter?.source !== list) {
    const lists = new Map<string, string[]>()
    for (const one of [...trade, ...list]) {
      const key = one.charAt(0)
      const alike = lists.get(key)
      if (alike) alike.push(one)
      else lists.set(key, [one])
    }
    byLetter = { source: list, lists }
  }
  const first = byLetter.lists.get(word.charAt(0)) ?? []
  // The first letter itself may be wrong or swapped with the second.
  const second = byLetter.lists.get(word.charAt(1)) ?? []
  return first.length ? (word.charAt(0) === word.charAt(1) ? first : [...first, ...second.filter((one) => one.startsWith(word.charAt(1) + word.charAt(0)))]) : second
}

/** Whether a word of the table lies one letter away. */
const isOneLetterOff = (checked: Checked, word: string): boolean => candidates(checked.language.words.list, word).some((one) => Math.abs(one.length - word.length) <= 1 && distance(word, one) === 1)

/** The word that somebody meant who wrote it with one slip: a letter put in, left out or changed (Levenshtein 1966), or two that changed places (Damerau 1964). */
function likeliest(checked: Checked, word: string): string | undefined {
  let best: { word: string; cost: number } | undefined
  const letters = Array.from(word).sort().join('')
  candidates(checked.language.words.list, word).forEach((one, rank) => {
    if (Math.abs(one.length - word.length) > 1 || one.length < 3) return
    const far = distance(word, one)
    const swapped = far === 2 && one.length === word.length && Array.from(one).sort().join('') === letters
    if (far !== 1 && !swapped) return
    // A word of the trade is likelier than another, and so is one that ends alike.
    const cost = (rank < 400 && trade.includes(one) ? 0 : 0.5) - (one.at(-1) === word.at(-1) ? 0.1 : 0)
    if (!best || cost < best.cost) best = { word: one, cost }
  })
  return best?.word
}

/**
 * A word that no dictionary has and that is one slip from one that is there. Any other may be a dish, a dress, an instrument or
 * a place from elsewhere, and is left alone, as is one with accents of its own.
 */
export const unknownWord: Check = (checked) => {
  const seen = new Set<string>()
  return scan(checked.shown).flatMap((token) => {
    if (token.kind !== 'word' || token.text !== token.lower || token.lower.length < SHORTEST || /[^\p{L}'’-]/u.test(token.lower)) return []
    if (!/^[\p{Script=Latin}'’-]+$/u.test(token.lower)) return []
    const facet = checked.phraseAt(token.start)?.facet
    if (facet === 'lettering' || seen.has(token.lower)) return []
    const bare = token.lower.replace(/['’]s$/, '')
    if (bare.normalize('NFD') !== bare) return []
    const bad = bare.split(/[-'’]/).filter((part) => part.length >= SHORTEST && !isWord(checked, part) && !isWord(checked, bare.replaceAll('-', '')))
    if (bad.length !== 1) return []
    seen.add(token.lower)
    const likely = likeliest(checked, bad[0]!)
    if (!likely) return []
    const whole = bare.replace(bad[0]!, likely)
    return [
      {
        kind: 'unknown-word' as const,
        severity: 'caution' as const,
        where: inText(token),
        ...(facet ? { facet } : {}),
        reason: `“${token.text}” is no word; perhaps “${whole}”.`,
        fix: { label: `Write “${whole}”`, edits: [replacementOf(checked.draft, token, whole)], safe: false },
      },
    ]
  })
}
