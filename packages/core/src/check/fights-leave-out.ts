import { TermFinder } from '../glossary/term-finder.ts'
import type { Phrase } from '../read/reading.ts'
import { entriesOf } from '../read/noise/leave-out.ts'
import type { Check, Checked } from './checked.ts'
import { type Finding, inText } from './finding.ts'
import { edited, removing } from './fixes.ts'
import { impliedBy } from './leave-out-words.ts'

const NOUN = 1
const ADJECTIVE = 4
const WORD = /[\p{L}\p{N}]+(?:[’'-][\p{L}\p{N}]+)*/gu
const finders = new Map<string, TermFinder<true>>()
/** Words of a list whose kinds go by another name in the tree of kinds. */
const KIND_OF: Readonly<Record<string, string>> = { people: 'person', persons: 'person', humans: 'person', human: 'person', figures: 'person', boats: 'watercraft', boat: 'watercraft', ships: 'watercraft', ship: 'watercraft', cars: 'motor vehicle', pets: 'domestic animal', clothes: 'clothing', toys: 'plaything', jewellery: 'jewelry', plants: 'plant', instruments: 'instrument' }
/** Made of something, or a picture of it: no living thing. */
const MADE_OF = /\b(?:stone|bronze|brass|marble|toy|wooden|paper|carved|painted|porcelain|plush|stuffed|tin|clay|origami|knitted|glass|iron|plaster|statue of|sculpture of|clockwork|cardboard|felt|chocolate|snow|sand|papier-mâché|gilded|stuffed)\s+(?:\p{L}+\s+)?$/iu
const LIVING = new Set(['animal', 'animals', 'person', 'bird', 'birds', 'pets', 'domestic animal', 'insects', 'fish', 'dogs', 'cats', 'horses'])
const COUNTED = /\b(?:an?|the|one|two|three|four|some|several|many)\s+$/i
const PEOPLE = /^(?:people|persons?|humans?|figures?|anyone|anybody)$/

interface Spot {
  start: number
  end: number
  phrase: Phrase
}

/** Nouns of a phrase that stand for a thing, not those that only say of which kind another is: “tram” of “tram in rain”, not “paper” of “paper boat”. */
type Thing = Spot & { word: string }
function* thingsOf(checked: Checked, phrase: Phrase): Generator<Thing> {
  const words = [...phrase.text.matchAll(WORD)]
  const isNoun = (word: string) => ((checked.language.words.find(word)?.classes ?? 0) & NOUN) !== 0
  /** More often a quality, or what is done, than a thing. */
  const isQuality = (word: string) => {
    const facts = checked.language.words.find(word)
    return facts !== undefined && (facts.classes & ADJECTIVE) !== 0 && (facts.main === 1 || facts.main === 2)
  }
  for (let i = 0; i < words.length; i++) {
    const word = words[i]![0].toLowerCase()
    const next = words[i + 1]
    const joined = next !== undefined && /^\s$/.test(phrase.text.slice(words[i]!.index + word.length, next.index))
    // A quality goes with the word after it, though the reading may have parted them: “dry” of “dry leaves”.
    const goesOn = joined || (next === undefined && /^\s\p{L}/u.test(checked.shown.slice(phrase.end)))
    // By itself it is a quality too, unless it is counted or the picture is of it: “dry” is weather, “a nude” is somebody.
    const counted = phrase.facet === 'subject' || COUNTED.test(checked.shown.slice(0, phrase.start + words[i]!.index))
    if (!isNoun(word) || (isQuality(word) && (goesOn || !counted)) || (joined && checked.language.words.find(next![0].toLowerCase())?.main === 0)) continue
    yield { start: phrase.start + words[i]!.index, end: phrase.start + words[i]!.index + word.length, phrase, word }
  }
}

const looksLikeAName = (checked: Checked, said: string) => /^\p{Lu}\p{Ll}+(?: \p{Lu}\p{Ll}+)+/u.test(said) && !checked.language.words.find(/\p{L}+$/u.exec(/^\p{Lu}\p{Ll}+(?: \p{Lu}\p{Ll}+)+/u.exec(said)?.[0] ?? '')?.[0].toLowerCase() ?? '')

/** Where a text asks for what an entry of the leave-out list rules out. */
function spotsOf(checked: Checked, entry: string, things: ReadonlyMap<Phrase, readonly Thing[]>): Spot[] {
  const bare = (entriesOf(entry)[0] ?? entry).toLowerCase()
  let own = finders.get(bare)
  if (!own) finders.set(bare, (own = new TermFinder([[bare, true]])))
  if (finders.size > 2_000) finders.clear()
  const facets = ['subject', 'action', 'detail', 'setting', 'moment', 'light', 'colour', 'medium', 'technique', 'mood', 'lettering', 'framing'] as const
  // A word that only says of which kind another thing is does not count: “paper” of “paper lantern”.
  const isThing = (spot: Spot) => bare.includes(' ') || ((checked.language.words.find(bare)?.classes ?? 0) & NOUN) === 0 || (things.get(spot.phrase) ?? []).some((thing) => thing.start === spot.start)
  const implied = impliedBy(bare)
  const spots: Spot[] = [...checked.terms(own, facets).filter(isThing), ...(implied ? checked.terms(implied, facets) : [])]
  if (/^(?:text|texts|letters|lettering|words|writing|typography|any text|readable text|captions?)$/.test(bare)) spots.push(...checked.of('lettering').map((phrase) => ({ start: phrase.start, end: phrase.end, phrase })))
  const concrete = checked.of('subject', 'action', 'detail', 'setting')
  if (!bare.includes(' ') || /^[\p{L}]+ing [\p{L}]+$/u.test(bare)) {
    const kind = KIND_OF[bare] ?? bare
    const kindFacts = checked.language.words.find(kind)
    if (kindFacts && kindFacts.classes & NOUN) {
      for (const phrase of concrete) {
        for (const thing of things.get(phrase) ?? []) {
          const sure = checked.language.kin.below(thing.word, kind)
          if (LIVING.has(kind) && MADE_OF.test(checked.shown.slice(Math.max(0, thing.start - 40), thing.start))) continue
          if (sure > 0 || (sure < 0 && kind !== 'person' && checked.language.kin.below(thing.word, kind, true) > 0)) spots.push(thing)
        }
        if (PEOPLE.test(bare) && phrase.facet === 'subject' && looksLikeAName(checked, phrase.text)) spots.push({ start: phrase.start, end: phrase.end, phrase })
      }
    }
  }
  return spots.sort((a, b) => a.start - b.start || b.end - a.end).filter((spot, i, all) => !all.slice(0, i).some((other) => other.phrase === spot.phrase))
}

export const fightsLeaveOut: Check = (checked) => {
  const found: Finding[] = []
  const things = new Map(checked.draft.leaveOut.length ? checked.phrases.map((phrase) => [phrase, [...thingsOf(checked, phrase)]] as const) : [])
  for (const entry of checked.draft.leaveOut) {
    for (const spot of spotsOf(checked, entry, things)) {
      if (found.some(({ where }) => where?.in === 'text' && where.start < spot.end && where.end > spot.start)) continue
      const said = checked.said(spot)
      const same = said.toLowerCase() === entry.toLowerCase()
      found.push({
        kind: 'fights-leave-out',
        severity: 'stop',
        where: inText(spot),
        with: { in: 'leaveOut', entry },
        facet: spot.phrase.facet,
        reason: same ? `The text asks for “${said}” and the leave-out list forbids it.` : `“${said}” brings what the leave-out list forbids: “${entry}”.`,
        fix:
          spot.phrase.facet === 'subject'
            ? { label: `Take “${entry}” off the list`, edits: [edited(checked.draft, [], { leaveOut: checked.draft.leaveOut.filter((one) => one !== entry) })], safe: false }
            : removing(checked, spot.phrase),
      })
    }
  }
  return found
}
