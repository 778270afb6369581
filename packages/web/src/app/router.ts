import { createRouter, createWebHistory } from 'vue-router'
import { VIEWS } from './views.ts'

export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
  routes: [
    ...VIEWS.map(({ id, path, title, load }) => ({ path, name: id, component: load, meta: { title } })),
    { path: '/:any(.*)*', name: 'nowhere', component: () => import('./NotFoundView.vue'), meta: { title: 'Not found' } },
  ],
})

router.afterEach((to) => {
  document.title = `${typeof to.meta['title'] === 'string' ? to.meta['title'] : ''} · Idolon`
})
