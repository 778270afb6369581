import { addJudgement, judgementsOf, type ProofJudgement, takeBackJudgement } from '@idolon/contract'
import { type Judgement, nextPair, orderOf, rank, toldApart } from '@idolon/core'
import { computed, ref, shallowRef } from 'vue'
import { call } from '../api/call.ts'

export type Answer = 'left' | 'right' | null
/** As many comparisons a picture are the most that are ever asked for. */
const MOST_EACH = 5

/** A sitting of blind judging over some proofs: which two to look at next, and how they rank by all sittings together. */
export function useSitting(proofs: readonly string[]) {
  const judgements = shallowRef<ProofJudgement[]>([])
  /** Of this sitting, newest last: what can be taken back. */
  const mine = shallowRef<ProofJudgement[]>([])
  const place = new Map(proofs.map((id, i) => [id, i]))
  const ranking = computed(() => rank(proofs.length, judgements.value.map(({ left, right, better }): Judgement => ({ left: place.get(left)!, right: place.get(right)!, better: better ?? undefined }))))
  const pair = ref<[left: number, right: number]>()
  const settled = ref(false)

  /** Answers go one after the other, however fast the keys. */
  let last: Promise<unknown> = Promise.resolve()
  function inTurn<T>(task: () => Promise<T>): Promise<T> {
    const mine = last.then(task)
    last = mine.catch(() => undefined)
    return mine
  }

  /** The pair that tells most; which stands left is drawn, so that a side is no hint. */
  function draw(): void {
    const next = nextPair(ranking.value)
    settled.value = next?.settled ?? false
    pair.value = next && (Math.random() < 0.5 ? next.pair : [next.pair[1], next.pair[0]])
  }
  async function begin(): Promise<void> {
    judgements.value = await call(judgementsOf, { body: { proofs: [...proofs] } })
    draw()
  }
  /** The next pair is there at once; should the answer not be kept, it is asked for again. */
  async function answer(better: Answer): Promise<void> {
    if (!pair.value) return
    const [left, right] = pair.value
    const given: ProofJudgement = { id: crypto.randomUUID(), left: proofs[left]!, right: proofs[right]!, better, at: new Date().toISOString() }
    judgements.value = [...judgements.value, given]
    mine.value = [...mine.value, given]
    draw()
    try {
      await inTurn(() => call(addJudgement, { body: { id: given.id, left: given.left, right: given.right, better } }))
    } catch (error) {
      const without = (list: ProofJudgement[]) => list.filter(({ id }) => id !== given.id)
      judgements.value = without(judgements.value)
      mine.value = without(mine.value)
      pair.value = [left, right]
      throw error
    }
  }
  async function takeBack(): Promise<void> {
    const gone = mine.value.at(-1)
    if (!gone) return
    mine.value = mine.value.slice(0, -1)
    await inTurn(() => call(takeBackJudgement, { params: { judgement: gone.id } }))
    judgements.value = judgements.value.filter(({ id }) => id !== gone.id)
    pair.value = [place.get(gone.left)!, place.get(gone.right)!]
  }
  const order = computed(() => orderOf(ranking.value))
  /** By place in the order: whether it can be told from the one after it. */
  const apart = computed(() => order.value.map((i, o) => (order.value[o + 1] === undefined ? true : toldApart(ranking.value, i, order.value[o + 1]!))))
  return { judgements, mine, ranking, order, apart, pair, settled, most: MOST_EACH * proofs.length, begin, answer, takeBack }
}
