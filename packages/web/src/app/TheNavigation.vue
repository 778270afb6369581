<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { connected } from '../api/changes.ts'
import { useProjects } from '../stores/projects.ts'

defineEmits<{ goTo: []; keys: []; theme: [] }>()
defineProps<{ dark: boolean }>()
const projects = useProjects()
const lastPrompt = useLocalStorage('idolon.last-prompt', '')
const places = computed(() => [
  { name: 'Begin', to: '/' },
  { name: 'Desk', to: lastPrompt.value ? `/desk/${lastPrompt.value}` : '/desk' },
  { name: 'Proofs', to: '/proofs' },
  { name: 'Shelf', to: '/shelf' },
  { name: 'Series', to: '/series' },
  { name: 'References', to: '/references' },
])
const BESIDE = [
  { name: 'Helpers', to: '/helpers' },
  { name: 'Glossary', to: '/glossary' },
  { name: 'Engines', to: '/engines' },
]
const section = (to: string, path: string) => (to === '/' ? path === '/' : path.startsWith(`/${to.split('/')[1] ?? ''}`))
</script>

<template>
  <nav class="navigation" aria-label="Views">
    <p class="name">Idolon</p>
    <ul>
      <li v-for="place in places" :key="place.name">
        <RouterLink :to="place.to" :aria-current="section(place.to, $route.path) ? 'page' : undefined">{{ place.name }}</RouterLink>
      </li>
    </ul>
    <ul aria-label="Beside the work">
      <li v-for="place in BESIDE" :key="place.name">
        <RouterLink :to="place.to" :aria-current="section(place.to, $route.path) ? 'page' : undefined">{{ place.name }}</RouterLink>
      </li>
    </ul>
    <div class="project">
      <label for="project-choice" class="soft">Project</label>
      <v-select v-if="projects.open.length" id="project-choice" :model-value="projects.current?.id ?? ''" @update:model-value="projects.chosen = $event" :items="projects.open.map((project) => ({ title: project.name, value: project.id }))" />
      <RouterLink v-if="projects.current" :to="`/projects/${projects.current.id}`" :aria-current="$route.path.startsWith('/projects') ? 'page' : undefined">Project page</RouterLink>
    </div>
    <ul class="foot">
      <li><v-btn variant="text" @click="$emit('goTo')">Go to …</v-btn> <kbd>Ctrl K</kbd></li>
      <li><v-btn variant="text" @click="$emit('keys')">Keys</v-btn> <kbd>?</kbd></li>
      <li><v-btn variant="text" @click="$emit('theme')">{{ dark ? 'Light' : 'Dark' }} theme</v-btn></li>
      <li v-if="!connected" class="lost" role="status">No answer from the server; trying again.</li>
    </ul>
  </nav>
</template>

<style scoped>
.navigation {
  position: sticky;
  top: 0;
  height: 100vh;
  display: flex;
  flex-direction: column;
  gap: 22px;
  padding: 20px 14px 16px 20px;
  border-right: 1px solid var(--rule);
}
.name {
  font-family: var(--serif);
  font-size: 20px;
  font-weight: 600;
  letter-spacing: 0.01em;
}
li {
  padding: 2px 0;
}
a {
  text-decoration: none;
}
a:hover {
  text-decoration: underline;
}
ul:not(.foot) a {
  display: block;
  padding: 3px 0 3px 10px;
  margin-left: -12px;
  border-left: 2px solid transparent;
  font-size: 15px;
}
ul:not(.foot) a[aria-current] {
  border-color: var(--accent);
  font-weight: 600;
}
.project {
  display: grid;
  gap: 5px;
  justify-items: start;
}
.project label {
  font-size: 12px;
}
.project select {
  width: 100%;
  min-width: 0;
  text-overflow: ellipsis;
}
.foot {
  margin-top: auto;
  font-size: 13px;
}
kbd {
  font-family: var(--mono);
  font-size: 11px;
  color: var(--soft);
}
.lost {
  color: var(--accent);
}
</style>
