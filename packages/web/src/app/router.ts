import { createRouter, createWebHistory } from 'vue-router'

export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
  routes: [
    { path: '/', name: 'begin', component: () => import('../begin/BeginView.vue'), meta: { title: 'Begin' } },
    { path: '/desk/:prompt?', name: 'desk', component: () => import('../desk/DeskView.vue'), meta: { title: 'Desk' } },
    { path: '/desk/:prompt/plan', name: 'trial', component: () => import('../trial/TrialView.vue'), meta: { title: 'Trial plan' } },
    { path: '/proofs', name: 'proofs', component: () => import('../proofs/ProofsView.vue'), meta: { title: 'Proofs' } },
    { path: '/proofs/sheet', name: 'sheet', component: () => import('../proofs/SheetView.vue'), meta: { title: 'Proofs' } },
    { path: '/proofs/side-by-side', name: 'side-by-side', component: () => import('../proofs/SideBySideView.vue'), meta: { title: 'Side by side' } },
    { path: '/proofs/judge', name: 'judge', component: () => import('../proofs/JudgeView.vue'), meta: { title: 'Judging blind' } },
    { path: '/proofs/:proof', name: 'proof', component: () => import('../proofs/ProofView.vue'), meta: { title: 'Proof' } },
    { path: '/shelf', name: 'shelf', component: () => import('../shelf/ShelfView.vue'), meta: { title: 'Shelf' } },
    { path: '/shelf/templates/:template?', name: 'templates', component: () => import('../templates/TemplatesView.vue'), meta: { title: 'Templates' } },
    { path: '/shelf/writing-styles/:writingStyle?', name: 'writing-styles', component: () => import('../writing-styles/WritingStylesView.vue'), meta: { title: 'Writing styles' } },
    { path: '/shelf/in/:import?', name: 'import', component: () => import('../imports/ImportView.vue'), meta: { title: 'Import prompts' } },
    { path: '/series/:series?', name: 'series', component: () => import('../series/SeriesView.vue'), meta: { title: 'Series' } },
    { path: '/series/:series/play', name: 'played', component: () => import('../series/PlayView.vue'), meta: { title: 'Played' } },
    { path: '/series/:series/changes', name: 'series-changes', component: () => import('../series/ChangesView.vue'), meta: { title: 'What has changed' } },
    { path: '/series/:series/parts/:part', name: 'part', component: () => import('../series/PartView.vue'), meta: { title: 'Characters, places, style' } },
    { path: '/parts/:part', name: 'project-part', component: () => import('../series/PartView.vue'), meta: { title: 'Characters, places, style' } },
    { path: '/references/:reference?', name: 'references', component: () => import('../references/ReferencesView.vue'), meta: { title: 'References' } },
    { path: '/bin', name: 'bin', component: () => import('../bin/BinView.vue'), meta: { title: 'Bin' } },
    { path: '/helpers/:helper?', name: 'helpers', component: () => import('../helpers/HelpersView.vue'), meta: { title: 'Helpers' } },
    { path: '/glossary', name: 'glossary', component: () => import('../glossary/GlossaryView.vue'), meta: { title: 'Glossary' } },
    { path: '/engines', name: 'engines', component: () => import('../engines/EnginesView.vue'), meta: { title: 'Engines' } },
    { path: '/projects/:project', name: 'project', component: () => import('../projects/ProjectView.vue'), meta: { title: 'Project' } },
    { path: '/:any(.*)*', name: 'nowhere', component: () => import('./NotFoundView.vue'), meta: { title: 'Not found' } },
  ],
})

router.afterEach((to) => {
  document.title = `${typeof to.meta['title'] === 'string' ? to.meta['title'] : ''} · Idolon`
})
