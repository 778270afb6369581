/** The checks and the vocabulary they need: loaded by the worker, the server and the command line, not by the page. */
export { brokenRules, checkDraft } from './check/index.ts'
export { type Around } from './check/checked.ts'
export { createLanguage, type Language } from './check/language.ts'
export { type AssociationTable } from './glossary/association-table.ts'
export { Associations, type Companion, type Description } from './glossary/associations.ts'
