import type { Draft, EngineChoice, Settings } from '../draft/shape.ts'
import type { Edit } from '../draft/edit-shape.ts'
import { editBetween } from '../draft/edit.ts'
import { addMark } from '../draft/mark.ts'
import type { EngineProfile } from '../engine/profile.ts'
import type { Facet } from '../facet.ts'
import { insertPhrase } from '../phrase/insert.ts'
import { covered, emphasisOf } from '../phrase/marks.ts'
import type { Phrase } from '../read/reading.ts'
import type { Fault } from './shape.ts'
import { type FaultCount, FAULTS } from './fault.ts'

/** What would be changed, with the edit that does it. */
export interface Offer {
  kind: 'leave-out' | 'phrase' | 'setting' | 'engine'
  label: string
  edit: Edit
}
/** A fault that came again and again on an engine, and what may be done against it. */
export interface Suggestion {
  fault: Fault
  count: number
  of: number
  engine: { id: string; name: string; revision: string }
  /** The count in words: “Burin 2: extra people on 3 of 4”. */
  reason: string
  offers: Offer[]
}

export interface Seen {
  draft: Draft
  /** Of the draft's text, as it is read. */
  phrases: readonly Phrase[]
  /** Engines that can be asked. */
  profiles: readonly EngineProfile[]
  /** What was seen in the proofs of the try. */
  counts: readonly FaultCount[]
  /** What was seen of engines over all work so far. */
  record: readonly FaultCount[]
}

/** So many proofs must show a fault before anything is said of it. */
const REPEATED = 2
/** Another engine is said to do better from so many of its proofs on, when it has the fault at most half as often. */
const ENOUGH = 4
const BETTER = 0.5
const WIDE = /\b(?:wide|long|distant|far|full|extreme wide|establishing|panoram\w*|bird['’]s.eye|aerial)\b/i
const CLOSE = /\b(?:close|closeup|macro|tight|portrait|head)\b/i
const YEARS = /\b(?:1[0-9]{3}s?|20[0-9]{2}s?|[0-9]{1,2}(?:st|nd|rd|th) century|century|era|period|medieval|victorian|baroque|renaissance|antique|ancient|modern|contemporary|present day|futuristic)\b/i
const PERIODS = ['medieval', '19th century', '1920s', '1950s', 'present day']

interface Case extends Seen {
  profile: EngineProfile
}
type Remedy = (seen: Case) => Offer[]

const shown = ({ draft, phrases }: Case, facet: Facet) => phrases.filter((phrase) => phrase.facet === facet && !covered(draft.text, draft.marks, 'off', phrase))
const editOf = (draft: Draft, next: Partial<Draft>, changes: Edit['text'] = []): Edit => editBetween(draft, { ...draft, ...next }, changes)

function adding(seen: Case, facet: Facet, words: string): Offer[] {
  const { draft, phrases } = seen
  if (draft.text.toLowerCase().includes(words.toLowerCase())) return []
  const { changes } = insertPhrase(draft.text, phrases, facet, words)
  return [{ kind: 'phrase', label: `Add “${words}”`, edit: { text: changes } }]
}
const replacing = ({ draft }: Case, { start, end }: Phrase, words: string): Offer[] => [{ kind: 'phrase', label: `“${words}” instead of “${draft.text.slice(start, end)}”`, edit: { text: [{ from: start, to: end, insert: words }] } }]

/** Gives a phrase more weight, where the engine can be told. */
function stressing({ draft, profile }: Case, phrase: Phrase | undefined): Offer[] {
  if (!phrase || profile.emphasis === 'none') return []
  const level = emphasisOf(draft.marks, phrase)
  if (level >= 2) return []
  const marks = addMark(draft.marks.filter((mark) => mark.kind !== 'emphasis' || mark.to <= phrase.start || mark.from >= phrase.end), { from: phrase.start, to: phrase.end, kind: 'emphasis', level: level < 1 ? 1 : 2 })
  return [{ kind: 'phrase', label: `More emphasis on “${draft.text.slice(phrase.start, phrase.end)}”`, edit: editOf(draft, { marks }) }]
}

function leavingOut({ draft, profile }: Case, ...entries: string[]): Offer[] {
  if (!profile.leaveOut) return []
  const missing = entries.filter((entry) => !draft.leaveOut.some((own) => own.toLowerCase() === entry.toLowerCase()))
  if (missing.length === 0) return []
  return [{ kind: 'leave-out', label: `Leave out ${missing.map((entry) => `“${entry}”`).join(' and ')}`, edit: editOf(draft, { leaveOut: [...draft.leaveOut, ...missing] }) }]
}

/** The setting is changed where the engine has it: among its own settings when it has any, else among the draft's. */
function setting(seen: Case, key: string, next: (now: number | string, profile: EngineProfile['settings'][number]) => number | string | undefined): Offer[] {
  const { draft, profile } = seen
  const own = profile.settings.find((one) => one.key === key)
  if (!own) return []
  const at = draft.engines.findIndex(({ engine }) => engine === profile.id)
  const choice = draft.engines[at]
  const held: Settings = { ...draft.settings, ...choice?.settings }
  const value = next(held[key] ?? own.default, own)
  if (value === undefined) return []
  const label = `${own.label} ${value}`
  if (choice?.settings?.[key] === undefined) return [{ kind: 'setting', label, edit: editOf(draft, { settings: { ...draft.settings, [key]: value } }) }]
  return [{ kind: 'setting', label, edit: editOf(draft, { engines: draft.engines.with(at, { ...choice, settings: { ...choice.settings, [key]: value } }) }) }]
}
const lessLatitude = (seen: Case): Offer[] =>
  setting(seen, 'latitude', (now, own) => {
    if (own.kind !== 'choice') return undefined
    const at = own.values.indexOf(String(now))
    return at > 0 ? own.values[at - 1] : undefined
  })
const moreGuidance = (seen: Case): Offer[] => setting(seen, 'guidance', (now, own) => (own.kind === 'number' && typeof now === 'number' && now < own.max ? Math.min(own.max, now + Math.max(own.step, Math.round((own.max - own.min) / 5))) : undefined))

/** One file would hold each, were they longer than a line: what helps against which fault. */
const REMEDIES: Readonly<Record<Fault, Remedy>> = {
  'extra-people': (seen) => [...leavingOut(seen, 'extra people', 'bystanders'), ...(seen.profile.leaveOut ? [] : adding(seen, 'setting', 'an otherwise empty scene')), ...lessLatitude(seen)],
  'spoiled-lettering': (seen) => (shown(seen, 'lettering').length ? moreGuidance(seen) : [...leavingOut(seen, 'lettering', 'captions'), ...(seen.profile.leaveOut ? [] : adding(seen, 'detail', 'bare surfaces')), ...lessLatitude(seen)]),
  'wrong-colour': (seen) => [...stressing(seen, shown(seen, 'colour')[0]), ...moreGuidance(seen), ...lessLatitude(seen)],
  'too-small': (seen) => {
    const framing = shown(seen, 'framing')
    const wide = framing.find(({ text }) => WIDE.test(text))
    if (wide) return replacing(seen, wide, 'medium shot')
    return adding(seen, 'framing', framing.some(({ text }) => CLOSE.test(text)) ? 'filling the frame' : 'medium close-up')
  },
  'wrong-period': (seen) => {
    const stated = [...shown(seen, 'moment'), ...shown(seen, 'setting'), ...shown(seen, 'subject')].find(({ text }) => YEARS.test(text))
    const modern = stated && /\b(?:20[0-9]{2}s?|modern|contemporary|present day|futuristic)\b/i.test(stated.text)
    return [...(stated ? stressing(seen, stated) : PERIODS.flatMap((period) => adding(seen, 'moment', period))), ...(stated && !modern ? leavingOut(seen, 'modern objects') : []), ...moreGuidance(seen)]
  },
  'odd-anatomy': (seen) => [...leavingOut(seen, 'extra limbs', 'extra fingers'), ...adding(seen, 'action', 'in a simple pose'), ...lessLatitude(seen)],
  clutter: (seen) => [...leavingOut(seen, 'clutter'), ...adding(seen, 'setting', 'a plain background'), ...lessLatitude(seen)],
  other: () => [],
}

/** What a profile says of how well an engine draws what the fault is about; undefined where it says nothing. */
const skill = (profile: EngineProfile, fault: Fault): number | undefined => (fault === 'spoiled-lettering' ? profile.lettering : fault === 'extra-people' ? profile.figures : undefined)

/** Another engine that has the fault more seldom, with what that rests on. */
function otherEngine({ draft, profile, profiles, record }: Case, { fault, count, of }: FaultCount): Offer[] {
  const rates = profiles.flatMap((other) => {
    if (other.id === profile.id && other.revision === profile.revision) return []
    const seen = record.filter(({ engine, revision }) => engine === other.id && revision === other.revision)
    const looked = Math.max(0, ...seen.map((one) => one.of))
    const bad = seen.find((one) => one.fault === fault)?.count ?? 0
    if (looked >= ENOUGH) return bad / looked <= (BETTER * count) / of ? [{ other, rate: bad / looked, says: `${FAULTS[fault]} on ${bad} of ${looked}` }] : []
    const [own, theirs] = [skill(profile, fault), skill(other, fault)]
    return own !== undefined && theirs !== undefined && theirs > own ? [{ other, rate: 1 - theirs / 1000, says: 'its profile says it does this better' }] : []
  })
  const best = rates.filter(({ other }) => !draft.engines.some((choice) => choice.engine === other.id)).sort((a, b) => a.rate - b.rate)[0]
  if (!best) return []
  const choice: EngineChoice = { engine: best.other.id, ...(profiles.findLast(({ id }) => id === best.other.id) === best.other ? {} : { revision: best.other.revision }) }
  const at = draft.engines.findIndex(({ engine }) => engine === profile.id)
  return [{ kind: 'engine', label: `${best.other.name} ${best.other.revision} instead (${best.says})`, edit: editOf(draft, { engines: at < 0 ? [...draft.engines, choice] : draft.engines.with(at, choice) }) }]
}

/** Faults that came again on an engine, the most frequent first, with what may be changed in the draft against each. What has been done already is not offered. */
export function suggestFromFaults(seen: Seen): Suggestion[] {
  return seen.counts
    .filter(({ count, fault }) => count >= REPEATED && fault !== 'other')
    .flatMap((counted): Suggestion[] => {
      const profile = seen.profiles.find(({ id, revision }) => id === counted.engine && revision === counted.revision)
      if (!profile) return []
      const here = { ...seen, profile }
      const offers = [...REMEDIES[counted.fault](here), ...otherEngine(here, counted)]
      const { id, name, revision } = profile
      return [{ fault: counted.fault, count: counted.count, of: counted.of, engine: { id, name, revision }, reason: `${name} ${revision}: ${FAULTS[counted.fault]} on ${counted.count} of ${counted.of}`, offers }]
    })
}
