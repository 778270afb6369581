import { type Draft, fixedFacetsOf } from '@idolon/core'
import { type AnswerKind, ANSWERS, costOf, type HelperBody, HelperCase, type HelperValues, type IdeasAnswer, judge, judgedOf, type Message, onlyMissing, tokensOf, proposedDraft, type QuestionsAnswer, takeAnswer, type Taken, withoutRepeats } from '@idolon/core/helper'
import type { Static } from '@sinclair/typebox'
import { randomUUID } from 'node:crypto'
import { setImmediate as pause, setTimeout as sleep } from 'node:timers/promises'
import type { Logger } from 'pino'
import type { Database } from '../database/connect.ts'
import type { Engines } from '../engines/engines.ts'
import { recordEvent } from '../events/events.ts'
import { rulesOf } from '../house-rules/store.ts'
import type { Models } from '../models/models.ts'
import { promptReader } from '../phrases/prompt-reader.ts'
import { BrokenOff, type ModelAnswer } from '../providers/language-model.ts'
import { ServiceFailure } from '../providers/service-failure.ts'
import { picturesFor } from './pictures.ts'
import { engineFor } from './prepare.ts'
import { settleTurn, type TurnRow } from './rows.ts'
import { judgingTools, validateAnswer } from './tools.ts'

/** A turn whose worker is silent for so long is free for another. */
const LEASE_SECONDS = 8
const RENEW_MS = 2_000
/** Turns at once in this process. */
const AT_ONCE = 4
/** Prompts of a project that ideas are held against, and comparisons after which other requests have their turn. */
const MOST_COMPARED = 60
const AT_A_STRETCH = 10
/** How often a growing answer is written down at most. */
const WRITE_MS = 40
/** How often a service that is busy or failing is asked before that is an answer. */
const MOST_ASKED = 3
export const PIECES_CHANNEL = 'idolon_turn_text'

interface Task {
  id: string
  project_id: string
  prompt_id: string | null
  case_run_id: string | null
  kind: AnswerKind
  body: HelperBody
  temperature: number
  model: { id: string }
  given: HelperValues
  messages: Message[]
  draft: Draft
  seed: number
  case: Static<typeof HelperCase> | null
  /** Something of an answer had come when its worker was lost. */
  broken: boolean
}

/** What came of a turn. */
interface Outcome extends Pick<TurnRow, 'problem' | 'text' | 'earlier' | 'value' | 'mended' | 'proposed' | 'tries'> {
  state: 'done' | 'refused' | 'failed' | 'stopped'
  lockedLost: string[]
}

const plain = (text: string) => text.replaceAll('\u0000', '\uFFFD')

/** Asks models what helpers want to know: takes turns that wait, writes the answers down as they grow, and holds them to their shape. */
export class TurnWorker {
  readonly #name = randomUUID()
  readonly #running = new Map<string, AbortController>()
  #closed = false
  #looking = false

  constructor(
    private readonly db: Database,
    private readonly models: Models,
    private readonly engines: Engines,
    private readonly log: Logger,
  ) {}

  /** Looks for turns that wait; called when there is reason to, and now and then. */
  async look(): Promise<void> {
    if (this.#looking || this.#closed) return
    this.#looking = true
    try {
      while (this.#running.size < AT_ONCE && !this.#closed) {
        const task = await this.#claim()
        if (!task) break
        const stop = new AbortController()
        this.#running.set(task.id, stop)
        void this.#run(task, stop).finally(() => {
          this.#running.delete(task.id)
          void this.look().catch(() => undefined)
        })
      }
    } finally {
      this.#looking = false
    }
  }

  /** What is told to all workers: that there is work, or that a turn is to stop. */
  heard(payload: string): void {
    const id = /^stop (.+)$/.exec(payload)?.[1]
    if (id) this.#running.get(id)?.abort()
    else void this.look().catch(() => undefined)
  }

  close(): void {
    this.#closed = true
    for (const stop of this.#running.values()) stop.abort()
  }

  /** The writer's own turns come before those of cases. */
  async #claim(): Promise<Task | undefined> {
    const { rows } = await this.db.raw<{ rows: Task[] }>(
      `update turns t set state = 'answering', worker = ?, lease_until = now() + interval '${LEASE_SECONDS} seconds', sent_at = coalesce(t.sent_at, now())
       from helper_versions v
       where v.helper_id = t.helper_id and v.number = t.helper_version and t.id = (
         select id from turns where state = 'asked' or (state = 'answering' and lease_until < now()) order by case_run_id is not null, asked_at, side, id limit 1 for update skip locked)
       returning t.id, t.project_id, t.prompt_id, t.case_run_id, v.body->>'answer' as kind, v.body, (v.body->>'temperature')::float as temperature, t.model, t.given, t.messages, t.draft, t.seed,
         (select body from helper_cases where id = t.case_id) as case, t.text <> '' as broken`,
      [this.#name],
    )
    return rows[0]
  }

  async #run(task: Task, stop: AbortController): Promise<void> {
    const renewing = setInterval(() => {
      void this.db('turns').where({ id: task.id, worker: this.#name, state: 'answering' }).update({ lease_until: this.db.raw(`now() + interval '${LEASE_SECONDS} seconds'`) }).then((held) => { if (!held) stop.abort() }, () => undefined)
    }, RENEW_MS)
    const spent = { in: 0, out: 0, charged: false }
    try {
      const outcome = task.broken ? brokenBefore() : await this.#ask(task, stop.signal, spent)
      if (this.#closed && outcome.state === 'stopped') return
      await this.#end(task, outcome, spent)
    } catch (error) {
      if (!this.#closed) this.log.warn({ err: error, turn: task.id }, 'turn not ended')
    } finally {
      clearInterval(renewing)
    }
  }

  /** Asks, and once more with what was wrong when the answer cannot be used. */
  async #ask(task: Task, signal: AbortSignal, spent: { in: number; out: number; charged: boolean }): Promise<Outcome> {
    const profile = (await this.models.list()).find(({ profile: one }) => one.id === task.model.id)?.profile
    if (!profile) return failed('The model is no longer there. Choose another and send the question again.')
    const reader = await promptReader()
    const earlier: string[] = []
    let refused: { answer: string; problem: string } | undefined
    let taken: Taken = { ok: false, problem: '' }
    let text = ''
    let lockedLost: string[] = []
    const pictures = await picturesFor(this.db, task)
    for (let tries = 1; tries <= 2; tries++) {
      const messages: Message[] = refused ? [...task.messages, { role: 'assistant', content: refused.answer.slice(0, 8_000) }, { role: 'user', content: `That answer cannot be used. ${refused.problem} Answer once more, in the shape of the schema and nothing else.` }] : task.messages
      let broke: string | undefined
      try {
        const answer = await this.#answer(task, { messages, pictures, profile, signal })
        text = answer.text
        spent.charged = true
        spent.in += answer.tokensIn ?? tokensOf(messages)
        spent.out += answer.tokensOut ?? Math.ceil(answer.text.length / 4)
      } catch (error) {
        if (!(error instanceof ServiceFailure)) throw error
        if (error.more.charged !== 'no') {
          spent.charged = true
          spent.in += tokensOf(messages)
          spent.out += error instanceof BrokenOff ? Math.ceil(error.text.length / 4) : 0
        }
        if (signal.aborted) return { ...failed('It was stopped. What had come so far is kept.'), state: 'stopped', text: error instanceof BrokenOff ? error.text : text, earlier, tries }
        // A connection that was lost before anything came is simply made again, once.
        if (error instanceof BrokenOff && error.text === '' && tries === 1) continue
        if (!(error instanceof BrokenOff) || error.text === '') return { ...failed(`${error.reason} The draft is as it was, and the question is kept: send it again when you like.`), text, earlier, tries }
        text = error.text
        broke = error.reason
      }
      taken = takeAnswer(text, task.kind, { validate: validateAnswer, words: reader.words })
      // What broke off is asked for again rather than mended; the second time what there is of it is taken.
      const problem = broke && tries === 1 ? broke : taken.ok ? undefined : taken.problem
      if (problem === undefined && taken.ok) {
        lockedLost = proposedDraft(task.draft, task.kind, taken.value, { reader })?.lockedLost ?? []
        if (lockedLost.length === 0 || tries === 2) return this.#taken(task, taken, { text, earlier, tries })
      }
      if (tries === 2) break
      refused = { answer: text, problem: problem ?? `These words are locked and are missing from it: ${lockedLost.map((words) => `“${words}”`).join(', ')}.` }
      earlier.push(plain(text))
    }
    return { ...failed(`${taken.ok ? '' : taken.problem} It was asked for twice. The draft is as it was; the answer is kept below as it came.`), state: 'refused', text, earlier, tries: 2 }
  }

  /** Ideas that are nearly a prompt of the project, or nearly one another, are left out: a model may not have kept to what it was told. */
  async #fresh(task: Task, { ideas }: IdeasAnswer): Promise<{ value: IdeasAnswer; mended: string[] }> {
    const { near } = await judgingTools(undefined, undefined)
    const rows = task.case_run_id ? [] : await this.db('drafts').join('prompts', 'prompts.id', 'drafts.prompt_id').where({ project_id: task.project_id }).whereNull('prompts.deleted_at').orderBy('prompts.changed_at', 'desc').limit(MOST_COMPARED).select<{ text: string }[]>(this.db.raw(`left(drafts.body->>'text', 400) as text`))
    let compared = 0
    const { kept, gone } = await withoutRepeats(ideas, rows.map(({ text }) => text).filter((text) => text.trim() !== ''), async (a, b) => {
      if (++compared % AT_A_STRETCH === 0) await pause()
      return near(a, b)
    })
    return gone && kept.length ? { value: { ideas: kept }, mended: [`${gone === 1 ? 'One idea was' : `${gone} ideas were`} nearly what the project has, or nearly another, and left out.`] } : { value: { ideas }, mended: [] }
  }

  async #taken(task: Task, taken: Taken & { ok: true }, { text, earlier, tries }: { text: string; earlier: string[]; tries: number }): Promise<Outcome> {
    const reader = await promptReader()
    if (task.kind === 'questions') {
      const { value, gone } = onlyMissing(taken.value as QuestionsAnswer, reader.read(task.draft.text, fixedFacetsOf(task.draft.marks)).phrases)
      return { state: 'done', problem: null, text, earlier, value, mended: [...taken.mended, ...(gone ? [`${gone === 1 ? 'One question was' : `${gone} questions were`} about what the draft says already, and left out.`] : [])], proposed: null, lockedLost: [], tries }
    }
    if (task.kind === 'ideas') {
      const { value, mended } = await this.#fresh(task, taken.value as IdeasAnswer)
      return { state: 'done', problem: null, text, earlier, value, mended: [...taken.mended, ...mended], proposed: null, lockedLost: [], tries }
    }
    const engine = engineFor({ ...task, values: task.given, engines: (await this.engines.list()).map(({ profile }) => profile) })
    const proposed = proposedDraft(task.draft, task.kind, taken.value, { reader, asJson: engine?.reads === 'json' || /^\s*\{/.test(task.draft.text) })
    return { state: 'done', problem: null, text, earlier, value: taken.value, mended: [...taken.mended, ...(proposed?.mended ?? [])], proposed: proposed?.draft ?? null, lockedLost: proposed?.lockedLost ?? [], tries }
  }

  /** One answer; a service that is busy or failing is waited for and asked again a few times. */
  async #answer(task: Task, { messages, pictures, profile, signal }: { messages: Message[]; pictures: string[]; profile: Parameters<Models['ask']>[0]; signal: AbortSignal }): Promise<ModelAnswer> {
    for (let asked = 1; ; asked++) {
      const notes = new Notes(this.db, task.id)
      try {
        const answer = await this.models.ask(profile, { messages, pictures, schema: { name: task.kind.replace('-', '_'), schema: ANSWERS[task.kind].schema }, temperature: task.temperature, seed: task.seed, signal, heard: (text) => notes.write(plain(text)) })
        await notes.done()
        return answer
      } catch (error) {
        await notes.done()
        const again = error instanceof ServiceFailure && !(error instanceof BrokenOff && error.text !== '') && error.more.again && error.more.charged === 'no'
        if (!again || asked >= MOST_ASKED || signal.aborted) throw error
        await sleep((error.more.waitSeconds ?? 0.4 * asked) * 1000, undefined, { signal }).catch(() => undefined)
        if (signal.aborted) throw error
      }
    }
  }

  async #end(task: Task, outcome: Outcome, spent: { in: number; out: number; charged: boolean }): Promise<void> {
    const verdicts = task.case && (await this.#judge(task, task.case, outcome))
    await this.db.transaction(async (trx) => {
      const profile = (await this.models.list()).find(({ profile: one }) => one.id === task.model.id)?.profile
      const cost = profile && spent.charged ? costOf(profile, spent.in, spent.out) : 0
      const held = await trx('turns')
        .where({ id: task.id, worker: this.#name, state: 'answering' })
        .update({
          state: outcome.state,
          problem: outcome.problem,
          text: plain(outcome.text),
          earlier: outcome.earlier,
          value: outcome.value === null ? null : JSON.stringify(outcome.value),
          mended: outcome.mended,
          proposed: outcome.proposed && JSON.stringify(outcome.proposed),
          locked_lost: outcome.lockedLost,
          tries: outcome.tries,
          cost,
          verdicts: verdicts && JSON.stringify(verdicts),
          passed: verdicts && verdicts.every(({ pass }) => pass),
          ended_at: trx.fn.now(),
          took_ms: trx.raw('round(extract(epoch from now() - sent_at) * 1000)::int'),
          lease_until: null,
          worker: null,
        })
      if (!held) return
      await settleTurn(trx, task.id, cost, outcome.state === 'done' ? '' : outcome.state)
      await recordEvent(trx, { kind: 'turn', turnId: task.id, projectId: task.project_id, ...(task.prompt_id ? { promptId: task.prompt_id } : {}), ...(task.case_run_id ? { caseRunId: task.case_run_id } : {}) })
      await trx.raw('select pg_notify(?, ?)', [PIECES_CHANNEL, task.id])
    })
  }

  async #judge(task: Task, { criteria, engine: choice }: Static<typeof HelperCase>, outcome: Outcome) {
    const engines = (await this.engines.list()).map(({ profile }) => profile)
    const engine = choice ? engineFor({ ...task, values: task.given, engines }) : undefined
    const tools = await judgingTools(engine, task.case_run_id ? undefined : await rulesOf(this.db, task.project_id))
    const { judged } = judgedOf(task.kind, task.draft, { value: outcome.state === 'done' ? outcome.value : undefined, mended: outcome.mended, tries: outcome.tries }, tools)
    return criteria.map((criterion) => ({ criterion, ...judge(criterion, judged) }))
  }
}

const failed = (problem: string): Outcome => ({ state: 'failed', problem, text: '', earlier: [], value: null, mended: [], proposed: null, lockedLost: [], tries: 1 })
/** Its worker was lost with half an answer: a model is not asked twice for what it may have charged. */
const brokenBefore = (): Outcome => failed('Idolon was stopped while the model answered. The draft is as it was, and the question is kept: send it again when you like.')

/** Writes an answer down as it grows, at most every so often, and tells whoever listens. */
class Notes {
  #text = ''
  #written = ''
  #busy: Promise<void> | undefined

  constructor(
    private readonly db: Database,
    private readonly id: string,
  ) {}

  write(text: string): void {
    this.#text = text
    this.#busy ??= this.#loop().finally(() => (this.#busy = undefined))
  }

  async #loop(): Promise<void> {
    while (this.#written !== this.#text) {
      const text = this.#text
      await this.db.raw(`with written as (update turns set text = ? where id = ? and state = 'answering' returning id) select pg_notify('${PIECES_CHANNEL}', id::text) from written`, [text, this.id]).catch(() => undefined)
      this.#written = text
      await sleep(WRITE_MS)
    }
  }

  async done(): Promise<void> {
    await this.#busy
  }
}
