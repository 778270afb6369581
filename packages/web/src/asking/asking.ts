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
  /** Where two models were asked, the second one's turn by the first one's. */
  const partners = reactive<Record<string, string>>({})
  /** What has come of answers that are still being written. */
  const texts = reactive<Record<string, string>>({})
  const ends = new Map<string, () => void>()
  onScopeDispose(() => ends.forEach((end) => end()))

  const turnOf = (id: string | undefined) => turns.value.find((turn) => turn.id === id)
  const turn = computed(() => turnOf(shown.value))
  /** Of two models the second, shown beside. */
  const other = computed(() => turnOf(partners[shown.value ?? '']))
  /** What can be shown, one or a pair at a time. */
  const takes = computed(() => turns.value.filter(({ id }) => !Object.values(partners).includes(id)))
  const answered = () => [turn.value, other.value].filter((one) => one?.state === 'done') as Turn[]
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

  /** Shows one turn, or two beside each other, and follows what comes. */
  function present([first, second]: readonly Turn[]): void {
    for (const one of [first, second]) if (one) follow(one)
    if (first && second) partners[first.id] = second.id
    shown.value = first?.id
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
      present(asked)
    })
  /** Goes on from what is shown with a further instruction, in the same place; two models both go on, each from its own answer. */
  const goOn = (further: string) =>
    task(async () => present(await Promise.all(answered().map((from) => send(from.helper.id, from.model.id, from.values, { version: from.helper.version, seed: (from.seed + 1) % MAX_SEED, parentId: from.id, further })))))
  /** Two more answers to the same question, unlike those there are; of two models one more each. */
  const twoMore = () =>
    task(async () => {
      const [from, second] = answered()
      if (!from) return
      const { offeredTexts } = await import('@idolon/core/helper')
      const takes = turns.value.flatMap(({ kind, value }) => (value === null ? [] : offeredTexts(kind, value))).slice(-20)
      const first = Math.max(...turns.value.map(({ seed }) => seed))
      const more = (of: Turn, by: number) => send(of.helper.id, of.model.id, of.values, { version: of.helper.version, seed: (first + by) % MAX_SEED, takes, ...(of.parentId && of.further ? { parentId: of.parentId, further: of.further } : {}) })
      const asked = await Promise.all(second ? [more(from, 1), more(second, 1)] : [more(from, 1), more(from, 2)])
      if (second) present(asked)
      else for (const turn of asked.toReversed()) present([turn])
    })
  /** Sends the same question again. */
  const again = (from: Turn) =>
    task(async () => {
      const next = await send(from.helper.id, from.model.id, from.values, { version: from.helper.version, seed: (from.seed + 1) % MAX_SEED, ...(from.parentId && from.further ? { parentId: from.parentId, further: from.further } : {}) })
      const pair = other.value
      if (pair?.id === from.id && turn.value) present([turn.value, next])
      else present(pair ? [next, pair] : [next])
    })
  const stop = () => task(() => Promise.all(turns.value.filter(isOpen).map(({ id }) => call(stopTurn, { params: { turn: id } }))))

  /** Puts away what is shown; it is kept with the prompt. */
  function close(): void {
    ends.forEach((end) => end())
    ends.clear()
    turns.value = []
    shown.value = undefined
    for (const id of Object.keys(partners)) delete partners[id]
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
    present([turn])
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
    present(other ? [other, last] : [last])
  }
  return { turns, shown, turn, other, takes, texts, busy, ask, goOn, twoMore, again, stop, close, putAway, show, takeUp, decide, reopen }
}
export type Asking = ReturnType<typeof useAsking>
