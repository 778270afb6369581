import type { Dimension } from '../lexicon/dimension.ts'
import { company, DIMENSIONS, material, media } from '../lexicon/dimensions/index.ts'
import { formsOf } from '../lexicon/forms.ts'
import { withInner } from '../structure/noun-phrases.ts'
import type { TextRange } from '../text-range.ts'
import type { Check, Checked, Said } from './checked.ts'
import { aloneInCompany, desertedInCompany } from './company.ts'
import { type Finding, inText } from './finding.ts'
import { removing } from './fixes.ts'
import { removingItem } from './item.ts'
import { thereAfterAll } from './lacking.ts'
import { isMeant } from './meant.ts'
import { twoNumbers } from './numbers.ts'

/** WordNet's file of nouns of the body. */
const OF_THE_BODY = 8
/** Of these a picture has only one, so that two mentions are of the same. */
const ONE_OF_A_KIND = new Set('sky sea sun moon horizon background backdrop light ocean air water room weather scene picture composition palette'.split(' '))

/** Terms that the glossary says cannot stand in one picture. */
function excluded(checked: Checked): Finding[] {
  const terms = checked.language.exclusions.saidIn(checked.shown).flatMap((found) => {
    const phrase = checked.phraseAt(found.start)
    return phrase?.facet === found.value.facet ? [{ ...found, phrase }] : []
  })
  for (const [i, b] of terms.entries()) {
    const a = terms.slice(0, i).find((other) => other.value.excludes.has(b.value.term) && !isMeant(checked.shown, other, b))
    if (a) return [clashing(checked, a, b, 'cannot both show')]
  }
  return []
}

const clashing = (checked: Checked, a: TextRange & { phrase: Said['phrase'] }, b: TextRange & { phrase: Said['phrase'] }, are: string): Finding => ({
  kind: 'contradiction',
  severity: 'stop',
  where: inText(a),
  with: inText(b),
  facet: a.phrase.facet,
  reason: `“${checked.said(a)}” and “${checked.said(b)}” ${are}; the picture can have one, and the engine will choose.`,
  fix: a.phrase === b.phrase || b.phrase.facet === 'subject' ? removingItem(checked, b) : removing(checked, b.phrase),
})

/** Findings on places that no other is on: one contradiction is told once. */
const beside = (found: readonly Finding[], more: readonly Finding[]): Finding[] =>
  more.filter((one) => !found.some((other) => [one.where, one.with].every((place) => [other.where, other.with].some((its) => place?.in === 'text' && its?.in === 'text' && place.start < its.end && place.end > its.start))))

const isFigure = (checked: Checked, lemma: string): boolean => formsOf(lemma).some((form) => ['person', 'animal', 'group'].some((kind) => checked.isKind(form, kind)))

/** Whether there is more than one figure, so that one may smile and another weep. */
function hasSeveral(checked: Checked): boolean {
  if (checked.of('subject').length > 2) return true
  const named = new Set<string>()
  for (const { words, phrases } of checked.clauses)
    for (const phrase of phrases.flatMap(withInner)) {
      const { lemma, lower } = words[phrase.head]!
      if (!isFigure(checked, lemma) || phrase.determiner === 'the') continue
      if (lemma !== lower || SEVERAL.has(phrase.determiner)) return true
      named.add(lemma)
    }
  return named.size > 1 || checked.words.some(({ lower }) => lower === 'another' || lower === 'other' || lower === 'others')
}
const SEVERAL = new Set('two three four five six seven eight nine ten both many several all some these those'.split(' '))

/** Whether two sayings are of one and the same bearer. `several`: the picture has more than one figure. */
function ofOne(checked: Checked, a: Said, b: Said, several: boolean): boolean {
  if (a.dimension.of === 'picture') return true
  const [its, other] = [checked.ownersOf(a), checked.ownersOf(b)]
  if (a.dimension.of === 'figure') {
    // Eyes and a face are of whoever has them.
    const known = (owners: typeof its) => owners.filter(({ lemma }) => !formsOf(lemma).some((form) => checked.language.words.find(form)?.noun1 === OF_THE_BODY))
    const [mine, theirs] = [known(its), known(other)]
    // Pleats may fly while their wearer stands.
    if ([...mine, ...theirs].some(({ lemma }) => !isFigure(checked, lemma) && checked.isKind(lemma, 'artifact'))) return false
    if (mine.length && theirs.length) return mine.some(({ lemma }) => theirs.some((one) => one.lemma === lemma)) && !(mine.length > 1 || theirs.length > 1)
    return !several
  }
  return its.some((mine) => other.some((theirs) => mine.lemma === theirs.lemma && (mine.at === theirs.at || theirs.definite || ONE_OF_A_KIND.has(mine.lemma)) && isOfAll(checked, a, b, mine.plural && mine.at === theirs.at)))
}

/** Not “red or blue”, and of several things not “old and new boats”. */
function isOfAll(checked: Checked, a: Said, b: Said, plural: boolean): boolean {
  const between = checked.words.slice(a.to, b.from).map(({ lower }) => lower)
  // A tower may be of glass and steel.
  const joined = between.includes('and') || between.includes('with')
  return !between.includes('or') && !((plural || a.dimension === material) && joined) && !(a.dimension === material && b.from - a.to === 0) && !/[.!?\n][^]*[.!?\n]/.test(checked.shown.slice(a.end, b.start))
}

/** Two values of one dimension, of one bearer. */
function inOneDimension(checked: Checked): { found: Finding[]; clashed: Set<Dimension> } {
  const found: Finding[] = []
  const clashed = new Set<Dimension>()
  /** Pairs of phrases that are told: snow on a hot summer day is of two seasons, and need not be of two heats besides. */
  const pairs = new Set<string>()
  let several: boolean | undefined
  for (const dimension of DIMENSIONS) {
    if (dimension === media) continue
    const terms = checked.saidOf(dimension)
    const told = new Set<Said['phrase']>()
    for (const [i, b] of terms.entries()) {
      const a = terms.slice(0, i).find((other) => dimension.clash(other.value, b.value) && !pairs.has(`${other.phrase.start} ${b.phrase.start}`) && !isMeant(checked.shown, other, b) && ofOne(checked, other, b, (several ??= hasSeveral(checked))))
      if (!a || (told.has(b.phrase) && a.phrase !== b.phrase)) continue
      told.add(b.phrase)
      clashed.add(dimension)
      pairs.add(`${a.phrase.start} ${b.phrase.start}`)
      found.push(clashing(checked, a, b, `are ${dimension.name}`))
    }
  }
  return { found, clashed }
}

export const contradiction: Check = (checked) => {
  const { found, clashed } = inOneDimension(checked)
  for (const more of [() => excluded(checked), () => aloneInCompany(checked), () => (clashed.has(company) ? [] : desertedInCompany(checked)), () => twoNumbers(checked), () => thereAfterAll(checked)]) found.push(...beside(found, more()))
  return found
}
