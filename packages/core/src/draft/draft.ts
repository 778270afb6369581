import type { Draft, EngineChoice, ReferenceRole, Settings, VersionBody } from './shape.ts'

/** Longest text a draft may hold, in UTF-16 code units. */
export const MAX_TEXT = 20_000
export const MAX_LEAVE_OUT = 500
/** Most results of one engine in one run. */
export const MAX_COUNT = 24
export const REFERENCE_ROLES = ['base', 'layout', 'palette', 'person', 'finish'] as const satisfies readonly ReferenceRole[]

export const emptyDraft = (): Draft => ({
  text: '',
  marks: [],
  leaveOut: [],
  settings: {},
  engines: [],
  references: [],
})

export const versionBodyOf = ({ text, marks, leaveOut, references, kind }: VersionBody): VersionBody => ({
  text,
  marks,
  leaveOut,
  references,
  ...(kind ? { kind } : {}),
})

/** What holds for an engine of a draft: its own settings before the draft's. */
export const settingsFor = (draft: Pick<Draft, 'settings'>, choice: EngineChoice): Settings => ({ ...draft.settings, ...choice.settings })
/** The draft as it is tried on one of its engines. */
export const draftFor = (draft: Draft, choice: EngineChoice): Draft => ({ ...draft, settings: settingsFor(draft, choice) })

/** “burin 2, aspectRatio 3:2”: equal for two choices exactly when they ask for the same. */
export const nameOfChoice = ({ engine, revision, settings }: EngineChoice): string =>
  [revision === undefined ? engine : `${engine} ${revision}`, ...Object.entries(settings ?? {}).sort(([a], [b]) => (a < b ? -1 : 1)).map(([key, value]) => `${key} ${value}`)].join(', ')
