/** The checks and the vocabulary they need: loaded by the worker, the server and the command line, not by the page. */
export { checkDraft } from './check/index.ts'
export { type Around, type Language } from './check/checked.ts'
export { Kin } from './glossary/kin.ts'
export { Known } from './glossary/known.ts'
