/** A view: where it is, what it is called, and what else people call it. The router, the navigation, Go to and the sweep of the tests read this one list. */
export interface ListedView {
  /** What the router calls it. */
  id: string
  path: string
  title: string
  /** In the navigation: with the work, or a little apart. */
  nav?: 'work' | 'apart'
  /** The address by which Go to reaches it, where none has to be chosen first; its path when it is `true`. */
  goTo?: true | string
  /** Words of the trade that mean it; found by Go to, not shown. */
  words?: string
}

export const VIEW_LIST = [
  { id: 'begin', path: '/', title: 'Begin', nav: 'work', goTo: true, words: 'home start new' },
  { id: 'desk', path: '/desk/:prompt?', title: 'Desk', nav: 'work', goTo: '/desk', words: 'editor write draft' },
  { id: 'trial', path: '/desk/:prompt/plan', title: 'Trial plan' },
  { id: 'proofs', path: '/proofs', title: 'Proofs', nav: 'work', goTo: true, words: 'results images pictures batch runs' },
  { id: 'sheet', path: '/proofs/sheet', title: 'Proof sheet', goTo: true, words: 'grid contact compare select' },
  { id: 'side-by-side', path: '/proofs/side-by-side', title: 'Side by side' },
  { id: 'judge', path: '/proofs/judge', title: 'Judging blind' },
  { id: 'proof', path: '/proofs/:proof', title: 'Proof' },
  { id: 'shelf', path: '/shelf', title: 'Shelf', nav: 'work', goTo: true, words: 'library prompts search collection' },
  { id: 'templates', path: '/shelf/templates/:template?', title: 'Templates', goTo: '/shelf/templates', words: 'frames slots placeholder' },
  { id: 'writing-styles', path: '/shelf/writing-styles/:writingStyle?', title: 'Writing styles', goTo: '/shelf/writing-styles', words: 'style voice tone' },
  { id: 'import', path: '/shelf/in/:import?', title: 'Import prompts', goTo: '/shelf/in', words: 'csv json markdown upload bundle folder' },
  { id: 'series', path: '/series/:series?', title: 'Series', nav: 'work', goTo: '/series', words: 'story scenes storyboard characters campaign' },
  { id: 'played', path: '/series/:series/play', title: 'Played' },
  { id: 'series-changes', path: '/series/:series/changes', title: 'What has changed' },
  { id: 'part', path: '/series/:series/parts/:part', title: 'Characters, places, style' },
  { id: 'project-part', path: '/parts/:part', title: 'Characters, places, style' },
  { id: 'references', path: '/references/:reference?', title: 'References', nav: 'work', goTo: '/references', words: 'picture image caption describe palette measure' },
  { id: 'helpers', path: '/helpers/:helper?', title: 'Helpers', nav: 'apart', goTo: '/helpers', words: 'language model assistant instruction cases' },
  { id: 'glossary', path: '/glossary', title: 'Glossary', nav: 'apart', goTo: true, words: 'vocabulary terms words style' },
  { id: 'engines', path: '/engines', title: 'Engines', nav: 'apart', goTo: true, words: 'models generators profiles settings connect API key' },
  { id: 'bin', path: '/bin', title: 'Bin', goTo: true, words: 'trash deleted restore undelete' },
  { id: 'project', path: '/projects/:project', title: 'Project' },
] as const satisfies readonly ListedView[]

export type ViewId = (typeof VIEW_LIST)[number]['id']
