import { askHelper, decideTurn, listTurns, stopTurn, type Turn } from '@idolon/contract'
import type { Draft } from '@idolon/core'
import type { HelperValues } from '@idolon/core/helper'
import { computed, onScopeDispose, reactive, ref, shallowRef } from 'vue'
import { call } from '../api/call.ts'
import { useTask } from '../notices/notices.ts'
import { followTurn } from './follow-turn.ts'

/** What a helper is to be asked about. */
export interface AskedAbout {
  projectId: string
  promptId: string | null
  draft: () => Draft
}
export interface Question {
  helper: string
  models: readonly string[]
  values: HelperValues
  version?: number
}

/** A turn that was left open is offered again for so long. */
const REOPENED_MS = 30 * 60_000
const MAX_SEED = 2 ** 31 - 1

export const isOpen = ({ state }: Turn): boolean => state === 'asked' || state === 'answering'

/** Asks helpers and follows what they answer: the turns of one question with its takes and what it went on to. */
export function useAsking(about: AskedAbout) {
  const task = useTask()
  /** Oldest first. */
  const turns = shallowRef<Turn[]>([])
  const shown = ref<string>()
  /** Of two models the other, shown beside. */
  const beside = ref<string>()
  /** What has come of answers that are still being written. */
  const texts = reactive<Record<string, string>>({})
  const ends = new Map<string, () => void>()
  onScopeDispose(() => ends.forEach((end) => end()))

  const turnOf = (id: string | undefined) => turns.value.find((turn) => turn.id === id)
  const turn = computed(() => turnOf(shown.value))
  const other = computed(() => turnOf(beside.value))
  const busy = computed(() => turns.value.some(isOpen))

  function put(turn: Turn): void {
    turns.value = turns.value.some(({ id }) => id === turn.id) ? turns.value.map((one) => (one.id === turn.id ? turn : one)) : [...turns.value, turn]
  }
  function follow(turn: Turn): void {
    put(turn)
    if (!isOpen(turn)) return
    ends.set(
      turn.id,
      followTurn(turn.id, {
        text: (now) => (texts[turn.id] = now),
        end: (ended) => {
          ends.delete(turn.id)
          put(ended)
        },
        gone: () => {
          ends.delete(turn.id)
          turns.value = turns.value.filter(({ id }) => id !== turn.id)
        },
      }),
    )
  }

  const send = (helper: string, model: string, values: HelperValues, more: { version?: number; seed: number; parentId?: string; further?: string; takes?: string[] }) =>
    call(askHelper, {
      body: { id: crypto.randomUUID(), projectId: about.projectId, promptId: about.promptId, helper, model, values, draft: structuredClone(about.draft()), seed: more.seed, parentId: more.parentId ?? null, further: more.further ?? null, takes: more.takes ?? [], ...(more.version === undefined ? {} : { version: more.version }) },
    })

  /** Asks anew: what was there before is put away. */
  const ask = ({ helper, models, values, version }: Question) =>
    task(async () => {
      const seed = Math.floor(Math.random() * 1_000_000)
      const asked = await Promise.all(models.map((model) => send(helper, model, values, { seed, ...(version === undefined ? {} : { version }) })))
      close()
      for (const turn of asked) follow(turn)
      shown.value = asked[0]?.id
      beside.value = asked[1]?.id
    })
  /** Goes on from an answer with a further instruction, in the same place. */
  const goOn = (from: Turn, further: string) =>
    task(async () => {
      const next = await send(from.helper.id, from.model.id, from.values, { version: from.helper.version, seed: (from.seed + 1) % MAX_SEED, parentId: from.id, further })
      beside.value = undefined
      follow(next)
      shown.value = next.id
      return next
    })
  /** Two more answers to the same question, unlike those there are. */
  const twoMore = (from: Turn) =>
    task(async () => {
      const { offeredTexts } = await import('@idolon/core/helper')
      const takes = turns.value.flatMap(({ kind, value }) => (value === null ? [] : offeredTexts(kind, value))).slice(-20)
      const first = Math.max(...turns.value.map(({ seed }) => seed))
      const asked = await Promise.all([1, 2].map((by) => send(from.helper.id, from.model.id, from.values, { version: from.helper.version, seed: (first + by) % MAX_SEED, takes, ...(from.parentId && from.further ? { parentId: from.parentId, further: from.further } : {}) })))
      beside.value = undefined
      for (const turn of asked) follow(turn)
      shown.value = asked[0]?.id
    })
  /** Sends the same question again. */
  const again = (from: Turn) =>
    task(async () => {
      const next = await send(from.helper.id, from.model.id, from.values, { version: from.helper.version, seed: (from.seed + 1) % MAX_SEED, ...(from.parentId && from.further ? { parentId: from.parentId, further: from.further } : {}) })
      follow(next)
      if (beside.value === from.id) beside.value = next.id
      else shown.value = next.id
    })
  const stop = () => task(() => Promise.all(turns.value.filter(isOpen).map(({ id }) => call(stopTurn, { params: { turn: id } }))))

  /** Puts away what is shown; it is kept with the prompt. */
  function close(): void {
    ends.forEach((end) => end())
    ends.clear()
    turns.value = []
    shown.value = undefined
    beside.value = undefined
  }
  /** Puts away what is shown for good: it is not offered again when the page is opened anew. */
  function putAway(): void {
    for (const one of turns.value) if (one.state === 'done' && !one.taken) void decide(one.id, 0, 0)
    close()
  }
  /** Shows another of the answers. */
  const show = (id: string): void => void (shown.value = id)
  /** Shows a turn of before, by itself. */
  function takeUp(turn: Turn): void {
    close()
    follow(turn)
    shown.value = turn.id
  }
  /** Keeps how many changes were taken and left. */
  const decide = (id: string, taken: number, left: number) => task(() => call(decideTurn, { params: { turn: id }, body: { taken, left } }))

  /** Takes up what was open when the page was left. */
  async function reopen(): Promise<void> {
    if (!about.promptId) return
    const list = await call(listTurns, { params: { prompt: about.promptId } })
    const [last] = list
    if (!last || turns.value.length || last.taken || last.state === 'stopped' || Date.now() - Date.parse(last.askedAt) > REOPENED_MS) return
    // Of two models asked at once both come back, the first on the left.
    const other = list.find((one) => one.id !== last.id && one.helper.id === last.helper.id && one.seed === last.seed && one.model.id !== last.model.id && !one.taken && one.state !== 'stopped')
    const [first, second] = other ? [other, last] : [last]
    for (const one of [first, second]) if (one) follow(one)
    shown.value = first.id
    beside.value = second?.id
  }
  return { turns, shown, beside, turn, other, texts, busy, ask, goOn, twoMore, again, stop, close, putAway, show, takeUp, decide, reopen }
}
export type Asking = ReturnType<typeof useAsking>
