import { ServiceFailure } from './service-failure.ts'

/** Failures in a row after which an engine is left in peace, and for how long (the circuit breaker of Nygard, Release It!, 2007). */
const FAILURES = 5
const REST_MS = 30_000

/** Stands between this process and each engine: so many requests at once, and none for a while after too many failures in a row. */
export class Breaker {
  readonly #engines = new Map<string, { failures: number; restsUntil: number; running: number; waiting: (() => void)[] }>()

  constructor(private readonly now: () => number = Date.now) {}

  #of(engine: string) {
    let state = this.#engines.get(engine)
    if (!state) this.#engines.set(engine, (state = { failures: 0, restsUntil: 0, running: 0, waiting: [] }))
    return state
  }

  /**
   * Runs `ask` when fewer than `most` requests to the engine are under way. What the service itself got wrong counts
   * towards a rest; that it was busy, or refused a request, does not.
   * @throws {ServiceFailure} at once while the engine rests.
   */
  async through<T>(engine: { id: string; name: string }, most: number, ask: () => Promise<T>): Promise<T> {
    const state = this.#of(engine.id)
    while (state.running >= most) await new Promise<void>((resolve) => state.waiting.push(resolve))
    const rest = state.restsUntil - this.now()
    if (rest > 0) {
      state.waiting.shift()?.()
      throw new ServiceFailure(`${engine.name} failed ${FAILURES} times in a row; Idolon asks it again in ${Math.ceil(rest / 1000)} seconds. Nothing was sent.`, { charged: 'no', again: false })
    }
    state.running++
    try {
      const answer = await ask()
      state.failures = 0
      return answer
    } catch (error) {
      const ofTheService = error instanceof ServiceFailure && !error.more.busy && (error.more.again || error.more.charged !== 'no')
      state.failures = ofTheService ? state.failures + 1 : 0
      if (state.failures >= FAILURES) {
        state.failures = 0
        state.restsUntil = this.now() + REST_MS
      }
      throw error
    } finally {
      state.running--
      state.waiting.shift()?.()
    }
  }
}
