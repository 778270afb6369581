<script setup lang="ts">
import { mdiKeyboardOutline, mdiMagnify, mdiWeatherNight, mdiWhiteBalanceSunny } from '@mdi/js'
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { connected } from '../api/changes.ts'
import { useProjects } from '../stores/projects.ts'
import { addressOf, type View, VIEWS } from './views.ts'

defineEmits<{ goTo: []; keys: []; theme: [] }>()
defineProps<{ dark: boolean }>()
const projects = useProjects()
const lastPrompt = useLocalStorage('idolon.last-prompt', '')
const GROUPS = [
  { label: 'The work', views: VIEWS.filter(({ nav }) => nav === 'work') },
  { label: 'Beside the work', views: VIEWS.filter(({ nav }) => nav === 'apart') },
]
/** The Desk opens where one last wrote. */
const addresses = computed(() => new Map(VIEWS.map((view) => [view.id, view.id === 'desk' && lastPrompt.value ? `/desk/${lastPrompt.value}` : addressOf(view)])))
const isHere = (view: View, path: string) => (view.path === '/' ? path === '/' : path.startsWith(`/${view.path.split('/')[1] ?? ''}`))
</script>

<template>
  <nav class="navigation" aria-label="Views">
    <p class="name">Idolon</p>
    <ul v-for="group in GROUPS" :key="group.label" :aria-label="group.label">
      <li v-for="view in group.views" :key="view.id">
        <RouterLink :to="addresses.get(view.id) ?? view.path" :aria-current="isHere(view, $route.path) ? 'page' : undefined">{{ view.title }}</RouterLink>
      </li>
    </ul>
    <div v-if="projects.open.length" class="project">
      <v-select label="Project" :model-value="projects.current?.id ?? ''" :items="projects.open.map((project) => ({ title: project.name, value: project.id }))" @update:model-value="projects.chosen = $event" />
      <RouterLink v-if="projects.current" :to="`/projects/${projects.current.id}`" :aria-current="$route.path.startsWith('/projects') ? 'page' : undefined">Project page</RouterLink>
    </div>
    <div class="foot">
      <p v-if="!connected" class="lost" role="status">No answer from the server; trying again.</p>
      <v-btn v-tooltip="'Ctrl K'" variant="text" :prepend-icon="mdiMagnify" @click="$emit('goTo')">Go to …</v-btn>
      <v-btn v-tooltip="'?'" variant="text" :prepend-icon="mdiKeyboardOutline" @click="$emit('keys')">Keys</v-btn>
      <v-btn variant="text" :prepend-icon="dark ? mdiWhiteBalanceSunny : mdiWeatherNight" @click="$emit('theme')">{{ dark ? 'Light' : 'Dark' }} theme</v-btn>
    </div>
  </nav>
</template>

<style scoped>
.navigation {
  position: sticky;
  top: 0;
  height: 100vh;
  display: flex;
  flex-direction: column;
  gap: 20px;
  padding: 16px 14px 12px 20px;
  border-right: 1px solid var(--rule);
  overflow-y: auto;
}
.name {
  font-family: var(--serif);
  font-size: 20px;
  font-weight: 600;
  letter-spacing: 0.01em;
}
li {
  padding: 1px 0;
}
a {
  text-decoration: none;
}
a:hover {
  text-decoration: underline;
}
li a {
  display: block;
  padding: 3px 0 3px 10px;
  margin-left: -12px;
  border-left: 2px solid transparent;
  font-size: 15px;
}
li a[aria-current] {
  border-color: var(--accent);
  font-weight: 600;
}
.project {
  display: grid;
  gap: 6px;
  padding-top: 6px;
}
.foot {
  display: grid;
  justify-items: start;
  margin-top: auto;
  margin-left: -6px;
}
.lost {
  margin: 0 0 8px 6px;
  color: var(--accent);
  font-size: 13px;
}
</style>
