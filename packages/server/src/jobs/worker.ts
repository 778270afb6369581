import { setTimeout as sleep } from 'node:timers/promises'
import type { Logger } from 'pino'
import type { Database } from '../database/connect.ts'
import { forgetOldEvents } from '../events/events.ts'
import type { ProofMaker } from '../proofs/make-proof.ts'
import { forgetOldImports } from '../imports/store.ts'
import type { ImportWorker } from '../imports/worker.ts'
import type { Judging } from '../judging/service.ts'
import { keepVectors } from '../meaning/keep-vectors.ts'
import type { Meaning } from '../meaning/meaning.ts'
import { readVersionPhrases } from '../phrases/read-versions.ts'
import { forgetUnused } from '../pictures/store.ts'
import { freeProofs } from '../proofs/lease.ts'
import type { ReadingWorker } from '../references/reading-worker.ts'
import { nameColours } from '../shelf/colours.ts'
import { findFamilies } from '../shelf/families.ts'
import { readSaid } from '../shelf/said.ts'
import type { SearchIndex } from '../shelf/search-index.ts'
import type { TurnWorker } from '../turns/worker.ts'
import type { ProofQueue } from './proof-queue.ts'

const SWEEP_MS = 3_000
const INDEX_MS = 1_500
const IMPORT_MS = 700
const FORGET_MS = 3_600_000
/** Requests at once in this process, most of them waiting for an engine; how many one engine gets at once, its profile says. */
const CONCURRENCY = 12

/** Runs `task` again and again, `every` ms after it ended, until stopped. A failure is logged and the next round comes. */
function repeat(every: number, log: Logger, what: string, task: () => Promise<unknown>): () => void {
  let stopped = false
  let timer: NodeJS.Timeout | undefined
  const round = async () => {
    try {
      await task()
    } catch (error) {
      if (!stopped) log.warn({ err: error }, what)
    }
    if (!stopped) timer = setTimeout(() => void round(), every)
  }
  timer = setTimeout(() => void round(), Math.min(every, 200))
  return () => {
    stopped = true
    clearTimeout(timer)
  }
}

/** Batch after batch while there is anything, with room for other work between. */
async function untilDone(batch: () => Promise<number>): Promise<void> {
  while ((await batch()) > 0) await sleep(5)
}

/** Starts this process's share of the slow work; returns what ends it. */
export async function startJobs(parts: { db: Database; queue: ProofQueue; maker: ProofMaker; index: SearchIndex; judging: Judging; turns: TurnWorker; readings: ReadingWorker; meaning: Meaning; imports: ImportWorker; log: Logger }): Promise<() => void> {
  const { db, queue, maker, index, judging, turns, readings, meaning, imports, log } = parts
  await queue.work(CONCURRENCY, (id) => maker.make(id))
  const sweep = async () => {
    const free = await freeProofs(db)
    if (free.length) await db.transaction((trx) => queue.add(trx, free))
  }
  const stops = [
    repeat(SWEEP_MS, log, 'free proofs not looked for', sweep),
    repeat(SWEEP_MS, log, 'turns not looked for', () => turns.look()),
    repeat(IMPORT_MS, log, 'files not imported', () => untilDone(() => imports.look())),
    repeat(SWEEP_MS, log, 'pictures not read', () => readings.look()),
    repeat(INDEX_MS, log, 'search not brought up to date', () => index.refresh()),
    repeat(INDEX_MS, log, 'prompts not read', () => untilDone(() => readSaid(db))),
    repeat(INDEX_MS, log, 'vectors not made', () => untilDone(() => keepVectors(db, meaning))),
    repeat(INDEX_MS, log, 'families not found', () => untilDone(() => findFamilies(db, meaning))),
    repeat(INDEX_MS, log, 'colours not named', () => untilDone(() => nameColours(db))),
    repeat(INDEX_MS, log, 'ranks not brought up to date', () => judging.refreshRanks()),
    repeat(INDEX_MS, log, 'versions not read', () => readVersionPhrases(db)),
    repeat(FORGET_MS, log, 'unused pictures not forgotten', () => forgetUnused(db)),
    repeat(FORGET_MS, log, 'files not forgotten', () => forgetOldImports(db)),
    repeat(FORGET_MS, log, 'old events not forgotten', () => forgetOldEvents(db)),
  ]
  return () => {
    for (const stop of stops) stop()
  }
}
