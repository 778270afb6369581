import { changePrompt, listRuns, listTags, listVersions, type Prompt, type Proof, readPrompt, readRun, type Run, type Status, type TagCount, type Version } from '@idolon/contract'
import { shallowRef } from 'vue'
import { onChange } from '../api/changes.ts'
import { call } from '../api/call.ts'
import { useTask } from '../notices/notices.ts'

export interface PromptChange {
  title?: string
  status?: Status
  note?: string
  tags?: string[]
}

const put = <T extends { id: string }>(list: T[], one: T): T[] => (list.some(({ id }) => id === one.id) ? list.map((old) => (old.id === one.id ? one : old)) : [one, ...list])

/** Pictures that come in within it are shown together. */
const READ_AFTER_MS = 100

/** What is known of a prompt beside its draft (title, tags, versions, newest runs), kept as the server has it. */
export function usePromptFacts(prompt: Prompt) {
  const task = useTask()
  const params = { prompt: prompt.id }
  const known = shallowRef<Prompt>(prompt)
  const runs = shallowRef<Run[]>([])
  const versions = shallowRef<Version[]>([])
  const tags = shallowRef<TagCount[]>([])

  const loadRuns = () => call(listRuns, { params, query: { limit: 6 } }).then((list) => (runs.value = list))
  const loadVersions = () => call(listVersions, { params }).then((list) => (versions.value = list))
  const loadTags = () => call(listTags, {}).then((list) => (tags.value = list))
  const loadKnown = () => call(readPrompt, { params }).then((now) => (known.value = now))
  const loadVersionsAndKnown = () => Promise.all([loadVersions(), loadKnown()])
  void task(() => Promise.all([loadRuns(), loadVersions(), loadTags()]))

  const runChanged = (run: Run): void => {
    // The many runs of a trial plan lie on its own sheet.
    if (run.trialId) return
    runs.value = put(runs.value, run)
  }
  const versionChanged = (version: Version): void => {
    versions.value = put(versions.value, version)
  }
  const proofChanged = (proof: Proof): void => {
    const run = runs.value.find(({ id }) => id === proof.runId)
    if (run) runChanged({ ...run, proofs: put(run.proofs, proof) })
  }

  let soon: ReturnType<typeof setTimeout> | undefined
  /** Runs that changed: read once for all the pictures that came in meanwhile. */
  const changed = new Set<string>()
  let reading: ReturnType<typeof setTimeout> | undefined
  function readSoon(runId: string): void {
    changed.add(runId)
    reading ??= setTimeout(() => {
      reading = undefined
      for (const id of changed) void call(readRun, { params: { run: id } }).then(runChanged).catch(() => undefined)
      changed.clear()
    }, READ_AFTER_MS)
  }
  onChange((event) => {
    if (event === 'reset') {
      void task(() => Promise.all([loadRuns(), loadVersionsAndKnown()]))
      return
    }
    if (event.promptId !== prompt.id) return
    if (event.kind === 'prompt') void loadKnown().catch(() => undefined)
    if ((event.kind === 'proof' || event.kind === 'run') && event.runId) {
      readSoon(event.runId)
      clearTimeout(soon)
      soon = setTimeout(() => void loadVersionsAndKnown().catch(() => undefined), 300)
    }
  })

  const change = (body: PromptChange) =>
    task(async () => {
      known.value = await call(changePrompt, { params, body, keepalive: true })
      if (body.tags) await loadTags()
    })

  return { known, runs, versions, tags, change, runChanged, versionChanged, proofChanged, loadVersionsAndKnown }
}
export type PromptFacts = ReturnType<typeof usePromptFacts>
