import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { pino } from 'pino'
import { Channel } from './database/channel.ts'
import { connectDatabase } from './database/connect.ts'
import { migrate } from './database/migrate.ts'
import { Asides } from './asides/service.ts'
import { Bin } from './bin/service.ts'
import { Drafts } from './drafts/service.ts'
import { CaseRuns } from './case-runs/service.ts'
import { Engines } from './engines/engines.ts'
import { EventListener } from './events/events.ts'
import { EventStreams } from './events/stream.ts'
import { Helpers } from './helpers/service.ts'
import { shipHelpers } from './helpers/ship.ts'
import { Rules } from './house-rules/service.ts'
import { createApp } from './http/app.ts'
import { JOBS_CHANNEL, ProofQueue } from './jobs/proof-queue.ts'
import { startJobs } from './jobs/worker.ts'
import { Imports } from './imports/service.ts'
import { ImportWorker } from './imports/worker.ts'
import { Judging } from './judging/service.ts'
import { WritingStyles } from './writing-styles/service.ts'
import type { Meaning } from './meaning/meaning.ts'
import { MeaningThread } from './meaning/meaning-thread.ts'
import { Models } from './models/models.ts'
import { Parts } from './parts/service.ts'
import { PartSheets } from './parts/sheet.ts'
import { Phrases } from './phrases/service.ts'
import { SightReader } from './pictures/sight/reader.ts'
import { Projects } from './projects/service.ts'
import { Prompts } from './prompts/service.ts'
import { ProofMaker } from './proofs/make-proof.ts'
import { Proofs } from './proofs/service.ts'
import { AllowedAddresses } from './providers/allowed-addresses.ts'
import { ReadingWorker } from './references/reading-worker.ts'
import { READINGS_CHANNEL, References } from './references/service.ts'
import { Runs } from './runs/service.ts'
import { Sealer } from './security/sealed.ts'
import { ApiKeys } from './security/api-keys.ts'
import { SceneOffers } from './series/offers.ts'
import { SceneRuns } from './series/run-scenes.ts'
import { Scenes } from './series/scenes.ts'
import { SeriesService } from './series/service.ts'
import type { ServerSettings } from './settings.ts'
import { SearchIndex } from './shelf/search-index.ts'
import { Sameness } from './shelf/sameness.ts'
import { ShelfSearch } from './shelf/search.ts'
import { Shelf } from './shelf/service.ts'
import { ClientSheets } from './sheets/service.ts'
import { shipTemplates } from './templates/ship.ts'
import { Templates } from './templates/service.ts'
import { Terms } from './terms/service.ts'
import { Trials } from './trials/service.ts'
import { TURNS_CHANNEL } from './turns/rows.ts'
import { Turns } from './turns/service.ts'
import { TurnStreams } from './turns/stream.ts'
import { PIECES_CHANNEL, TurnWorker } from './turns/worker.ts'
import { Versions } from './versions/service.ts'

export interface RunningServer {
  /** Undefined for a process that only does jobs. */
  address: string | undefined
  close: () => Promise<void>
}

export async function startServer(settings: ServerSettings, meaning: Meaning = new MeaningThread(settings.databaseUrl)): Promise<RunningServer> {
  const log = pino({ level: settings.logLevel })
  const db = connectDatabase(settings.databaseUrl)
  await migrate(db)
  await shipHelpers(db)
  await shipTemplates(db)
  const sealer = settings.secretKey === undefined ? undefined : new Sealer(settings.secretKey)
  const allowed = new AllowedAddresses(settings.engineHosts, settings.engineAddress, settings.modelAddress)
  const engines = new Engines(db, settings.engineAddress, allowed, new ApiKeys(db, sealer, 'engine_states'), settings.engineTimeoutMs)
  const models = new Models(db, settings.modelAddress, allowed, new ApiKeys(db, sealer, 'model_states'), settings.engineTimeoutMs)
  const queue = new ProofQueue(settings.databaseUrl, log)
  await queue.open()
  const index = new SearchIndex(db)
  const judging = new Judging(db)
  const closers: (() => unknown)[] = []
  let address: string | undefined

  if (settings.roles.has('web')) {
    const streams: EventStreams = new EventStreams(db, () => listener)
    const listener = new EventListener(settings.databaseUrl, log, () => {
      streams.resetAll()
    })
    await listener.open()
    const proofs = new Proofs(db, queue)
    const helpers = new Helpers(db)
    const turnStreams = new TurnStreams(db)
    const pieces = new Channel(settings.databaseUrl, { channel: PIECES_CHANNEL, name: 'idolon answers', heard: (id) => turnStreams.heard(id), again: () => turnStreams.lookAtAll() })
    await pieces.open()
    closers.push(() => pieces.close())
    const runs = new Runs(db, engines, queue)
    let port = settings.port
    const app = createApp(
      {
        db,
        engines,
        search: new ShelfSearch(db, index, meaning),
        streams,
        projects: new Projects(db),
        rules: new Rules(db, engines),
        terms: new Terms(db),
        phrases: new Phrases(db),
        prompts: new Prompts(db, engines),
        drafts: new Drafts(db),
        versions: new Versions(db),
        runs,
        proofs,
        judging,
        asides: new Asides(db),
        bin: new Bin(db),
        sheets: new ClientSheets(db, proofs),
        models,
        helpers,
        turns: new Turns(db, helpers, models, engines),
        turnStreams,
        caseRuns: new CaseRuns(db, helpers, models, engines),
        references: new References(db, engines),
        templates: new Templates(db, engines),
        trials: new Trials(db, engines, queue),
        writingStyles: new WritingStyles(db),
        parts: new Parts(db),
        partSheets: new PartSheets(db, engines),
        series: new SeriesService(db, engines),
        scenes: new Scenes(db, engines),
        sceneOffers: new SceneOffers(db, engines),
        sceneRuns: new SceneRuns(db, runs),
        shelf: new Shelf(db),
        imports: new Imports(db, index),
        sameness: new Sameness(db, meaning),
      },
      { port: () => port, pageFolder: settings.pageFolder, checkAnswers: settings.checkAnswers, log },
    )
    const server = createServer(app)
    await new Promise<void>((resolve, reject) => {
      server.once('error', reject)
      server.listen(settings.port, '127.0.0.1', resolve)
    })
    port = (server.address() as AddressInfo).port
    address = `http://127.0.0.1:${port}`
    closers.push(
      () => {
        streams.close()
        server.closeAllConnections()
        return new Promise((resolve) => server.close(resolve))
      },
      () => listener.close(),
    )
  }
  if (settings.roles.has('jobs')) {
    const maker = new ProofMaker(db, engines, log)
    const turns = new TurnWorker(db, models, engines, log)
    const readings = new ReadingWorker(db, new SightReader(), log)
    const stop = await startJobs({ db, queue, maker, index, judging, turns, readings, meaning, imports: new ImportWorker(db, engines, index, log), log })
    // Workers are woken when a run starts in any process; without it jobs are only found a little later, by polling.
    const wake = () => queue.wake()
    const jobs = new Channel(settings.databaseUrl, { channel: JOBS_CHANNEL, name: 'idolon wake', heard: wake, again: wake })
    await jobs.open()
    const asked = new Channel(settings.databaseUrl, { channel: TURNS_CHANNEL, name: 'idolon turns', heard: (payload) => turns.heard(payload), again: () => turns.heard('') })
    await asked.open()
    const pictures = new Channel(settings.databaseUrl, { channel: READINGS_CHANNEL, name: 'idolon readings', heard: () => void readings.look().catch(() => undefined), again: () => void readings.look().catch(() => undefined) })
    await pictures.open()
    closers.push(stop, () => turns.close(), () => pictures.close(), () => readings.close(), () => jobs.close(), () => asked.close())
  }
  return {
    address,
    close: async () => {
      for (const close of closers) await close()
      await meaning.close()
      await queue.close()
      await db.destroy()
    },
  }
}
