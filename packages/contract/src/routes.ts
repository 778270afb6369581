import { listCaseRuns, readCaseRun, startCaseRun, stopCaseRun } from './case-run.ts'
import { addHelpers, changeHelper, deleteHelper, listHelpers, readHelper, removeCase, saveCase, saveHelperVersion } from './helper.ts'
import { keepModelSecret, listModels, practiseModels, removeModel, saveModel, switchModel, tryModel } from './model.ts'
import { askHelper, decideTurn, listTurns, readTurn, stopTurn } from './turn.ts'
import { dropAside, listAsides, putAside } from './aside.ts'
import { listBin, putBack, removeForGood } from './bin.ts'
import { keepSecret, listEngines, practise, previewRequest, removeEngine, saveEngine, switchEngine, tryEngine } from './engine.ts'
import { readHealth } from './health.ts'
import { addJudgement, judgementsOf, takeBackJudgement } from './judgement.ts'
import { setMoney, sumLedger } from './money.ts'
import { changeProject, createProject, listProjects, readLedger } from './project.ts'
import { countPhrases, forgetPhrase, keepPhrase, listPhrases } from './phrase.ts'
import { changePrompt, createPrompt, deletePrompt, putBackPrompt, readPrompt, saveEdits } from './prompt.ts'
import { askAgain, changeProof, changeProofs, countFaultsOf, listProofs, readProof } from './proof.ts'
import { addReference, changeReference, closeTries, deleteReference, listReferences, readAgreement, readReading, readReference } from './reference.ts'
import type { Route } from './route.ts'
import { promptsBreakingRules, readRules, setRules } from './rules.ts'
import { bringIn, listRuns, readRun, recentRuns, startRun, stopRun } from './run.ts'
import { changePrompts, forgetSearch, keepSearch, listSearches, listTags, readEvidence, readNear, renameTag, searchShelf } from './shelf.ts'
import { addComments, compareProofs, listClientSheets, makeClientSheet, readSheet } from './sheet.ts'
import { addTemplate, changeTemplate, deleteTemplate, listTemplates, makeDrafts, readOffers, readTemplateWhole, saveTemplateVersion, takeOffers } from './template.ts'
import { deleteManner, listManners, saveManner } from './manner.ts'
import { goOnWithTrial, listTrials, readTrial, startTrial, stopTrial } from './trial.ts'
import { addTerms, listTerms, promptsThatSay, removeTerm } from './term.ts'
import { changeVersion, listVersions } from './version.ts'

/** Every operation of the API. */
export const ROUTES = [
  readHealth,
  listReferences,
  readAgreement,
  readReading,
  readReference,
  closeTries,
  addReference,
  changeReference,
  deleteReference,
  listProjects,
  createProject,
  changeProject,
  readLedger,
  listPhrases,
  keepPhrase,
  forgetPhrase,
  listEngines,
  saveEngine,
  removeEngine,
  previewRequest,
  tryEngine,
  switchEngine,
  keepSecret,
  practise,
  readRules,
  setRules,
  promptsBreakingRules,
  listTerms,
  addTerms,
  removeTerm,
  promptsThatSay,
  searchShelf,
  listTags,
  renameTag,
  changePrompts,
  listSearches,
  keepSearch,
  forgetSearch,
  readEvidence,
  readNear,
  listTemplates,
  readTemplateWhole,
  addTemplate,
  saveTemplateVersion,
  changeTemplate,
  deleteTemplate,
  makeDrafts,
  readOffers,
  takeOffers,
  startTrial,
  listTrials,
  readTrial,
  stopTrial,
  goOnWithTrial,
  listManners,
  saveManner,
  deleteManner,
  createPrompt,
  readPrompt,
  changePrompt,
  deletePrompt,
  putBackPrompt,
  saveEdits,
  listVersions,
  changeVersion,
  startRun,
  listRuns,
  recentRuns,
  readRun,
  stopRun,
  listProofs,
  readProof,
  changeProof,
  changeProofs,
  countFaultsOf,
  compareProofs,
  askAgain,
  bringIn,
  readSheet,
  makeClientSheet,
  listClientSheets,
  addComments,
  addJudgement,
  judgementsOf,
  takeBackJudgement,
  listAsides,
  putAside,
  dropAside,
  listBin,
  putBack,
  removeForGood,
  sumLedger,
  setMoney,
  countPhrases,
  listModels,
  saveModel,
  removeModel,
  switchModel,
  keepModelSecret,
  tryModel,
  practiseModels,
  listHelpers,
  readHelper,
  addHelpers,
  saveHelperVersion,
  changeHelper,
  deleteHelper,
  saveCase,
  removeCase,
  askHelper,
  readTurn,
  stopTurn,
  decideTurn,
  listTurns,
  startCaseRun,
  listCaseRuns,
  readCaseRun,
  stopCaseRun,
] as const satisfies readonly Route[]
