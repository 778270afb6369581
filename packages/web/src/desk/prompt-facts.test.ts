import type { ChangeEvent, Prompt } from '@idolon/contract'
import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import { aProof, aRun, aVersion } from '../testing.test-support.ts'
import { usePromptFacts } from './prompt-facts.ts'

const { call, heard } = vi.hoisted(() => ({ call: vi.fn(), heard: { tell: (_event: unknown): void => undefined } }))
vi.mock('../api/call.ts', () => ({ call }))
vi.mock('../api/changes.ts', () => ({ onChange: (listener: (event: unknown) => void) => (heard.tell = listener) }))

const answers: Record<string, unknown> = {}
beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
  Object.assign(answers, { listRuns: [aRun()], listVersions: [aVersion(1, 'a fox')], listTags: [], readPrompt: { id: 'x', title: 'now' }, readRun: aRun() })
  call.mockReset().mockImplementation(({ id }: { id: string }) => Promise.resolve(answers[id]))
})
afterEach(() => {
  vi.useRealTimers()
})
async function facts() {
  const made = effectScope().run(() => usePromptFacts({ id: 'x', title: 'then' } as Prompt))!
  await flushPromises()
  return made
}
const event = (more: Partial<ChangeEvent>) => ({ promptId: 'x', ...more }) as ChangeEvent
const asked = () => call.mock.calls.map(([route]) => (route as { id: string }).id)

describe('what is known of a prompt', () => {
  it('takes a picture that came back into its run, without asking for all runs again', async () => {
    const made = await facts()
    call.mockClear()
    answers['readRun'] = aRun({ proofs: [aProof({ verdict: 'keep' })] })
    heard.tell(event({ kind: 'proof', runId: 'r1' }))
    vi.advanceTimersByTime(100)
    await flushPromises()
    expect(made.runs.value[0]?.proofs[0]?.verdict).toBe('keep')
    expect(asked()).toEqual(['readRun'])
  })

  it('asks once for versions after a burst of pictures', async () => {
    await facts()
    call.mockClear()
    for (let i = 0; i < 8; i++) heard.tell(event({ kind: 'proof', runId: 'r1' }))
    vi.advanceTimersByTime(400)
    await flushPromises()
    expect(asked().filter((id) => id === 'listVersions')).toHaveLength(1)
    expect(asked().filter((id) => id === 'readRun')).toHaveLength(1)
  })

  it('puts a run of another window first', async () => {
    const made = await facts()
    answers['readRun'] = aRun({ id: 'r2' })
    heard.tell(event({ kind: 'run', runId: 'r2' }))
    vi.advanceTimersByTime(100)
    await flushPromises()
    expect(made.runs.value.map(({ id }) => id)).toEqual(['r2', 'r1'])
  })

  it('leaves other prompts’ changes alone, and reads everything again after a gap', async () => {
    const made = await facts()
    call.mockClear()
    heard.tell({ ...event({ kind: 'prompt' }), promptId: 'y' })
    expect(call).not.toHaveBeenCalled()
    heard.tell('reset')
    await flushPromises()
    expect(asked().sort()).toEqual(['listRuns', 'listVersions', 'readPrompt'])
    expect(made.known.value.title).toBe('now')
  })
})
