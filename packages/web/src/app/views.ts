import type { Component } from 'vue'

/** A view: where it is, what it is called, and what else people call it. The router, the navigation, Go to and the sweep of the tests read this one list. */
export interface View {
  /** What the router calls it. */
  id: string
  path: string
  title: string
  load: () => Promise<{ default: Component }>
  /** In the navigation: with the work, or a little apart. */
  nav?: 'work' | 'apart'
  /** The address by which Go to reaches it, where none has to be chosen first; its path when it is `true`. */
  goTo?: true | string
  /** Words of the trade that mean it; found by Go to, not shown. */
  words?: string
}

export const VIEWS: readonly View[] = [
  { id: 'begin', path: '/', title: 'Begin', nav: 'work', goTo: true, words: 'home start new', load: () => import('../begin/BeginView.vue') },
  { id: 'desk', path: '/desk/:prompt?', title: 'Desk', nav: 'work', goTo: '/desk', words: 'editor write draft', load: () => import('../desk/DeskView.vue') },
  { id: 'trial', path: '/desk/:prompt/plan', title: 'Trial plan', load: () => import('../trial/TrialView.vue') },
  { id: 'proofs', path: '/proofs', title: 'Proofs', nav: 'work', goTo: true, words: 'results images pictures batch runs', load: () => import('../proofs/ProofsView.vue') },
  { id: 'sheet', path: '/proofs/sheet', title: 'Proof sheet', goTo: true, words: 'grid contact compare select', load: () => import('../proofs/SheetView.vue') },
  { id: 'side-by-side', path: '/proofs/side-by-side', title: 'Side by side', load: () => import('../proofs/SideBySideView.vue') },
  { id: 'judge', path: '/proofs/judge', title: 'Judging blind', load: () => import('../proofs/JudgeView.vue') },
  { id: 'proof', path: '/proofs/:proof', title: 'Proof', load: () => import('../proofs/ProofView.vue') },
  { id: 'shelf', path: '/shelf', title: 'Shelf', nav: 'work', goTo: true, words: 'library prompts search collection', load: () => import('../shelf/ShelfView.vue') },
  { id: 'templates', path: '/shelf/templates/:template?', title: 'Templates', goTo: '/shelf/templates', words: 'frames slots placeholder', load: () => import('../templates/TemplatesView.vue') },
  { id: 'writing-styles', path: '/shelf/writing-styles/:writingStyle?', title: 'Writing styles', goTo: '/shelf/writing-styles', words: 'style voice tone', load: () => import('../writing-styles/WritingStylesView.vue') },
  { id: 'import', path: '/shelf/in/:import?', title: 'Import prompts', goTo: '/shelf/in', words: 'csv json markdown upload bundle folder', load: () => import('../imports/ImportView.vue') },
  { id: 'series', path: '/series/:series?', title: 'Series', nav: 'work', goTo: '/series', words: 'story scenes storyboard characters campaign', load: () => import('../series/SeriesView.vue') },
  { id: 'played', path: '/series/:series/play', title: 'Played', load: () => import('../series/PlayView.vue') },
  { id: 'series-changes', path: '/series/:series/changes', title: 'What has changed', load: () => import('../series/ChangesView.vue') },
  { id: 'part', path: '/series/:series/parts/:part', title: 'Characters, places, style', load: () => import('../series/PartView.vue') },
  { id: 'project-part', path: '/parts/:part', title: 'Characters, places, style', load: () => import('../series/PartView.vue') },
  { id: 'references', path: '/references/:reference?', title: 'References', nav: 'work', goTo: '/references', words: 'picture image caption describe palette measure', load: () => import('../references/ReferencesView.vue') },
  { id: 'helpers', path: '/helpers/:helper?', title: 'Helpers', nav: 'apart', goTo: '/helpers', words: 'language model assistant instruction cases', load: () => import('../helpers/HelpersView.vue') },
  { id: 'glossary', path: '/glossary', title: 'Glossary', nav: 'apart', goTo: true, words: 'vocabulary terms words style', load: () => import('../glossary/GlossaryView.vue') },
  { id: 'engines', path: '/engines', title: 'Engines', nav: 'apart', goTo: true, words: 'models generators profiles settings connect API key', load: () => import('../engines/EnginesView.vue') },
  { id: 'bin', path: '/bin', title: 'Bin', goTo: true, words: 'trash deleted restore undelete', load: () => import('../bin/BinView.vue') },
  { id: 'project', path: '/projects/:project', title: 'Project', load: () => import('../projects/ProjectView.vue') },
]

export const addressOf = ({ path, goTo }: View): string => (typeof goTo === 'string' ? goTo : path)
