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

createApp(App).use(createPinia()).use(router).use(vuetify).mount('#app')
