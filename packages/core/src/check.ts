/** The checks and the vocabulary they need: loaded by the worker, the server and the command line, not by the page. */
export { brokenRules, checkDraft } from './check/index.ts'
export { type Around } from './check/checked.ts'
export { createLanguage, type Language } from './check/language.ts'
export { composeChecked, type PhraseLeft } from './series/compose-checked.ts'
