import '@fontsource-variable/archivo'
import '@fontsource-variable/source-serif-4/opsz.css'
import '@fontsource-variable/source-serif-4/opsz-italic.css'
import '@fontsource/ibm-plex-mono/latin-400.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './app/App.vue'
import { router } from './app/router.ts'
import './app/styles.css'
import { vuetify } from './app/vuetify.ts'

// A part of the page that was rebuilt on the server since this one was opened: the new page has it. What is written is kept.
window.addEventListener('vite:preloadError', (event) => {
  event.preventDefault()
  window.location.reload()
})

createApp(App).use(createPinia()).use(router).use(vuetify).mount('#app')
