<script setup lang="ts">
import { readSheet } from '@idolon/contract'
import { useEventListener, useLocalStorage } from '@vueuse/core'
import { onMounted, ref, watchEffect } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useTheme } from 'vuetify'
import { checkOf } from '../api/shapes.ts'
import { useActions } from '../go-to/actions.ts'
import GoTo from '../go-to/GoTo.vue'
import { pressed } from '../keys/key-map.ts'
import KeysDialog from '../keys/KeysDialog.vue'
import NoticeList from '../notices/NoticeList.vue'
import { useTask } from '../notices/notices.ts'
import { useNewPrompt } from '../prompts/new-prompt.ts'
import { useEngines } from '../stores/engines.ts'
import { useProjects } from '../stores/projects.ts'
import TheNavigation from './TheNavigation.vue'

const goTo = ref(false)
const keys = ref(false)
const theme = useTheme()
const dark = useLocalStorage('idolon.dark', false)
const router = useRouter()
const route = useRoute()
const projects = useProjects()
const engines = useEngines()
const task = useTask()
const { fromNothing } = useNewPrompt()

watchEffect(() => {
  void theme.change(dark.value ? 'dark' : 'light')
})
/** Views that are gone to from anywhere and should stand at once are fetched when nothing else is to be done. */
const FETCH_AFTER_MS = 2_500
onMounted(() => setTimeout(() => void Promise.all([import('../proofs/SheetView.vue'), checkOf(readSheet.id)]).catch(() => undefined), FETCH_AFTER_MS))
onMounted(() => void task(() => Promise.all([projects.load(), engines.load()])))

const inText = (target: EventTarget | null) => target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
useEventListener('keydown', (event: KeyboardEvent) => {
  const command = pressed('everywhere', event)
  if (command === 'goTo') {
    event.preventDefault()
    goTo.value = true
  } else if (command === 'keys' && !inText(event.target)) keys.value = true
})

useActions(() => [
  { name: 'New prompt', words: 'create draft empty write', writes: true, run: () => void fromNothing() },
  { name: 'New project', words: 'create folder', run: () => void router.push({ path: '/', query: { do: 'project' } }) },
  { name: 'New series', words: 'create story storyboard scenes picture book film', run: () => void router.push({ path: '/series', query: { do: 'new' } }) },
  { name: 'New template', words: 'create frame slots placeholder', run: () => void router.push({ path: '/shelf/templates', query: { do: 'new' } }) },
  { name: 'Learn a template from texts', words: 'frame variants extract', run: () => void router.push({ path: '/shelf/templates', query: { do: 'learn' } }) },
  { name: 'Learn a writing style from prompts', words: 'style voice tone examples', run: () => void router.push({ path: '/shelf/writing-styles', query: { do: 'learn' } }) },
  { name: dark.value ? 'Light theme' : 'Dark theme', words: 'mode colours appearance', run: () => (dark.value = !dark.value) },
  { name: 'Keys', words: 'shortcuts keyboard help', run: () => (keys.value = true) },
])
</script>

<template>
  <v-app>
    <a class="skip" href="#view">To the view</a>
    <div class="frame">
      <TheNavigation :dark="dark" @go-to="goTo = true" @keys="keys = true" @theme="dark = !dark" />
      <div id="view" class="view" tabindex="-1">
        <RouterView :key="route.name === 'desk' ? 'desk' : String(route.name)" />
      </div>
    </div>
    <GoTo v-model="goTo" />
    <KeysDialog v-model="keys" />
    <NoticeList />
  </v-app>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-columns: 168px minmax(0, 1fr);
  min-height: 100vh;
}
.view {
  min-width: 0;
  outline: none;
}
.skip {
  position: absolute;
  left: -999px;
  top: 4px;
  z-index: 10;
  padding: 6px 12px;
  background: var(--ink);
  color: var(--paper);
}
.skip:focus {
  left: 4px;
}
</style>
