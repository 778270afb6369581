import { singularOf } from '../english/noun.ts'
import { isShownBy, placesOf } from '../lexicon/shown.ts'
import { type LexicalWord, lexicalWords } from '../lexicon/words.ts'
import type { Phrase } from '../read/reading.ts'
import { entriesOf } from '../read/noise/leave-out.ts'
import type { Check, Checked } from './checked.ts'
import { isOnlyQuality } from './companions.ts'
import { type Finding, inText } from './finding.ts'
import { edited, removing } from './fixes.ts'

/** Words of a list whose kinds go by another name in the tree of kinds. */
const KIND_OF: Readonly<Record<string, string>> = { people: 'person', human: 'person', figure: 'person', boat: 'watercraft', ship: 'watercraft', pet: 'domestic animal', clothes: 'clothing', toy: 'plaything', jewellery: 'jewelry' }
/** What stands before a living thing that is none: a toy dog, a horse of bronze. */
const MADE_OF = new Set('stone bronze brass marble toy wooden paper carved painted porcelain plush stuffed tin clay origami knitted glass iron plaster statue sculpture clockwork cardboard felt chocolate snow sand gilded ceramic embroidered'.split(' '))
const LIVING = ['animal', 'person']
/** Words of an entry that ask for nothing of their own: “any text”, “other people”. */
const ANY = new Set('any all some other readable visible more much the a an'.split(' '))
/** Entries that say how a picture is: a word that only tells which shows them as well, “a sepia view”. */
const QUALITIES = new Set(['brown', 'brown tone', 'monochrome', 'grey', 'black and white', 'colour', 'bright colour', 'dark', 'darkness', 'blur', 'grain', 'snow', 'rain', 'fog', 'mist', 'water', 'ice', 'night'])
const COLOURS = new Set('red green blue yellow orange pink purple brown black white grey'.split(' '))
/** Steps in the tree of kinds, beyond which a thing is hardly called by the broader name. */
const FAR = 8

interface Spot {
  start: number
  end: number
  phrase: Phrase
}

/** The words of an entry that say what it is, in the singular: “any readable words” is of the word. */
function nameOf(entry: string): string[] {
  const bare = (entriesOf(entry)[0] ?? entry).toLowerCase()
  const words = lexicalWords(bare).map(({ lower }) => lower)
  const own = words.filter((word) => !ANY.has(word))
  return own.map((word, i) => (i === own.length - 1 ? singularOf(word) : word))
}

/** Where a text asks for what an entry of the leave-out list rules out: by its own words, by what is of its kind, and by what shows it. */
function spotsOf(checked: Checked, entry: string): Spot[] {
  const { words, isKind } = checked
  const name = nameOf(entry)
  const last = name.at(-1)
  if (last === undefined) return []
  const spots: Spot[] = []
  const add = (from: number, to: number) => {
    const { start } = words[from]!
    const { end } = words[to - 1]!
    const phrase = checked.phraseAt(start) ?? checked.phraseAt(end - 1)
    if (phrase) spots.push({ start, end, phrase })
  }
  const stands = (i: number) => !checked.namingOthers.has(words[i]!.start) && words[i]!.gap !== 'hyphen' && words[i + 1]?.gap !== 'hyphen'
  words.forEach((word, i) => {
    if (word.forms.includes(last) && (name.length > 1 || stands(i) || word.gap === 'hyphen') && name.every((one, k) => k === name.length - 1 || words[i - name.length + 1 + k]?.forms.includes(one)) && !(word.lower !== last && /(?:ed|ing)$/.test(word.lower))) add(i - name.length + 1, i + 1)
  })
  const kind = KIND_OF[last] ?? last
  const living = LIVING.some((one) => isKind(kind, one) || kind === one)
  const isMade = (i: number) => words.slice(Math.max(0, i - 2), i).some(({ lower }) => MADE_OF.has(lower))
  if (name.length === 1)
    words.forEach((word, i) => {
      // A colour stands before what has it.
      if (!(stands(i) || COLOURS.has(last)) || (living && isMade(i))) return
      if (isOfKind(checked, word, kind)) add(i, i + 1)
    })
  const full = name.join(' ')
  for (const { from, to } of placesOf(checked.showings, full)) if ((to - from > 1 || stands(from) || QUALITIES.has(full) || isOnlyQuality(checked, words[from]!.lower)) && !(living && isMade(from))) add(from, to)
  if (name.length === 1 && isShownBy(last) && ['text', 'word', 'lettering', 'letter', 'writing', 'caption', 'typography'].includes(last)) spots.push(...checked.of('lettering').map((phrase) => ({ start: phrase.start, end: phrase.end, phrase })))
  return spots.sort((a, b) => a.start - b.start || b.end - a.end).filter((spot, i, all) => !all.slice(0, i).some((other) => other.phrase === spot.phrase))
}

/** Whether a noun is of a kind, by its commonest sense; a word that is rarely a noun is taken for none. */
function isOfKind({ language: { kin, words }, isKind }: Checked, { lower, forms }: LexicalWord, kind: string): boolean {
  const facts = words.find(lower) ?? words.find(forms.at(-1)!)
  if (!facts || (facts.classes & 1) === 0 || (facts.main !== 0 && facts.main < 4 && !COLOURS.has(kind))) return false
  return forms.some((form) => {
    if (form === kind || !(COLOURS.has(kind) || isKind(form, kind))) return false
    const steps = kin.below(form, kind)
    return steps > 0 && steps <= FAR
  })
}

export const fightsLeaveOut: Check = (checked) => {
  const found: Finding[] = []
  for (const entry of checked.draft.leaveOut) {
    for (const spot of spotsOf(checked, entry)) {
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
