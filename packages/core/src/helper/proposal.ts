import type { Finding } from '../check/finding.ts'
import type { Difference } from '../compare/difference.ts'
import { Differences } from '../compare/differences.ts'
import type { Draft } from '../draft/shape.ts'
import { applyEdit } from '../draft/edit.ts'
import type { Edit } from '../draft/edit-shape.ts'
import type { Mark } from '../draft/mark-shape.ts'
import type { Phrase } from '../read/reading.ts'
import { holdsWords } from './proposed-draft.ts'
import { markedTexts } from './slots.ts'

/** One change that a proposal would make, to take or to leave. */
export interface ProposalUnit {
  /** Its place among all units of the two drafts, small ones included. */
  index: number
  difference: Difference
  /** The edit of the draft that makes it alone. */
  edit: Edit
  /** It would change words that the writer locked, and cannot be taken. */
  breaksLocked: boolean
  /** What the checks find in it that they do not find in the draft. */
  findings: Finding[]
}

const withoutOrigin = (draft: Draft): Draft => ({ ...draft, marks: draft.marks.filter(({ kind }) => kind !== 'from') })
const differencesOf = (draft: Draft, proposed: Draft, phrasesOf: (draft: Draft) => readonly Phrase[]): Differences =>
  // Where words came from is no difference between two drafts.
  new Differences(withoutOrigin(draft), withoutOrigin(proposed), phrasesOf(draft), phrasesOf(proposed))

/** Findings of one draft that another does not have: the same in kind and reason is the same. */
export function newFindings(before: readonly Finding[], after: readonly Finding[]): Finding[] {
  const known = new Set(before.map(({ kind, reason }) => `${kind} ${reason}`))
  return after.filter(({ kind, reason }) => !known.has(`${kind} ${reason}`))
}

/** The phrases of a draft with what is proposed for them, and the findings that lie nowhere in particular. */
export function proposalUnits(draft: Draft, proposed: Draft, phrasesOf: (draft: Draft) => readonly Phrase[], findings: readonly Finding[]): { units: ProposalUnit[]; elsewhere: Finding[] } {
  const differences = differencesOf(draft, proposed, phrasesOf)
  const locked = markedTexts(draft, 'locked')
  const placed = new Set<Finding>()
  const units = differences.list.map((difference, index): ProposalUnit => {
    const edit = differences.edit([index])
    const places = differences.placesAfter(index)
    const own = findings.filter(({ where }) => where?.in === 'text' && places.some(({ start, end }) => start < where.end && end > where.start))
    for (const one of own) placed.add(one)
    const { text } = applyEdit(withoutOrigin(draft), edit)
    return { index, difference, edit, breaksLocked: locked.some((words) => holdsWords(draft.text, words) && !holdsWords(text, words)), findings: own }
  })
  return { units, elsewhere: findings.filter((one) => !placed.has(one)) }
}

/**
 * The edit of the draft that takes units of a proposal, by their index; words that come in are marked as the helper's. With all
 * of them the draft says what is proposed.
 */
export function takeUnits(draft: Draft, proposed: Draft, phrasesOf: (draft: Draft) => readonly Phrase[], chosen: readonly number[], helper: { id: string; version: number }): Edit {
  const edit = differencesOf(draft, proposed, phrasesOf).edit(chosen)
  let shift = 0
  const added = (edit.text ?? []).flatMap(({ from, to, insert }): Mark[] => {
    const start = from + shift
    shift += insert.length - (to - from)
    const lead = /^[\s,;.]*/.exec(insert)?.[0].length ?? 0
    const words = insert.slice(lead).replace(/[\s,;.]+$/, '')
    return words ? [{ from: start + lead, to: start + lead + words.length, kind: 'from', source: { type: 'helper', id: helper.id, version: helper.version } }] : []
  })
  if (added.length === 0) return edit
  return { ...edit, marks: { remove: edit.marks?.remove ?? [], add: [...(edit.marks?.add ?? []), ...added] } }
}

/** What is still proposed when units, by their index, are left: there the proposal says what the draft says. */
export function leaveUnits(draft: Draft, proposed: Draft, phrasesOf: (draft: Draft) => readonly Phrase[], left: readonly number[]): Draft {
  const differences = differencesOf(draft, proposed, phrasesOf)
  const rest = differences.list.map((_, index) => index).filter((index) => !left.includes(index))
  return differences.with(rest)
}

