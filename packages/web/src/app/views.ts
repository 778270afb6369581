import type { Component } from 'vue'
import { type ListedView, VIEW_LIST, type ViewId } from './view-list.ts'

/** Each listed view with its component, loaded when it is first gone to. */
export interface View extends ListedView {
  load: () => Promise<{ default: Component }>
}

const LOADS: Readonly<Record<ViewId, View['load']>> = {
  begin: () => import('../begin/BeginView.vue'),
  desk: () => import('../desk/DeskView.vue'),
  trial: () => import('../trial/TrialView.vue'),
  proofs: () => import('../proofs/ProofsView.vue'),
  sheet: () => import('../proofs/SheetView.vue'),
  'side-by-side': () => import('../proofs/SideBySideView.vue'),
  judge: () => import('../proofs/JudgeView.vue'),
  proof: () => import('../proofs/ProofView.vue'),
  shelf: () => import('../shelf/ShelfView.vue'),
  templates: () => import('../templates/TemplatesView.vue'),
  'writing-styles': () => import('../writing-styles/WritingStylesView.vue'),
  import: () => import('../imports/ImportView.vue'),
  series: () => import('../series/SeriesView.vue'),
  played: () => import('../series/PlayView.vue'),
  'series-changes': () => import('../series/ChangesView.vue'),
  part: () => import('../series/PartView.vue'),
  'project-part': () => import('../series/PartView.vue'),
  references: () => import('../references/ReferencesView.vue'),
  helpers: () => import('../helpers/HelpersView.vue'),
  glossary: () => import('../glossary/GlossaryView.vue'),
  engines: () => import('../engines/EnginesView.vue'),
  bin: () => import('../bin/BinView.vue'),
  project: () => import('../projects/ProjectView.vue'),
}

export const VIEWS: readonly View[] = VIEW_LIST.map((view) => ({ ...view, load: LOADS[view.id] }))

export const addressOf = ({ path, goTo }: View): string => (typeof goTo === 'string' ? goTo : path)
