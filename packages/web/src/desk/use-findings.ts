import type { EngineProfile, Finding } from '@idolon/core'
import { computed, onScopeDispose, shallowRef, toRaw, watch, type WatchSource } from 'vue'
import { showFindings } from '../reading/finding-marks.ts'
import { useGlossary } from '../stores/glossary.ts'
import { useRules } from '../stores/rules.ts'
import type { DraftSession } from './draft-session.ts'

/** A pause in typing after which the draft is checked. */
const PAUSE_MS = 150

/** The same said of several engines is said once. */
const once = (findings: readonly Finding[]): Finding[] => [...new Map(findings.map((finding) => [JSON.stringify([finding.kind, finding.where, finding.reason]), finding])).values()]
/** What is found again is the same thing, so that its row need not be drawn again. */
function keepSame(before: readonly Finding[], now: readonly Finding[]): Finding[] {
  const known = new Map(before.map((finding) => [JSON.stringify(finding), finding]))
  return now.map((finding) => known.get(JSON.stringify(finding)) ?? finding)
}
const GRAVEST = ['stop', 'caution', 'tip']
/** What one of several engines does not take stops no run: the others take it. */
const ofSome = (finding: Finding, each: readonly (readonly Finding[])[]): Finding =>
  finding.kind === 'unsupported' && finding.severity === 'stop' && !each.every((findings) => findings.some(({ kind, severity }) => kind === 'unsupported' && severity === 'stop')) ? { ...finding, severity: 'caution' } : finding

/** What is wrong with the draft as it stands for any of the engines that are asked, found anew a moment after each change. */
export function useFindings(session: DraftSession, engines: WatchSource<EngineProfile[]>) {
  const house = useRules()
  const vocabulary = useGlossary()
  /** The project’s own words are no misspellings. */
  const ownWords = computed(() => {
    const said = [...house.rules.colours.map(({ name }) => name), ...vocabulary.own.flatMap(({ entry }) => [entry.term, ...(entry.also ?? [])])]
    return [...new Set(said.flatMap((words) => words.toLowerCase().match(/\p{L}+/gu) ?? []))]
  })
  const all = shallowRef<readonly Finding[]>([])
  /** The draft that was checked last: only on that one do places and fixes hold. */
  const checked = shallowRef(session.draft.value)
  let profiles: EngineProfile[] = []
  let timer: ReturnType<typeof setTimeout> | undefined

  async function check(): Promise<void> {
    const draft = session.draft.value
    const ask = (engine: EngineProfile | undefined) => session.reading.ask('check', { draft, engine: toRaw(engine), rules: toRaw(house.rules), ownWords: ownWords.value })
    const each = draft.text.trim() ? await Promise.all(profiles.length ? profiles.map(ask) : [ask(undefined)]) : []
    const findings = each.length > 1 ? once(each.flat().map((finding) => ofSome(finding, each))).sort((a, b) => GRAVEST.indexOf(a.severity) - GRAVEST.indexOf(b.severity)) : (each[0] ?? [])
    if (session.draft.value !== draft) return
    checked.value = draft
    all.value = keepSame(all.value, findings)
    session.view.dispatch({ effects: showFindings.of(findings) })
  }
  watch(
    [session.draft, engines, () => house.rules, ownWords] as const,
    ([, now]) => {
      profiles = now
      clearTimeout(timer)
      timer = setTimeout(() => void check(), PAUSE_MS)
    },
    { immediate: true },
  )
  onScopeDispose(() => clearTimeout(timer))

  return { all, check, ownWords, current: computed(() => checked.value === session.draft.value) }
}
export type Findings = ReturnType<typeof useFindings>
