import type { Draft, EngineChoice, ReferenceUse } from '../draft/shape.ts'
import { nameOfChoice } from '../draft/draft.ts'
import { applyEdit, editBetween } from '../draft/edit.ts'
import type { Edit } from '../draft/edit-shape.ts'
import { addMark, markKey, marksWithout } from '../draft/mark.ts'
import type { Mark } from '../draft/mark-shape.ts'
import { mapMarks } from '../draft/text-change.ts'
import type { Phrase } from '../read/reading.ts'
import type { TextRange } from '../text-range.ts'
import type { Difference } from './difference.ts'
import { type Entry, mergedList } from './list-units.ts'
import { alignPhrases } from './alignment.ts'
import { bareText, unframedText } from './plain-words.ts'
import { changesBack, changesOf, type Piece, textUnits } from './text-pieces.ts'

/** What a unit changes: pieces of the text, marks of either draft, entries of a merged list, keys of the settings. */
interface Parts {
  pieces?: Piece[]
  /** Marks of the first draft that go, of the second that come. */
  marks?: { gone: Mark[]; come: Mark[] }
  leaveOut?: Entry<string>[]
  engines?: Entry<EngineChoice>[]
  references?: Entry<ReferenceUse>[]
  setting?: string
}
type Unit = Difference & { parts: Parts }

const LEVELS = ['much less', 'less', 'plain', 'more', 'much more']
const referenceName = ({ reference, role, strength }: ReferenceUse) => `${reference} ${role} ${strength}`
const gap = (text: string) => text.trim().replace(/^[,;.\s]+|[,;\s]+$/g, '')

/**
 * All in which two drafts differ, a unit each: of every unit or any of them, the edit can be made that changes the first
 * draft in these alone; all of them together make the second.
 */
export class Differences {
  readonly #units: Unit[]
  readonly #leaveOut: Entry<string>[]
  readonly #engines: Entry<EngineChoice>[]
  readonly #references: Entry<ReferenceUse>[]

  /** The phrases are those of the two texts, as they are read. */
  constructor(
    readonly a: Draft,
    readonly b: Draft,
    phrasesA: readonly Phrase[],
    phrasesB: readonly Phrase[],
  ) {
    this.#leaveOut = mergedList(a.leaveOut, b.leaveOut, (entry) => entry)
    this.#engines = mergedList(a.engines, b.engines, nameOfChoice)
    this.#references = mergedList(a.references, b.references, referenceName)
    this.#units = [...this.#ofText(phrasesA, phrasesB), ...this.#ofLeaveOuts(), ...this.#ofSettings(), ...this.#ofEngines(), ...this.#ofReferences()]
    this.#units.push(...this.#ofMarks(phrasesA, phrasesB))
  }

  get list(): readonly Difference[] {
    return this.#units.map(({ parts: _, ...difference }) => difference)
  }

  #ofText(phrasesA: readonly Phrase[], phrasesB: readonly Phrase[]): Unit[] {
    const { text: before } = this.a
    const { text: after } = this.b
    if (before === after) return []
    return textUnits(before, after, phrasesA, phrasesB, alignPhrases(phrasesA, phrasesB).pairs).map(({ pieces, a, b }): Unit => {
      // Neighbours are said as they stand.
      const said = (text: string, phrases: readonly Phrase[], own: readonly number[]) => runsOf(own).map(([first, last]) => text.slice(phrases[first]!.start, phrases[last]!.end)).join(', ')
      const [x, y] = [said(before, phrasesA, a), said(after, phrasesB, b)]
      const facet = (phrasesB[b[0] ?? -1] ?? phrasesA[a[0] ?? -1])?.facet
      const same = unframedText(x) === unframedText(y)
      // Its words are there still: what went is a gap, or words that went from one place came at another.
      const worded = pieces.filter(({ text }) => bareText(text) !== '')
      const moved = worded.some(({ insert }) => insert) && worded.some(({ insert }) => !insert)
      return {
        kind: same && !moved ? 'small' : 'phrase',
        change: same ? (moved ? 'moved' : 'changed') : x === '' ? 'added' : y === '' ? 'removed' : 'changed',
        ...(facet ? { facet } : {}),
        ...(x === '' && y === '' ? { a: gap(pieces.filter(({ insert }) => !insert).map(({ text }) => text).join(' ')), b: gap(pieces.filter(({ insert }) => insert).map(({ text }) => text).join(' ')) } : { ...(x ? { a: x } : {}), ...(y ? { b: y } : {}) }),
        parts: { pieces },
      }
    })
  }

  /** Entries that went or came; one that did both stands elsewhere now. */
  #ofEntries<T>(merged: readonly Entry<T>[], nameOf: (value: T) => string, make: (entries: Entry<T>[]) => Parts, kind: Difference['kind']): Unit[] {
    const loose = merged.filter((entry) => entry.in !== 'both')
    const units: Unit[] = []
    const done = new Set<Entry<T>>()
    for (const entry of loose) {
      if (done.has(entry)) continue
      const other = loose.find((one) => one.in !== entry.in && !done.has(one) && nameOf(one.value) === nameOf(entry.value))
      for (const one of other ? [entry, other] : [entry]) done.add(one)
      const name = nameOf(entry.value)
      if (other) units.push({ kind: 'small', change: 'moved', a: name, b: name, parts: make([entry, other]) })
      else units.push({ kind, change: entry.in === 'a' ? 'removed' : 'added', ...(entry.in === 'a' ? { a: name } : { b: name }), parts: make([entry]) })
    }
    return units
  }

  #ofLeaveOuts(): Unit[] {
    return this.#ofEntries(this.#leaveOut, (entry) => entry, (leaveOut) => ({ leaveOut }), 'leave-out')
  }

  #ofSettings(): Unit[] {
    const [a, b] = [this.a.settings, this.b.settings]
    return [...new Set([...Object.keys(a), ...Object.keys(b)])].flatMap((key): Unit[] => {
      if (a[key] === b[key]) return []
      const change = a[key] === undefined ? 'added' : b[key] === undefined ? 'removed' : 'changed'
      const said = (value: string | number | undefined) => (value === undefined ? undefined : `${key} ${value}`)
      const [x, y] = [said(a[key]), said(b[key])]
      return [{ kind: key === 'seed' ? 'seed' : 'setting', change, ...(x === undefined ? {} : { a: x }), ...(y === undefined ? {} : { b: y }), parts: { setting: key } }]
    })
  }

  /** One engine instead of another is one change. */
  #ofEngines(): Unit[] {
    return paired(this.#ofEntries(this.#engines, nameOfChoice, (engines) => ({ engines }), 'engine'), () => true)
  }

  /** The same picture in the same role with another strength is one change. */
  #ofReferences(): Unit[] {
    const roleOf = ({ parts }: Unit) => parts.references?.map(({ value }) => `${value.reference} ${value.role}`)[0]
    return paired(this.#ofEntries(this.#references, referenceName, (references) => ({ references }), 'reference'), (gone, come) => roleOf(gone) === roleOf(come))
  }

  /** Where in the second text the words lie that a unit brings in. */
  placesAfter(index: number): TextRange[] {
    return (this.#units[index]?.parts.pieces ?? []).flatMap(({ insert }) => insert ?? [])
  }

  get #pieces(): Piece[] {
    return this.#units.flatMap(({ parts }) => parts.pieces ?? [])
  }

  #ofMarks(phrasesA: readonly Phrase[], phrasesB: readonly Phrase[]): Unit[] {
    const changes = changesOf(this.#pieces)
    const stay = new Map(this.a.marks.map((mark) => [mark, mapMarks([mark], changes)[0]]))
    const wanted = new Set(this.b.marks.map(markKey))
    const gone = this.a.marks.filter((mark) => stay.get(mark) && !wanted.has(markKey(stay.get(mark)!)))
    const come = marksWithout(this.b.marks, [...stay.values()].filter((mark) => mark !== undefined))
    const units = new Map<string, Unit>()
    const put = (mark: Mark, at: Mark, text: string, phrases: readonly Phrase[], which: 'gone' | 'come') => {
      const phrase = phrases.find(({ start, end }) => start < mark.to && end > mark.from)
      // By where it stands in the second text, so that what goes and what comes on the same words is one unit.
      const key = `${mark.kind} ${at.from} ${at.to}`
      const unit: Unit = units.get(key) ?? { kind: mark.kind === 'off' || mark.kind === 'emphasis' ? mark.kind : 'small', change: 'changed', ...(phrase ? { facet: phrase.facet } : {}), parts: { marks: { gone: [], come: [] } } }
      unit.parts.marks![which].push(mark)
      const level = mark.kind === 'emphasis' ? ` ${LEVELS[mark.level + 2] ?? ''}` : mark.kind === 'off' ? ' off' : ''
      if (which === 'gone') unit.a = `${text.slice(mark.from, mark.to)}${level}`
      else unit.b = `${text.slice(mark.from, mark.to)}${level}`
      units.set(key, unit)
    }
    for (const mark of gone) put(mark, stay.get(mark)!, this.a.text, phrasesA, 'gone')
    for (const mark of come) put(mark, mark, this.b.text, phrasesB, 'come')
    return [...units.values()].map((unit) => ({ ...unit, change: unit.a === undefined ? 'added' : unit.b === undefined ? 'removed' : 'changed' }))
  }

  /** The first draft changed in some units alone, by their place in the list. */
  with(chosen: readonly number[]): Draft {
    return applyEdit(this.a, this.edit(chosen))
  }

  /** The edit of the first draft that makes some units, by their place in the list; all of them make the second draft exactly. */
  edit(chosen: readonly number[]): Edit {
    const units = chosen.flatMap((i) => this.#units[i] ?? [])
    const pieces = new Set(units.flatMap(({ parts }) => parts.pieces ?? []))
    const changes = changesOf([...pieces])
    const back = changesBack(this.#pieces, (piece) => !pieces.has(piece))
    const gone = new Set(units.flatMap(({ parts }) => parts.marks?.gone ?? []))
    const stay = mapMarks(this.a.marks.filter((mark) => !gone.has(mark)), changes)
    const come = mapMarks(units.flatMap(({ parts }) => parts.marks?.come ?? []), back)
    const entries = new Set<unknown>(units.flatMap(({ parts }) => [...(parts.leaveOut ?? []), ...(parts.engines ?? []), ...(parts.references ?? [])]))
    const settings = { ...this.a.settings }
    for (const { parts: { setting } } of units) {
      if (setting === undefined) continue
      const value = this.b.settings[setting]
      if (value === undefined) delete settings[setting]
      else settings[setting] = value
    }
    const after: Draft = {
      text: applyEdit({ ...this.a, marks: [] }, { text: changes }).text,
      marks: come.reduce(addMark, stay),
      leaveOut: chosenList(this.#leaveOut, entries),
      engines: chosenList(this.#engines, entries),
      references: chosenList(this.#references, entries),
      settings,
      ...(this.a.kind ? { kind: this.a.kind } : {}),
    }
    return editBetween(this.a, after, changes)
  }
}

/** Ascending numbers as runs without a gap, each by its first and last. */
function runsOf(numbers: readonly number[]): [number, number][] {
  const runs: [number, number][] = []
  for (const n of numbers) {
    const last = runs.at(-1)
    if (last?.[1] === n - 1) last[1] = n
    else runs.push([n, n])
  }
  return runs
}

/** Units in which what went and what came in its place are one. */
function paired(units: readonly Unit[], fit: (gone: Unit, come: Unit) => boolean): Unit[] {
  const come = units.filter(({ kind, change }) => kind !== 'small' && change === 'added')
  const taken = new Set<Unit>()
  const pairs = units.map((gone): Unit => {
    const other = gone.kind !== 'small' && gone.change === 'removed' ? come.find((one) => !taken.has(one) && fit(gone, one)) : undefined
    if (!other) return gone
    taken.add(other)
    const { engines = [], references = [] } = gone.parts
    return { ...gone, change: 'changed', ...(other.b === undefined ? {} : { b: other.b }), parts: { engines: [...engines, ...(other.parts.engines ?? [])], references: [...references, ...(other.parts.references ?? [])] } }
  })
  return pairs.filter((unit) => !taken.has(unit))
}

/** The first list with some of the entries gone or come. */
const chosenList = <T>(merged: readonly Entry<T>[], chosen: ReadonlySet<unknown>): T[] => merged.filter((entry) => entry.in === 'both' || (entry.in === 'a') !== chosen.has(entry)).map(({ value }) => value)
