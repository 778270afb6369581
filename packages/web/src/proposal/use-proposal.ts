import { applyEdit, type Draft, type EngineProfile, type Finding, type HouseRules, isEmptyEdit, editBetween, rebaseEdit } from '@idolon/core'
import type { ProposalUnit } from '@idolon/core/helper'
import { computed, shallowRef, toRaw, watch } from 'vue'
import type { DraftSession } from '../desk/draft-session.ts'

/** What the checks need to know beside the draft. */
export interface Around {
  engine: EngineProfile | undefined
  rules: HouseRules
  ownWords: readonly string[]
}
export interface ProposalSource {
  proposed: Draft
  helper: { id: string; version: number }
}

/** A proposal on its way: the two drafts that its units are between, and what was decided of them, by their index. */
interface Ground {
  origin: Draft
  wanted: Draft
  taken: readonly number[]
  left: readonly number[]
  units: readonly ProposalUnit[]
  elsewhere: readonly Finding[]
  /** What was decided on grounds before this one. */
  before: { taken: number; left: number }
}

/** Drafts that are remembered with what was proposed for them, so that undo brings both back. */
const REMEMBERED = 100
const same = (a: Draft, b: Draft) => a === b || isEmptyEdit(editBetween(a, b))
const counted = (units: readonly ProposalUnit[], indices: readonly number[]) => units.filter(({ index, difference }) => indices.includes(index) && difference.kind !== 'small').length

/**
 * What is proposed for a draft that goes on being written: its units, the taking and the leaving of them. Units stay what they
 * are while they are decided; only when the writer types something of their own are they found anew, with that in both drafts.
 */
export function useProposal(session: DraftSession, source: () => ProposalSource | undefined, around: () => Around) {
  const ground = shallowRef<Ground>()
  /** Until the units are there, or while the draft is being followed. */
  const looking = shallowRef(true)
  const remembered: { draft: Draft; ground: Ground }[] = []
  let before = session.draft.value
  /** The draft that a taking has just made. */
  let expected: Draft | undefined
  let newest: object | undefined

  async function look(origin: Draft, wanted: Draft, decided: Ground['before']): Promise<void> {
    looking.value = true
    const mine = (newest = {})
    const { engine, rules, ownWords } = around()
    const { units, elsewhere } = await session.reading.ask('proposal', { draft: origin, proposed: wanted, engine: toRaw(engine), rules: toRaw(rules), ownWords })
    // Of older drafts an answer is worth nothing.
    if (newest !== mine) return
    ground.value = { origin, wanted, taken: [], left: [], units, elsewhere, before: decided }
    looking.value = false
  }
  const countsOf = (now: Ground | undefined) => (now ? { taken: now.before.taken + counted(now.units, now.taken), left: now.before.left + counted(now.units, now.left) } : { taken: 0, left: 0 })
  const remember = () => {
    if (!ground.value) return
    remembered.push({ draft: session.draft.value, ground: ground.value })
    if (remembered.length > REMEMBERED) remembered.shift()
  }

  watch(
    () => source()?.proposed,
    (proposed) => {
      remembered.length = 0
      before = session.draft.value
      ground.value = undefined
      if (proposed) void look(session.draft.value, proposed, { taken: 0, left: 0 })
    },
    { immediate: true },
  )
  watch(session.draft, (draft) => {
    const last = before
    before = draft
    const now = ground.value
    if (!now || draft === expected) return
    const known = remembered.findLast((one) => same(one.draft, draft))
    if (known) {
      // Undo of a taking: it is proposed again.
      newest = undefined
      ground.value = known.ground
      looking.value = false
      return
    }
    void follow(now, last, draft)
  })
  /** What the writer typed is taken over into what is proposed, where it can be. */
  async function follow(now: Ground, last: Draft, draft: Draft): Promise<void> {
    looking.value = true
    const open = now.left.length ? await session.reading.ask('leave', { draft: now.origin, proposed: now.wanted, left: now.left }) : now.wanted
    if (session.draft.value !== draft) return
    const edit = rebaseEdit(last, editBetween(last, draft), open)
    await look(draft, edit ? applyEdit(open, edit) : open, countsOf(now))
  }

  const isOpen = ({ index }: ProposalUnit) => !ground.value?.taken.includes(index) && !ground.value?.left.includes(index)
  /** What counts for the writer: spacing, capitals and the like go along with the rest. */
  const units = computed(() => (ground.value?.units ?? []).filter((unit) => unit.difference.kind !== 'small' && isOpen(unit)))
  /** What can be taken at once: all but what would change locked words. */
  const takeable = computed(() => units.value.filter(({ breaksLocked }) => !breaksLocked))
  const elsewhere = computed(() => ground.value?.elsewhere ?? [])
  const counts = computed(() => countsOf(ground.value))
  const current = computed(() => !looking.value && ground.value !== undefined)

  async function take(chosen: readonly ProposalUnit[]): Promise<void> {
    const helper = source()?.helper
    const now = ground.value
    const draft = session.draft.value
    if (!helper || !now || !current.value || chosen.length === 0) return
    // With the last ones the small things come along.
    const rest = units.value.filter((unit) => !chosen.includes(unit))
    const small = rest.length === 0 && now.left.length === 0 ? now.units.filter(({ difference, breaksLocked }) => difference.kind === 'small' && !breaksLocked) : []
    const taken = [...now.taken, ...[...chosen, ...small].map(({ index }) => index)]
    const edit = await session.reading.ask('take', { draft: now.origin, proposed: now.wanted, chosen: taken, helper })
    if (session.draft.value !== draft || ground.value !== now) return
    remember()
    ground.value = { ...now, taken }
    session.apply(editBetween(draft, applyEdit(now.origin, edit)))
    expected = session.draft.value
  }
  function leave(left: readonly ProposalUnit[]): void {
    const now = ground.value
    if (!now || !current.value || left.length === 0) return
    remember()
    ground.value = { ...now, left: [...now.left, ...left.map(({ index }) => index)] }
  }
  return { units, takeable, elsewhere, counts, current, take, leave }
}
export type Proposal = ReturnType<typeof useProposal>
