import type { Proof, Run, SheetProof, Turn, Version } from '@idolon/contract'
import { emptyDraft, SHIPPED_ENGINES } from '@idolon/core'
import { type DOMWrapper, flushPromises, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { ApiProblem } from './api/problem.ts'
import { createMemoryHistory, createRouter } from 'vue-router'
import { useEngines } from './stores/engines.ts'

/** How long a test waits for what must become true: far longer than it takes, since a busy machine takes its time. */
export const IN_TIME = { timeout: 100_000 }

// The test's browser has no locks; no window of a test holds the stream of changes.
Object.defineProperty(navigator, 'locks', { value: { request: () => new Promise(() => undefined) }, configurable: true })

/** A store that knows the engines that ship, links that are plain elements, dialogs and menus whose content stands in its place (but for the lists of fields): what most views need to be mounted. */
export function withEngines() {
  const pinia = createPinia()
  setActivePinia(pinia)
  useEngines().all = SHIPPED_ENGINES.map((profile) => ({ profile, connected: true, origin: 'shipped' as const, off: false, hasApiKey: false, usage: { stored: 0, failed: 0, medianMs: null, spent: 0, lastFailure: null } }))
  return { plugins: [pinia], stubs: { RouterLink: { props: ['to'], template: '<a><slot /></a>' }, VDialog: { props: ['modelValue'], template: '<div v-if="modelValue"><slot /></div>' }, VMenu: { props: ['contentClass'], template: '<div><slot name="activator" :props="{}" /><slot v-if="!contentClass" /></div>' } } }
}

/** The same for a view that reads its address: `pattern` is its route's path, `at` where it is opened. Links are real ones. */
export async function withRouter(pattern: string, at: string) {
  const { plugins, stubs } = withEngines()
  const elsewhere = { template: '<main />' }
  const router = createRouter({ history: createMemoryHistory(), routes: [{ path: pattern, component: elsewhere }, { path: '/:any(.*)*', component: elsewhere }] })
  await router.push(at)
  return { router, global: { plugins: [...plugins, router], stubs: { VDialog: stubs.VDialog, VMenu: stubs.VMenu } } }
}

export const aDraft = (text = 'a fox', more = {}) => ({ ...emptyDraft(), text, engines: [{ engine: 'burin' }], ...more })

export const aProof = (more: Partial<Proof> = {}): Proof =>
  ({
    id: 'p1',
    runId: 'r1',
    promptTitle: 'A fox',
    version: 2,
    engine: { id: 'burin', name: 'Burin', revision: '1', simulated: true },
    index: 0,
    state: 'stored',
    reason: null,
    picture: { sha256: 'f'.repeat(64), width: 300, height: 200, bytes: 9 },
    output: { text: '', leaveOut: '', settings: { aspectRatio: '3:2', width: 300, height: 200 }, used: 0, limit: null, cut: [], notes: [] },
    seed: 7,
    verdict: null,
    faults: [],
    regions: [],
    rank: null,
    parentId: null,
    imported: false,
    note: '',
    ...more,
  }) as Proof

export const aSheetProof = (id: string, more: Partial<SheetProof> = {}): SheetProof =>
  ({ id, runId: 'r1', promptId: 'x', promptTitle: 'A fox', version: 2, engine: { id: 'burin', name: 'Burin', revision: '1', simulated: true }, index: 0, state: 'stored', picture: { sha256: id.padEnd(64, '0'), width: 300, height: 200 }, settings: {}, seed: 7, cost: null, askedAt: '2026-01-01T10:00:00Z', verdict: null, faults: [], rank: null, note: '', options: null, ...more }) as SheetProof

export const aRun = (more: Partial<Run> = {}): Run =>
  ({ id: 'r1', promptId: 'x', promptTitle: 'A fox', version: 2, engines: [{ engine: 'burin' }], settings: {}, byHand: false, sweep: null, changes: [], askedAt: '2026-01-01T10:00:00Z', stoppedAt: null, cost: [{ unit: 'credit', amount: 8 }], proofs: [aProof(), aProof({ id: 'p2' })], ...more }) as Run

export const aVersion = (number: number, text: string, more: Partial<Version> = {}): Version =>
  ({
    id: `v${number}`,
    promptId: 'x',
    number,
    parent: number === 1 ? null : number - 1,
    body: { text, marks: [], leaveOut: [], references: [] },
    changes: [],
    why: '',
    createdAt: '2026-01-01T10:00:00Z',
    lastRun: null,
    bestProof: null,
    proofs: 0,
    keepers: 0,
    maybes: 0,
    dropped: 0,
    faults: [],
    cost: [],
    triedWith: [],
    ...more,
  }) as Version

/** An answered turn of a helper. */
export const aTurn = (kind: Turn['kind'], value: unknown, more: Partial<Turn> = {}): Turn =>
  ({ id: 't1', projectId: 'j', promptId: 'x', helper: { id: 'ideas', version: 1, name: 'Ideas' }, kind, model: { id: 'quoin', name: 'Quoin', simulated: true }, values: {}, seed: 1, draft: aDraft(), parentId: null, further: null, state: 'done', problem: null, text: '', earlier: [], value, mended: [], proposed: null, lockedLost: [], tries: 1, unit: 'token', reserved: 10, cost: 5, askedAt: '2026-01-01T10:00:00Z', endedAt: '2026-01-01T10:00:01Z', tookMs: 900, taken: null, ...more }) as Turn

/** A setting that is a number from 1 to 10 or so, as an engine that ships has it. */
export const burin2Guidance = SHIPPED_ENGINES.find(({ id, revision }) => id === 'burin' && revision === '2')!.settings.find((setting) => setting.kind === 'number' && setting.key === 'guidance') as Extract<(typeof SHIPPED_ENGINES)[number]['settings'][number], { kind: 'number' }>

type Given = { params?: Record<string, string>; query?: Record<string, unknown>; body?: Record<string, unknown> }
interface Calls {
  mock: { calls: unknown[][] }
  mockReset: () => { mockImplementation: (answer: (route: { id: string }, given: Given) => unknown) => unknown }
}
/**
 * A server for a test, behind its mocked `call`: what it answers by operation, a value or a function of what was given,
 * and what was asked of it. An operation without an answer answers nothing.
 */
export function aServer(call: Calls, answers: Record<string, unknown> = {}) {
  call.mockReset().mockImplementation((route, given) => {
    const answer = answers[route.id]
    // As it would be after the way over the wire.
    const sent = JSON.parse(JSON.stringify({ ...given, signal: undefined })) as Given
    return Promise.resolve()
      .then(() => (typeof answer === 'function' ? (answer as (given: Given) => unknown)(sent) : answer))
      .then((value) => (value === undefined ? undefined : structuredClone(value)))
  })
  return {
    answers,
    /** What was given to an operation, each time it was called. */
    asked: (id: string): Given[] => call.mock.calls.filter(([route]) => (route as { id: string }).id === id).map(([, given]) => given as Given),
    /** From now on the operation is refused, in these words. */
    refuses: (id: string, says: string, problem: ConstructorParameters<typeof ApiProblem>[0] = 'invalid') => {
      answers[id] = () => {
        throw new ApiProblem(problem, says)
      }
    },
  }
}

type Shown = Pick<VueWrapper, 'findAll' | 'findAllComponents'>

/** A button, a menu's item or a tab by its words or its name. */
export const named = (wrapper: Shown, name: string): DOMWrapper<Element> | undefined => wrapper.findAll('button, [role^=menuitem], [role=option], a.v-btn').find((one) => one.text() === name || one.attributes('aria-label') === name || one.element.querySelector('.v-list-item-title')?.textContent === name)
export const press = async (wrapper: Shown, name: string): Promise<void> => {
  const found = named(wrapper, name)
  if (!found) throw new Error(`Nothing here is called “${name}”; there are: ${wrapper.findAll('button, [role=menuitem]').map((one) => one.attributes('aria-label') ?? one.text()).join(', ')}`)
  await found.trigger('click')
  await flushPromises()
}
/** Those that have another one within stand first. */
const FIELDS = ['VSelect', 'VCombobox', 'VTextarea', 'VTextField', 'VCheckbox', 'VSwitch', 'VRadioGroup', 'VSlider']
/** Tells of something as a component would: `name` and what goes along. */
export const emit = (component: { vm: unknown }, name: string, ...along: unknown[]): void => (component.vm as { $emit: (name: string, ...along: unknown[]) => void }).$emit(name, ...along)
/** A field by its label or its name. */
export function fieldOf(wrapper: Shown, label: string): VueWrapper {
  const all = FIELDS.flatMap((name) => wrapper.findAllComponents({ name }) as VueWrapper[])
  const nameOf = (one: VueWrapper) => {
    const label = (one.props() as { label?: string }).label ?? one.vm.$attrs['aria-label']
    return typeof label === 'string' ? label : ''
  }
  const found = all.find((one) => nameOf(one) === label)
  if (!found) throw new Error(`No field is called “${label}”; there are: ${all.map(nameOf).join(', ')}`)
  return found
}
/** What a field holds. */
export const valueOf = (wrapper: Shown, label: string): unknown => (fieldOf(wrapper, label).props() as { modelValue?: unknown }).modelValue
/** Types into a field; `leave` takes the focus from it, too. */
export async function fill(wrapper: Shown, label: string, text: string, leave = false): Promise<void> {
  const field = fieldOf(wrapper, label)
  // A field with a list keeps its value in one of its own, before the one that is typed into.
  const input = field.findAll('input').at(-1) ?? field.get('textarea')
  // Sets and tells of it as a browser does when the field is left: by `input`, then by `change`.
  await input.setValue(text)
  if (leave) await input.trigger('blur')
  await flushPromises()
}
/** Chooses in a list, ticks a box or moves a slider: the field's value is this one now. */
export async function choose(wrapper: Shown, label: string, value: unknown): Promise<void> {
  fieldOf(wrapper, label).vm.$emit('update:modelValue', value)
  await flushPromises()
}
/** What a list offers, as it is shown. */
export const offered = (wrapper: Shown, label: string): string[] => ((fieldOf(wrapper, label).props() as { items: (string | { title: string })[] }).items ?? []).map((item) => (typeof item === 'string' ? item : item.title))
