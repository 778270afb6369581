import {
  addHelpers,
  askHelper,
  changeHelper,
  decideTurn,
  deleteHelper,
  setModelApiKey,
  listCaseRuns,
  listHelpers,
  addReference,
  changeReference,
  closeTries,
  deleteReference,
  listReferences,
  readAgreement,
  readReading,
  readReference,
  listModels,
  listTurns,
  practiseModels,
  readCaseRun,
  readHelper,
  readTurn,
  removeCase,
  removeModel,
  saveCase,
  saveHelperVersion,
  saveModel,
  startCaseRun,
  stopCaseRun,
  stopTurn,
  switchModel,
  tryModel,
  addComments,
  addJudgement,
  askAgain,
  importPictures,
  changeProofs,
  compareProofs,
  countFaultsOf,
  countPhrases,
  dropAside,
  judgementsOf,
  listAsides,
  listBin,
  listClientSheets,
  makeClientSheet,
  putAside,
  restoreFromBin,
  readSheet,
  deleteForGood,
  setMoney,
  sumLedger,
  takeBackJudgement,
  changeProject,
  changePrompt,
  changeProof,
  changeVersion,
  createProject,
  createPrompt,
  deletePrompt,
  removePhrase,
  keepPhrase,
  addTerms,
  setApiKey,
  listEngines,
  listTerms,
  practise,
  previewRequest,
  promptsBreakingRules,
  promptsThatSay,
  readRules,
  removeEngine,
  removeTerm,
  saveEngine,
  setRules,
  listPhrases,
  listProjects,
  listProofs,
  listRuns,
  listVersions,
  openApiDocument,
  restorePrompt,
  readHealth,
  readLedger,
  readProof,
  readPrompt,
  readRun,
  recentRuns,
  saveEdits,
  startRun,
  stopRun,
  switchEngine,
  tryEngine,
} from '@idolon/contract'
import express, { type Express } from 'express'
import helmet from 'helmet'
import { join } from 'node:path'
import type { Logger } from 'pino'
import type { Database } from '../database/connect.ts'
import type { Asides } from '../asides/service.ts'
import type { Bin } from '../bin/service.ts'
import { bundleRoutes } from '../bundles/routes.ts'
import type { CaseRuns } from '../case-runs/service.ts'
import type { Drafts } from '../drafts/service.ts'
import type { Engines } from '../engines/engines.ts'
import type { Helpers } from '../helpers/service.ts'
import type { Rules } from '../house-rules/service.ts'
import type { Terms } from '../terms/service.ts'
import type { EventStreams } from '../events/stream.ts'
import { writingStyleRoutes } from '../writing-styles/routes.ts'
import type { WritingStyles } from '../writing-styles/service.ts'
import { partRoutes } from '../parts/routes.ts'
import type { Parts } from '../parts/service.ts'
import type { PartSheets } from '../parts/sheet.ts'
import type { SceneOffers } from '../series/offers.ts'
import type { SceneRuns } from '../series/run-scenes.ts'
import { deliveryRoutes } from '../series/delivery/routes.ts'
import { seriesRoutes } from '../series/routes.ts'
import type { Scenes } from '../series/scenes.ts'
import type { SeriesService } from '../series/service.ts'
import type { Judging } from '../judging/service.ts'
import { importRoutes, takeFileRoute } from '../imports/routes.ts'
import type { Imports } from '../imports/service.ts'
import { ledgerRoutes } from '../ledger/routes.ts'
import { ledgerSums } from '../ledger/sums.ts'
import { References } from '../references/service.ts'
import { pictureRoutes } from '../pictures/routes.ts'
import type { Models } from '../models/models.ts'
import type { Phrases } from '../phrases/service.ts'
import type { Projects } from '../projects/service.ts'
import type { Prompts } from '../prompts/service.ts'
import type { Proofs } from '../proofs/service.ts'
import type { Runs } from '../runs/service.ts'
import { shelfRoutes } from '../shelf/routes.ts'
import type { Sameness } from '../shelf/sameness.ts'
import type { ShelfSearch } from '../shelf/search.ts'
import { takeOutRoutes } from '../shelf/take-out.ts'
import type { Shelf } from '../shelf/service.ts'
import { sheetRoutes } from '../sheets/routes.ts'
import type { ClientSheets } from '../sheets/service.ts'
import { templateRoutes } from '../templates/routes.ts'
import type { Templates } from '../templates/service.ts'
import { trialRoutes } from '../trials/routes.ts'
import type { Trials } from '../trials/service.ts'
import type { Turns } from '../turns/service.ts'
import type { TurnStreams } from '../turns/stream.ts'
import type { Versions } from '../versions/service.ts'
import { answerErrors } from './errors.ts'
import { ownOriginOnly } from './own-origin.ts'
import { ProblemError } from './problem.ts'
import { registrar } from './register.ts'

export const VERSION = '0.1.0'

export interface Services {
  db: Database
  engines: Engines
  rules: Rules
  terms: Terms
  projects: Projects
  phrases: Phrases
  prompts: Prompts
  drafts: Drafts
  versions: Versions
  runs: Runs
  proofs: Proofs
  judging: Judging
  asides: Asides
  bin: Bin
  sheets: ClientSheets
  search: ShelfSearch
  streams: EventStreams
  models: Models
  helpers: Helpers
  turns: Turns
  turnStreams: TurnStreams
  caseRuns: CaseRuns
  references: References
  templates: Templates
  trials: Trials
  writingStyles: WritingStyles
  parts: Parts
  partSheets: PartSheets
  series: SeriesService
  scenes: Scenes
  sceneOffers: SceneOffers
  sceneRuns: SceneRuns
  shelf: Shelf
  imports: Imports
  sameness: Sameness
}

const security = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
      workerSrc: ["'self'"],
      // The component library writes style elements at run time.
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", 'data:', 'blob:'],
      fontSrc: ["'self'"],
      connectSrc: ["'self'"],
      objectSrc: ["'none'"],
      baseUri: ["'none'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
    },
  },
  strictTransportSecurity: false,
})

export function createApp(services: Services, options: { port: () => number; pageFolder: string | undefined; checkAnswers: boolean; log: Logger }): Express {
  const { engines, rules, terms, projects, phrases, prompts, drafts, versions, runs, proofs, judging, asides, bin, sheets, streams, models, helpers, turns, turnStreams, caseRuns, references, db } = services
  const app = express()
  app.disable('x-powered-by')
  app.use(security)
  app.use(ownOriginOnly(options.port))
  // Pictures and files come as they are; everything else is JSON.
  pictureRoutes(app, db, engines)
  takeFileRoute(app, services.imports)
  app.use('/api', express.json({ limit: '4mb' }))
  app.use('/api', (_request, response, next) => {
    response.set('cache-control', 'no-store')
    next()
  })
  const on = registrar(app, options.checkAnswers)

  on(readHealth, async () => {
    await db.raw('select 1')
    return { status: 'ok' as const, version: VERSION }
  })
  on(listProjects, () => projects.list())
  on(createProject, ({ actor, body }) => projects.create(actor, body.name))
  on(changeProject, ({ actor, params, body }) => projects.change(actor, params.project, body))
  on(readLedger, ({ params }) => projects.ledger(params.project))
  on(listPhrases, ({ params }) => phrases.list(params.project))
  on(keepPhrase, ({ actor, params, body }) => phrases.keep(actor, params.project, body))
  on(removePhrase, async ({ actor, params }) => {
    await phrases.remove(actor, params.project, params.phrase)
    return undefined
  })
  on(listEngines, () => engines.list())
  on(saveEngine, ({ actor, params, body }) => engines.save(actor, params, body))
  on(removeEngine, async ({ actor, params }) => {
    await engines.remove(actor, params)
    return undefined
  })
  on(previewRequest, ({ body }) => Promise.resolve(engines.preview(body.profile, body.text)))
  on(tryEngine, ({ actor, params, body }) => engines.try(actor, params, body.text))
  on(switchEngine, ({ actor, params, body }) => engines.switch(actor, params, body.off))
  on(setApiKey, ({ actor, params, body }) => engines.setApiKey(actor, params, body.apiKey))
  on(practise, async ({ body }) => {
    await engines.practise(body.fault, body.times)
    return undefined
  })
  on(readRules, ({ params }) => rules.read(params.project))
  on(setRules, ({ actor, params, body }) => rules.set(actor, params.project, body))
  on(promptsBreakingRules, ({ params }) => rules.broken(params.project))
  on(listTerms, ({ query }) => terms.list(query.project))
  on(addTerms, ({ actor, body }) => terms.add(actor, body.projectId, body.entries))
  on(removeTerm, async ({ actor, params }) => {
    await terms.remove(actor, params.term)
    return undefined
  })
  on(promptsThatSay, ({ query }) => terms.promptsThatSay(query.words, query.project))
  on(createPrompt, ({ actor, body }) => prompts.create(actor, body))
  on(readPrompt, ({ params }) => prompts.read(params.prompt))
  on(changePrompt, ({ actor, params, body }) => prompts.change(actor, params.prompt, body))
  on(deletePrompt, async ({ actor, params }) => {
    await prompts.setDeleted(actor, params.prompt, true)
    return undefined
  })
  on(restorePrompt, ({ actor, params }) => prompts.setDeleted(actor, params.prompt, false))
  on(saveEdits, ({ actor, params, body }) => drafts.save(actor, params.prompt, body))
  on(listVersions, ({ params }) => versions.list(params.prompt))
  on(changeVersion, ({ actor, params, body }) => versions.explain(actor, params.version, body.why))
  on(startRun, ({ actor, params, body }) => runs.start(actor, params.prompt, body))
  on(listRuns, ({ params, query }) => runs.ofPrompt(params.prompt, query.limit))
  on(recentRuns, ({ query }) => runs.recent(query.project, query.limit, query.offset))
  on(readRun, ({ params }) => runs.read(params.run))
  on(stopRun, ({ actor, params }) => runs.stop(actor, params.run))
  on(listProofs, ({ query }) => proofs.list(query))
  on(readProof, ({ params }) => proofs.read(params.proof))
  on(changeProof, ({ actor, params, body }) => proofs.change(actor, params.proof, body))
  on(askAgain, ({ actor, params }) => proofs.askAgain(actor, params.proof))

  on(changeProofs, ({ actor, body }) => proofs.changeMany(actor, body))
  on(countFaultsOf, ({ query }) => proofs.faultCounts(query.project))
  on(compareProofs, ({ params }) => proofs.compare(params.proof, params.other))
  on(importPictures, ({ actor, params, body }) => runs.importPictures(actor, params.run, body.pictures))
  on(readSheet, ({ query }) => proofs.sheet(query))
  on(makeClientSheet, ({ actor, body }) => sheets.make(actor, body))
  on(listClientSheets, () => sheets.list())
  on(addComments, ({ actor, params, body }) => sheets.comment(actor, params.sheet, body.text))
  on(addJudgement, ({ actor, body }) => judging.add(actor, body))
  on(judgementsOf, ({ body }) => judging.of(body.proofs))
  on(takeBackJudgement, async ({ actor, params }) => {
    await judging.takeBack(actor, params.judgement)
    return undefined
  })
  on(listAsides, ({ params }) => asides.list(params.prompt))
  on(putAside, ({ actor, params, body }) => asides.put(actor, params.prompt, body))
  on(dropAside, async ({ actor, params }) => {
    await asides.drop(actor, params.aside)
    return undefined
  })
  on(listBin, () => bin.list())
  on(restoreFromBin, async ({ actor, params }) => {
    await bin.restoreFromBin(actor, params.kind, params.id)
    return undefined
  })
  on(deleteForGood, async ({ actor, params }) => {
    await bin.deleteForGood(actor, params.kind, params.id)
    return undefined
  })
  on(sumLedger, ({ params, query }) => ledgerSums(db, params.by, query.project))
  on(setMoney, ({ actor, params, body }) => projects.setMoney(actor, params.project, body))
  on(countPhrases, ({ params, body }) => phrases.counts(params.project, body.phrases))

  on(listReferences, ({ query }) => references.list(query.project))
  on(readReference, ({ params }) => references.read(params.reference))
  on(readAgreement, ({ params }) => references.agreement(params.reference))
  on(readReading, ({ params }) => references.readingOf(params.sha256))
  on(closeTries, ({ params }) => references.tries(params.reference))
  on(addReference, ({ actor, body }) => references.add(actor, body))
  on(changeReference, ({ actor, params, body }) => references.change(actor, params.reference, body))
  on(deleteReference, async ({ actor, params }) => {
    await references.delete(actor, params.reference)
    return undefined
  })

  on(listModels, () => models.list())
  on(saveModel, ({ actor, params, body }) => models.save(actor, params.model, body))
  on(removeModel, async ({ actor, params }) => {
    await models.remove(actor, params.model)
    return undefined
  })
  on(switchModel, ({ actor, params, body }) => models.switch(actor, params.model, body.off))
  on(setModelApiKey, ({ actor, params, body }) => models.setApiKey(actor, params.model, body.apiKey))
  on(tryModel, ({ params }) => models.try(params.model))
  on(practiseModels, async ({ body }) => {
    await models.practise(body)
    return undefined
  })
  on(listHelpers, () => helpers.list())
  on(readHelper, ({ params }) => helpers.read(params.helper))
  on(addHelpers, ({ actor, body }) => helpers.add(actor, body))
  on(saveHelperVersion, ({ actor, params, body }) => helpers.saveVersion(actor, params.helper, body))
  on(changeHelper, ({ actor, params, body }) => helpers.change(actor, params.helper, body))
  on(deleteHelper, async ({ actor, params }) => {
    await helpers.delete(actor, params.helper)
    return undefined
  })
  on(saveCase, ({ actor, params, body }) => helpers.saveCase(actor, params.helper, params.case, body))
  on(removeCase, ({ actor, params }) => helpers.removeCase(actor, params.helper, params.case))
  on(askHelper, ({ actor, body }) => turns.ask(actor, body))
  on(readTurn, ({ params }) => turns.read(params.turn))
  on(stopTurn, ({ actor, params }) => turns.stop(actor, params.turn))
  on(decideTurn, ({ actor, params, body }) => turns.decide(actor, params.turn, body))
  on(listTurns, ({ params }) => turns.ofPrompt(params.prompt))
  on(startCaseRun, ({ actor, params, body }) => caseRuns.start(actor, params.helper, body))
  on(listCaseRuns, ({ params }) => caseRuns.of(params.helper))
  on(readCaseRun, ({ params }) => caseRuns.read(params.run))
  on(stopCaseRun, ({ actor, params }) => caseRuns.stop(actor, params.run))

  shelfRoutes(on, db, services.search, services.shelf, services.sameness)
  importRoutes(on, services.imports)
  templateRoutes(on, services.templates)
  trialRoutes(on, services.trials)
  writingStyleRoutes(on, services.writingStyles)
  partRoutes(on, services.parts, services.partSheets)
  seriesRoutes(on, db, services.series, services.scenes, services.sceneOffers, services.sceneRuns)

  turnStreams.routes(app)
  ledgerRoutes(app, db)
  takeOutRoutes(app, db, services.search)
  bundleRoutes(app, db, services.search)
  sheetRoutes(app, db, sheets)
  deliveryRoutes(app, db)
  app.get('/api/events', streams.handle)
  app.get('/api/openapi.json', (_request, response) => {
    response.json(openApiDocument(VERSION))
  })
  app.use('/api', () => {
    throw new ProblemError('not-found', 'The API has no such address. All of them are listed at /api/openapi.json.')
  })

  const { pageFolder } = options
  if (pageFolder) {
    app.use('/assets', express.static(join(pageFolder, 'assets'), { immutable: true, maxAge: '1y', index: false }))
    app.use(express.static(pageFolder, { index: false }))
    app.get('/{*any}', (_request, response) => {
      response.set('cache-control', 'no-cache').sendFile('index.html', { root: pageFolder })
    })
  }
  app.use(answerErrors(options.log))
  return app
}
