import '@fontsource-variable/archivo'
import '@fontsource-variable/source-serif-4/opsz.css'
import '@fontsource/ibm-plex-mono/latin-400.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'
import '../app/styles.css'
import { vuetify } from '../app/vuetify.ts'
import ComponentsPage from './ComponentsPage.vue'

// A page of the development build alone: `?theme=dark` shows it in the other theme.
const router = createRouter({ history: createMemoryHistory(), routes: [{ path: '/:any(.*)*', component: { template: '' } }] })
void vuetify.theme.change(new URLSearchParams(window.location.search).get('theme') === 'dark' ? 'dark' : 'light')
createApp(ComponentsPage).use(createPinia()).use(router).use(vuetify).mount('#app')
