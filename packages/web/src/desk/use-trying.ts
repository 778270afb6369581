import { type Prompt, startRun } from '@idolon/contract'
import { draftFor, ELSEWHERE, type EngineChoice, findEngine } from '@idolon/core'
import { computed, type ComputedRef, type Ref, ref, toRaw } from 'vue'
import { call } from '../api/call.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { useEngines } from '../stores/engines.ts'
import type { DraftSession } from './draft-session.ts'
import type { PromptFacts } from './prompt-facts.ts'
import type { Way } from './sweep.ts'
import type { Findings } from './use-findings.ts'

export interface Trying {
  /** A try is on its way to the server. */
  starting: Ref<boolean>
  /** The stops are asked about: the try that was wanted would be wasted. */
  stopsOpen: Ref<boolean>
  stops: ComputedRef<Findings['all']['value']>
  /** The first seed of the last run that has any. */
  lastSeed: ComputedRef<number | undefined>
  /** Tries the draft; over what would waste it, asks once. */
  tryIt: (way?: Way) => Promise<void>
  /** Goes over the stops: the same ones are not asked about again. */
  tryAnyway: () => void
  /** Freezes the version for an engine that is worked by hand, and puts what it is given on the clipboard. */
  copyFor: (choice: EngineChoice) => Promise<void>
}

/** The tries of a prompt, from the press until the server has taken them. */
export function useTrying(prompt: Pick<Prompt, 'id'>, session: DraftSession, findings: Findings, facts: PromptFacts): Trying {
  const engines = useEngines()
  const notices = useNotices()
  const task = useTask()
  const { draft } = session
  const starting = ref(false)
  const stopsOpen = ref(false)
  const stops = computed(() => findings.all.value.filter(({ severity }) => severity === 'stop'))
  let goneOver = ''
  let wanted: Way = {}
  const stopsKey = () => stops.value.map(({ kind, reason }) => kind + reason).sort().join('\n')
  const idle = () => !starting.value && draft.value.text.trim() !== ''

  async function start(more: Way & { byHand?: { engine: EngineChoice } }): Promise<void> {
    starting.value = true
    await task(async () => {
      await session.saver.settled()
      if (session.conflict.value) return
      facts.runChanged(await call(startRun, { params: { prompt: prompt.id }, body: { id: crypto.randomUUID(), revision: session.saver.acknowledged, ...more } }))
      await facts.loadVersionsAndKnown()
    })
    starting.value = false
  }
  async function tryIt(way: Way = {}): Promise<void> {
    if (!idle()) return
    wanted = way
    if (!findings.current.value) await findings.check()
    if (stops.value.length && goneOver !== stopsKey()) stopsOpen.value = true
    else await start(way)
  }
  async function copyFor(choice: EngineChoice): Promise<void> {
    if (choice.engine === ELSEWHERE.id) return start({ byHand: { engine: choice } })
    const engine = findEngine(engines.profiles, choice.engine, choice.revision)
    if (!engine || !idle()) return
    const { text, leaveOut } = await session.reading.ask('output', { draft: draftFor(draft.value, choice), engine: toRaw(engine) })
    const copied = await navigator.clipboard.writeText(leaveOut ? `${text}\n\n${leaveOut}` : text).then(() => true, () => false)
    await start({ byHand: { engine: choice } })
    notices.show(copied ? `The text for ${engine.name} is on the clipboard${leaveOut ? ', the leave-out list under it' : ''}.` : `The browser does not let Idolon copy. The version is frozen; take the text for ${engine.name} from Output.`)
  }
  return {
    starting,
    stopsOpen,
    stops,
    lastSeed: computed(() => facts.runs.value.flatMap(({ proofs }) => proofs.toSorted((a, b) => a.index - b.index)).find(({ seed }) => seed !== null)?.seed ?? undefined),
    tryIt,
    tryAnyway: () => {
      goneOver = stopsKey()
      void tryIt(wanted)
    },
    copyFor,
  }
}
