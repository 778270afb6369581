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

/** Drafts that are remembered with what was proposed for them, so that undo brings both back. */
const REMEMBERED = 100
const same = (a: Draft, b: Draft) => a === b || isEmptyEdit(editBetween(a, b))

/**
 * What is proposed for a draft that goes on being written: its units, the taking and the leaving of them. Taking makes the
 * draft say what is proposed, leaving makes the proposal say what the draft says; what is typed meanwhile is no difference.
 */
export function useProposal(session: DraftSession, source: () => ProposalSource | undefined, around: () => Around) {
  const wanted = shallowRef<Draft>()
  const units = shallowRef<readonly ProposalUnit[]>([])
  const elsewhere = shallowRef<readonly Finding[]>([])
  const counts = shallowRef({ taken: 0, left: 0 })
  /** The drafts that the units are of; only with these do they hold. */
  const looked = shallowRef<{ draft: Draft; wanted: Draft }>()
  let before = session.draft.value
  let taking = false
  const remembered: { draft: Draft; wanted: Draft; counts: { taken: number; left: number } }[] = []
  const remember = () => {
    if (!wanted.value) return
    remembered.push({ draft: session.draft.value, wanted: wanted.value, counts: counts.value })
    if (remembered.length > REMEMBERED) remembered.shift()
  }

  async function look(): Promise<void> {
    const draft = session.draft.value
    const proposed = wanted.value
    if (!proposed) {
      units.value = []
      elsewhere.value = []
      looked.value = undefined
      return
    }
    const { engine, rules, ownWords } = around()
    const found = await session.reading.ask('proposal', { draft, proposed, engine: toRaw(engine), rules: toRaw(rules), ownWords })
    // Of older drafts an answer is worth nothing.
    if (session.draft.value !== draft || wanted.value !== proposed) return
    units.value = found.units
    elsewhere.value = found.elsewhere
    looked.value = { draft, wanted: proposed }
  }

  watch(
    () => source()?.proposed,
    (proposed) => {
      wanted.value = proposed
      counts.value = { taken: 0, left: 0 }
      remembered.length = 0
      before = session.draft.value
      void look()
    },
    { immediate: true },
  )
  watch(session.draft, (draft) => {
    const last = before
    before = draft
    if (!wanted.value) return
    const known = taking ? undefined : remembered.findLast((one) => same(one.draft, draft))
    if (known) {
      // Undo of a taking: it is proposed again.
      wanted.value = known.wanted
      counts.value = known.counts
    } else if (!taking) {
      // What the writer types, the proposal takes over where it can.
      const edit = rebaseEdit(last, editBetween(last, draft), wanted.value)
      if (edit) wanted.value = applyEdit(wanted.value, edit)
    }
    taking = false
    void look()
  })

  const current = computed(() => looked.value?.draft === session.draft.value && looked.value.wanted === wanted.value)
  /** What can be taken at once: all but what would change fixed words. */
  const takeable = computed(() => units.value.filter(({ breaksFixed }) => !breaksFixed))
  /** What counts for the writer: spacing, capitals and the like go along with the rest. */
  const listed = computed(() => units.value.filter(({ difference }) => difference.kind !== 'small'))

  async function take(chosen: readonly ProposalUnit[]): Promise<void> {
    const helper = source()?.helper
    const draft = session.draft.value
    const proposed = wanted.value
    if (!helper || !proposed || chosen.length === 0 || !current.value) return
    // The last ones that are taken bring the small things along.
    const rest = listed.value.filter((unit) => !chosen.includes(unit))
    const all = rest.length === 0 ? units.value.filter(({ breaksFixed }) => !breaksFixed) : chosen
    const edit = await session.reading.ask('take', { draft, proposed, chosen: all.map(({ index }) => index), helper })
    if (session.draft.value !== draft) return
    remember()
    counts.value = { ...counts.value, taken: counts.value.taken + chosen.length }
    taking = true
    session.apply(edit)
    if (session.draft.value === draft) taking = false
  }
  async function leave(left: readonly ProposalUnit[]): Promise<void> {
    const draft = session.draft.value
    const proposed = wanted.value
    if (!proposed || left.length === 0 || !current.value) return
    const rest = listed.value.filter((unit) => !left.includes(unit))
    const next = rest.length === 0 ? draft : await session.reading.ask('leave', { draft, proposed, left: left.map(({ index }) => index) })
    if (session.draft.value !== draft) return
    remember()
    counts.value = { ...counts.value, left: counts.value.left + left.length }
    wanted.value = next
    await look()
  }
  return { units: listed, takeable, elsewhere, counts, current, take, leave, wanted }
}
export type Proposal = ReturnType<typeof useProposal>
